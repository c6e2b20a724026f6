import type {
  CatalogueDevice,
  FeedRole,
  LeadDirection,
  LeadPolarity,
  Phase,
  RouteInput,
  SetUpInput,
  SeenScope,
  SizingInput,
  SteeringSide,
} from '@lucky-thread/contract';
import {
  FEED_ROLES,
  PHASES,
  LEAD_DIRECTIONS,
  POLARITIES,
  SEEN_SCOPES,
} from '@lucky-thread/contract';
import type { LeadFamily } from '@lucky-thread/core/choose';
import type { ProofKind } from '@lucky-thread/core/prove';
import { PROOF_KINDS } from '@lucky-thread/core/prove';
import type { SpeakerPlace, StitchPlace } from '@lucky-thread/core/vehicle';
import { SPEAKER_PLACES, STITCH_PLACES } from '@lucky-thread/core/vehicle';
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
  date,
} from 'drizzle-orm/pg-core';
import { oneOf } from './oneOf';
import { shops, users } from './people';
import { models } from './vehicles';

/** Devices that the shop fits. */
export const devices = pgTable(
  'devices',
  {
    id: uuid().primaryKey(),
    shopId: uuid()
      .notNull()
      .references(() => shops.id),
    device: jsonb().$type<CatalogueDevice>().notNull(),
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
    /** How the device is set up, as its guide has it: shown and handed on whole. */
    deviceSetUp: jsonb().$type<SetUpInput>(),
    /** The options it was fitted with, by name. */
    deviceFittedWith: text().array(),
    phase: text().$type<Phase>().notNull(),
    /** Checks left for later. */
    deferred: text().array().$type<StitchPlace[]>().notNull().default([]),
    /** What it waits for; null: nothing. */
    waitsFor: text(),
    /** Why it was opened again; null: it was not. */
    reopened: text(),
    /** The day that it is to be done on; null: none was said. */
    day: date(),
    /** Where the device sits and what its route is to be good at; null: as usual. */
    route: jsonb().$type<RouteInput>(),
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
    speaker: text().$type<SpeakerPlace>(),
    holdsCranking: boolean(),
    liveInAcc: boolean(),
    polarity: text().$type<LeadPolarity>(),
    setAt: text(),
    optional: boolean(),
    direction: text().$type<LeadDirection>(),
    leftOff: text(),
    outputV: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    oneOf('job_feeds_role', table.role, FEED_ROLES),
    oneOf('job_feeds_speaker', table.speaker, SPEAKER_PLACES),
    oneOf('job_feeds_direction', table.direction, LEAD_DIRECTIONS),
    oneOf('job_feeds_polarity', table.polarity, POLARITIES),
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
    /** Wires that its lead goes on to from there, in turn. */
    alsoAt: text().array(),
    oneWayM: doublePrecision(),
    returnPath: text().$type<'body' | 'lead'>(),
    reason: text(),
    measuredA: doublePrecision(),
    sharedA: doublePrecision(),
    /** Fuse of the car that feeds a wire, terminal or stud, and the slot that it is in. */
    feedFuseA: doublePrecision(),
    fedBy: text(),
    ground: text().$type<'stud' | 'harness' | 'body'>(),
    /** What it is sized for where that differs from the shop's own way: shown and handed on whole. */
    sizing: jsonb().$type<SizingInput>(),
    /** Another lead of the job may lie on its source. */
    shared: boolean().notNull().default(false),
    /** The change that made it what it is; null from before changes had ids. */
    commandId: uuid(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.feedId] }),
    foreignKey({
      columns: [table.jobId, table.feedId],
      foreignColumns: [jobFeeds.jobId, jobFeeds.id],
    }),
    // A slot serves one feed of a job only; leads that take the same may meet at a wire.
    uniqueIndex('feed_plans_by_source')
      .on(table.jobId, table.sourceId)
      .where(sql`not ${table.shared}`),
    check('feed_plans_fuse', sql`${table.feedFuseA} > 0`),
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

/** Steps of the work that were done or passed over, with who and when. One that was taken back stays. */
export const jobSteps = pgTable(
  'job_steps',
  {
    /** The change that said so. */
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    stepId: text().notNull(),
    doneBy: uuid()
      .notNull()
      .references(() => users.id),
    doneAt: timestamp({ withTimezone: true }).notNull(),
    /** Why it was passed over; null: it was done. */
    reason: text(),
    undoneAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    uniqueIndex('job_steps_standing')
      .on(table.jobId, table.stepId)
      .where(sql`${table.undoneAt} is null`),
  ],
);

/** What was found and tried before the car is handed over, one row each. */
export const jobClosing = pgTable(
  'job_closing',
  {
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    /** Which one, e.g. "drain-before" or "hand-over hood". */
    item: text().notNull(),
    /** What was measured; null where it was only to be seen. */
    value: doublePrecision(),
    by: uuid()
      .notNull()
      .references(() => users.id),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.item] }),
    check('job_closing_item', sql`length(${table.item}) between 1 and 80`),
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

/** Slots as a job saw them where that differs from the model, with what the model said then. */
export const jobSlots = pgTable(
  'job_slots',
  {
    jobId: uuid()
      .notNull()
      .references(() => jobs.id),
    sourceId: text().notNull(),
    placeId: text().notNull(),
    position: text().notNull(),
    legend: text(),
    ratingA: doublePrecision(),
    /** Whether it was to hold for every car of the model. */
    holds: text().$type<SeenScope>().notNull(),
    /** What the model said before; both null where it knew no such slot. */
    wasLegend: text(),
    wasRatingA: doublePrecision(),
    /** The change that it came with: who and when. */
    commandId: uuid()
      .notNull()
      .references(() => commands.id),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.sourceId] }),
    oneOf('job_slots_holds', table.holds, SEEN_SCOPES),
    check('job_slots_rating', sql`${table.ratingA} > 0`),
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
