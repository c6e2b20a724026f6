import { compareWithClaim } from '@lucky-thread/core/evidence';
import { placeOf } from '@lucky-thread/core/vehicle';
import { toCoreReading } from '@lucky-thread/contract';
import type { JobView, ReadingRequest, ReadingView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid, notFound } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { insertObservation, listTapPoints } from '../taps/tapRepository';
import { findModel } from '../vehicles/modelRepository';
import { findReading, insertReading, markWithdrawn } from './readingRepository';

/**
 * Stores a reading under the id its maker gave it; sending it again changes nothing. What it says about the model's
 * logged tap points is stored with it.
 *
 * @throws Problem 422 for a slot that the vehicle has not got.
 */
export async function recordReading(
  db: Database,
  actor: Actor,
  ids: { readonly jobId: string; readonly readingId: string },
  request: ReadingRequest,
): Promise<ReadingView> {
  const job = await getJob(db, actor, ids.jobId);
  await checkSources(db, actor, job, request);
  return db.transaction(async (tx) => {
    const fresh = await insertReading(
      tx,
      { id: ids.readingId, jobId: job.id, takenBy: actor.userId },
      request,
    );
    const stored = await findReading(tx, job.id, ids.readingId);
    if (stored === undefined) throw conflict('A reading of another job has it.');
    if (fresh) await observe(tx, actor, job, stored);
    return stored;
  });
}

/**
 * Takes a reading back; it stays in the log as withdrawn.
 *
 * @throws Problem 404 when the job has no such reading.
 */
export async function withdrawReading(
  db: Database,
  actor: Actor,
  ids: { readonly jobId: string; readonly readingId: string },
): Promise<ReadingView> {
  const job = await getJob(db, actor, ids.jobId);
  if ((await findReading(db, job.id, ids.readingId)) === undefined) throw notFound('Reading');
  await markWithdrawn(db, ids.readingId, actor.userId);
  return (await findReading(db, job.id, ids.readingId)) as ReadingView;
}

async function checkSources(
  db: Database,
  actor: Actor,
  job: JobView,
  request: ReadingRequest,
): Promise<void> {
  const model = await findModel(db, actor.shopId, job.vehicle.modelId);
  const slots = model?.panels.flatMap((panel) => panel.slots.map((slot) => slot.id)) ?? [];
  const known = new Set([...slots, ...job.harness.map((wire) => wire.id)]);
  const problems = (['sourceId', 'otherId'] as const).flatMap((path) => {
    const id = request[path];
    return id === undefined || known.has(id)
      ? []
      : [{ path, message: `the vehicle has no slot ${id}, and the job no such wire` }];
  });
  if (problems.length > 0) throw invalid(problems);
}

/** Compares a new reading with what other jobs logged at the same slot. */
async function observe(
  db: Database,
  actor: Actor,
  job: JobView,
  stored: ReadingView,
): Promise<void> {
  const taps = await listTapPoints(db, actor.shopId, job.vehicle.modelId);
  for (const tap of taps) {
    if (tap.slotId !== stored.sourceId || tap.jobId === job.id) continue;
    const said = compareWithClaim(tap.function, toCoreReading(stored), placeOf(stored.state));
    if (said === 'silent') continue;
    const kind = said === 'agrees' ? 'confirmed' : 'contradicted';
    await insertObservation(db, { readingId: stored.id, tapPointId: tap.id, kind });
  }
}
