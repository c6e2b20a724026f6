import type { ObservationKind } from '@lucky-thread/core/evidence';
import type { VehicleFacts } from '@lucky-thread/core/vehicle';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { seenOf } from '@lucky-thread/contract';
import type { ReadingRequest, ReadingView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { readings, users } from '../db/schema';
import { readableViews, readingView } from './readingView';

/** All readings of a job in order of arrival, withdrawn ones too. One that can't be read leaves the others alone. */
export async function listReadings(db: Database, jobId: string): Promise<ReadingView[]> {
  const rows = await select(db).where(eq(readings.jobId, jobId)).orderBy(asc(readings.sequence));
  return readableViews(rows).map(({ view }) => view);
}

/** One reading of a job; undefined when it has none of that id. */
export async function findReading(
  db: Database,
  jobId: string,
  id: string,
): Promise<ReadingView | undefined> {
  const [row] = await select(db).where(and(eq(readings.id, id), eq(readings.jobId, jobId)));
  return row === undefined ? undefined : readingView(row);
}

/** What a reading says of a tap point in the log. */
export interface Observation {
  /** The claim that it speaks about. */
  readonly tapPointId: string;
  /** Whether it speaks for or against it. */
  readonly kind: ObservationKind;
}

/**
 * Stores a reading with what it says of the log, both or neither, in one statement; false when the id is there already.
 */
export async function insertReading(
  db: Database,
  given: { readonly id: string; readonly jobId: string; readonly takenBy: string },
  reading: ReadingRequest,
  said: { readonly observations: readonly Observation[]; readonly car: VehicleFacts },
): Promise<boolean> {
  const { observations, car } = said;
  const insert = db
    .insert(readings)
    .values({ ...given, ...seenOf(given.id, reading), takenAt: new Date(reading.takenAt) })
    .onConflictDoNothing()
    .returning({ id: readings.id });
  const { rows } = await db.execute<{ id: string }>(sql`
    with fresh as ${insert},
    told as (
      insert into tap_observations (reading_id, tap_point_id, kind, year, trim, market)
      select fresh.id, said.tap_point_id, said.kind, ${car.year}::int, ${car.trim}, ${car.market}
      from fresh, unnest(
        ${sql.param(observations.map(({ tapPointId }) => tapPointId))}::uuid[],
        ${sql.param(observations.map(({ kind }) => kind))}::text[]
      ) as said(tap_point_id, kind)
    )
    select id from fresh`);
  return rows.length === 1;
}

/** Marks a reading as withdrawn; a second time changes nothing. */
export async function markWithdrawn(db: Database, id: string, userId: string): Promise<void> {
  await db
    .update(readings)
    .set({ withdrawnAt: sql`now()`, withdrawnBy: userId })
    .where(and(eq(readings.id, id), isNull(readings.withdrawnAt)));
}

function select(db: Database) {
  return db
    .select({ reading: readings, takenBy: users.name })
    .from(readings)
    .innerJoin(users, eq(readings.takenBy, users.id))
    .$dynamic();
}
