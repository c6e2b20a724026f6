import type { TapPointView } from '@lucky-thread/contract';
import express, { Router } from 'express';
import type { Actor } from '../auth/session';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { idIn } from '../http/handlers';
import { Problem, notFound } from '../http/problem';
import { everyTap } from '../taps/tapRepository';
import { findModel } from '../vehicles/modelRepository';
import { jpegOf } from '../vehicles/photos/photoRepository';
import { importPack } from './importPack';
import { LARGEST_PACK } from './unzip';
import { writePack } from './writePack';

/** Whole models as files. */
export function packRoutes(db: Database): Router {
  const router = Router();
  const readZip = express.raw({ type: 'application/zip', limit: LARGEST_PACK });
  router.get('/models/:modelId/pack', async (request, response) => {
    const zip = await packOf(db, actorOf(request), idIn(request.params.modelId, 'model'));
    response.attachment('vehicle.zip').type('application/zip').send(Buffer.from(zip));
  });
  router.put('/models/:modelId/pack', readZip, async (request, response) => {
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body))
      throw new Problem({ type: 'not-zip', title: 'A zip file is expected', status: 415 });
    const modelId = idIn(request.params.modelId, 'model');
    response.json(await importPack(db, actorOf(request), modelId, body));
  });
  return router;
}

async function packOf(db: Database, actor: Actor, modelId: string): Promise<Uint8Array> {
  const model = await findModel(db, actor.shopId, modelId);
  if (model === undefined) throw notFound('Vehicle model');
  const jpegs = new Map<string, Uint8Array>();
  for (const { id } of model.photos) {
    const jpeg = await jpegOf(db, actor.shopId, id);
    if (jpeg !== undefined) jpegs.set(id, jpeg);
  }
  const taps: TapPointView[] = [];
  for await (const page of everyTap(db, { shopId: actor.shopId, modelId })) taps.push(...page);
  return writePack(model, taps, jpegs);
}
