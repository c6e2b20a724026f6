import type { HarnessQuality, LegendQuality } from '@lucky-thread/core/bench';
import { generateHarness, generateVehicle } from '@lucky-thread/core/bench';
import type { Need } from '@lucky-thread/core/identify';
import { planHarnessSteps, planSteps, trialCar, harnessTrial } from '@lucky-thread/core/trial';

/** What the plan would have taken on a practice car. */
export interface PlanTaken {
  readonly seconds: number;
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
  | { readonly kind: 'harness'; readonly seed: number; readonly quality: HarnessQuality };

/**
 * Follows the plan on a practice car from beginning to end; undefined when it was called off.
 *
 * @param onStep told after every action how many there were; answers whether to go on
 */
export async function practiseByPlan(
  car: PracticeCar,
  onStep: (actions: number) => boolean | Promise<boolean>,
): Promise<PlanTaken | undefined> {
  const trial =
    car.kind === 'panel'
      ? trialCar(generateVehicle(car.seed, car.quality), { seed: car.seed, instrument: 'both' })
      : harnessTrial(generateHarness(car.seed, car.quality), car.seed);
  const steps =
    car.kind === 'panel'
      ? planSteps(trial as ReturnType<typeof trialCar>, car.needs)
      : planHarnessSteps(trial as ReturnType<typeof harnessTrial>);
  let actions = 0;
  for (let step = steps.next(); step.done !== true; step = steps.next()) {
    actions += 1;
    if (!(await onStep(actions))) return undefined;
  }
  const { seconds, probes } = trial.effort();
  return { seconds, probes };
}
