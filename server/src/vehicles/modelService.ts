import type {
  BodyInput,
  CreateModelRequest,
  FieldProblem,
  ModelInput,
  ModelView,
  PlaceInput,
  PlaceView,
} from '@lucky-thread/contract';
import { inputOf, placeOf } from '@lucky-thread/contract/places';
import { BUNCH_PLACE } from '@lucky-thread/work';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { models } from '../db/schema';
import { conflict, invalid, notFound, stale } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { copyFrom } from './copyModel';
import { mateProblems } from './mates';
import { findModel } from './modelRepository';
import { dropPlace, findPlaces, putPlace } from './placeRepository';

/** Ids of places: short words that stand before a slot's position. */
const PLACE_ID = /^[a-z0-9-]{1,20}$/;

/**
 * Makes a vehicle model under the id its maker gave it, without any place yet or with those of a model that it is like.
 * Sending it again changes nothing.
 *
 * @throws Problem 422 for years that end before they begin; 404 when the shop has no such model to be like; 409 for an id that stands for another model.
 */
export async function createModel(
  db: Database,
  actor: Actor,
  id: string,
  { like, ...request }: CreateModelRequest,
): Promise<ModelView> {
  if (request.yearTo < request.yearFrom)
    throw invalid([{ path: 'yearTo', message: 'the last year lies before the first' }]);
  await db.transaction(async (tx) => {
    const fresh = await tx
      .insert(models)
      .values({ id, shopId: actor.shopId, ...request })
      .onConflictDoNothing()
      .returning({ id: models.id });
    if (fresh.length > 0 && like !== undefined) await copyFrom(tx, actor, { from: like, to: id });
  });
  const model = await findModel(db, actor.shopId, id);
  if (model === undefined) throw conflict('A model of another shop has it.');
  const stored = Object.keys(request).map((key) => model[key as keyof ModelInput]);
  if (!sameContent(stored, Object.values(request))) throw conflict('Another model has it.', model);
  return model;
}

/**
 * Says what a model's body is, all of it at once: whoever knows the car says so last.
 *
 * @throws Problem 404 when the shop has no such model.
 */
export async function putModelBody(
  db: Database,
  actor: Actor,
  id: string,
  body: BodyInput,
): Promise<ModelView> {
  const changed = await db
    .update(models)
    .set({ body })
    .where(and(eq(models.id, id), eq(models.shopId, actor.shopId)))
    .returning({ id: models.id });
  const model = changed.length === 0 ? undefined : await findModel(db, actor.shopId, id);
  if (model === undefined) throw notFound('Vehicle model');
  return model;
}

/** Why an id is none for a place; undefined when it is one. */
export function placeIdProblem(id: string): FieldProblem | undefined {
  return PLACE_ID.test(id) && id !== BUNCH_PLACE
    ? undefined
    : { path: 'place id', message: 'must be a short word in small letters' };
}

/** Which place of which model. */
export interface PlaceAt {
  /** The model. */
  readonly modelId: string;
  /** A place of it. */
  readonly placeId: string;
}

/**
 * Enters a place of a model, or what is to be put right about it. What is stored so already stays as it is.
 *
 * @throws Problem 422 for an id that is none, a car that is simulated, a mate that is not there, and a source that is left
 * out although something refers to it; 409 with the model as it is when the place was changed meanwhile; 404 when the
 * shop has no such model.
 */
export async function putModelPlace(
  db: Database,
  actor: Actor,
  at: PlaceAt,
  request: PlaceInput,
): Promise<ModelView> {
  const place = placeOf(at.placeId, request);
  const problems = [placeIdProblem(at.placeId), ...mateProblems(place)].flatMap((one) => one ?? []);
  if (problems.length > 0) throw invalid(problems);
  const model = await changePlaces(db, actor, at, async (tx, before) => {
    if (before !== undefined && sameContent(placeOf(at.placeId, inputOf(before)), place)) return [];
    if ((before?.version ?? 0) !== request.base)
      throw stale(await findModel(tx, actor.shopId, at.modelId));
    return putPlace(tx, at.modelId, place);
  });
  return model;
}

/**
 * Takes a place away that nothing refers to; one that is not there stays away.
 *
 * @throws Problem as {@link putModelPlace}.
 */
export async function dropModelPlace(db: Database, actor: Actor, at: PlaceAt): Promise<ModelView> {
  return changePlaces(db, actor, at, (tx) => dropPlace(tx, at));
}

/** Does a change to a place of a model that is the shop's and no simulated car's, one after the other. */
async function changePlaces(
  db: Database,
  actor: Actor,
  at: PlaceAt,
  change: (tx: Database, before: PlaceView | undefined) => Promise<string[]>,
): Promise<ModelView> {
  await db.transaction(async (tx) => {
    const [model] = await tx
      .select({ simulated: sql<boolean>`${models.bench} is not null` })
      .from(models)
      .where(and(eq(models.id, at.modelId), eq(models.shopId, actor.shopId)))
      .for('update');
    if (model === undefined) throw notFound('Vehicle model');
    if (model.simulated)
      throw invalid([
        { path: 'place id', message: 'a simulated car has the places that it was made with' },
      ]);
    const found = await findPlaces(tx, actor.shopId, at.modelId);
    const used = await change(
      tx,
      found?.places.find((one) => one.id === at.placeId),
    );
    if (used.length > 0)
      throw invalid([
        {
          path: 'sources',
          message: `${used.join(', ')} cannot be left out: readings, tap points or plans refer to it`,
        },
      ]);
  });
  return (await findModel(db, actor.shopId, at.modelId)) as ModelView;
}
