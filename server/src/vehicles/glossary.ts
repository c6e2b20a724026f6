import { and, desc, eq } from 'drizzle-orm';
import type { GlossaryEntryView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { handbookEntries, models, users } from '../db/schema';

/** Newest entries that a shop is shown; a shop looks up a few a week. */
const MOST_SHOWN = 500;

/** What a shop's people have looked up, newest first. */
export async function listGlossary(db: Database, shopId: string): Promise<GlossaryEntryView[]> {
  const rows = await db
    .select({
      id: handbookEntries.id,
      make: handbookEntries.make,
      model: models.model,
      sourceId: handbookEntries.sourceId,
      legend: handbookEntries.legend,
      entry: handbookEntries.entry,
      by: users.name,
      at: handbookEntries.at,
    })
    .from(handbookEntries)
    .innerJoin(models, eq(models.id, handbookEntries.modelId))
    .innerJoin(users, eq(users.id, handbookEntries.userId))
    .where(eq(handbookEntries.shopId, shopId))
    .orderBy(desc(handbookEntries.at), desc(handbookEntries.id))
    .limit(MOST_SHOWN);
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));
}

/** Takes an entry out of a shop's glossary; false when it has none of that id. */
export async function dropGlossaryEntry(
  db: Database,
  shopId: string,
  id: string,
): Promise<boolean> {
  const dropped = await db
    .delete(handbookEntries)
    .where(and(eq(handbookEntries.id, id), eq(handbookEntries.shopId, shopId)))
    .returning({ id: handbookEntries.id });
  return dropped.length === 1;
}
