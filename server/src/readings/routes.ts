import { Router } from 'express';
import { ReadingRequest } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked, idIn } from '../http/handlers';
import { getJob } from '../jobs/jobService';
import { listReadings } from './readingRepository';
import { recordReading, withdrawReading } from './readingService';

/** Readings of a job: kept, listed, withdrawn, never changed. */
export function readingRoutes(db: Database): Router {
  const router = Router();
  router.get('/jobs/:jobId/readings', async (request, response) => {
    const job = await getJob(db, actorOf(request), idIn(request.params.jobId, 'job'));
    response.json(await listReadings(db, job.id));
  });
  router.put('/jobs/:jobId/readings/:readingId', async (request, response) => {
    const body = checked(ReadingRequest, request.body);
    response.json(await recordReading(db, actorOf(request), idsIn(request.params), body));
  });
  router.put('/jobs/:jobId/readings/:readingId/withdrawal', async (request, response) => {
    response.json(await withdrawReading(db, actorOf(request), idsIn(request.params)));
  });
  return router;
}

function idsIn(params: { jobId?: string | string[]; readingId?: string | string[] }): {
  jobId: string;
  readingId: string;
} {
  return { jobId: idIn(params.jobId, 'job'), readingId: idIn(params.readingId, 'reading') };
}
