import type { InstrumentName } from '@lucky-thread/contract';
import { INSTRUMENTS } from '@lucky-thread/contract';
import type { EvidenceGrade } from '@lucky-thread/core/evidence';
import { EVIDENCE_GRADES } from '@lucky-thread/core/evidence';
import type { Cone, Glow } from '@lucky-thread/core/identify';
import type { CircuitFunction, StitchPlace } from '@lucky-thread/core/vehicle';
import { STITCH_PLACES } from '@lucky-thread/core/vehicle';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { oneOf } from './oneOf';
import { jobs } from './jobs';
import { shops, users } from './people';
import { readings } from './readings';
import { models, sources } from './vehicles';

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
    /** The added fuse, A; null at a speaker's lead, which has none. */
    fuseA: doublePrecision(),
    /** The added wire, AWG; null at a speaker's lead. */
    awg: integer(),
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
    check(
      'tap_points_added',
      sql`${table.function} = 'speaker' or (${table.fuseA} is not null and ${table.awg} is not null)`,
    ),
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
