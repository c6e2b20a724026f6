import { PAPER_INK, diagramSvg, layoutDiagram, netlistOf } from '@lucky-thread/core/build/diagram';
import { DEFAULT_SETTINGS, toCoreReading } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import {
  PAPER_KINDS,
  SHEETS,
  diagramLeadsOf,
  isWholeJob,
  paperOf,
  routeOf,
  seenBy,
} from '@lucky-thread/work';
import type { Request } from 'express';
import { Router } from 'express';
import type { Actor } from '../auth/session';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { idIn } from '../http/handlers';
import { invalid, notFound } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { listReadings } from '../readings/readingRepository';
import { findShop } from '../shop/shopRepository';
import { tapsForJob } from '../taps/tapRepository';
import { findModel } from '../vehicles/modelRepository';
import { renderPaper } from './renderPaper';

/** Papers of a job as PDF: `/jobs/<id>/papers/job.pdf?sheet=A4&units=metric`. */
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
    const readings = (await listReadings(db, jobId))
      .filter((one) => one.withdrawnAt === null)
      .map(toCoreReading);
    const record = `${request.protocol}://${request.headers.host ?? ''}/jobs/${jobId}`;
    const diagram = kind === 'job' ? await drawn(context, readings, units) : undefined;
    const paper = paperOf(kind, { context, readings, units, diagram, record });
    response
      .type('application/pdf')
      .setHeader('Content-Disposition', `inline; filename="${kind}.pdf"`)
      .send(Buffer.from(await renderPaper(paper, sheet)));
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

async function contextOf(db: Database, actor: Actor, jobId: string): Promise<JobContext> {
  const job = await getJob(db, actor, jobId);
  const { modelId } = job.vehicle;
  const model = await findModel(db, actor.shopId, modelId);
  if (model === undefined) throw notFound('Vehicle model');
  return {
    job,
    model: { ...model, ...seenBy(model, job) },
    taps: await tapsForJob(db, { shopId: actor.shopId, modelId, jobId }),
    settings: (await findShop(db, actor.shopId))?.settings ?? DEFAULT_SETTINGS,
  };
}

async function drawn(
  context: JobContext,
  readings: Parameters<typeof diagramLeadsOf>[1],
  units: 'metric' | 'us',
): Promise<string> {
  const device = { name: context.job.device.name, mount: routeOf(context).mount.name };
  const diagram = await layoutDiagram(netlistOf(device, diagramLeadsOf(context, readings, units)));
  // The condensed face that its boxes were measured for, by the name that the paper knows it by.
  return diagramSvg(diagram, { ...PAPER_INK, family: 'Strong' });
}
