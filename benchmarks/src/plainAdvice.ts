import type { FunctionPrior, Reading, Source } from '@lucky-thread/core/identify';
import { sourcePrior } from '@lucky-thread/core/identify';
import { plainPosterior } from '@lucky-thread/core/identify/model';
import { stateId } from '@lucky-thread/core/vehicle';
import type { VehicleState } from '@lucky-thread/core/vehicle';

/** What a meter may show next: live or dead. */
const OUTCOMES_V = [12.4, 0];

/**
 * The identification done straightforwardly: Bayes' rule as it stands for every source, and for the next test every
 * source in every state supposed to be live, then dead, and all of it worked out anew.
 */
export function plainAdvice(
  sources: readonly Source[],
  readings: readonly Reading[],
  states: readonly VehicleState[],
): { readonly functions: ReadonlyMap<string, FunctionPrior>; readonly best: string } {
  const functions = new Map<string, FunctionPrior>();
  let best = '';
  let least = Infinity;
  for (const source of sources) {
    const own = readings.filter((one) => one.sourceId === source.id);
    functions.set(source.id, plainPosterior(sourcePrior(source), own));
    for (const state of states) {
      const doubt = OUTCOMES_V.reduce((sum, volts) => {
        const supposed: Reading = {
          id: 'supposed',
          sourceId: source.id,
          contact: undefined,
          state,
          value: { kind: 'volts', volts },
        };
        return sum + entropy(plainPosterior(sourcePrior(source), [...own, supposed]));
      }, 0);
      if (doubt < least) {
        least = doubt;
        best = `${source.id}@${stateId(state)}`;
      }
    }
  }
  return { functions, best };
}

function entropy(chances: FunctionPrior): number {
  return Object.values(chances).reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}
