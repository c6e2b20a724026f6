import { compareWithClaim } from '@lucky-thread/core/evidence';
import { seenOf, toCoreReading } from '@lucky-thread/contract';
import type { ReadingRequest, ReadingView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid, notFound } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { getJob } from '../jobs/jobService';
import type { ReadingContext } from './readingContext';
import { readingContext } from './readingContext';
import type { Observation } from './readingRepository';
import { findReading, insertReading, markWithdrawn } from './readingRepository';

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
  const context = await readingContext(db, actor, ids.jobId, request);
  if (context === undefined) throw notFound('Job');
  checkSources(context, request);
  const given = { id: ids.readingId, jobId: ids.jobId, takenBy: actor.userId };
  const fresh =
    context.readings < MOST_READINGS &&
    (await insertReading(db, given, request, {
      observations: saidBy(request, context),
      car: context.car,
    }));
  if (fresh)
    return {
      ...seenOf(ids.readingId, request),
      takenAt: new Date(request.takenAt).toISOString(),
      takenBy: actor.name,
      withdrawnAt: null,
    };
  const stored = await findReading(db, ids.jobId, ids.readingId);
  if (stored !== undefined) {
    if (saysTheSame(stored, request)) return stored;
    throw conflict('A reading that says something else has it.', stored);
  }
  if (context.readings < MOST_READINGS) throw conflict('A reading of another job has it.');
  throw invalid([{ path: '', message: `a job takes at most ${MOST_READINGS} readings` }]);
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

function saysTheSame(stored: ReadingView, request: ReadingRequest): boolean {
  const { takenBy: _by, withdrawnAt: _at, takenAt, ...seen } = stored;
  const sameMoment = Date.parse(takenAt) === Date.parse(request.takenAt);
  return sameMoment && sameContent(seen, seenOf(stored.id, request));
}

function checkSources({ known }: ReadingContext, request: ReadingRequest): void {
  const problems = (['sourceId', 'otherId'] as const).flatMap((path) => {
    const id = request[path];
    return id === undefined || known.includes(id)
      ? []
      : [{ path, message: `the vehicle has no slot ${id}, and the job no such wire` }];
  });
  if (problems.length > 0) throw invalid(problems);
}

/** What a new reading says of the newest that other jobs logged at the same slot. */
function saidBy(request: ReadingRequest, { claims }: ReadingContext): Observation[] {
  const reading = toCoreReading(seenOf('', request));
  return claims.flatMap((claim): Observation[] => {
    const answer = compareWithClaim(claim.function, reading);
    if (answer === 'silent') return [];
    return [{ tapPointId: claim.id, kind: answer === 'agrees' ? 'confirmed' : 'contradicted' }];
  });
}
