import type { GeneratedVehicle } from '../bench';
import { isClosed } from '../bench';
import type { Need } from '../identify';
import { requirementsOf } from '../identify';
import type { Choice } from './byHand';

/** How choices turned out against the truth, counted over needs. */
export interface Score {
  /** Needs counted. */
  readonly needs: number;
  /** Meets the need, and no safety-critical circuit. */
  readonly right: number;
  /** Breaks the need in some state. */
  readonly wrong: number;
  /** Of the slots chosen, safety-critical ones; `named` counts those whose legend says so. */
  readonly critical: number;
  /** Safety-critical ones whose legend says so. */
  readonly named: number;
  /** Needs left without a source. */
  readonly gaveUp: number;
}

/** Nothing tried yet. */
export const NO_SCORE: Score = { needs: 0, right: 0, wrong: 0, critical: 0, named: 0, gaveUp: 0 };

/** Two scores together. */
export function addScores(left: Score, right: Score): Score {
  return {
    needs: left.needs + right.needs,
    right: left.right + right.right,
    wrong: left.wrong + right.wrong,
    critical: left.critical + right.critical,
    named: left.named + right.named,
    gaveUp: left.gaveUp + right.gaveUp,
  };
}

/** What choices are worth on a generated car. */
export function scoreOf(vehicle: GeneratedVehicle, needs: readonly Need[], choice: Choice): Score {
  return needs
    .map((need): Score => {
      const slotId = choice[need.id];
      if (slotId === undefined) return { ...NO_SCORE, needs: 1, gaveUp: 1 };
      const slot = vehicle.slots.find((one) => one.id === slotId);
      const circuit = vehicle.truth.circuits.find((one) => one.slotId === slotId);
      const meets =
        circuit !== undefined &&
        requirementsOf(need).every(
          ({ state, want }) => isClosed(circuit.supply, state) === (want === 'live'),
        );
      const critical = slot?.critical === true;
      return {
        needs: 1,
        right: meets && !critical ? 1 : 0,
        wrong: meets ? 0 : 1,
        critical: critical ? 1 : 0,
        named: slot?.namedCritical === true ? 1 : 0,
        gaveUp: 0,
      };
    })
    .reduce(addScores, NO_SCORE);
}
