import { and, eq, sql } from 'drizzle-orm';
import { DEFAULT_SETTINGS, ShopSettings } from '@lucky-thread/contract';
import type { ShopView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { shops } from '../db/schema';
import { Unreadable, readable } from '../http/stored';

/** A shop and how it works; undefined when there is none of that id. */
export async function findShop(db: Database, id: string): Promise<ShopView | undefined> {
  const [row] = await db.select().from(shops).where(eq(shops.id, id));
  if (row === undefined) return undefined;
  return { name: row.name, settings: settingsIn(row.settings), version: row.version };
}

/** The settings that are stored, where they are settings; a damaged set must not keep the shop from working. */
function settingsIn(stored: unknown): ShopSettings {
  if (stored === null) return DEFAULT_SETTINGS;
  try {
    return readable(ShopSettings, stored, 'The shop');
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    console.error(
      JSON.stringify({ event: 'settings that cannot be read: the usual ones are used' }),
    );
    return DEFAULT_SETTINGS;
  }
}

/** Stores settings made from a version; false when the shop has moved on since. */
export async function updateSettings(
  db: Database,
  id: string,
  version: number,
  settings: ShopSettings,
): Promise<boolean> {
  const changed = await db
    .update(shops)
    .set({ settings, version: sql`${shops.version} + 1` })
    .where(and(eq(shops.id, id), eq(shops.version, version)))
    .returning({ id: shops.id });
  return changed.length === 1;
}
