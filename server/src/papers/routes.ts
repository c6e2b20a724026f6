import { PAPER_INK, diagramSvg } from '@lucky-thread/core/build/drawing';
import { PickListRequest } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import {
  PAPER_KINDS,
  SHEETS,
  diagramLeadsOf,
  isWholeJob,
  paperOf,
  routeOf,
} from '@lucky-thread/work';
import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Request } from 'express';
import { Router } from 'express';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked, idIn } from '../http/handlers';
import { invalid, notFound } from '../http/problem';
import { contextOf, countingReadings } from './jobContext';
import { pickList } from './pickList';
import { renderPaper } from './renderPaper';

/** Papers of a job as PDF: `/jobs/<id>/papers/job.pdf?sheet=A4&units=metric`; and what several jobs take: `/pick-list?job=<id>&job=<id>`. */
export function paperRoutes(db: Database): Router {
  const router = Router();
  router.get('/jobs/:jobId/papers/:name', async (request, response) => {
    const jobId = idIn(request.params.jobId, 'job');
    const kind = PAPER_KINDS.find((one) => request.params.name === `${one}.pdf`);
    if (kind === undefined) throw notFound('Paper');
    const { sheet, units } = asked(request);
    const context = await contextOf(db, actorOf(request), jobId);
    if (kind !== 'taps' && !isWholeJob(context))
      throw invalid([{ path: 'paper', message: 'choose and size every feed first' }]);
    const readings = await countingReadings(db, jobId);
    const record = `${request.protocol}://${request.headers.host ?? ''}/jobs/${jobId}`;
    const diagram = kind === 'job' ? await drawn(context, readings, units) : undefined;
    await nextTurn();
    const paper = paperOf(kind, { context, readings, units, diagram, record });
    response
      .type('application/pdf')
      .setHeader('Content-Disposition', `inline; filename="${kind}.pdf"`)
      .send(Buffer.from(await renderPaper(paper, sheet)));
  });
  router.get('/pick-list', async (request, response) => {
    const asked = ([] as unknown[]).concat(request.query.job ?? []);
    const { jobs } = checked(PickListRequest, { jobs: asked });
    response.json(await pickList(db, actorOf(request), jobs));
  });
  return router;
}

function asked({ query }: Request): {
  readonly sheet: (typeof SHEETS)[number];
  readonly units: 'metric' | 'us';
} {
  const sheet = SHEETS.find((one) => one === (query.sheet ?? 'A4'));
  const units = (['metric', 'us'] as const).find((one) => one === (query.units ?? 'metric'));
  if (sheet === undefined || units === undefined)
    throw invalid([
      { path: sheet === undefined ? 'sheet' : 'units', message: 'A4 or LETTER, metric or us' },
    ]);
  return { sheet, units };
}

async function drawn(
  context: JobContext,
  readings: Parameters<typeof diagramLeadsOf>[1],
  units: 'metric' | 'us',
): Promise<string> {
  // Laying out lines takes a large library: whoever asks for no drawing need not wait for it at the start.
  const { layoutDiagram, netlistOf } = await import('@lucky-thread/core/build/diagram');
  await nextTurn();
  const device = { name: context.job.device.name, mount: routeOf(context).mount.name };
  const diagram = await layoutDiagram(netlistOf(device, diagramLeadsOf(context, readings, units)));
  // The condensed face that its boxes were measured for, by the name that the paper knows it by.
  return diagramSvg(diagram, { ...PAPER_INK, family: 'Strong' });
}
