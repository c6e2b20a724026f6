import type { PlannedTap } from '@lucky-thread/core/build';
import type { Reading } from '@lucky-thread/core/identify';
import { feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import { tappedFeeds } from './jobFeeds';
import { supplyLandmarkOf } from './supplySide';

/** The taps of a job that are chosen and sized, as the steps of fitting them take them; feeds without a size are left out. */
export function plannedTapsOf(context: JobContext, readings: readonly Reading[]): PlannedTap[] {
  return tappedFeeds(context).flatMap((tapped) => {
    const { feed, slot, plan } = tapped;
    const size = feedSizeOf(tapped, context.settings);
    if (size?.ok !== true) return [];
    return {
      feedName: feed.name,
      position: slot.position,
      family: slot.family,
      originalA: slot.ratingA ?? 0,
      fuseA: size.fuseA,
      awg: size.awg,
      supplyLandmark:
        supplyLandmarkOf(context, readings, tapped) ?? 'supply side, still to be read',
      oneWayM: Number((plan.oneWayM ?? 0).toFixed(2)),
    };
  });
}
