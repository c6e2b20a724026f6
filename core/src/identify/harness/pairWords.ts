import { WORK_SECONDS } from '../visit/workCosts';
import type { PairToTry } from './pairToTry';

/** Two wires to try together, in words. */
export interface PairWords {
  /** Attended work, s. */
  readonly seconds: number;
  /** One sentence: what to do with the two wires. */
  readonly instruction: string;
  readonly because: string;
  /** What can hurt in this very step. */
  readonly caution: string;
}

/** How two wires are tried together, why, and what can hurt. */
export function sayPair(
  { by, plusId, minusId }: PairToTry,
  nameOf: (id: string) => string,
): PairWords {
  const seconds = WORK_SECONDS.pair;
  return by === 'ohms'
    ? {
        seconds,
        instruction: `Key off. Ohms between ${nameOf(plusId)} and ${nameOf(minusId)}: a speaker shows 2 to 16 Ω.`,
        because:
          'A coil shows a few ohms, a data pair 60 or 120; which speaker, and which lead is plus, only a pop tells.',
        caution:
          'Key off, and never on a live wire; airbag plugs stay shut, no ohmmeter on yellow-sleeved wires.',
      }
    : {
        seconds,
        instruction: `Touch 9 V across ${nameOf(plusId)} (+) and ${nameOf(minusId)} (−), and listen.`,
        because: 'A speaker pops; its cone moves out when plus is on plus.',
        caution:
          'A blink, not longer: direct current heats the coil. Never on a live, data or sensor wire; airbag plugs stay shut.',
      };
}
