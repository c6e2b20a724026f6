import type { Diagram } from '@lucky-thread/core/build/diagram';
import type { Reading } from '@lucky-thread/core/identify';
import type { BuildPlan, JobContext, RouteChoices } from '@lucky-thread/work';
import type { Builder } from './build.worker';
import { keepLast } from './keepLast';
import { workerLine } from './workerLine';

const builder = workerLine<Builder>(
  () => new Worker(new URL('./build.worker.ts', import.meta.url)),
);

/** A job with its readings, as the plan of building it is made from. */
export interface BuildQuestion {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** What was measured, oldest first. */
  readonly readings: readonly Reading[];
}

/** Asks the worker for the wiring diagram, in the reader’s units. */
export const askDiagram: (
  question: BuildQuestion & { readonly units: 'metric' | 'us' },
) => Promise<Diagram> = keepLast(
  ({ context, readings, units }: BuildQuestion & { readonly units: 'metric' | 'us' }) =>
    builder.ask(async (remote) => remote.diagram(context, readings, units)),
);

/** Asks the worker for the order of work, the cut list and the parts. */
export const askBuilder: (question: BuildQuestion) => Promise<BuildPlan> = keepLast(
  ({ context, readings }: BuildQuestion) =>
    builder.ask(async (remote) => remote.plan(context, readings)),
);

/** Asks the worker where the leads run, by the wished aim and by every other. */
export const askRoutes: (context: JobContext) => Promise<RouteChoices> = keepLast(
  (context: JobContext) => builder.ask(async (remote) => remote.routes(context)),
);
