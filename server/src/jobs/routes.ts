import type { Request } from 'express';
import { Router } from 'express';
import {
  ClosingRequest,
  CreateJobRequest,
  DeferRequest,
  JobFilter,
  PutPlanRequest,
  PutRouteRequest,
  PutWiresRequest,
  ReachPhaseRequest,
  SeeSlotRequest,
  ShowProofRequest,
  StandingRequest,
  StepRequest,
} from '@lucky-thread/contract';
import { STITCH_PLACES } from '@lucky-thread/core/vehicle';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { ID_FORM, TIMESTAMP_FORM, cursorIn } from '../http/cursor';
import { checked, idIn } from '../http/handlers';
import { notFound } from '../http/problem';
import { pageOfJobs } from './jobRepository';
import { createJob, getJob } from './jobService';
import { putPlan } from './planCommand';
import { seeSlot } from './slotCommand';
import {
  deferCheck,
  noteClosing,
  noteStep,
  putRoute,
  putStanding,
  reachPhase,
} from './progressCommands';
import { showProof, withdrawProof } from './proofCommand';
import { putWires } from './wiresCommand';

/** Steps go by what is done and to what, e.g. `fit:memory`: no blanks, no strokes, nothing that is no letter or mark. */
const STEP_ID = /^[^\s/\p{C}]{1,80}$/u;

/** Closing checks go by a kind and, where there are several, which: `drain-before`, `drop-off:switched`. */
const CLOSING_ITEM = /^[a-z-]{3,30}(?::[^\s/\p{C}]{1,45})?$/u;

/** The shop's jobs. */
export function jobRoutes(db: Database): Router {
  const router = Router();
  router.get('/jobs', async (request, response) => {
    const filter = checked(JobFilter, { ...request.query });
    const after = cursorIn(filter.after, [TIMESTAMP_FORM, ID_FORM]);
    response.json(await pageOfJobs(db, actorOf(request), after, filter));
  });
  router.get('/jobs/:jobId', async (request, response) => {
    response.json(await getJob(db, actorOf(request), idIn(request.params.jobId, 'job')));
  });
  router.put('/jobs/:jobId', async (request, response) => {
    const body = checked(CreateJobRequest, request.body);
    response.json(await createJob(db, actorOf(request), idIn(request.params.jobId, 'job'), body));
  });
  router.put('/jobs/:jobId/feeds/:feedId/plan', async (request, response) => {
    const body = checked(PutPlanRequest, request.body);
    const at = { jobId: jobIn(request), feedId: request.params.feedId };
    response.json(await putPlan(db, actorOf(request), at, body));
  });
  router.put('/jobs/:jobId/wires', async (request, response) => {
    const body = checked(PutWiresRequest, request.body);
    response.json(await putWires(db, actorOf(request), jobIn(request), body));
  });
  router.put('/jobs/:jobId/slots/:placeId/:position', async (request, response) => {
    const body = checked(SeeSlotRequest, request.body);
    const { placeId, position } = request.params;
    response.json(
      await seeSlot(db, actorOf(request), { jobId: jobIn(request), placeId, position }, body),
    );
  });
  router.put('/jobs/:jobId/phase', async (request, response) => {
    const body = checked(ReachPhaseRequest, request.body);
    response.json(await reachPhase(db, actorOf(request), jobIn(request), body));
  });
  router.put('/jobs/:jobId/route', async (request, response) => {
    const body = checked(PutRouteRequest, request.body);
    response.json(await putRoute(db, actorOf(request), jobIn(request), body));
  });
  router.put('/jobs/:jobId/steps/:stepId', async (request, response) => {
    const body = checked(StepRequest, request.body);
    const { stepId } = request.params;
    if (!STEP_ID.test(stepId)) throw notFound('Step');
    response.json(await noteStep(db, actorOf(request), { jobId: jobIn(request), stepId }, body));
  });
  router.put('/jobs/:jobId/closing/:item', async (request, response) => {
    const body = checked(ClosingRequest, request.body);
    const { item } = request.params;
    if (!CLOSING_ITEM.test(item)) throw notFound('Closing check');
    response.json(await noteClosing(db, actorOf(request), { jobId: jobIn(request), item }, body));
  });
  router.put('/jobs/:jobId/standing', async (request, response) => {
    const body = checked(StandingRequest, request.body);
    response.json(await putStanding(db, actorOf(request), jobIn(request), body));
  });
  router.put('/jobs/:jobId/deferred/:place', async (request, response) => {
    const body = checked(DeferRequest, request.body);
    const place = STITCH_PLACES.find((one) => one === request.params.place);
    if (place === undefined) throw notFound('Check');
    response.json(await deferCheck(db, actorOf(request), { jobId: jobIn(request), place }, body));
  });
  router.put('/jobs/:jobId/proofs/:proofId', async (request, response) => {
    const body = checked(ShowProofRequest, request.body);
    response.json(await showProof(db, actorOf(request), proofIn(request), body));
  });
  router.put('/jobs/:jobId/proofs/:proofId/withdrawal', async (request, response) => {
    response.json(await withdrawProof(db, actorOf(request), proofIn(request)));
  });
  return router;
}

function jobIn(request: Request<{ jobId: string }>): string {
  return idIn(request.params.jobId, 'job');
}

function proofIn(request: Request<{ jobId: string; proofId: string }>) {
  return { jobId: jobIn(request), proofId: idIn(request.params.proofId, 'proof') };
}
