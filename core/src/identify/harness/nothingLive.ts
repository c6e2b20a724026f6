import { isPlain, senseOf } from '../reading/reading';
import type { HarnessSession } from './session';

/** Why nothing may be live, cheapest check first. */
export interface LivelessHelp {
  /** What to look at first. */
  readonly instruction: string;
  /** All causes with their checks, cheapest first. */
  readonly causes: readonly { readonly cause: string; readonly check: string }[];
}

/** Help when nothing is live: undefined while something is, or too little was read. */
export function nothingLive(session: HarnessSession): LivelessHelp | undefined {
  const plain = session.readings.filter(isPlain);
  if (plain.some((reading) => senseOf(reading) === 'live')) return undefined;
  const on = new Set(
    plain
      .filter(({ state }) => state.key === 'run' || state.key === 'engine')
      .map(({ sourceId }) => sourceId),
  );
  // Once every wire was read, there is nothing to wait for; before that a supply may still turn up.
  if (on.size < session.wires.length) return undefined;
  return {
    instruction:
      'Nothing is live: touch the clip’s own ground first, then look at the fuse that feeds radio and courtesy lamp.',
    causes: [
      {
        cause: 'The tester has no ground',
        check:
          'Touch a wire that must be live, such as the socket or the battery post; move the clip to bare metal.',
      },
      {
        cause: 'The fuse for radio and courtesy lamp has blown, mostly when the wires were cut',
        check: 'Does the courtesy lamp burn? Look at the fuse named RADIO, AUDIO, ROOM or DOME.',
      },
      {
        cause: 'The key is not where it should be, or the car sleeps',
        check: 'Key to run, lamps on; open and shut the door to wake the car.',
      },
      { cause: 'The battery is off or flat', check: 'Measure the battery at rest.' },
    ],
  };
}
