import { decodeVin } from '@lucky-thread/core/vehicle';
import { whyNeverTapped } from '@lucky-thread/core/choose';
import type {
  CreateJobRequest,
  FieldProblem,
  JobView,
  UpdateJobRequest,
} from '@lucky-thread/contract';
import { jobSourcesOf } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid, notFound, stale } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { findPlaces } from '../vehicles/placeRepository';
import { updateJob } from './changeRows';
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

/**
 * Changes a job's phase or plan.
 *
 * @throws Problem 409 with the job as it is now when it has moved on; 422 for a slot or feed that isn't there, or a
 * slot whose circuit must not be tapped.
 */
export async function changeJob(
  db: Database,
  actor: Actor,
  id: string,
  request: UpdateJobRequest,
): Promise<JobView> {
  const job = await getJob(db, actor, id);
  if (request.plan !== undefined)
    await checkPlan(db, actor, { ...job, harness: request.harness ?? job.harness }, request.plan);
  const { version, ...change } = request;
  if (change.harness !== undefined) checkHarness(change.harness);
  const { shopId, userId } = actor;
  const done = await updateJob(db, { id, shopId, userId, version }, change);
  const now = await getJob(db, actor, id);
  if (!done) throw stale(now);
  return now;
}

/** Two wires are taped to each other, or not at all. */
function checkHarness(harness: NonNullable<UpdateJobRequest['harness']>): void {
  const ids = new Set(harness.map((wire) => wire.id));
  const problems = harness.flatMap(({ id, tapedWith }, index) =>
    tapedWith === undefined || (ids.has(tapedWith) && tapedWith !== id)
      ? []
      : [{ path: `harness.${index}.tapedWith`, message: `there is no other wire ${tapedWith}` }],
  );
  if (problems.length > 0) throw invalid(problems);
}

async function checkPlan(
  db: Database,
  actor: Actor,
  job: JobView,
  plan: NonNullable<UpdateJobRequest['plan']>,
): Promise<void> {
  const found = await findPlaces(db, actor.shopId, job.vehicle.modelId);
  const model = { places: found?.places ?? [] };
  const sources = new Map(
    // A wire that is planned need not have been logged before.
    jobSourcesOf({ job, model, taps: plan }).map(({ source }) => [source.id, source]),
  );
  const problems = plan.flatMap((one, index): FieldProblem[] => {
    const at = `plan.${index}`;
    const source = sources.get(one.sourceId);
    if (!job.device.feeds.some((feed) => feed.id === one.feedId))
      return [{ path: `${at}.feedId`, message: `the device has no feed ${one.feedId}` }];
    if (source === undefined)
      return [{ path: `${at}.sourceId`, message: `the vehicle has no source ${one.sourceId}` }];
    const reason = whyNeverTapped(source);
    return reason === undefined ? [] : [{ path: `${at}.sourceId`, message: reason }];
  });
  if (problems.length > 0) throw invalid(problems);
}
