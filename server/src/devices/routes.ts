import { Router } from 'express';
import { DeviceFileInput } from '@lucky-thread/contract';
import type { DevicesBroughtIn } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { DEVICE_CATALOGUE } from '../demo/deviceCatalogue';
import { checked, idIn } from '../http/handlers';
import { notFound } from '../http/problem';
import { bringIn, keepDevice, listDevices, removeDevice } from './deviceRepository';

/** The shop's catalogue of devices: what it fits, kept, changed and thrown out. Jobs hold copies of their own. */
export function deviceRoutes(db: Database): Router {
  const router = Router();
  router.get('/devices', async (request, response) => {
    response.json(await listDevices(db, actorOf(request).shopId));
  });
  router.post('/devices/shipped', async (request, response) => {
    const added = await bringIn(db, actorOf(request).shopId, DEVICE_CATALOGUE);
    response.json({ added } satisfies DevicesBroughtIn);
  });
  router.put('/devices/:id', async (request, response) => {
    const { note, device } = checked(DeviceFileInput, request.body);
    const { shopId } = actorOf(request);
    response.json(
      await keepDevice(db, { id: idIn(request.params.id, 'device'), shopId, note, device }),
    );
  });
  router.delete('/devices/:id', async (request, response) => {
    if (!(await removeDevice(db, actorOf(request).shopId, idIn(request.params.id, 'device'))))
      throw notFound('Device');
    response.status(204).end();
  });
  return router;
}
