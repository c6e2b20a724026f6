import type { InstrumentName } from '@lucky-thread/contract';
import type { Cone, Glow } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import {
  doublePrecision,
  index,
  jsonb,
  pgTable,
  serial,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { jobs } from './jobs';
import { users } from './people';

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
