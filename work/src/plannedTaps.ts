import type { PlannedTap } from '@lucky-thread/core/build';
import { METHOD_FACTS, feedSheet } from '@lucky-thread/core/choose';
import type { MethodChoice } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import { nameOf } from '@lucky-thread/core/vehicle';
import { feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { isAtSlot, tappedFeeds } from './jobFeeds';
import { sheetGivenOf } from './sheetGiven';
import { supplyLandmarkOf } from './supplySide';
import { titleOf } from './titleOf';

/** The taps of a job that are chosen and sized, as the steps of fitting them take them; feeds without a size are left out. */
export function plannedTapsOf(context: JobContext, readings: readonly Reading[]): PlannedTap[] {
  return tappedFeeds(context).flatMap((tapped): PlannedTap[] => {
    const { feed, source, plan } = tapped;
    const size = feedSizeOf(tapped, context.settings);
    if (size?.ok !== true) return [];
    const { fuseA, awg } = size;
    const planned = {
      feedId: feed.id,
      feedName: feed.name,
      fuseA,
      awg,
      oneWayM: Number((plan.oneWayM ?? 0).toFixed(2)),
    };
    if (isAtSlot(tapped))
      return [
        {
          ...planned,
          at: 'slot',
          position: nameOf(source),
          family: tapped.source.family,
          originalA: tapped.source.ratingA ?? 0,
          supplyLandmark:
            supplyLandmarkOf(context, readings, tapped) ?? 'supply side, still to be read',
        },
      ];
    const joint = jointOf(context, tapped);
    if (joint === undefined) return [];
    return [
      {
        ...planned,
        at: 'wire',
        position: titleOf(source),
        method: joint.name,
        cuts: METHOD_FACTS[joint.method].trace === 'cut',
      },
    ];
  });
}

/** How a tapped feed is joined: the way that ranks first; undefined while it has no size, or where none will do. */
export function jointOf(
  context: Pick<JobContext, 'job' | 'settings' | 'model'>,
  tapped: TappedFeed,
): MethodChoice | undefined {
  const size = feedSizeOf(tapped, context.settings);
  if (size === undefined) return undefined;
  const given = sheetGivenOf(context, tapped, { size });
  return given === undefined ? undefined : feedSheet(given).methods.ranked[0];
}
