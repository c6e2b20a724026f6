import { sql } from 'drizzle-orm';
import { check, foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { NoteKind } from '@lucky-thread/contract';
import { LONGEST_NOTE, NOTE_KINDS } from '@lucky-thread/contract';
import { oneOf } from './oneOf';
import { users } from './people';
import { places, sources } from './vehicles';

/** What people wrote about places and sources of a model. They go with their place or source. */
export const notes = pgTable(
  'notes',
  {
    id: uuid().primaryKey(),
    modelId: uuid().notNull(),
    placeId: text().notNull(),
    sourceId: text(),
    kind: text().$type<NoteKind>().notNull(),
    text: text().notNull(),
    writtenBy: uuid()
      .notNull()
      .references(() => users.id),
    writtenAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      columns: [table.modelId, table.placeId],
      foreignColumns: [places.modelId, places.id],
    }).onDelete('cascade'),
    foreignKey({
      columns: [table.modelId, table.sourceId],
      foreignColumns: [sources.modelId, sources.id],
    }).onDelete('cascade'),
    index('notes_by_model').on(table.modelId, table.writtenAt),
    oneOf('notes_kind', table.kind, NOTE_KINDS),
    check('notes_text', sql.raw(`length(text) between 1 and ${LONGEST_NOTE}`)),
  ],
);
