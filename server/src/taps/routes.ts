import express, { Router } from 'express';
import { LogTapRequest } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked, idIn } from '../http/handlers';
import { Problem, notFound } from '../http/problem';
import { findModel } from '../vehicles/modelRepository';
import { importTaps } from './importTaps';
import { tapsToCsv } from './tapCsv';
import { listTapPoints } from './tapRepository';
import { logTap } from './tapService';

/** Largest file of tap points. */
const CSV_LIMIT = '2mb';

/** The tap points of the shop's models. */
export function tapRoutes(db: Database): Router {
  const router = Router();
  router.get('/models/:modelId/taps', async (request, response) => {
    const modelId = idIn(request.params.modelId, 'model');
    response.json(await listTapPoints(db, actorOf(request).shopId, modelId));
  });
  router.get('/models/:modelId/taps.csv', async (request, response) => {
    const modelId = idIn(request.params.modelId, 'model');
    const { shopId } = actorOf(request);
    if ((await findModel(db, shopId, modelId)) === undefined) throw notFound('Vehicle model');
    response.attachment('tap-points.csv').type('text/csv');
    response.send(tapsToCsv(await listTapPoints(db, shopId, modelId)));
  });
  router.post(
    '/models/:modelId/taps.csv',
    express.text({ type: 'text/csv', limit: CSV_LIMIT }),
    async (request, response) => {
      const modelId = idIn(request.params.modelId, 'model');
      const body: unknown = request.body;
      if (typeof body !== 'string')
        throw new Problem({ type: 'not-csv', title: 'A CSV file is expected', status: 415 });
      response.json(await importTaps(db, actorOf(request), modelId, body));
    },
  );
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
