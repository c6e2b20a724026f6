import { and, count, eq, sql } from 'drizzle-orm';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import type { ModelSummary, ModelView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { models, tapPoints } from '../db/schema';
import { notesOf } from './noteRepository';
import { photosOf } from './photos/photoRepository';
import { findPlaces } from './placeRepository';

/** What lists show of a model; places and the simulated car are fetched where they are needed. */
export const SUMMARY = {
  id: models.id,
  make: models.make,
  model: models.model,
  generation: models.generation,
  yearFrom: models.yearFrom,
  yearTo: models.yearTo,
  trims: models.trims,
  markets: models.markets,
  steering: models.steering,
  keyType: models.keyType,
  use: models.use,
};

/** All models of a shop, by name. */
export async function listModels(db: Database, shopId: string): Promise<ModelSummary[]> {
  const rows = await db
    .select(SUMMARY)
    .from(models)
    .where(eq(models.shopId, shopId))
    .orderBy(models.make, models.model, models.yearFrom, models.generation, models.id);
  return withTapCounts(db, shopId, rows);
}

/** Models with how many tap points the log has of each. */
export async function withTapCounts(
  db: Database,
  shopId: string,
  rows: readonly Omit<ModelSummary, 'tapPointCount'>[],
): Promise<ModelSummary[]> {
  const counts = await db
    .select({ modelId: tapPoints.modelId, taps: count() })
    .from(tapPoints)
    .where(and(eq(tapPoints.shopId, shopId), eq(tapPoints.retired, false)))
    .groupBy(tapPoints.modelId);
  const byModel = new Map(counts.map((row) => [row.modelId, row.taps]));
  return rows.map((row) => ({ ...row, tapPointCount: byModel.get(row.id) ?? 0 }));
}

/** One model with its places; undefined when the shop has none of that id. */
export async function findModel(
  db: Database,
  shopId: string,
  id: string,
): Promise<ModelView | undefined> {
  const [row] = await db
    .select({
      ...SUMMARY,
      simulated: sql<boolean>`${models.bench} is not null`,
      body: models.body,
    })
    .from(models)
    .where(and(eq(models.id, id), eq(models.shopId, shopId)));
  if (row === undefined) return undefined;
  const [taps] = await db
    .select({ taps: count() })
    .from(tapPoints)
    .where(and(eq(tapPoints.modelId, id), eq(tapPoints.retired, false)));
  const found = await findPlaces(db, shopId, id);
  return {
    ...row,
    ...(found ?? { places: [], handbook: [] }),
    notes: await notesOf(db, id),
    photos: await photosOf(db, id),
    tapPointCount: taps?.taps ?? 0,
  };
}

/** The simulated car behind a model; for the simulated meter only. */
export async function findBench(
  db: Database,
  shopId: string,
  id: string,
): Promise<BenchVehicle | undefined> {
  const [row] = await db
    .select({ bench: models.bench })
    .from(models)
    .where(and(eq(models.id, id), eq(models.shopId, shopId)));
  return row?.bench ?? undefined;
}
