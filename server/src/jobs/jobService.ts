import { decodeVin } from '@lucky-thread/core/vehicle';
import type { CreateJobRequest, JobView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid, notFound } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { findPlaces } from '../vehicles/placeRepository';
import { findJob, insertJob } from './jobRepository';

/**
 * The job of an id.
 *
 * @throws Problem 404 when the shop has none.
 */
export async function getJob(db: Database, actor: Actor, id: string): Promise<JobView> {
  const job = await findJob(db, actor.shopId, id);
  if (job === undefined) throw notFound('Job');
  return job;
}

/**
 * Creates a job under the id its maker gave it; sending it again changes nothing.
 *
 * @throws Problem for an unknown model, a wrong VIN, or an id that belongs to something else, or to a job that says
 * something else.
 */
export async function createJob(
  db: Database,
  actor: Actor,
  id: string,
  request: CreateJobRequest,
): Promise<JobView> {
  if ((await findPlaces(db, actor.shopId, request.vehicle.modelId)) === undefined)
    throw invalid([{ path: 'vehicle.modelId', message: 'the shop has no such vehicle model' }]);
  if (request.vehicle.vin !== undefined) {
    const vin = decodeVin(request.vehicle.vin);
    if (!vin.ok) throw invalid(vin.problems.map((message) => ({ path: 'vehicle.vin', message })));
  }
  const fresh = await insertJob(db, actor, id, request);
  const job = await findJob(db, actor.shopId, id);
  if (job === undefined) throw conflict('A job of another shop has it.');
  const same = fresh || sameContent([job.vehicle, job.device], [request.vehicle, request.device]);
  if (!same) throw conflict('A job with another vehicle or device has it.', job);
  return job;
}
