import type { BodyInput } from '@lucky-thread/contract';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import type {
  BodySide,
  BodyZone,
  FuseFamily,
  PlaceKind,
  Slot,
  SourceKind,
} from '@lucky-thread/core/vehicle';
import { BODY_SIDES, BODY_ZONES, PLACE_KINDS, SOURCE_KINDS } from '@lucky-thread/core/vehicle';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { oneOf } from './oneOf';
import { shops, users } from './people';

/** Vehicle models. `bench` is the simulated car behind the model and never leaves the server. */
export const models = pgTable(
  'models',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    make: text().notNull(),
    model: text().notNull(),
    generation: text().notNull(),
    yearFrom: integer().notNull(),
    yearTo: integer().notNull(),
    trims: jsonb().$type<string[]>().notNull(),
    markets: jsonb().$type<string[]>().notNull(),
    steering: jsonb().$type<('left' | 'right')[]>().notNull(),
    keyType: text().$type<'key' | 'push button'>().notNull(),
    use: text().notNull(),
    bench: jsonb().$type<BenchVehicle>(),
    /** Its body, always read and written whole; null: nobody has said. */
    body: jsonb().$type<BodyInput>(),
    /** What a search looks through, in small letters. */
    search: text().generatedAlwaysAs(
      sql`lower(make || ' ' || model || ' ' || generation || ' ' || "use")`,
    ),
  },
  (table) => [
    index('models_by_shop').on(table.shopId),
    check('models_years', sql`${table.yearFrom} <= ${table.yearTo}`),
  ],
);

/** Places of a model that hold sources: panels, connectors, looms. */
export const places = pgTable(
  'places',
  {
    modelId: uuid()
      .notNull()
      .references(() => models.id),
    id: text().notNull(),
    /** Order in which they are shown. */
    position: integer().notNull(),
    kind: text().$type<PlaceKind>().notNull(),
    name: text().notNull(),
    location: text().notNull(),
    zone: text().$type<BodyZone>(),
    side: text().$type<BodySide>(),
    /** How to get at it: steps, what is undone, what with, how long. */
    steps: text().array().notNull().default([]),
    fasteners: text().array().notNull().default([]),
    tools: text().array().notNull().default([]),
    seconds: integer(),
    notes: text().notNull().default(''),
    /** How a connector is keyed, and the harness family that wires belong to. */
    keying: text(),
    harness: text(),
    columns: integer().notNull().default(0),
    rows: integer().notNull().default(0),
    /** Grows with every change of the place or its sources. */
    version: integer().notNull().default(1),
  },
  (table) => [
    primaryKey({ columns: [table.modelId, table.id] }),
    oneOf('places_kind', table.kind, PLACE_KINDS),
    oneOf('places_zone', table.zone, BODY_ZONES),
    oneOf('places_side', table.side, BODY_SIDES),
    check('places_grid', sql`${table.columns} >= 0 and ${table.rows} >= 0`),
    check('places_seconds', sql`${table.seconds} >= 0`),
    check('places_version', sql`${table.version} > 0`),
  ],
);

/** Sources of a model, each in a place; which fields a row has depends on its kind. */
export const sources = pgTable(
  'sources',
  {
    modelId: uuid().notNull(),
    id: text().notNull(),
    placeId: text().notNull(),
    /** Order within the place. */
    position: integer().notNull(),
    kind: text().$type<SourceKind>().notNull(),
    name: text().notNull(),
    legend: text(),
    ratingA: doublePrecision(),
    family: text().$type<FuseFamily>(),
    gridColumn: integer(),
    gridRow: integer(),
    lie: text().$type<Slot['lie']>(),
    landmarkA: text(),
    landmarkB: text(),
    clearance: text().$type<Slot['clearance']>(),
    colour: text(),
    seenColour: text(),
    gaugeMm2: doublePrecision(),
    gaugeMeasured: boolean(),
    tapedWith: text(),
    alsoFeeds: text(),
    terminal: text(),
    threadMm: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.modelId, table.id] }),
    foreignKey({
      columns: [table.modelId, table.placeId],
      foreignColumns: [places.modelId, places.id],
    }),
    foreignKey({
      columns: [table.modelId, table.tapedWith],
      foreignColumns: [table.modelId, table.id],
    }),
    index('sources_by_place').on(table.modelId, table.placeId, table.position),
    // A legend is found by any part of it.
    index('sources_by_legend').using('gin', sql`${table.legend} gin_trgm_ops`),
    oneOf('sources_kind', table.kind, SOURCE_KINDS),
    check(
      'sources_slot',
      sql`${table.kind} <> 'slot' or (${table.family} is not null and ${table.gridColumn} is not null
        and ${table.gridRow} is not null and ${table.lie} is not null and ${table.landmarkA} is not null
        and ${table.landmarkB} is not null and ${table.clearance} is not null)`,
    ),
    check('sources_rating', sql`${table.ratingA} > 0`),
    check('sources_gauge', sql`${table.gaugeMm2} > 0`),
    check('sources_thread', sql`${table.threadMm} > 0`),
  ],
);

/**
 * What the shop's people have looked up in handbooks: for a legend on any model of a make, or for one slot of a model where
 * nothing is printed or nothing is listed.
 */
export const handbookEntries = pgTable(
  'handbook_entries',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    modelId: uuid().notNull(),
    sourceId: text().notNull(),
    make: text().notNull(),
    /** As `glossaryKey` writes it; null where nothing is printed. */
    legend: text(),
    /** Null: the handbook lists nothing. */
    entry: text(),
    userId: uuid()
      .notNull()
      .references(() => users.id),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [
    foreignKey({
      columns: [table.modelId, table.sourceId],
      foreignColumns: [sources.modelId, sources.id],
    }),
    uniqueIndex('handbook_by_source').on(table.shopId, table.modelId, table.sourceId),
    index('handbook_by_legend').on(table.shopId, table.make, table.legend),
  ],
);
