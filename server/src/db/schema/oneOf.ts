import { sql } from 'drizzle-orm';
import type { AnyPgColumn, CheckBuilder } from 'drizzle-orm/pg-core';
import { check } from 'drizzle-orm/pg-core';

/** One of a list, as the database checks it; null passes, where the column lets it. */
export function oneOf(name: string, column: AnyPgColumn, values: readonly string[]): CheckBuilder {
  const list = values.map((value) => `'${value}'`).join(', ');
  return check(name, sql`${column} in (${sql.raw(list)})`);
}
