import { meterReading } from '@lucky-thread/core/bench';
import { Router } from 'express';
import { MeterRequest } from '@lucky-thread/contract';
import type { MeterView } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked, idIn } from '../http/handlers';
import { Problem, invalid } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { findBench } from '../vehicles/modelRepository';

/** The simulated meter: reads the simulated car behind a job's model, and tells nothing but volts. */
export function meterRoutes(db: Database, random: () => number): Router {
  const router = Router();
  router.post('/jobs/:jobId/meter', async (request, response) => {
    const actor = actorOf(request);
    const touch = checked(MeterRequest, request.body);
    const job = await getJob(db, actor, idIn(request.params.jobId, 'job'));
    const bench = await findBench(db, actor.shopId, job.vehicle.modelId);
    if (bench === undefined)
      throw new Problem({
        type: 'no-simulated-car',
        title: 'There is no simulated car behind this model',
        detail: 'Use your own meter or lamp.',
        status: 409,
      });
    if (!bench.circuits.some((circuit) => circuit.slotId === touch.sourceId))
      throw invalid([{ path: 'sourceId', message: `the car has no slot ${touch.sourceId}` }]);
    const volts = meterReading(
      bench,
      { slotId: touch.sourceId, contact: touch.contact, state: touch.state },
      random,
    );
    const view: MeterView = { volts: Number(volts.toFixed(2)) };
    response.json(view);
  });
  return router;
}
