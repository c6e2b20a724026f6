import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request } from 'express';
import { Router } from 'express';
import { LogTapRequest } from '@lucky-thread/contract';
import type { TapPage } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import { actorOf, userIn } from '../auth/session';
import type { Database } from '../db/database';
import { cursorIn } from '../http/cursor';
import { checked, idIn } from '../http/handlers';
import { Problem, notFound } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { findPlaces } from '../vehicles/placeRepository';
import { tapsAsCsv } from './csv/writeTaps';
import { importTaps } from './importTaps';
import { sheetPage } from './keptSheets';
import { TAP_CURSOR, pageOfTaps, tapsForJob } from './tapRepository';
import { logTap } from './tapService';

/** The tap points of the shop's models. */
export function tapRoutes(db: Database): Router {
  const router = Router();
  router.get('/models/:modelId/taps', async (request, response) => {
    const modelId = idIn(request.params.modelId, 'model');
    const after = cursorIn(request.query.after, TAP_CURSOR);
    const { shopId, logStamp: stamp } = userIn(request);
    response.type('json').send(await sheetPage(db, { shopId, stamp, modelId, after }));
  });
  router.get('/models/:modelId/taps.csv', async (request, response) => {
    const modelId = idIn(request.params.modelId, 'model');
    const actor = actorOf(request);
    if ((await findPlaces(db, actor.shopId, modelId)) === undefined)
      throw notFound('Vehicle model');
    response.attachment('tap-points.csv').type('text/csv; charset=utf-8');
    const csv = tapsAsCsv((cursor) => page(db, actor, modelId, cursor ?? undefined));
    await pipeline(Readable.from(csv), response);
  });
  router.post('/models/:modelId/taps.csv', async (request, response) => {
    const modelId = idIn(request.params.modelId, 'model');
    response.json(await importTaps(db, actorOf(request), modelId, fileIn(request)));
  });
  router.get('/jobs/:jobId/taps', async (request, response) => {
    const { shopId } = actorOf(request);
    const job = await getJob(db, actorOf(request), idIn(request.params.jobId, 'job'));
    const { modelId } = job.vehicle;
    response.json(await tapsForJob(db, { shopId, modelId, jobId: job.id }));
  });
  router.put('/jobs/:jobId/taps/:tapId', async (request, response) => {
    const body = checked(LogTapRequest, request.body);
    const ids = {
      jobId: idIn(request.params.jobId, 'job'),
      tapId: idIn(request.params.tapId, 'tap point'),
    };
    response.json(await logTap(db, actorOf(request), ids, body));
  });
  return router;
}

function page(db: Database, actor: Actor, modelId: string, after: unknown): Promise<TapPage> {
  const place = cursorIn(after, TAP_CURSOR);
  return pageOfTaps(db, { shopId: actor.shopId, modelId }, place);
}

/** The file that a request carries; reading may stop early and the answer can still be sent. */
function fileIn(request: Request): AsyncIterable<Uint8Array> {
  if (request.is('text/csv') !== 'text/csv')
    throw new Problem({ type: 'not-csv', title: 'A CSV file is expected', status: 415 });
  return request.iterator({ destroyOnReturn: false });
}
