import { PickListRequest } from '@lucky-thread/contract';
import { PAPER_KINDS, SHEETS, isWholeJob } from '@lucky-thread/work';
import type { Request } from 'express';
import { Router } from 'express';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked, idIn } from '../http/handlers';
import { invalid, notFound } from '../http/problem';
import { contextOf, countingReadings } from './jobContext';
import type { PaperMaker } from './makePaper';
import { pickList } from './pickList';

/** Papers of a job as PDF: `/jobs/<id>/papers/job.pdf?sheet=A4&units=metric`; and what several jobs take: `/pick-list?job=<id>&job=<id>`. */
export function paperRoutes(db: Database, makePaper: PaperMaker): Router {
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
    const paper = await makePaper({ kind, context, readings, units, sheet, record });
    response
      .type('application/pdf')
      .setHeader('Content-Disposition', `inline; filename="${kind}.pdf"`)
      .send(Buffer.from(paper));
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
