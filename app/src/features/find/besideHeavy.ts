import type { NextAction } from '@lucky-thread/core/identify';
import type { SlotFeed } from '@lucky-thread/work';

/**
 * The plan knows nothing of feeds that no panel is searched for: it must not say that every feed has a source.
 *
 * @param searched how many feeds a panel is searched for
 */
export function besideHeavy(
  next: NextAction | undefined,
  heavy: readonly SlotFeed[],
  searched: number,
): NextAction | undefined {
  if (next?.kind !== 'filled' || heavy.length === 0) return next;
  return {
    kind: 'filled',
    instruction:
      searched === 0
        ? 'No slot here carries what this device wants: nothing to look for in the panel.'
        : 'What a slot can carry has its source. Go on and choose the taps.',
  };
}
