import type { FeedInput, FeedPlanInput } from '@lucky-thread/contract';
import type { NeedRole } from '@lucky-thread/core/identify';
import type { Slot } from '@lucky-thread/core/vehicle';
import { slotsOf } from '../find/findSession';
import type { JobContext } from './useJob';

/** A feed that a slot has to fill. */
export type SlotFeed = FeedInput & { readonly role: NeedRole };

/** A feed with its chosen slot. */
export interface TappedFeed {
  readonly feed: SlotFeed;
  readonly plan: FeedPlanInput;
  readonly slot: Slot;
}

/** The device's feeds that need a slot. */
export function slotFeeds(context: JobContext): SlotFeed[] {
  return context.job.device.feeds.filter((feed): feed is SlotFeed => feed.role !== 'ground');
}

/** The feeds whose slot has been chosen, in the device's order. */
export function tappedFeeds(context: JobContext): TappedFeed[] {
  const slots = new Map(slotsOf(context.model).map((slot) => [slot.id, slot]));
  return slotFeeds(context).flatMap((feed) => {
    const plan = context.job.plan.find((one) => one.feedId === feed.id);
    const slot = slots.get(plan?.slotId ?? '');
    return plan === undefined || slot === undefined ? [] : [{ feed, plan, slot }];
  });
}
