import type { FeedInput } from '@lucky-thread/contract';
import { isSpeakerLead, mayShareWire } from '@lucky-thread/core/identify';
import type { FeedsOf, SlotFeed, TappedFeed } from './jobFeeds';
import { slotsOf } from './sources';

/**
 * Whether two leads of a device may meet on one source: lock and unlock, where a ladder carries both; and at a wire, a terminal
 * or a stud two leads that take the same, in one joint. What the device gives meets nothing else: two fuses side by side protect
 * no wire.
 */
export function mayMeet(
  one: Pick<FeedInput, 'role' | 'direction'>,
  other: Pick<FeedInput, 'role' | 'direction'>,
  atSlot: boolean,
): boolean {
  if (mayShareWire(one.role, other.role)) return true;
  const takes = [one, other].every(({ direction }) => direction !== 'out');
  return !atSlot && takes && one.role === other.role && !isSpeakerLead(one.role);
}

/** Names of the other leads that a plan has on the same source. */
export function metThere({ job }: Pick<FeedsOf, 'job'>, { feed, source }: TappedFeed): string[] {
  return job.plan
    .filter((one) => one.sourceId === source.id && one.feedId !== feed.id)
    .flatMap(({ feedId }) => job.device.feeds.find(({ id }) => id === feedId)?.name ?? []);
}

/** What the other leads that are planned on the same source draw from it, A. */
export function drawnThere(
  { job }: Pick<FeedsOf, 'job'>,
  feedId: string,
  sourceId: string,
): number {
  return job.plan
    .filter((one) => one.sourceId === sourceId && one.feedId !== feedId)
    .flatMap((one) => job.device.feeds.find(({ id }) => id === one.feedId) ?? [])
    .filter(({ direction }) => direction !== 'out')
    .reduce((sum, { currentA }) => sum + currentA, 0);
}

/** Sources that serve other feeds and are not to be had for this one. */
export function takenByOthers(
  { job, model }: Pick<FeedsOf, 'job' | 'model'>,
  feed: SlotFeed,
): string[] {
  const others = new Map(job.device.feeds.map((one) => [one.id, one]));
  const slots = new Set(slotsOf(model).map(({ id }) => id));
  return job.plan
    .filter((one) => one.feedId !== feed.id)
    .flatMap(({ feedId, sourceId, alsoAt = [] }) => {
      const other = others.get(feedId);
      const meets = other !== undefined && mayMeet(feed, other, slots.has(sourceId));
      return meets ? alsoAt : [sourceId, ...alsoAt];
    });
}

/**
 * Whether a lead may go on from its wire to others: only one that gives, and to no slot. What takes would bridge the car's wires to
 * each other.
 */
export function mayChain({ direction }: Pick<FeedInput, 'direction'>, atSlot: boolean): boolean {
  return direction === 'out' && !atSlot;
}
