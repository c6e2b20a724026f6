import type { JobView, ShowProofRequest } from '@lucky-thread/contract';
import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobs, proofs, readings } from '../db/schema';
import { conflict, invalid, notFound } from '../http/problem';
import { applyOnce } from './commands';
import { getJob } from './jobService';

/** A proof of a job. */
interface ProofAt {
  readonly jobId: string;
  readonly proofId: string;
}

/**
 * Records a closing proof under the id its maker gave it. Shown a second time it stands for itself already.
 *
 * @throws Problem 422 for a feed that is not planned, or a reading that the job has not; 409 for an id that stands for
 * another proof.
 */
export async function showProof(
  db: Database,
  actor: Actor,
  { jobId, proofId }: ProofAt,
  request: ShowProofRequest,
): Promise<JobView> {
  const job = await getJob(db, actor, jobId);
  const { feedId, kind, readingIds } = request;
  if (!job.plan.some((one) => one.feedId === feedId))
    throw invalid([{ path: 'feedId', message: `nothing is planned for ${feedId}` }]);
  const command = {
    at: { jobId, kind: 'proof', subject: `${feedId} ${kind}` },
    head: { command: proofId, at: request.at },
  } as const;
  return applyOnce(db, actor, command, async (tx) => {
    await checkReadings(tx, jobId, readingIds);
    await tx
      .insert(proofs)
      .values({
        id: proofId,
        jobId,
        feedId,
        kind,
        readingIds,
        shownBy: actor.userId,
        shownAt: new Date(request.at),
      })
      // Somebody else has shown it meanwhile: one that stands is enough.
      .onConflictDoNothing();
  });
}

/**
 * Takes a proof back; it stays, with when.
 *
 * @throws Problem 404 when the job has none of that id.
 */
export async function withdrawProof(
  db: Database,
  actor: Actor,
  { jobId, proofId }: ProofAt,
): Promise<JobView> {
  await getJob(db, actor, jobId);
  const own = and(eq(proofs.id, proofId), eq(proofs.jobId, jobId));
  const [known] = await db.select({ id: proofs.id }).from(proofs).where(own);
  if (known === undefined) throw notFound('Proof');
  await db.transaction(async (tx) => {
    const taken = await tx
      .update(proofs)
      .set({ withdrawnAt: sql`now()` })
      .where(and(own, isNull(proofs.withdrawnAt)))
      .returning({ id: proofs.id });
    if (taken.length > 0)
      await tx
        .update(jobs)
        .set({ version: sql`${jobs.version} + 1`, updatedAt: sql`now()` })
        .where(eq(jobs.id, jobId));
  });
  return getJob(db, actor, jobId);
}

async function checkReadings(db: Database, jobId: string, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const known = await db
    .select({ id: readings.id, withdrawnAt: readings.withdrawnAt })
    .from(readings)
    .where(
      and(eq(readings.jobId, jobId), sql`${readings.id} = any(${sql.param([...ids])}::uuid[])`),
    );
  const missing = ids.filter((id) => !known.some((one) => one.id === id));
  if (missing.length > 0)
    throw invalid([
      { path: 'readingIds', message: `the job has no reading ${missing.join(', ')}` },
    ]);
  if (known.some((one) => one.withdrawnAt !== null))
    throw conflict('A reading that it rests on was withdrawn.');
}
