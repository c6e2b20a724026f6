import type { SlotSeen } from '@lucky-thread/contract';
import { foundPanel, seenId, withSlot } from '@lucky-thread/work';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { places, sources } from '../db/schema';
import { invalid } from '../http/problem';
import { placesFrom, rowsOf } from './placeRows';

/**
 * Adds a slot to a panel of a model, and the panel itself where nobody had entered one.
 *
 * @throws Problem 422 when the place is no fuse panel.
 */
export async function addSlot(db: Database, modelId: string, seen: SlotSeen): Promise<void> {
  const here = and(eq(places.modelId, modelId), eq(places.id, seen.placeId));
  const [row] = await db.select().from(places).where(here);
  if (row !== undefined && row.kind !== 'fusePanel')
    throw invalid([{ path: 'placeId', message: `${row.name} is no fuse panel` }]);
  const panel = row === undefined ? foundPanel(seen.placeId) : await wholePanel(db, row);
  const grown = withSlot(panel, seen);
  const rows = rowsOf(modelId, [grown]);
  const { columns, rows: lines } = grown;
  if (row === undefined) {
    const { rows: last } = await db.execute<{ next: number }>(sql`
      select coalesce(max(position) + 1, 0)::int as next from places where model_id = ${modelId}`);
    await db
      .insert(places)
      .values(rows.places.map((one) => ({ ...one, position: last[0]?.next ?? 0 })));
  } else
    await db
      .update(places)
      .set({ columns, rows: lines, version: sql`${places.version} + 1` })
      .where(here);
  await db.insert(sources).values(rows.sources.slice(-1));
}

async function wholePanel(db: Database, row: typeof places.$inferSelect) {
  const all = await db
    .select()
    .from(sources)
    .where(and(eq(sources.modelId, row.modelId), eq(sources.placeId, row.id)))
    .orderBy(asc(sources.position));
  const [panel] = placesFrom([row], all);
  return panel ?? foundPanel(row.id);
}

/** What a slot of a model has printed and fitted, put right for every car of it. */
export async function correctSlot(db: Database, modelId: string, seen: SlotSeen): Promise<void> {
  await db
    .update(sources)
    .set({ legend: seen.legend ?? null, ratingA: seen.ratingA ?? null })
    .where(
      and(eq(sources.modelId, modelId), eq(sources.id, seenId(seen)), eq(sources.kind, 'slot')),
    );
  await db
    .update(places)
    .set({ version: sql`${places.version} + 1` })
    .where(and(eq(places.modelId, modelId), eq(places.id, seen.placeId)));
}
