import type { FeedInput } from '@lucky-thread/contract';
import type { NeedRole, Reading } from '@lucky-thread/core/identify';
import { isTrigger, judge, soughtBy, workedBy } from '@lucky-thread/core/identify';
import type { SignalJoint } from '@lucky-thread/core/join';
import { joinSignal } from '@lucky-thread/core/join';
import type { TappedFeed } from './jobFeeds';
import { isJoined } from './jobFeeds';

/** Signals that a device gives to the car where its entry says nothing; it takes the others from it. */
const GIVEN: readonly NeedRole[] = [
  'lock',
  'unlock',
  'parkingLamps',
  'horn',
  'turnLeft',
  'turnRight',
];

/**
 * How a signal's lead is joined to its wire, by what the readings make of the wire: as it is, by its setting, through relays,
 * through a resistor, or not at all. Undefined for supplies, and where the wire is not known well enough.
 */
export function signalJointOf(
  tapped: TappedFeed,
  readings: readonly Reading[],
): SignalJoint | undefined {
  const { feed, source } = tapped;
  if (!isTrigger(feed.role) || !isJoined(tapped)) return undefined;
  const verdict = judge(
    {
      ...{ kind: 'wire', id: source.id, name: source.id, legend: undefined, logged: undefined },
      ...{ fitted: true, tappable: true, sought: soughtBy([feed]) },
    },
    readings,
  );
  return joinSignal(
    { direction: directionOf(feed), polarity: polarityOf(feed), setAt: feed.setAt },
    { function: verdict.leading, worked: workedBy(verdict, feed.role) },
  );
}

function directionOf({ direction, role }: TappedFeed['feed']): 'in' | 'out' {
  // What goes both ways is joined as what it takes: it must not be driven against.
  if (direction !== undefined) return direction === 'out' ? 'out' : 'in';
  return GIVEN.includes(role) ? 'out' : 'in';
}

/** Leads that the kit says nothing of give or take plus. */
function polarityOf({ polarity = 'plus' }: FeedInput): 'plus' | 'ground' | 'set' {
  return polarity;
}
