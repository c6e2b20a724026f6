import type { FeedInput, FeedPlanInput, JobView, ModelView } from '@lucky-thread/contract';
import type { NeedRole } from '@lucky-thread/core/identify';
import type { Inrush } from '@lucky-thread/core/size';
import type { Slot } from '@lucky-thread/core/vehicle';
import { slotsOf } from './sources';

/** A feed that a slot has to fill. */
export type SlotFeed = FeedInput & { readonly role: NeedRole };

/** A feed with its chosen slot. */
export interface TappedFeed {
  readonly feed: SlotFeed;
  readonly plan: FeedPlanInput;
  readonly slot: Slot;
}

/** A job and its model, as far as feeds and slots go. */
export interface FeedsOf {
  readonly job: Pick<JobView, 'device' | 'plan'>;
  readonly model: Pick<ModelView, 'places'>;
}

/** A feed's current at switching on; undefined where it is not known. */
export function inrushOf({ inrushA, inrushS }: FeedInput): Inrush | undefined {
  return inrushA === undefined || inrushS === undefined
    ? undefined
    : { peakA: inrushA, peakS: inrushS };
}

/** The device's feeds that need a slot. */
export function slotFeeds({ job }: Pick<FeedsOf, 'job'>): SlotFeed[] {
  return job.device.feeds.filter((feed): feed is SlotFeed => feed.role !== 'ground');
}

/** The feeds whose slot has been chosen, in the device's order. */
export function tappedFeeds(of: FeedsOf): TappedFeed[] {
  const slots = new Map(slotsOf(of.model).map((slot) => [slot.id, slot]));
  return slotFeeds(of).flatMap((feed) => {
    const plan = of.job.plan.find((one) => one.feedId === feed.id);
    const slot = slots.get(plan?.sourceId ?? '');
    return plan === undefined || slot === undefined ? [] : [{ feed, plan, slot }];
  });
}
