import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { LEVELS } from '../circuit/levels';
import type { Posterior } from './posterior';
import type { Reading } from '../reading/reading';
import { isPlain, senseOf } from '../reading/reading';
import { HYPOTHESES, LEVEL_ROWS } from '../circuit/hypotheses';

/**
 * From this chance on a circuit that showed dead at one touch may be live all the same. A probe that misses the metal
 * shows nothing: a memory taken for a switched feed drains the battery, so that the bar is far lower than that of a name.
 */
const MISSED = 0.001;
const BATTERY = LEVELS.indexOf('battery');
/** Chance of battery voltage in each entry of `LEVEL_ROWS`. */
const LIVE_IN_ROW = LEVEL_ROWS.map((row) => row[BATTERY] ?? 0);

/** So many touches at a place are enough, whatever else differed: a door may stand otherwise at each. */
const ENOUGH = 3;

/** Whether a place was read dead by a single touch that may have missed: the same place is worth another touch. */
export function mayHaveMissed(place: StitchPlace, given: Posterior): boolean {
  const here = given.evidence.filter(({ state }) => placeOf(state) === place);
  if (here.flatMap(({ readings }) => readings.filter(isPlain)).length >= ENOUGH) return false;
  return here.some((one) => isOneDead(one.readings) && liveChance(given, one) > MISSED);
}

/** About how often a touch misses. */
const MISS_RATE = 0.006;

/** Whether a dead reading will want a second touch, by what is live there and by what serves, before it is taken. */
export function willDoubt(liveWeight: number, servingWeight: number): boolean {
  return MISS_RATE * liveWeight > MISSED * servingWeight;
}

function isOneDead(readings: readonly Reading[]): boolean {
  const [only, ...more] = readings;
  return only !== undefined && more.length === 0 && isPlain(only) && senseOf(only) === 'dead';
}

/** Chance that the circuit is live in a state after all that was read. */
function liveChance(given: Posterior, seen: Posterior['evidence'][number]): number {
  const atBattery = seen.levels[BATTERY] ?? 0;
  let live = 0;
  for (let index = 0; index < HYPOTHESES.length; index += 1) {
    const weight = given.hypotheses[index] ?? 0;
    if (weight === 0) continue;
    const row = seen.rowOf[index] ?? 0;
    live += (weight * (LIVE_IN_ROW[row] ?? 0) * atBattery) / (seen.agreements[row] ?? 1);
  }
  return live;
}
