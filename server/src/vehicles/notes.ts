import type { ModelView, NoteRequest } from '@lucky-thread/contract';
import { and, eq } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { notes } from '../db/schema';
import { conflict, invalid, notFound } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { findModel } from './modelRepository';

/** Which note of which model. */
export interface NoteAt {
  /** The model. */
  readonly modelId: string;
  /** A note at one of its places. */
  readonly noteId: string;
}

/**
 * Writes a note; sent twice it stands once. Answers the model with it.
 *
 * @throws Problem 404 when the shop has no such model, 409 when the id is another note's, 422 when the model has no such
 *   place or source.
 */
export async function putNote(
  db: Database,
  actor: Actor,
  { modelId, noteId }: NoteAt,
  { placeId, sourceId, kind, text }: NoteRequest,
): Promise<ModelView> {
  const model = await modelOf(db, actor, modelId);
  const place = model.places.find(({ id }) => id === placeId);
  if (place === undefined)
    throw invalid([{ path: 'placeId', message: 'the vehicle has no such place' }]);
  if (sourceId !== undefined && place.sources.every(({ id }) => id !== sourceId))
    throw invalid([{ path: 'sourceId', message: 'the place has no such source' }]);
  const about = { placeId, sourceId: sourceId ?? null, kind, text: text.trim() };
  const added = await db
    .insert(notes)
    .values({ id: noteId, modelId, ...about, writtenBy: actor.userId })
    .onConflictDoNothing()
    .returning({ id: notes.id });
  const now = await modelOf(db, actor, modelId);
  const stored = now.notes.find(({ id }) => id === noteId);
  const { placeId: at, sourceId: of, kind: what, text: words } = stored ?? {};
  if (added.length === 0 && !sameContent([at, of, what, words], Object.values(about)))
    throw conflict('Another note has this id.');
  return now;
}

/**
 * Takes a note away. Answers the model without it.
 *
 * @throws Problem 404 when the shop has no such model, or the model no such note.
 */
export async function dropNote(
  db: Database,
  actor: Actor,
  { modelId, noteId }: NoteAt,
): Promise<ModelView> {
  await modelOf(db, actor, modelId);
  const gone = await db
    .delete(notes)
    .where(and(eq(notes.id, noteId), eq(notes.modelId, modelId)))
    .returning({ id: notes.id });
  if (gone.length === 0) throw notFound('Note');
  return modelOf(db, actor, modelId);
}

async function modelOf(db: Database, actor: Actor, id: string): Promise<ModelView> {
  const model = await findModel(db, actor.shopId, id);
  if (model === undefined) throw notFound('Vehicle model');
  return model;
}
