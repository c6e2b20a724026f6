import { and, asc, count, eq, sql } from 'drizzle-orm';
import type { CatalogueDevice, DeviceView, FieldProblem } from '@lucky-thread/contract';
import { MOST_DEVICES } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Database } from '../db/database';
import { devices } from '../db/schema';
import { invalid, notFound } from '../http/problem';

/** Every device of a shop, in its order. */
export async function listDevices(db: Database, shopId: string): Promise<DeviceView[]> {
  const rows = await db
    .select()
    .from(devices)
    .where(eq(devices.shopId, shopId))
    .orderBy(asc(devices.position), asc(devices.id));
  return rows.map(({ id, note, device }) => ({ id, note, ...device }));
}

/** A catalogue entry to keep. */
export interface KeptDevice {
  /** UUID. */
  readonly id: string;
  /** The shop that it belongs to. */
  readonly shopId: string;
  /** What the shop says about it; may be empty. */
  readonly note: string;
  /** The device with its leads. */
  readonly device: CatalogueDevice;
}

/**
 * Keeps a device in the catalogue: a new one comes last, one of the same id is replaced.
 *
 * @throws Problem 422 when the catalogue is full, 404 when the id belongs to another shop.
 */
export async function keepDevice(db: Database, kept: KeptDevice): Promise<DeviceView> {
  const { id, shopId, note, device } = kept;
  return db.transaction(async (tx) => {
    // One at a time within a shop, so that the count holds.
    await tx.execute(sql`select 1 from shops where id = ${shopId} for update`);
    const [before] = await tx.select().from(devices).where(eq(devices.id, id));
    if (before !== undefined && before.shopId !== shopId) throw notFound('Device');
    if (before !== undefined) {
      await tx.update(devices).set({ note, device }).where(eq(devices.id, id));
      return { id, note, ...device };
    }
    const [held] = await tx
      .select({ count: count(), last: sql<number>`coalesce(max(${devices.position}), -1)` })
      .from(devices)
      .where(eq(devices.shopId, shopId));
    if ((held?.count ?? 0) >= MOST_DEVICES) throw invalid([full()]);
    await tx.insert(devices).values({ id, shopId, note, device, position: (held?.last ?? -1) + 1 });
    return { id, note, ...device };
  });
}

/**
 * Adds what ships with this version and the catalogue lacks, by name; what is there stays as it is.
 *
 * @returns names of what was added
 * @throws Problem 422 when the catalogue can't hold it.
 */
export async function bringIn(
  db: Database,
  shopId: string,
  shipped: readonly Omit<KeptDevice, 'id' | 'shopId'>[],
): Promise<string[]> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select 1 from shops where id = ${shopId} for update`);
    const held = await tx
      .select({ device: devices.device, position: devices.position })
      .from(devices)
      .where(eq(devices.shopId, shopId));
    const names = new Set(held.map(({ device }) => device.name));
    const fresh = shipped.filter(({ device }) => !names.has(device.name));
    if (held.length + fresh.length > MOST_DEVICES) throw invalid([full()]);
    const last = Math.max(-1, ...held.map(({ position }) => position));
    if (fresh.length > 0)
      await tx.insert(devices).values(
        fresh.map(({ note, device }, index) => ({
          ...{ id: uuidv7(), shopId, note, device },
          position: last + 1 + index,
        })),
      );
    return fresh.map(({ device }) => device.name);
  });
}

function full(): FieldProblem {
  return {
    path: 'device',
    message: `the catalogue holds ${MOST_DEVICES} devices: take one out first`,
  };
}

/** Takes a device out of the catalogue; false when the shop has none of that id. */
export async function removeDevice(db: Database, shopId: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(devices)
    .where(and(eq(devices.id, id), eq(devices.shopId, shopId)))
    .returning({ id: devices.id });
  return gone.length > 0;
}
