import { whyNeverTapped } from '@lucky-thread/core/choose';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import type { FeedPlanInput, FieldProblem, JobView, PutPlanRequest } from '@lucky-thread/contract';
import { FEED_ROLES } from '@lucky-thread/contract';
import { mayShareWire } from '@lucky-thread/core/identify';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import { jobSourcesOf, seenBy, slotsOf } from '@lucky-thread/work';
import { and, eq, isNull, ne, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { feedPlans, proofs } from '../db/schema';
import { invalid, stale } from '../http/problem';
import { findPlaces } from '../vehicles/placeRepository';
import { applyOnce } from './commands';
import { getJob } from './jobService';

/**
 * Plans a feed, or takes its plan back. Proofs of another source stand no longer.
 *
 * @throws Problem 422 for a source that is not there, must not be tapped or serves another feed; 409 with the job as it is
 * when the feed was planned otherwise meanwhile.
 */
export async function putPlan(
  db: Database,
  actor: Actor,
  at: { readonly jobId: string; readonly feedId: string },
  request: PutPlanRequest,
): Promise<JobView> {
  const job = await getJob(db, actor, at.jobId);
  const problems = await problemsOf(db, actor, { job, feedId: at.feedId }, request.plan);
  if (problems.length > 0) throw invalid(problems);
  const command = { at: { ...at, kind: 'plan', subject: at.feedId }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const here = and(eq(feedPlans.jobId, at.jobId), eq(feedPlans.feedId, at.feedId));
    const [before] = await tx.select().from(feedPlans).where(here);
    if ((before?.commandId ?? null) !== request.base)
      throw stale(await getJob(tx, actor, at.jobId));
    if (request.plan !== null) await checkFree(tx, job, request.plan);
    const row = { ...rowOf(at, request), shared: maySometimesShare(roleIn(job, at.feedId)) };
    await tx
      .insert(feedPlans)
      .values(row)
      .onConflictDoUpdate({ target: [feedPlans.jobId, feedPlans.feedId], set: row });
    if ((before?.sourceId ?? null) !== row.sourceId) await withdrawProofs(tx, at);
  });
}

function rowOf(
  at: { readonly jobId: string; readonly feedId: string },
  { plan, command }: PutPlanRequest,
): typeof feedPlans.$inferInsert & { sourceId: string | null } {
  return {
    jobId: at.jobId,
    feedId: at.feedId,
    commandId: command,
    sourceId: plan?.sourceId ?? null,
    oneWayM: plan?.oneWayM ?? null,
    returnPath: plan?.returnPath ?? null,
    reason: plan?.reason ?? null,
    measuredA: plan?.measuredA ?? null,
    sharedA: plan?.sharedA ?? null,
    feedFuseA: plan?.feedFuseA ?? null,
    fedBy: plan?.fedBy ?? null,
    ground: plan?.ground ?? null,
    sizing: plan?.sizing ?? null,
  };
}

async function problemsOf(
  db: Database,
  actor: Actor,
  { job, feedId }: { readonly job: JobView; readonly feedId: string },
  plan: FeedPlanInput | null,
): Promise<FieldProblem[]> {
  const feed = job.device.feeds.find(({ id }) => id === feedId);
  if (feed === undefined) return [{ path: 'feedId', message: `the device has no feed ${feedId}` }];
  if (plan === null) return [];
  if (isSpeakerLead(feed.role))
    return [{ path: 'feedId', message: 'a speaker’s wire is not chosen: a pop shows it' }];
  if (plan.feedId !== feedId)
    return [{ path: 'plan.feedId', message: `is not the feed ${feedId} of the address` }];
  const found = (await findPlaces(db, actor.shopId, job.vehicle.modelId)) ?? { places: [] };
  const model = seenBy(found, job);
  // A wire that is planned need not have been logged before.
  const source = jobSourcesOf({ job, model, taps: [plan] }).find(
    (one) => one.source.id === plan.sourceId,
  )?.source;
  const path = 'plan.sourceId';
  if (source === undefined)
    return [{ path, message: `the vehicle has no source ${plan.sourceId}` }];
  const reason = whyNeverTapped(source, feed.role) ?? whyFeederForbids(plan, slotsOf(model));
  return reason === undefined ? [] : [{ path, message: reason }];
}

/** What a fuse feeds that must be left alone is left alone too. */
function whyFeederForbids({ fedBy }: FeedPlanInput, slots: readonly SlotSource[]) {
  const feeder = slots.find((slot) => slot.id === fedBy);
  return feeder === undefined ? undefined : whyNeverTapped(feeder);
}

/** Whether there is any other role that it may lie on one wire with; the database lets such rows share a source. */
function maySometimesShare(role: string): boolean {
  return FEED_ROLES.some((other) => mayShareWire(role, other));
}

function roleIn(job: JobView, feedId: string): string {
  return job.device.feeds.find((feed) => feed.id === feedId)?.role ?? '';
}

async function checkFree(
  db: Database,
  job: JobView,
  { feedId, sourceId }: FeedPlanInput,
): Promise<void> {
  const others = await db
    .select({ feedId: feedPlans.feedId })
    .from(feedPlans)
    .where(
      and(
        eq(feedPlans.jobId, job.id),
        eq(feedPlans.sourceId, sourceId),
        ne(feedPlans.feedId, feedId),
      ),
    );
  const taken = others.find(
    (other) => !mayShareWire(roleIn(job, feedId), roleIn(job, other.feedId)),
  );
  if (taken !== undefined)
    throw invalid([
      { path: 'plan.sourceId', message: `a source serves one feed only: ${taken.feedId} has it` },
    ]);
}

async function withdrawProofs(
  db: Database,
  at: { readonly jobId: string; readonly feedId: string },
): Promise<void> {
  await db
    .update(proofs)
    .set({ withdrawnAt: sql`now()` })
    .where(
      and(eq(proofs.jobId, at.jobId), eq(proofs.feedId, at.feedId), isNull(proofs.withdrawnAt)),
    );
}
