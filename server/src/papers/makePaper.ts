import { PAPER_INK, diagramSvg } from '@lucky-thread/core/build/drawing';
import type { Reading } from '@lucky-thread/core/identify';
import type { JobContext, PaperKind, Sheet } from '@lucky-thread/work';
import { diagramLeadsOf, paperOf, routeOf } from '@lucky-thread/work';
import { renderPaper } from './renderPaper';

/** A paper that is asked for, with all that stands on it: plain data, which can go to another thread. */
export interface PaperOrder {
  /** Which paper. */
  readonly kind: PaperKind;
  /** The job that it is of, with the model, its log and the shop's settings. */
  readonly context: JobContext;
  /** The readings of the job that count. */
  readonly readings: readonly Reading[];
  /** In which units it speaks. */
  readonly units: 'metric' | 'us';
  /** The sheet that it is printed on. */
  readonly sheet: Sheet;
  /** Address of the job's record, for the code on the paper. */
  readonly record: string;
}

/** Makes a paper: its bytes as a PDF. Seconds of work, most of them the drawing of a large job. */
export type PaperMaker = (order: PaperOrder) => Promise<Uint8Array>;

/** Makes a paper in the thread that asks. */
export const makePaper: PaperMaker = async (order) => {
  const { kind, context, readings, units, record, sheet } = order;
  const diagram = kind === 'job' ? await drawn(order) : undefined;
  return renderPaper(paperOf(kind, { context, readings, units, diagram, record }), sheet);
};

async function drawn({ context, readings, units }: PaperOrder): Promise<string> {
  // Laying out lines takes a large library: whoever asks for no drawing need not wait for it.
  const { layoutDiagram, netlistOf } = await import('@lucky-thread/core/build/diagram');
  const device = { name: context.job.device.name, mount: routeOf(context).mount.name };
  const diagram = await layoutDiagram(netlistOf(device, diagramLeadsOf(context, readings, units)));
  // The condensed face that its boxes were measured for, by the name that the paper knows it by.
  return diagramSvg(diagram, { ...PAPER_INK, family: 'Strong' });
}
