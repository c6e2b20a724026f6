import { and, count, eq } from 'drizzle-orm';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import type { ModelSummary, ModelView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { models, tapPoints } from '../db/schema';

type ModelRow = typeof models.$inferSelect;

/** All models of a shop, by name. */
export async function listModels(db: Database, shopId: string): Promise<ModelSummary[]> {
  const rows = await db
    .select()
    .from(models)
    .where(eq(models.shopId, shopId))
    .orderBy(models.make, models.model);
  const counts = await db
    .select({ modelId: tapPoints.modelId, taps: count() })
    .from(tapPoints)
    .where(and(eq(tapPoints.shopId, shopId), eq(tapPoints.retired, false)))
    .groupBy(tapPoints.modelId);
  const byModel = new Map(counts.map((row) => [row.modelId, row.taps]));
  return rows.map((row) => summary(row, byModel.get(row.id) ?? 0));
}

/** One model with its panels; undefined when the shop has none of that id. */
export async function findModel(
  db: Database,
  shopId: string,
  id: string,
): Promise<ModelView | undefined> {
  const row = await findRow(db, shopId, id);
  if (row === undefined) return undefined;
  const [taps] = await db
    .select({ taps: count() })
    .from(tapPoints)
    .where(and(eq(tapPoints.modelId, id), eq(tapPoints.retired, false)));
  return {
    ...summary(row, taps?.taps ?? 0),
    panels: row.panels,
    bunch: row.bunch,
    simulated: row.bench !== null,
  };
}

/** The simulated car behind a model; for the simulated meter only. */
export async function findBench(
  db: Database,
  shopId: string,
  id: string,
): Promise<BenchVehicle | undefined> {
  return (await findRow(db, shopId, id))?.bench ?? undefined;
}

async function findRow(db: Database, shopId: string, id: string): Promise<ModelRow | undefined> {
  const [row] = await db
    .select()
    .from(models)
    .where(and(eq(models.id, id), eq(models.shopId, shopId)));
  return row;
}

function summary(row: ModelRow, tapPointCount: number): ModelSummary {
  return {
    id: row.id,
    make: row.make,
    model: row.model,
    generation: row.generation,
    yearFrom: row.yearFrom,
    yearTo: row.yearTo,
    trims: row.trims,
    markets: row.markets,
    steering: row.steering,
    keyType: row.keyType,
    use: row.use,
    tapPointCount,
  };
}
