import { compareWithClaim } from '@lucky-thread/core/evidence';
import { seenOf, toCoreReading } from '@lucky-thread/contract';
import type { JobView, ReadingRequest, ReadingView } from '@lucky-thread/contract';
import { slotsOf } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid, notFound } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { getJob } from '../jobs/jobService';
import { claimsAt, insertObservations } from '../taps/tapRepository';
import { findPanels } from '../vehicles/modelRepository';
import { countReadings, findReading, insertReading, markWithdrawn } from './readingRepository';

/**
 * Stores a reading under the id its maker gave it; sending it again changes nothing. What it says about the model's
 * logged tap points is stored with it.
 *
 * @throws Problem 422 for a slot that the vehicle has not got, or a job that is full; 409 for an id that stands for
 * another reading.
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
    if (!fresh && !saysTheSame(stored, request))
      throw conflict('A reading that says something else has it.', stored);
    if (fresh) await checkRoom(tx, job.id);
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

/** Most readings that one job takes: a hundred slots in every state, ten times over. */
export const MOST_READINGS = 10_000;

async function checkRoom(db: Database, jobId: string): Promise<void> {
  if ((await countReadings(db, jobId)) > MOST_READINGS)
    throw invalid([{ path: '', message: `a job takes at most ${MOST_READINGS} readings` }]);
}

function saysTheSame(stored: ReadingView, request: ReadingRequest): boolean {
  const { takenBy: _by, withdrawnAt: _at, takenAt, ...seen } = stored;
  const sameMoment = Date.parse(takenAt) === Date.parse(request.takenAt);
  return sameMoment && sameContent(seen, seenOf(stored.id, request));
}

async function checkSources(
  db: Database,
  actor: Actor,
  job: JobView,
  request: ReadingRequest,
): Promise<void> {
  const panels = (await findPanels(db, actor.shopId, job.vehicle.modelId)) ?? [];
  const slots = slotsOf({ panels }).map((slot) => slot.id);
  const known = new Set([...slots, ...job.harness.map((wire) => wire.id)]);
  const problems = (['sourceId', 'otherId'] as const).flatMap((path) => {
    const id = request[path];
    return id === undefined || known.has(id)
      ? []
      : [{ path, message: `the vehicle has no slot ${id}, and the job no such wire` }];
  });
  if (problems.length > 0) throw invalid(problems);
}

/** Compares a new reading with the newest of what other jobs logged at the same slot. */
async function observe(
  db: Database,
  actor: Actor,
  job: JobView,
  stored: ReadingView,
): Promise<void> {
  const scope = { shopId: actor.shopId, modelId: job.vehicle.modelId, jobId: job.id };
  const taps = await claimsAt(db, scope, [stored.sourceId]);
  const said = taps.flatMap((tap) => {
    const answer = compareWithClaim(tap.function, toCoreReading(stored));
    if (answer === 'silent') return [];
    const kind = answer === 'agrees' ? ('confirmed' as const) : ('contradicted' as const);
    return [{ readingId: stored.id, tapPointId: tap.id, kind }];
  });
  await insertObservations(db, said);
}
