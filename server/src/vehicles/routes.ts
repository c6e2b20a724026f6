import { Router } from 'express';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { idIn } from '../http/handlers';
import { notFound } from '../http/problem';
import { findModel, listModels } from './modelRepository';

/** The shop's vehicle models. */
export function vehicleRoutes(db: Database): Router {
  const router = Router();
  router.get('/models', async (request, response) => {
    response.json(await listModels(db, actorOf(request).shopId));
  });
  router.get('/models/:modelId', async (request, response) => {
    const id = idIn(request.params.modelId, 'model');
    const model = await findModel(db, actorOf(request).shopId, id);
    if (model === undefined) throw notFound('Vehicle model');
    response.json(model);
  });
  return router;
}
