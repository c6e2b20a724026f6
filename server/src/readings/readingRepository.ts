import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { seenOf } from '@lucky-thread/contract';
import type { ReadingRequest, ReadingView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { readings, users } from '../db/schema';

/** All readings of a job in order of arrival, withdrawn ones too. */
export async function listReadings(db: Database, jobId: string): Promise<ReadingView[]> {
  const rows = await select(db).where(eq(readings.jobId, jobId)).orderBy(asc(readings.sequence));
  return rows.map(readingView);
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

/** Stores a reading; false when the id is there already. */
export async function insertReading(
  db: Database,
  given: { readonly id: string; readonly jobId: string; readonly takenBy: string },
  reading: ReadingRequest,
): Promise<boolean> {
  const inserted = await db
    .insert(readings)
    .values({
      ...given,
      ...seenOf(given.id, reading),
      takenAt: new Date(reading.takenAt),
    })
    .onConflictDoNothing()
    .returning({ id: readings.id });
  return inserted.length === 1;
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

/** A stored row as the client sees it. */
export function readingView(row: {
  reading: typeof readings.$inferSelect;
  takenBy: string;
}): ReadingView {
  const { reading } = row;
  return {
    id: reading.id,
    sourceId: reading.sourceId,
    contact: reading.contact,
    state: reading.state,
    instrument: reading.instrument,
    volts: reading.volts,
    glow: reading.glow,
    highVolts: reading.highVolts,
    ohms: reading.ohms,
    cone: reading.cone,
    speaker: reading.speaker,
    otherId: reading.otherId,
    clip: reading.clip,
    takenAt: reading.takenAt.toISOString(),
    takenBy: row.takenBy,
    withdrawnAt: reading.withdrawnAt?.toISOString() ?? null,
  };
}
