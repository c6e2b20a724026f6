import type { FeedPlanInput, HarnessWireInput, UpdateJobRequest } from '@lucky-thread/contract';
import type { ProofKind } from '@lucky-thread/core/prove';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { Database } from '../db/database';
import { feedPlans, jobWires, jobs, proofs } from '../db/schema';

/** Whose change it is, and from which version. */
export interface ChangeAt {
  readonly id: string;
  readonly shopId: string;
  readonly userId: string;
  readonly version: number;
}

/** Changes a shop's job if it is still at `version`, all of it or nothing; false when it has moved on. */
export async function updateJob(
  db: Database,
  at: ChangeAt,
  { phase, plan, harness, deferred }: Omit<UpdateJobRequest, 'version'>,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const updated = await tx
      .update(jobs)
      .set({
        ...(phase === undefined ? {} : { phase }),
        ...(deferred === undefined ? {} : { deferred }),
        version: at.version + 1,
        updatedAt: sql`now()`,
      })
      .where(and(eq(jobs.id, at.id), eq(jobs.shopId, at.shopId), eq(jobs.version, at.version)))
      .returning({ id: jobs.id });
    if (updated.length === 0) return false;
    if (plan !== undefined) await replacePlan(tx, at, plan);
    if (harness !== undefined) await replaceWires(tx, at.id, harness);
    return true;
  });
}

async function replacePlan(
  db: Database,
  at: ChangeAt,
  plan: readonly FeedPlanInput[],
): Promise<void> {
  await db.delete(feedPlans).where(eq(feedPlans.jobId, at.id));
  const rows = plan.map(({ proofs: _shown, ...one }) => ({ ...one, jobId: at.id }));
  if (rows.length > 0) await db.insert(feedPlans).values(rows);
  await standProofs(db, at, plan);
}

/** The proofs that stand are those that the plan names; the others are taken back, not forgotten. */
async function standProofs(
  db: Database,
  at: ChangeAt,
  plan: readonly FeedPlanInput[],
): Promise<void> {
  const standing = await db
    .select({ id: proofs.id, feedId: proofs.feedId, kind: proofs.kind })
    .from(proofs)
    .where(and(eq(proofs.jobId, at.id), isNull(proofs.withdrawnAt)));
  const named = plan.flatMap(({ feedId, proofs: kinds = [] }) =>
    kinds.map((kind) => ({ feedId, kind })),
  );
  const same = (left: Proof, right: Proof): boolean =>
    left.feedId === right.feedId && left.kind === right.kind;
  const gone = standing.filter((one) => !named.some((other) => same(one, other)));
  if (gone.length > 0)
    await db
      .update(proofs)
      .set({ withdrawnAt: sql`now()` })
      .where(
        inArray(
          proofs.id,
          gone.map(({ id }) => id),
        ),
      );
  const fresh = named.filter((one) => !standing.some((other) => same(one, other)));
  if (fresh.length > 0)
    await db.insert(proofs).values(
      fresh.map((one) => ({
        ...one,
        id: uuidv7(),
        jobId: at.id,
        shownBy: at.userId,
        shownAt: sql`now()`,
      })),
    );
}

interface Proof {
  readonly feedId: string;
  readonly kind: ProofKind;
}

async function replaceWires(
  db: Database,
  jobId: string,
  wires: readonly HarnessWireInput[],
): Promise<void> {
  await db.delete(jobWires).where(eq(jobWires.jobId, jobId));
  const rows = wires.map((wire, position) => ({ ...wire, jobId, position }));
  if (rows.length > 0) await db.insert(jobWires).values(rows);
}
