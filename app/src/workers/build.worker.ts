import type { Diagram } from '@lucky-thread/core/build/diagram';
import { layoutDiagram, netlistOf } from '@lucky-thread/core/build/diagram';
import type { Reading } from '@lucky-thread/core/identify';
import type { JobContext } from '@lucky-thread/work';
import { buildPlanOf, diagramLeadsOf, routeChoicesOf, routeOf } from '@lucky-thread/work';
import { expose } from 'comlink';

/** What is worked out for building a job, off the interface's thread. */
const builder = { plan: buildPlanOf, routes: routeChoicesOf, diagram };
/** What the worker offers. */
export type Builder = typeof builder;

expose(builder);

/** The wiring diagram of a job, laid out. */
async function diagram(
  context: JobContext,
  readings: readonly Reading[],
  units: 'metric' | 'us',
): Promise<Diagram> {
  const device = { name: context.job.device.name, mount: routeOf(context).mount.name };
  return layoutDiagram(netlistOf(device, diagramLeadsOf(context, readings, units)));
}
