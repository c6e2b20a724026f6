import type { Reading } from '@lucky-thread/core/identify';
import { readLabel, senseOf } from '@lucky-thread/core/identify';
import { stateId } from '@lucky-thread/core/vehicle';
import type { VehicleState } from '@lucky-thread/core/vehicle';

/**
 * The identification written down straightforwardly: a truth table over states, worked out anew for every source,
 * function and reading by plain text comparison, and every place tried for every source to find the next test.
 */
export function referenceAdvice(
  sources: readonly { readonly id: string; readonly legend: string | undefined }[],
  readings: readonly Reading[],
  places: readonly VehicleState[],
): { readonly leading: ReadonlyMap<string, string>; readonly best: string } {
  const leading = new Map<string, string>();
  let best = '';
  let bestWorth = -1;
  for (const source of sources) {
    const own = JSON.parse(JSON.stringify(readings)) as Reading[];
    const chances = chancesOf(
      source.legend,
      own.filter((one) => one.sourceId === source.id),
    );
    leading.set(source.id, [...chances].sort((left, right) => right[1] - left[1])[0]?.[0] ?? '');
    for (const place of places) {
      const worth = expectedEntropyLoss(
        source.legend,
        own.filter((one) => one.sourceId === source.id),
        place,
      );
      if (worth > bestWorth) {
        bestWorth = worth;
        best = `${source.id}@${stateId(place)}`;
      }
    }
  }
  return { leading, best };
}

type Rule = (state: VehicleState) => boolean;
const on = (state: VehicleState): boolean => ['acc', 'run', 'engine'].includes(state.key);
const ignition = (state: VehicleState): boolean => ['run', 'engine'].includes(state.key);
const RULES: Readonly<Record<string, Rule>> = {
  constant: () => true,
  timedConstant: (state) => !state.asleep,
  accessory: on,
  retainedAccessory: (state) =>
    on(state) || (state.key === 'off' && !state.doorOpenedSinceKeyOff && !state.asleep),
  ignitionRun: ignition,
  ignitionRunCrank: (state) => ignition(state) || state.key === 'crank',
  starter: (state) => state.key === 'crank',
  lamps: (state) => state.lamps,
  spare: () => false,
};
const FITS = 0.985;

function chancesOf(legend: string | undefined, readings: readonly Reading[]): Map<string, number> {
  const prior = readLabel(legend).prior;
  const weights = new Map<string, number>();
  for (const [name, rule] of Object.entries(RULES)) {
    let weight = prior[name as keyof typeof prior];
    for (const reading of readings) {
      const expected = rule(reading.state) ? 'live' : 'dead';
      weight *= senseOf(reading) === expected ? FITS : 1 - FITS;
    }
    weights.set(name, weight);
  }
  const total = [...weights.values()].reduce((sum, weight) => sum + weight, 0);
  return new Map([...weights].map(([name, weight]) => [name, weight / total]));
}

function entropy(chances: ReadonlyMap<string, number>): number {
  return [...chances.values()].reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

function expectedEntropyLoss(
  legend: string | undefined,
  readings: readonly Reading[],
  state: VehicleState,
): number {
  const now = chancesOf(legend, readings);
  let after = 0;
  for (const volts of [12.4, 0]) {
    const reading: Reading = {
      id: 'supposed',
      sourceId: 'x',
      contact: undefined,
      state,
      value: { kind: 'volts', volts },
    };
    const chance = [...now].reduce((sum, [name, p]) => {
      const live = RULES[name]?.(state) === true;
      return sum + p * (live === volts > 0 ? FITS : 1 - FITS);
    }, 0);
    after += chance * entropy(chancesOf(legend, [...readings, reading]));
  }
  return entropy(now) - after;
}
