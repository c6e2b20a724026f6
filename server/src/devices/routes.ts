import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { DeviceView } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { devices } from '../db/schema';

/** The shop's catalogue of devices. */
export function deviceRoutes(db: Database): Router {
  const router = Router();
  router.get('/devices', async (request, response) => {
    response.json(await listDevices(db, actorOf(request).shopId));
  });
  return router;
}

async function listDevices(db: Database, shopId: string): Promise<DeviceView[]> {
  const rows = await db
    .select()
    .from(devices)
    .where(eq(devices.shopId, shopId))
    .orderBy(asc(devices.position));
  return rows.map((row) => ({ id: row.id, note: row.note, ...row.device }));
}
