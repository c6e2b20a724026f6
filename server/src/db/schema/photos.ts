import { sql } from 'drizzle-orm';
import {
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { bytes } from './bytes';
import { users } from './people';
import { places, sources } from './vehicles';

/** Photos of a model's places. They go with their place. */
export const photos = pgTable(
  'photos',
  {
    id: uuid().primaryKey(),
    modelId: uuid().notNull(),
    placeId: text().notNull(),
    /** JPEG without what its camera wrote beside it. */
    jpeg: bytes().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    caption: text().notNull().default(''),
    version: integer().notNull().default(1),
    takenBy: uuid()
      .notNull()
      .references(() => users.id),
    takenAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      columns: [table.modelId, table.placeId],
      foreignColumns: [places.modelId, places.id],
    }).onDelete('cascade'),
    index('photos_by_place').on(table.modelId, table.placeId, table.takenAt),
    // What pins hold on to, so that a pin names a source of its photo's own model.
    unique('photos_of_model').on(table.id, table.modelId),
    check('photos_size', sql`${table.width} > 0 and ${table.height} > 0`),
  ],
);

/** Where sources are seen on a photo, as shares of its width and height. */
export const photoPins = pgTable(
  'photo_pins',
  {
    photoId: uuid().notNull(),
    modelId: uuid().notNull(),
    sourceId: text().notNull(),
    x: doublePrecision().notNull(),
    y: doublePrecision().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.photoId, table.sourceId] }),
    foreignKey({
      columns: [table.photoId, table.modelId],
      foreignColumns: [photos.id, photos.modelId],
    }).onDelete('cascade'),
    foreignKey({
      columns: [table.modelId, table.sourceId],
      foreignColumns: [sources.modelId, sources.id],
    }).onDelete('cascade'),
    index('photo_pins_by_source').on(table.modelId, table.sourceId),
    check('photo_pins_inside', sql`${table.x} between 0 and 1 and ${table.y} between 0 and 1`),
  ],
);
