import type { FindAdvice, Need } from '../identify';
import { newAdviser } from '../identify';
import type { TrialCar } from './trialCar';

/** More visits than any session needs; reaching it is a fault of the plan. */
const MOST_VISITS = 200;

/**
 * Follows the plan on a car, one visit per step; the last answer is the advice it ended with.
 *
 * @throws Error when the plan does not come to an end.
 */
export function* planSteps(
  car: TrialCar,
  needs: readonly Need[],
): Generator<FindAdvice, FindAdvice, void> {
  const adviseOn = newAdviser();
  for (let visits = 0; visits < MOST_VISITS; visits += 1) {
    const advice = adviseOn({
      sources: car.sources,
      readings: car.readings,
      state: car.state(),
      needs,
      lamp: car.lamp,
      handbook: car.handbook,
    });
    if (advice.next.kind === 'handbook') {
      car.lookUp(advice.next.sourceId);
      yield advice;
      continue;
    }
    if (advice.next.kind !== 'visit') return advice;
    car.go(advice.next.visit.state);
    const { sourceIds, withLamp } = advice.next.visit;
    for (const sourceId of sourceIds)
      if (withLamp.includes(sourceId)) car.probe(sourceId, true);
      else car.probe(sourceId);
    yield advice;
  }
  throw new Error(`The plan has not come to an end after ${MOST_VISITS} visits`);
}

/**
 * Follows the plan to its end on a car.
 *
 * @throws Error when the plan does not come to an end.
 */
export function followPlan(car: TrialCar, needs: readonly Need[]): FindAdvice {
  return endOf(planSteps(car, needs));
}

/** What a generator returns once it is run to its end. */
export function endOf<T>(steps: Generator<T, T, void>): T {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}
