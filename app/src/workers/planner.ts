import type { FindAdvice, FindSession } from '@lucky-thread/core/identify';
import type { HarnessAdvice, HarnessSession } from '@lucky-thread/core/identify/harness';
import type { MonthPlan } from '@lucky-thread/core/size/battery';
import { proxy } from 'comlink';
import { hearsChanges } from './changedVerdicts';
import { keepLast } from './keepLast';
import type { Planner } from './plan.worker';
import type { PlanTaken, PracticeCar } from './practiseByPlan';
import type { MonthAnswer } from './workOutMonth';
import { workerLine } from './workerLine';

const planner = workerLine<Planner>(() => new Worker(new URL('./plan.worker.ts', import.meta.url)));

/** Asks the worker for advice on a session; the answer to the last session is kept from screen to screen. */
export const askPlanner: (session: FindSession) => Promise<FindAdvice> = keepLast(
  hearsChanges((session, heard) => planner.ask(async (remote) => remote.advise(session, heard))),
  // What has not changed is not even told anew.
  (_before, answer) => answer,
);

/** Asks the worker for advice on a bunch of wires. */
export const askHarnessPlanner: (session: HarnessSession) => Promise<HarnessAdvice> = keepLast(
  (session: HarnessSession) => planner.ask(async (remote) => remote.adviseHarness(session)),
);

/** Asks the worker for a month on a battery. */
export const askMonth: (plan: MonthPlan) => Promise<MonthAnswer> = keepLast((plan: MonthPlan) =>
  planner.ask(async (remote) => remote.workOutMonth(plan)),
);

/** A long piece of work in the worker. */
export interface LongWork<T> {
  /** Undefined when it was called off. */
  readonly result: Promise<T | undefined>;
  /** Gives it up. */
  readonly cancel: () => void;
}

/** Lets the plan do a practice car, telling its progress. */
export function askPractice(
  car: PracticeCar,
  onProgress: (actions: number) => void,
): LongWork<PlanTaken> {
  let going = true;
  const tell = proxy((actions: number) => {
    if (going) onProgress(actions);
    return going;
  });
  const result = planner.ask(async (remote) => remote.practiseByPlan(car, tell));
  return {
    result,
    cancel: () => {
      going = false;
    },
  };
}
