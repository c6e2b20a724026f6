import type { StitchPlace, VehicleState } from '../../vehicle';
import { placeOf } from '../../vehicle';
import type { Wanted } from '../belief/noneAtWire';
import { noneAsWanted } from '../belief/noneAtWire';
import type { Posterior } from '../belief/posterior';
import type { StateEvidence } from '../belief/stateEvidence';
import { HYPOTHESES, LEVEL_ROWS, UNKNOWN_LEVELS } from '../circuit/hypotheses';
import type { PerLevel } from '../circuit/levels';
import { LEVELS } from '../circuit/levels';

/** What a need asks of one state. */
export interface Requirement {
  /** Where it is asked for. */
  readonly place: StitchPlace;
  /** The state that stands for the place. */
  readonly state: VehicleState;
  /** What the source must be there. */
  readonly want: 'live' | 'dead';
}

/**
 * Chance that a circuit meets what a need asks, by entry of `HYPOTHESES` and "none of these" last: by design where nothing
 * was read, else by what was seen.
 *
 * @param byDesign for each requirement, whether each hypothesis meets it
 */
export function servingOf(
  requirements: readonly Requirement[],
  byDesign: readonly (readonly boolean[])[],
  given: Posterior,
): Float64Array {
  const serving = new Float64Array(NONE + 1).fill(1);
  const wanted = requirements.map(({ place, state, want }) => {
    const seen = given.evidence.find((one) => placeOf(one.state) === place);
    return { state, want, seen };
  });
  wanted.forEach(({ want, seen }, at) => {
    if (seen === undefined)
      byDesign[at]?.forEach((meets, index) => {
        if (!meets) serving[index] = 0;
      });
    else asSeen(serving, seen, want);
  });
  serving[NONE] = given.atWire ? noneAsWanted(given.evidence, wanted) : noneAtSlot(wanted);
  return serving;
}

/** Chance that a circuit nobody knows is as wanted, in one state as in another. */
function noneAtSlot(wanted: readonly Wanted[]): number {
  return wanted.reduce(
    (chance, { want, seen }) =>
      chance * shareAsWanted(UNKNOWN_LEVELS, seen?.levels ?? UNREAD, want),
    1,
  );
}

/** Weighs the hypotheses by the chance that their circuit is as wanted where it was read. */
function asSeen(serving: Float64Array, seen: StateEvidence, want: Requirement['want']): void {
  const atBattery = seen.levels[BATTERY] ?? 0;
  for (let index = 0; index < NONE; index += 1) {
    const row = seen.rowOf[index] ?? 0;
    const live = ((LIVE_IN_ROW[row] ?? 0) * atBattery) / (seen.agreements[row] ?? 1);
    serving[index] = (serving[index] ?? 0) * (want === 'live' ? live : 1 - live);
  }
}

/** Chance of battery voltage in each entry of `LEVEL_ROWS`. */
const LIVE_IN_ROW = LEVEL_ROWS.map((row) => row[LEVELS.indexOf('battery')] ?? 0);

/** Chance that a circuit of these expected levels is live, or is not, after what was read. */
export function shareAsWanted(
  expected: PerLevel,
  seen: PerLevel,
  want: Requirement['want'],
): number {
  let live = 0;
  let whole = 0;
  for (let level = 0; level < LEVELS.length; level += 1) {
    const weight = (expected[level] ?? 0) * (seen[level] ?? 1);
    whole += weight;
    if (level === BATTERY) live = weight;
  }
  return (want === 'live' ? live : whole - live) / whole;
}

const NONE = HYPOTHESES.length;
const BATTERY = LEVELS.indexOf('battery');
const UNREAD: PerLevel = LEVELS.map(() => 1);
