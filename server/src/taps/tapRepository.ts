import type { EvidenceGrade, ObservationKind } from '@lucky-thread/core/evidence';
import { claimStatus } from '@lucky-thread/core/evidence';
import type { CircuitFunction, Panel } from '@lucky-thread/core/vehicle';
import { toTapClaim } from '@lucky-thread/contract';
import type { ObservationView, TapPointView } from '@lucky-thread/contract';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { models, readings, tapObservations, tapPoints, users } from '../db/schema';
import { readingView } from '../readings/readingRepository';

/** A tap point to be stored. */
export type NewTapPoint = typeof tapPoints.$inferInsert;

/** The tap points of a model with what later jobs saw, by slot. */
export async function listTapPoints(
  db: Database,
  shopId: string,
  modelId: string,
): Promise<TapPointView[]> {
  const rows = await db
    .select({ tap: tapPoints, panels: models.panels, loggedBy: users.name })
    .from(tapPoints)
    .innerJoin(models, eq(tapPoints.modelId, models.id))
    .innerJoin(users, eq(tapPoints.loggedBy, users.id))
    .where(
      and(
        eq(tapPoints.modelId, modelId),
        eq(tapPoints.shopId, shopId),
        eq(tapPoints.retired, false),
      ),
    )
    .orderBy(asc(tapPoints.slotId), asc(tapPoints.loggedAt));
  const observations = await listObservations(
    db,
    rows.map((row) => row.tap.id),
  );
  return rows.map((row) => tapView(row, observations.get(row.tap.id) ?? []));
}

/** Stores a tap point; false when the id is there already. */
export async function insertTapPoint(db: Database, tap: NewTapPoint): Promise<boolean> {
  const inserted = await db
    .insert(tapPoints)
    .values(tap)
    .onConflictDoNothing()
    .returning({ id: tapPoints.id });
  return inserted.length === 1;
}

/** Changes the note of a tap point. */
export async function changeNote(db: Database, id: string, note: string): Promise<void> {
  await db.update(tapPoints).set({ note }).where(eq(tapPoints.id, id));
}

/** Stores what a reading said about a tap point; once per pair. */
export async function insertObservation(
  db: Database,
  observation: {
    readonly readingId: string;
    readonly tapPointId: string;
    readonly kind: ObservationKind;
  },
): Promise<void> {
  await db.insert(tapObservations).values(observation).onConflictDoNothing();
}

async function listObservations(
  db: Database,
  tapIds: readonly string[],
): Promise<Map<string, ObservationView[]>> {
  const byTap = new Map<string, ObservationView[]>();
  if (tapIds.length === 0) return byTap;
  const rows = await db
    .select({ observation: tapObservations, reading: readings, takenBy: users.name })
    .from(tapObservations)
    .innerJoin(readings, eq(tapObservations.readingId, readings.id))
    .innerJoin(users, eq(readings.takenBy, users.id))
    .where(and(inArray(tapObservations.tapPointId, [...tapIds]), isNull(readings.withdrawnAt)))
    .orderBy(asc(readings.sequence));
  for (const row of rows) {
    const { tapPointId, kind } = row.observation;
    const list = byTap.get(tapPointId) ?? [];
    list.push({ kind, reading: readingView(row), jobId: row.reading.jobId });
    byTap.set(tapPointId, list);
  }
  return byTap;
}

function tapView(
  row: { tap: typeof tapPoints.$inferSelect; panels: Panel[]; loggedBy: string },
  observations: ObservationView[],
): TapPointView {
  const { tap } = row;
  const slot = row.panels.flatMap((panel) => panel.slots).find((one) => one.id === tap.slotId);
  const view: TapPointView = {
    id: tap.id,
    modelId: tap.modelId,
    jobId: tap.jobId,
    feedId: tap.feedId,
    slotId: tap.slotId,
    function: tap.function as CircuitFunction,
    supplyContact: tap.supplyContact,
    supplyLandmark:
      slot?.contacts.find((contact) => contact.id === tap.supplyContact)?.landmark ??
      'unknown side',
    yearFrom: tap.yearFrom,
    yearTo: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    matrix: tap.matrix,
    grade: tap.grade as EvidenceGrade,
    status: 'reported',
    fuseA: tap.fuseA,
    awg: tap.awg,
    note: tap.note,
    loggedBy: row.loggedBy,
    loggedAt: tap.loggedAt.toISOString(),
    observations,
  };
  return { ...view, status: claimStatus(toTapClaim(view)) };
}
