import type { ShopSettings } from '@lucky-thread/contract';
import {
  bigint,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  text,
  timestamp,
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
  /** The transaction that last changed what its tap sheets show; triggers write it, so no writer can forget to. */
  logStamp: bigint({ mode: 'number' }).notNull().default(0),
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
