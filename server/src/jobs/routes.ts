import { Router } from 'express';
import { CreateJobRequest, UpdateJobRequest } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { ID_FORM, TIMESTAMP_FORM, cursorIn } from '../http/cursor';
import { checked, idIn } from '../http/handlers';
import { pageOfJobs } from './jobRepository';
import { changeJob, createJob, getJob } from './jobService';

/** The shop's jobs. */
export function jobRoutes(db: Database): Router {
  const router = Router();
  router.get('/jobs', async (request, response) => {
    const after = cursorIn(request.query.after, [TIMESTAMP_FORM, ID_FORM]);
    response.json(await pageOfJobs(db, actorOf(request).shopId, after));
  });
  router.get('/jobs/:jobId', async (request, response) => {
    response.json(await getJob(db, actorOf(request), idIn(request.params.jobId, 'job')));
  });
  router.put('/jobs/:jobId', async (request, response) => {
    const body = checked(CreateJobRequest, request.body);
    response.json(await createJob(db, actorOf(request), idIn(request.params.jobId, 'job'), body));
  });
  router.patch('/jobs/:jobId', async (request, response) => {
    const body = checked(UpdateJobRequest, request.body);
    response.json(await changeJob(db, actorOf(request), idIn(request.params.jobId, 'job'), body));
  });
  return router;
}
