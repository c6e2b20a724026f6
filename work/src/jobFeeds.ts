import type { FeedInput, FeedPlanInput, JobView } from '@lucky-thread/contract';
import type { LoadKind } from '@lucky-thread/core/choose';
import { joinLimit, tapFit, tooSmallFor } from '@lucky-thread/core/choose';
import type { NeedRole } from '@lucky-thread/core/identify';
import { isSpeakerLead, isTrigger } from '@lucky-thread/core/identify';
import type { Inrush } from '@lucky-thread/core/size';
import type { Joinable, SlotSource, Source } from '@lucky-thread/core/vehicle';
import { isConductor, isJoinable } from '@lucky-thread/core/vehicle';
import { jobSourcesOf, slotsOf, sourcesOf } from './sources';
import type { Placed } from './sources';

/** A feed that a source of the car has to fill. */
export type SlotFeed = FeedInput & { readonly role: NeedRole };

/** A feed with its chosen source. */
export interface TappedFeed<Of extends Source = Source> {
  /** What the device wants. */
  readonly feed: SlotFeed;
  /** How it is to be served. */
  readonly plan: FeedPlanInput;
  /** What serves it. */
  readonly source: Of;
}

/** A job and its model, as far as feeds and sources go. */
export interface FeedsOf {
  /** The job, as far as its feeds go. */
  readonly job: Pick<JobView, 'device' | 'plan' | 'harness'>;
  /** The places of its car. */
  readonly model: Placed;
}

/** A feed's current at switching on; undefined where it is not known. */
export function inrushOf({ inrushA, inrushS }: FeedInput): Inrush | undefined {
  return inrushA === undefined || inrushS === undefined
    ? undefined
    : { peakA: inrushA, peakS: inrushS };
}

/**
 * What a feed's lead means for the wire that it is joined to. Where a device gives what the key gives, its main feed carries
 * what the key's contacts carry otherwise.
 */
export function loadKindOf(
  feed: FeedInput,
  { job }: { readonly job: Pick<JobView, 'device'> },
): LoadKind {
  if (feed.direction === 'out') return 'given';
  const feedsTheKeysWires = job.device.feeds.some(
    (one) => one.direction === 'out' && one.role === 'switched',
  );
  return feed.role === 'constant' && feedsTheKeysWires ? 'inKeysPlace' : 'beside';
}

/** Whether a device gives current here to what the key feeds: such a lead goes to a wire behind the key, never to a slot. */
export function givesToTheKeysWires({ direction, role }: FeedInput): boolean {
  return direction === 'out' && !isTrigger(role);
}

/** The device's feeds that need a source; speakers' leads are joined pair by pair, with neither tap nor fuse. */
export function slotFeeds({ job }: { readonly job: Pick<JobView, 'device'> }): SlotFeed[] {
  return job.device.feeds.filter(
    (feed): feed is SlotFeed => feed.role !== 'ground' && !isSpeakerLead(feed.role),
  );
}

/** The feeds whose source has been chosen, in the device's order. */
export function tappedFeeds(of: FeedsOf): TappedFeed[] {
  const planned = of.job.plan.map((one) => ({ sourceId: one.sourceId }));
  const sources = new Map(
    jobSourcesOf({ ...of, taps: planned }).map(({ source }) => [source.id, source]),
  );
  return slotFeeds(of).flatMap((feed) => {
    const plan = of.job.plan.find((one) => one.feedId === feed.id);
    const source = sources.get(plan?.sourceId ?? '');
    return plan === undefined || source === undefined ? [] : [{ feed, plan, source }];
  });
}

/** The feeds that still want a source: what the device works without may be left off. */
export function openFeeds(of: FeedsOf): SlotFeed[] {
  const tapped = new Set(tappedFeeds(of).map(({ feed }) => feed.id));
  return slotFeeds(of).filter((feed) => feed.optional !== true && !tapped.has(feed.id));
}

/** Whether anything is tapped, and nothing that the device needs is open. */
export function isWholeJob(of: FeedsOf): boolean {
  return tappedFeeds(of).length > 0 && openFeeds(of).length === 0;
}

/** Whether a feed is tapped in a slot. */
export function isAtSlot(tapped: TappedFeed): tapped is TappedFeed<SlotSource> {
  return tapped.source.kind === 'slot';
}

/** Whether a feed is joined to a wire, a terminal or a stud. */
export function isJoined(tapped: TappedFeed): tapped is TappedFeed<Joinable> {
  return isJoinable(tapped.source);
}

/**
 * Feeds too heavy for every slot of the model, where no stud and no wire that lies open carries them either: searching for
 * them would be in vain.
 */
export function heavyFeeds({
  job,
  model,
}: {
  readonly job: Pick<JobView, 'device' | 'harness'>;
  readonly model: Placed;
}): SlotFeed[] {
  const slots = slotsOf(model).filter((slot) => slot.ratingA !== undefined && tapFit(slot).fits);
  if (slots.length === 0) return [];
  const carriers = [
    ...sourcesOf(model).filter((source) => source.kind === 'stud'),
    ...jobSourcesOf({ job, model })
      .map(({ source }) => source)
      .filter(isConductor),
  ];
  return slotFeeds({ job }).filter(
    (feed) =>
      !carriers.some((one) => feed.currentA <= joinLimit(one).amps) &&
      (givesToTheKeysWires(feed) ||
        tooSmallFor({ currentA: feed.currentA, inrush: inrushOf(feed) }, slots).length ===
          slots.length),
  );
}
