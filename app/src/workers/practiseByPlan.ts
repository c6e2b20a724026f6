import type { HarnessQuality, LegendQuality, PracticeBunch } from '@lucky-thread/core/bench';
import {
  generateHarness,
  generateVehicle,
  practiceBunch,
  seededRandom,
} from '@lucky-thread/core/bench';
import type { Need } from '@lucky-thread/core/identify';
import {
  harnessTrial,
  planHarnessSteps,
  planSteps,
  searchFault,
  searchSteps,
  setFault,
  trialCar,
} from '@lucky-thread/core/trial';

/** What the plan would have taken on a practice car. */
export interface PlanTaken {
  /** Attended seconds. */
  readonly seconds: number;
  /** How often a probe was set. */
  readonly probes: number;
}

/** Which practice car. */
export type PracticeCar =
  | {
      readonly kind: 'panel';
      readonly seed: number;
      readonly quality: LegendQuality;
      readonly needs: readonly Need[];
    }
  | { readonly kind: 'harness'; readonly seed: number; readonly quality: HarnessQuality }
  | {
      readonly kind: 'signals';
      readonly seed: number;
      readonly bunch: PracticeBunch;
      readonly needs: readonly Need[];
    }
  | { readonly kind: 'fault'; readonly seed: number };

/**
 * Follows the plan on a practice car from beginning to end; undefined when it was called off.
 *
 * @param onStep told after every action how many there were; answers whether to go on
 */
export async function practiseByPlan(
  car: PracticeCar,
  onStep: (actions: number) => boolean | Promise<boolean>,
): Promise<PlanTaken | undefined> {
  const { steps, taken } = planOn(car);
  let actions = 0;
  for (let step = steps.next(); step.done !== true; step = steps.next()) {
    actions += 1;
    if (!(await onStep(actions))) return undefined;
  }
  return taken();
}

/** The plan on a car, step by step, and what it has taken so far. */
function planOn(car: PracticeCar): {
  readonly steps: Iterator<unknown, unknown, undefined>;
  readonly taken: () => PlanTaken;
} {
  switch (car.kind) {
    case 'panel': {
      const trial = trialCar(generateVehicle(car.seed, car.quality), {
        ...{ seed: car.seed, instrument: 'both' },
      });
      return { steps: planSteps(trial, car.needs), taken: () => takenIn(trial) };
    }
    case 'harness': {
      const trial = harnessTrial(generateHarness(car.seed, car.quality), car.seed);
      return { steps: planHarnessSteps(trial), taken: () => takenIn(trial) };
    }
    case 'signals': {
      const search = searchSteps(practiceBunch(car.bunch, car.seed), car.needs, { seed: car.seed });
      let [seconds, probes] = [0, 0];
      const steps = (function* () {
        for (let step = search.next(); ; step = search.next()) {
          ({ seconds } = step.value);
          probes = step.value.visits.reduce((sum, visit) => sum + visit.sourceIds.length, 0);
          if (step.done === true) return;
          yield;
        }
      })();
      return { steps, taken: () => ({ seconds: Math.round(seconds), probes }) };
    }
    case 'fault': {
      const random = seededRandom(car.seed);
      const { seconds, checks } = searchFault(setFault(random), random, 'by information');
      // A handful of checks: done before anybody could call it off.
      return { steps: [].values(), taken: () => ({ seconds, probes: checks }) };
    }
  }
}

function takenIn(trial: { readonly effort: () => PlanTaken }): PlanTaken {
  const { seconds, probes } = trial.effort();
  return { seconds, probes };
}
