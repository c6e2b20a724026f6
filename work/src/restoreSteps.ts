import type { RestoreStep } from '@lucky-thread/core/choose';
import { METHOD_FACTS, holderFor, restoreSheet } from '@lucky-thread/core/choose';
import type { JobContext } from './jobContext';
import { isAtSlot, tappedFeeds } from './jobFeeds';
import { jointOf } from './plannedTaps';
import { titleOf } from './titleOf';

/** How the car of a job is brought back as it was, last thing first. */
export function restoreStepsOf(
  context: Pick<JobContext, 'job' | 'model' | 'settings'>,
): readonly RestoreStep[] {
  return restoreSheet(
    tappedFeeds(context).map((tapped) => {
      if (!isAtSlot(tapped)) {
        const joint = jointOf(context, tapped);
        return {
          where: titleOf(tapped.source),
          originalA: undefined,
          substituted: false,
          method: joint?.name ?? 'splice',
          trace: joint === undefined ? ('cut' as const) : METHOD_FACTS[joint.method].trace,
        };
      }
      const { source: slot } = tapped;
      const holder = holderFor({ slot });
      return {
        where: slot.position,
        originalA: slot.ratingA,
        substituted: holder.fits && holder.substitute !== undefined,
        method: 'fuse tap',
        trace: 'none' as const,
      };
    }),
  );
}
