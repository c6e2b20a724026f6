import type { Reading } from '@lucky-thread/core/identify';
import type { BuildPlan, JobContext } from '@lucky-thread/work';
import type { Builder } from './build.worker';
import { keepLast } from './keepLast';
import { workerLine } from './workerLine';

const builder = workerLine<Builder>(
  () => new Worker(new URL('./build.worker.ts', import.meta.url)),
);

/** A job with its readings, as the plan of building it is made from. */
export interface BuildQuestion {
  readonly context: JobContext;
  readonly readings: readonly Reading[];
}

/** Asks the worker for the order of work, the cut list and the parts. */
export const askBuilder: (question: BuildQuestion) => Promise<BuildPlan> = keepLast(
  ({ context, readings }: BuildQuestion) =>
    builder.ask(async (remote) => remote.plan(context, readings)),
);
