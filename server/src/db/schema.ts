import type { LeadFamily } from '@lucky-thread/core/choose';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import { EVIDENCE_GRADES } from '@lucky-thread/core/evidence';
import type { EvidenceGrade } from '@lucky-thread/core/evidence';
import type { Cone, Glow } from '@lucky-thread/core/identify';
import { PROOF_KINDS } from '@lucky-thread/core/prove';
import type { ProofKind } from '@lucky-thread/core/prove';
import {
  BODY_SIDES,
  BODY_ZONES,
  PLACE_KINDS,
  SOURCE_KINDS,
  STITCH_PLACES,
} from '@lucky-thread/core/vehicle';
import type {
  BodySide,
  BodyZone,
  CircuitFunction,
  FuseFamily,
  PlaceKind,
  Slot,
  SourceKind,
  StitchPlace,
  VehicleState,
} from '@lucky-thread/core/vehicle';
import { FEED_ROLES, INSTRUMENTS, PHASES } from '@lucky-thread/contract';
import type {
  DeviceInput,
  FeedRole,
  InstrumentName,
  Phase,
  ShopSettings,
  SizingInput,
  SteeringSide,
} from '@lucky-thread/contract';
import { sql } from 'drizzle-orm';
import type { AnyPgColumn, CheckBuilder } from 'drizzle-orm/pg-core';
import {
  bigint,
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  primaryKey,
  serial,
  text,
  timestamp,
  unique,
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
    columns: integer().notNull().default(0),
    rows: integer().notNull().default(0),
  },
  (table) => [
    primaryKey({ columns: [table.modelId, table.id] }),
    oneOf('places_kind', table.kind, PLACE_KINDS),
    oneOf('places_zone', table.zone, BODY_ZONES),
    oneOf('places_side', table.side, BODY_SIDES),
    check('places_grid', sql`${table.columns} >= 0 and ${table.rows} >= 0`),
    check('places_seconds', sql`${table.seconds} >= 0`),
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
    /** The car in front of us. */
    year: integer().notNull(),
    trim: text().notNull(),
    market: text().notNull(),
    steering: text().$type<SteeringSide>().notNull(),
    noTrace: boolean(),
    vin: text(),
    deviceName: text().notNull(),
    deviceFamily: text().$type<LeadFamily>(),
    phase: text().$type<Phase>().notNull(),
    /** Checks left for later. */
    deferred: text().array().$type<StitchPlace[]>().notNull().default([]),
    /** The change that made the bunch of wires what it is; null: none yet. */
    wiresCommandId: uuid(),
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
    oneOf('jobs_phase', table.phase, PHASES),
    check('jobs_version', sql`${table.version} > 0`),
    check(
      'jobs_deferred',
      sql`${table.deferred} <@ array[${sql.raw(STITCH_PLACES.map((place) => `'${place}'`).join(', '))}]::text[]`,
    ),
  ],
);

/** What a job's device needs: a copy, so that the catalogue may change. */
export const jobFeeds = pgTable(
  'job_feeds',
  {
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    id: text().notNull(),
    position: integer().notNull(),
    name: text().notNull(),
    role: text().$type<FeedRole>().notNull(),
    currentA: doublePrecision().notNull(),
    inrushA: doublePrecision(),
    inrushS: doublePrecision(),
    standbyA: doublePrecision(),
    leadColour: text(),
    holdsCranking: boolean(),
    liveInAcc: boolean(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    oneOf('job_feeds_role', table.role, FEED_ROLES),
    check('job_feeds_current', sql`${table.currentA} >= 0`),
  ],
);

/** What was chosen and sized for a feed. */
export const feedPlans = pgTable(
  'feed_plans',
  {
    jobId: uuid().notNull(),
    feedId: text().notNull(),
    /** A source of the model, or a wire of the job; null: taken back. */
    sourceId: text(),
    oneWayM: doublePrecision(),
    returnPath: text().$type<'body' | 'lead'>(),
    reason: text(),
    measuredA: doublePrecision(),
    sharedA: doublePrecision(),
    ground: text().$type<'stud' | 'harness' | 'body'>(),
    /** What it is sized for where that differs from the shop's own way: shown and handed on whole. */
    sizing: jsonb().$type<SizingInput>(),
    /** The change that made it what it is; null from before changes had ids. */
    commandId: uuid(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.feedId] }),
    foreignKey({
      columns: [table.jobId, table.feedId],
      foreignColumns: [jobFeeds.jobId, jobFeeds.id],
    }),
    // A source serves one feed of a job only.
    unique('feed_plans_by_source').on(table.jobId, table.sourceId),
    check('feed_plans_length', sql`${table.oneWayM} > 0`),
  ],
);

/** Closing proofs shown for a feed, with who showed them and when. One that is taken back stays. */
export const proofs = pgTable(
  'proofs',
  {
    id: uuid().primaryKey(),
    jobId: uuid().notNull(),
    feedId: text().notNull(),
    kind: text().$type<ProofKind>().notNull(),
    shownBy: uuid()
      .notNull()
      .references(() => users.id),
    shownAt: timestamp({ withTimezone: true }).notNull(),
    /** Readings that it rests on. */
    readingIds: uuid().array().notNull().default([]),
    withdrawnAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    foreignKey({
      columns: [table.jobId, table.feedId],
      foreignColumns: [jobFeeds.jobId, jobFeeds.id],
    }),
    uniqueIndex('proofs_standing')
      .on(table.jobId, table.feedId, table.kind)
      .where(sql`${table.withdrawnAt} is null`),
    oneOf('proofs_kind', table.kind, PROOF_KINDS),
  ],
);

/** Wires of a job's bunch of cut wires. */
export const jobWires = pgTable(
  'job_wires',
  {
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    id: text().notNull(),
    position: integer().notNull(),
    name: text().notNull(),
    colour: text(),
    tapedWith: text(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    foreignKey({
      columns: [table.jobId, table.tapedWith],
      foreignColumns: [table.jobId, table.id],
    }),
  ],
);

/** Changes to jobs as they came in, each once: what has an id here is not applied again. */
export const commands = pgTable(
  'commands',
  {
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    kind: text().notNull(),
    /** What of the job it changes, e.g. a feed. */
    subject: text().notNull(),
    by: uuid()
      .notNull()
      .references(() => users.id),
    /** When it was made, by the clock of the one who made it. */
    at: timestamp({ withTimezone: true }).notNull(),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('commands_by_job').on(table.jobId)],
);

/** What was stored of jobs that could not be read when jobs became rows; shown nowhere, kept for a repair by hand. */
export const unreadableJobs = pgTable('unreadable_jobs', {
  jobId: uuid()
    .primaryKey()
    .references(() => jobs.id),
  vehicle: jsonb(),
  device: jsonb(),
  plan: jsonb(),
  harness: jsonb(),
});

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
    sourceId: text().notNull(),
    function: text().$type<CircuitFunction>().notNull(),
    /** Contact that the supply enters; null where there are no contacts: at a wire or stud. */
    supplyContact: text().$type<'a' | 'b'>(),
    yearFrom: integer().notNull(),
    yearTo: integer().notNull(),
    trim: text().notNull(),
    market: text().notNull(),
    grade: text().$type<EvidenceGrade>().notNull(),
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
    foreignKey({
      columns: [table.modelId, table.sourceId],
      foreignColumns: [sources.modelId, sources.id],
    }),
    // Newest claims of one source, and the log of a model in its order, both from this one.
    index('tap_points_by_source').on(table.modelId, table.sourceId, table.loggedAt, table.id),
    index('tap_points_by_shop').on(table.shopId),
    // A job's feed is logged once.
    uniqueIndex('tap_points_by_feed')
      .on(table.jobId, table.feedId)
      .where(sql`not ${table.retired}`),
    oneOf('tap_points_contact', table.supplyContact, ['a', 'b']),
    oneOf('tap_points_grade', table.grade, EVIDENCE_GRADES),
    check('tap_points_years', sql`${table.yearFrom} <= ${table.yearTo}`),
    check('tap_points_fuse', sql`${table.fuseA} > 0`),
  ],
);

/** Readings that a tap point was logged with, as numbers; the reading matrix is made from them. */
export const tapReadings = pgTable(
  'tap_readings',
  {
    tapPointId: uuid()
      .notNull()
      .references(() => tapPoints.id),
    position: integer().notNull(),
    place: text().$type<StitchPlace>().notNull(),
    instrument: text().$type<InstrumentName>().notNull(),
    volts: doublePrecision(),
    highVolts: doublePrecision(),
    glow: text().$type<Glow>(),
    ohms: doublePrecision(),
    cone: text().$type<Cone>(),
    speaker: text(),
  },
  (table) => [
    primaryKey({ columns: [table.tapPointId, table.position] }),
    oneOf('tap_readings_place', table.place, STITCH_PLACES),
    oneOf('tap_readings_instrument', table.instrument, INSTRUMENTS),
  ],
);

/** What readings of later jobs said about a tap point, on which car. A withdrawn reading's observation does not count. */
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
    /** The car that spoke. */
    year: integer().notNull(),
    trim: text().notNull(),
    market: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.readingId, table.tapPointId] }),
    index('tap_observations_by_tap').on(table.tapPointId),
    oneOf('tap_observations_kind', table.kind, ['confirmed', 'contradicted']),
  ],
);

/** One of a list, as the database checks it; null passes, where the column lets it. */
function oneOf(name: string, column: AnyPgColumn, values: readonly string[]): CheckBuilder {
  const list = values.map((value) => `'${value}'`).join(', ');
  return check(name, sql`${column} in (${sql.raw(list)})`);
}
