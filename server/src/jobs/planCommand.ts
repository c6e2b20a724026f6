import { whyNeverTapped } from '@lucky-thread/core/choose';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import type {
  FeedInput,
  FeedPlanInput,
  FieldProblem,
  JobView,
  PutPlanRequest,
} from '@lucky-thread/contract';
import type { SlotSource, Source } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import type { PlacedSource } from '@lucky-thread/work';
import { jobSourcesOf, mayChain, mayMeet, seenBy, slotsOf } from '@lucky-thread/work';
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
  const { problems, atSlot } = await checked(db, actor, { job, feedId: at.feedId }, request.plan);
  if (problems.length > 0) throw invalid(problems);
  const command = { at: { ...at, kind: 'plan', subject: at.feedId }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const here = and(eq(feedPlans.jobId, at.jobId), eq(feedPlans.feedId, at.feedId));
    const [before] = await tx.select().from(feedPlans).where(here);
    if ((before?.commandId ?? null) !== request.base)
      throw stale(await getJob(tx, actor, at.jobId));
    if (request.plan !== null) await checkFree(tx, { job, atSlot }, request.plan);
    const row = { ...rowOf(at, request), shared: mayBeShared(job, at.feedId, atSlot) };
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
    alsoAt: plan?.alsoAt ?? null,
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

/** What is wrong with a plan, and whether its source is a slot, which serves one feed only. */
interface Checked {
  readonly problems: readonly FieldProblem[];
  readonly atSlot: boolean;
}

async function checked(
  db: Database,
  actor: Actor,
  { job, feedId }: { readonly job: JobView; readonly feedId: string },
  plan: FeedPlanInput | null,
): Promise<Checked> {
  const wrong = (path: string, message: string): Checked => ({
    problems: [{ path, message }],
    atSlot: false,
  });
  const feed = job.device.feeds.find(({ id }) => id === feedId);
  if (feed === undefined) return wrong('feedId', `the device has no feed ${feedId}`);
  if (plan === null) return { problems: [], atSlot: false };
  if (isSpeakerLead(feed.role))
    return wrong('feedId', 'a speaker’s wire is not chosen: a pop shows it');
  if (plan.feedId !== feedId)
    return wrong('plan.feedId', `is not the feed ${feedId} of the address`);
  const found = (await findPlaces(db, actor.shopId, job.vehicle.modelId)) ?? { places: [] };
  const model = seenBy(found, job);
  // A wire that is planned need not have been logged before.
  const source = jobSourcesOf({ job, model, taps: [plan] }).find(
    (one) => one.source.id === plan.sourceId,
  )?.source;
  const path = 'plan.sourceId';
  if (source === undefined) return wrong(path, `the vehicle has no source ${plan.sourceId}`);
  const reason = whyNeverTapped(source, feed.role) ?? whyFeederForbids(plan, slotsOf(model));
  if (reason !== undefined) return wrong(path, reason);
  const sources = jobSourcesOf({ job, model });
  return {
    problems: chainProblems(plan, { feed, source, sources }),
    atSlot: source.kind === 'slot',
  };
}

/** What is wrong with the wires that a lead goes on to. */
function chainProblems(
  { sourceId, alsoAt = [] }: FeedPlanInput,
  of: {
    readonly feed: FeedInput;
    readonly source: Source;
    readonly sources: readonly PlacedSource[];
  },
): FieldProblem[] {
  const path = 'plan.alsoAt';
  if (alsoAt.length > 0 && !mayChain(of.feed, of.source.kind === 'slot'))
    return [
      {
        path,
        message: 'only a lead that gives goes on to another wire: one that takes bridges them',
      },
    ];
  return alsoAt.flatMap((id) => {
    const next = of.sources.find(({ source }) => source.id === id)?.source;
    if (next === undefined || !isConductor(next) || id === sourceId)
      return [{ path, message: `${id} is no other wire that lies open` }];
    const never = whyNeverTapped(next, of.feed.role);
    return never === undefined ? [] : [{ path, message: never }];
  });
}

/** What a fuse feeds that must be left alone is left alone too. */
function whyFeederForbids({ fedBy }: FeedPlanInput, slots: readonly SlotSource[]) {
  const feeder = slots.find((slot) => slot.id === fedBy);
  return feeder === undefined ? undefined : whyNeverTapped(feeder);
}

/** Whether another lead of the device may meet a feed's on its source; the database lets such rows share it. */
function mayBeShared({ device }: JobView, feedId: string, atSlot: boolean): boolean {
  const own = device.feeds.find(({ id }) => id === feedId);
  return device.feeds.some(
    (other) => own !== undefined && other.id !== feedId && mayMeet(own, other, atSlot),
  );
}

/**
 * Leads that take the same may meet at a wire; every other source serves one feed only, and so does a wire of a chain.
 *
 * @throws Problem 422 naming the feed that has it.
 */
async function checkFree(
  db: Database,
  { job, atSlot }: { readonly job: JobView; readonly atSlot: boolean },
  { feedId, sourceId, alsoAt = [] }: FeedPlanInput,
): Promise<void> {
  const others = await db
    .select({
      feedId: feedPlans.feedId,
      sourceId: feedPlans.sourceId,
      alsoAt: feedPlans.alsoAt,
    })
    .from(feedPlans)
    .where(and(eq(feedPlans.jobId, job.id), ne(feedPlans.feedId, feedId)));
  const feedOf = (id: string): FeedInput | undefined =>
    job.device.feeds.find((feed) => feed.id === id);
  const own = feedOf(feedId);
  for (const other of others) {
    const feed = feedOf(other.feedId);
    const meets = own !== undefined && feed !== undefined && mayMeet(own, feed, atSlot);
    const isTaken =
      (other.sourceId === sourceId && !meets) || other.alsoAt?.includes(sourceId) === true;
    const isInChain = alsoAt.some((id) => [other.sourceId, ...(other.alsoAt ?? [])].includes(id));
    if (isTaken || isInChain)
      throw invalid([
        {
          path: isTaken ? 'plan.sourceId' : 'plan.alsoAt',
          message: `a source serves one feed only: ${other.feedId} has it`,
        },
      ]);
  }
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
