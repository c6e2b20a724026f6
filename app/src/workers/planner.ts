import type { FindAdvice, FindSession } from '@lucky-thread/core/identify';
import type { HarnessAdvice, HarnessSession } from '@lucky-thread/core/identify/harness';
import type { MonthPlan } from '@lucky-thread/core/size/battery';
import type { Remote } from 'comlink';
import { proxy, wrap } from 'comlink';
import type { Planner } from './plan.worker';
import type { PlanTaken, PracticeCar } from './practiseByPlan';
import type { MonthAnswer } from './workOutMonth';

let remote: Remote<Planner> | undefined;

function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url)));
  return remote;
}

/** Asks the worker for advice on a session; the worker is started at the first call. */
export function askPlanner(session: FindSession): Promise<FindAdvice> {
  return planner().advise(session);
}

/** Asks the worker for advice on a bunch of wires. */
export function askHarnessPlanner(session: HarnessSession): Promise<HarnessAdvice> {
  return planner().adviseHarness(session);
}

/** Asks the worker for a month on a battery. */
export async function askMonth(plan: MonthPlan): Promise<MonthAnswer> {
  return planner().workOutMonth(plan);
}

/** A long piece of work in the worker. */
export interface LongWork<T> {
  /** Undefined when it was called off. */
  readonly result: Promise<T | undefined>;
  readonly cancel: () => void;
}

/** Lets the plan do a practice car, telling its progress. */
export function askPractice(
  car: PracticeCar,
  onProgress: (actions: number) => void,
): LongWork<PlanTaken> {
  let going = true;
  const result = planner().practiseByPlan(
    car,
    proxy((actions: number) => {
      if (going) onProgress(actions);
      return going;
    }),
  );
  return {
    result,
    cancel: () => {
      going = false;
    },
  };
}
