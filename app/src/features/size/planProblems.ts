import type { FeedPlanInput } from '@lucky-thread/contract';
import type { UnitSystem } from '@lucky-thread/core/units';
import { fieldProblem } from '../../sizing/fieldProblem';

/** Numbers of a plan that can be typed wrong. */
export type PlanField =
  | 'oneWayM'
  | 'returnM'
  | 'ambientC'
  | 'bundle'
  | 'spareA'
  | 'originalA'
  | 'sharedA';

/** What is wrong with a plan's numbers, by field; empty when nothing is. */
export function planProblems(
  plan: FeedPlanInput,
  system: UnitSystem,
): Partial<Record<PlanField, string>> {
  const values: Record<PlanField, number | undefined> = {
    oneWayM: plan.oneWayM,
    returnM: plan.sizing?.returnM,
    ambientC: plan.sizing?.ambientC,
    bundle: plan.sizing?.bundle,
    spareA: plan.sizing?.spareA,
    originalA: plan.measuredA,
    sharedA: plan.sharedA,
  };
  return Object.fromEntries(
    (Object.entries(values) as [PlanField, number | undefined][]).flatMap(([field, value]) => {
      const problem = fieldProblem(field, value, system);
      return problem === undefined ? [] : [[field, problem]];
    }),
  );
}
