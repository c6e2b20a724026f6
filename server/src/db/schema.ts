import type { BenchVehicle } from '@lucky-thread/core/bench';
import type { Cone, Glow } from '@lucky-thread/core/identify';
import type { Panel, StitchPlace, VehicleState } from '@lucky-thread/core/vehicle';
import type {
  DeviceInput,
  FeedPlanInput,
  HarnessWireInput,
  InstrumentName,
  JobVehicleInput,
  MatrixCell,
  ShopSettings,
} from '@lucky-thread/contract';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  doublePrecision,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  primaryKey,
  serial,
  text,
  timestamp,
  uniqueIndex,
  uuid,
  varchar,
} from 'drizzle-orm/pg-core';

/** Workshops; everything else belongs to one. */
export const shops = pgTable('shops', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  /** How it works; null as long as nobody changed anything. */
  settings: jsonb().$type<ShopSettings>(),
  version: integer().notNull().default(1),
});

/** People who sign in. Names are roles in the shop, nothing more is needed. */
export const users = pgTable(
  'users',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    login: text().notNull().unique(),
    name: text().notNull(),
    role: text().$type<'installer' | 'lead'>().notNull(),
    passwordHash: text().notNull(),
  },
  (table) => [index('users_by_shop').on(table.shopId)],
);

/** Tries to sign in by account and address, in the shape that rate-limiter-flexible reads and writes. */
export const signInTries = pgTable('sign_in_tries', {
  key: varchar({ length: 255 }).primaryKey(),
  points: integer().notNull().default(0),
  expire: bigint({ mode: 'number' }),
});

/** Sessions, in the shape that connect-pg-simple reads and writes. */
export const session = pgTable(
  'session',
  {
    sid: varchar().primaryKey(),
    sess: json().notNull(),
    expire: timestamp({ precision: 6 }).notNull(),
  },
  (table) => [index('session_expire').on(table.expire)],
);

/** Vehicle models with their panels. `bench` is the simulated car behind the model and never leaves the server. */
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
    panels: jsonb().$type<Panel[]>().notNull(),
    /** The bunch of wires behind the radio as it can be seen, where one is known. */
    bunch: jsonb().$type<HarnessWireInput[]>().notNull().default([]),
    bench: jsonb().$type<BenchVehicle>(),
  },
  (table) => [index('models_by_shop').on(table.shopId)],
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
    modelId: uuid()
      .notNull()
      .references(() => models.id),
    slotId: text().notNull(),
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
    uniqueIndex('handbook_by_slot').on(table.shopId, table.modelId, table.slotId),
    index('handbook_by_legend').on(table.shopId, table.make, table.legend),
  ],
);

/** Devices that the shop fits. */
export const devices = pgTable(
  'devices',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    device: jsonb().$type<DeviceInput>().notNull(),
    note: text().notNull(),
    position: integer().notNull(),
  },
  (table) => [index('devices_by_shop').on(table.shopId)],
);

/** Jobs. `version` grows with every change; a write from an older version is refused. */
export const jobs = pgTable(
  'jobs',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    modelId: uuid()
      .notNull()
      .references(() => models.id),
    vehicle: jsonb().$type<JobVehicleInput>().notNull(),
    device: jsonb().$type<DeviceInput>().notNull(),
    phase: text().notNull(),
    plan: jsonb().$type<FeedPlanInput[]>().notNull(),
    harness: jsonb().$type<HarnessWireInput[]>().notNull().default([]),
    deferred: jsonb().$type<StitchPlace[]>().notNull().default([]),
    version: integer().notNull(),
    createdBy: uuid()
      .notNull()
      .references(() => users.id),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('jobs_by_shop').on(table.shopId, table.updatedAt, table.id),
    index('jobs_by_model').on(table.modelId),
  ],
);

/** Readings: append-only. A withdrawn reading stays, with who withdrew it and when. */
export const readings = pgTable(
  'readings',
  {
    id: uuid().primaryKey(),
    /** Order of arrival. */
    sequence: serial().notNull(),
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    sourceId: text().notNull(),
    contact: text().$type<'a' | 'b'>(),
    state: jsonb().$type<VehicleState>().notNull(),
    instrument: text().$type<InstrumentName>().notNull(),
    volts: doublePrecision(),
    /** Highest volts of digits that jump. */
    highVolts: doublePrecision(),
    glow: text().$type<Glow>(),
    ohms: doublePrecision(),
    cone: text().$type<Cone>(),
    speaker: text(),
    /** Second wire of a pop or of ohms between two wires. */
    otherId: text(),
    clip: text().$type<'ground' | 'constant'>(),
    takenAt: timestamp({ withTimezone: true }).notNull(),
    takenBy: uuid()
      .notNull()
      .references(() => users.id),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    withdrawnAt: timestamp({ withTimezone: true }),
    withdrawnBy: uuid().references(() => users.id),
  },
  (table) => [index('readings_by_job').on(table.jobId, table.sequence)],
);

/** Tap points: what a model's log claims. */
export const tapPoints = pgTable(
  'tap_points',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    modelId: uuid()
      .notNull()
      .references(() => models.id),
    /** Job it was logged from; null when it was imported. */
    jobId: uuid().references(() => jobs.id),
    feedId: text(),
    slotId: text().notNull(),
    function: text().notNull(),
    supplyContact: text().$type<'a' | 'b'>().notNull(),
    yearFrom: integer().notNull(),
    yearTo: integer().notNull(),
    trim: text().notNull(),
    market: text().notNull(),
    matrix: jsonb().$type<MatrixCell[]>().notNull(),
    grade: text().notNull(),
    fuseA: doublePrecision().notNull(),
    awg: integer().notNull(),
    note: text().notNull(),
    loggedBy: uuid()
      .notNull()
      .references(() => users.id),
    loggedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    retired: boolean().notNull().default(false),
  },
  (table) => [
    // Newest claims of one source, and the log of a model in its order, both from this one.
    index('tap_points_by_source').on(table.modelId, table.slotId, table.loggedAt, table.id),
    index('tap_points_by_shop').on(table.shopId),
    // A job's feed is logged once.
    uniqueIndex('tap_points_by_feed')
      .on(table.jobId, table.feedId)
      .where(sql`not ${table.retired}`),
  ],
);

/** What readings of later jobs said about a tap point. A withdrawn reading's observation does not count. */
export const tapObservations = pgTable(
  'tap_observations',
  {
    /** The reading that said it; a reading speaks about a tap point once. */
    readingId: uuid()
      .notNull()
      .references(() => readings.id),
    tapPointId: uuid()
      .notNull()
      .references(() => tapPoints.id),
    kind: text().$type<'confirmed' | 'contradicted'>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.readingId, table.tapPointId] }),
    index('tap_observations_by_tap').on(table.tapPointId),
  ],
);
