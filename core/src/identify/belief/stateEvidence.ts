import type { VehicleState } from '../../vehicle';
import type { PerLevel } from '../circuit/levels';
import { LEVELS, likelihoods } from '../circuit/levels';
import type { Reading } from '../reading/reading';
import type { BeliefCache } from './beliefCache';
import { newBeliefCache } from './beliefCache';

/** What the readings of one source in one state say about its level there. */
export interface StateEvidence {
  /** The state's id, see `stateId`. */
  readonly id: string;
  /** The state that these readings share; of several that are one to a slot, the first. */
  readonly state: VehicleState;
  /** All of them at this source, 1 or more. */
  readonly readings: readonly Reading[];
  /** Relative likelihood of each level; the largest is 1. */
  readonly levels: PerLevel;
  /** The entry of `LEVEL_ROWS` that each hypothesis expects there. */
  readonly rowOf: Uint8Array;
  /** How well each entry of `LEVEL_ROWS` agrees with what was seen, 0 to 1. */
  readonly agreements: Float64Array;
}

/**
 * Readings with the fuse in, grouped by state. Readings at a contact of an empty slot are left out: one of the two
 * contacts is dead by design, whatever the function.
 *
 * @param atSlot states that are one to every circuit of a slot, such as cranking with a door open or shut, are one group
 */
export function gatherEvidence(
  readings: readonly Reading[],
  cache: BeliefCache = newBeliefCache(),
  atSlot = false,
): StateEvidence[] {
  const groups = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (reading.contact !== undefined || saysNothingOfLevel(reading)) continue;
    const key = (atSlot ? cache.slotIdOf : cache.idOf)(reading.state);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [reading]);
    else group.push(reading);
  }
  return [...groups.values()].map((group) => {
    const first = group[0] as Reading;
    const id = cache.idOf(first.state);
    const levels = combined(group, cache);
    return {
      id,
      state: first.state,
      readings: group,
      levels,
      rowOf: cache.rowsFor(id, first.state),
      agreements: cache.agreementsWith(levels),
    };
  });
}

/** A pop, or ohms between two wires, tells of pairs and not of a level. */
export function saysNothingOfLevel(reading: Reading): boolean {
  return reading.value.kind === 'pop' || reading.otherId !== undefined;
}

/** Product of the readings' likelihoods per level, scaled so that the largest is 1 and nothing underflows. */
function combined(readings: readonly Reading[], cache: BeliefCache): PerLevel {
  const first = readings[0];
  if (readings.length === 1 && first !== undefined) return cache.scaledOnce(first);
  const logs = LEVELS.map(() => 0);
  for (const reading of readings)
    likelihoods(reading).forEach(
      (likelihood, index) => (logs[index] = (logs[index] ?? 0) + Math.log(likelihood)),
    );
  const top = Math.max(...logs);
  return logs.map((log) => Math.exp(log - top));
}
