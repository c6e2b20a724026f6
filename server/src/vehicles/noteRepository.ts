import type { NoteView } from '@lucky-thread/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../db/database';
import { notes, users } from '../db/schema';

/** What was written about a model's places and sources, oldest first. */
export async function notesOf(db: Database, modelId: string): Promise<NoteView[]> {
  const rows = await db
    .select({
      id: notes.id,
      placeId: notes.placeId,
      sourceId: notes.sourceId,
      kind: notes.kind,
      text: notes.text,
      by: users.name,
      at: notes.writtenAt,
    })
    .from(notes)
    .innerJoin(users, eq(users.id, notes.writtenBy))
    .where(eq(notes.modelId, modelId))
    .orderBy(asc(notes.writtenAt), asc(notes.id));
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));
}
