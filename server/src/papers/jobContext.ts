import { DEFAULT_SETTINGS, toCoreReading } from '@lucky-thread/contract';
import type { Reading } from '@lucky-thread/core/identify';
import type { JobContext } from '@lucky-thread/work';
import { seenBy } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { notFound } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { listReadings } from '../readings/readingRepository';
import { findShop } from '../shop/shopRepository';
import { tapsForJob } from '../taps/tapRepository';
import { findModel } from '../vehicles/modelRepository';

/**
 * A job with its model, the model's log and the shop's settings, as everything that is worked out of it takes it.
 *
 * @throws Problem 404 when the shop has no such job.
 */
export async function contextOf(db: Database, actor: Actor, jobId: string): Promise<JobContext> {
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

/** The readings of a job that count. */
export async function countingReadings(db: Database, jobId: string): Promise<Reading[]> {
  return (await listReadings(db, jobId))
    .filter((one) => one.withdrawnAt === null)
    .map(toCoreReading);
}
