import { legendsFor } from '@lucky-thread/core/identify/legend';
import type { JobContext } from '@lucky-thread/work';
import { slotFeeds } from '@lucky-thread/work';
import { useMemo } from 'react';
import { Words } from '../../ui/Words';

/** Legends named for each feed. */
const NAMED = 5;

/** Which legends on the lid are worth entering next, feed by feed: what the rest of the lid would gain. */
export function LegendsToFind({ context }: { readonly context: JobContext }) {
  const { device } = context.job;
  const named = useMemo(() => {
    const lines = slotFeeds({ job: { device } }).flatMap(({ name, role }) => {
      const legends = legendsFor(role, NAMED);
      return legends.length === 0 ? [] : [`${name}: ${legends.join(', ')}`];
    });
    return [...new Set(lines)];
  }, [device]);
  if (named.length === 0) return null;
  return (
    <Words kind="small" soft testID="legends-to-find">
      {`Not the whole lid is entered. Look on it for ${named.join('; ')}: with those the plan reads the likeliest first instead of every slot.`}
    </Words>
  );
}
