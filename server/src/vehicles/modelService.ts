import type { ModelInput, ModelView, PanelInput } from '@lucky-thread/contract';
import { panelPlace } from '@lucky-thread/contract';
import { BUNCH_PLACE } from '@lucky-thread/work';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { models } from '../db/schema';
import { conflict, invalid, notFound } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { findModel } from './modelRepository';
import { putPlace } from './placeRepository';

/** Ids of places: short words that stand before a slot's position. */
const PLACE_ID = /^[a-z0-9-]{1,20}$/;

/**
 * Makes a vehicle model under the id its maker gave it, without any place yet. Sending it again changes nothing.
 *
 * @throws Problem 422 for years that end before they begin; 409 for an id that stands for another model.
 */
export async function createModel(
  db: Database,
  actor: Actor,
  id: string,
  request: ModelInput,
): Promise<ModelView> {
  if (request.yearTo < request.yearFrom)
    throw invalid([{ path: 'yearTo', message: 'the last year lies before the first' }]);
  await db
    .insert(models)
    .values({ id, shopId: actor.shopId, ...request })
    .onConflictDoNothing();
  const model = await findModel(db, actor.shopId, id);
  if (model === undefined) throw conflict('A model of another shop has it.');
  const stored = Object.keys(request).map((key) => model[key as keyof ModelInput]);
  if (!sameContent(stored, Object.values(request))) throw conflict('Another model has it.', model);
  return model;
}

/**
 * Enters a fuse panel of a model, or what is to be put right about it.
 *
 * @throws Problem 422 for an id that is none, a car that is simulated, and a slot that is left out although something
 * refers to it; 404 when the shop has no such model.
 */
export async function putPanel(
  db: Database,
  actor: Actor,
  at: { readonly modelId: string; readonly placeId: string },
  request: PanelInput,
): Promise<ModelView> {
  if (!PLACE_ID.test(at.placeId) || at.placeId === BUNCH_PLACE)
    throw invalid([{ path: 'place id', message: 'must be a short word in small letters' }]);
  await db.transaction(async (tx) => {
    const [model] = await tx
      .select({ simulated: sql<boolean>`${models.bench} is not null` })
      .from(models)
      .where(and(eq(models.id, at.modelId), eq(models.shopId, actor.shopId)))
      .for('update');
    if (model === undefined) throw notFound('Vehicle model');
    if (model.simulated)
      throw invalid([
        { path: 'place id', message: 'a simulated car has the panels that it was made with' },
      ]);
    const used = await putPlace(tx, at.modelId, panelPlace(at.placeId, request));
    if (used.length > 0)
      throw invalid([
        {
          path: 'slots',
          message: `${used.join(', ')} cannot be left out: readings, tap points or plans refer to it`,
        },
      ]);
  });
  return (await findModel(db, actor.shopId, at.modelId)) as ModelView;
}
