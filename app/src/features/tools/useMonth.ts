import type { MonthPlan } from '@lucky-thread/core/size/battery';
import { askMonth } from '../../workers/planner';
import type { Answered } from '../../workers/useAnswer';
import { useAnswer } from '../../workers/useAnswer';
import type { MonthAnswer } from '../../workers/workOutMonth';

/** A month worked out in the worker. */
export function useMonth(plan: MonthPlan): Answered<MonthAnswer> {
  return useAnswer(plan, askMonth);
}
