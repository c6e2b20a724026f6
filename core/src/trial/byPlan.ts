import type { FindAdvice, Need } from '../identify';
import { advise } from '../identify';
import type { TrialCar } from './trialCar';

/** More visits than any session needs; reaching it is a fault of the plan. */
const MOST_VISITS = 200;

/**
 * Follows the plan to its end on a car.
 *
 * @throws Error when the plan does not come to an end.
 */
export function followPlan(car: TrialCar, needs: readonly Need[]): FindAdvice {
  for (let visits = 0; visits < MOST_VISITS; visits += 1) {
    const advice = advise({
      sources: car.sources,
      readings: car.readings,
      state: car.state(),
      needs,
    });
    if (advice.next.kind !== 'visit') return advice;
    car.go(advice.next.visit.state);
    for (const sourceId of advice.next.visit.sourceIds) car.probe(sourceId);
  }
  throw new Error(`The plan has not come to an end after ${MOST_VISITS} visits`);
}
