import { fileURLToPath } from 'node:url';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema';

/** The database as repositories take it; a transaction fits too. */
export type Database = Pick<
  NodePgDatabase<typeof schema>,
  'select' | 'insert' | 'update' | 'delete' | 'transaction' | 'execute'
>;

/** An open database with its pool. */
export interface OpenDatabase {
  readonly db: NodePgDatabase<typeof schema>;
  readonly pool: pg.Pool;
  /** Closes all connections. */
  readonly close: () => Promise<void>;
}

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

/** Opens the database; connections are made when they are first needed. */
export function openDatabase(url: string): OpenDatabase {
  const pool = new pg.Pool({ connectionString: url, max: 8 });
  // An idle connection that breaks is replaced at its next use; without a listener it would end the process.
  pool.on('error', (error) => console.error(`database connection lost: ${error.message}`));
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool, close: () => pool.end() };
}

/** Brings the database to the newest schema. */
export async function migrateDatabase(open: OpenDatabase): Promise<void> {
  await migrate(open.db, { migrationsFolder: MIGRATIONS });
}
