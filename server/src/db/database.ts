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
  /** For statements through the schema. */
  readonly db: NodePgDatabase<typeof schema>;
  /** The connections beneath it, for packages that speak SQL themselves. */
  readonly pool: pg.Pool;
  /** Asks the database for a sign of life, on a connection that no request can occupy. */
  readonly isAlive: () => Promise<boolean>;
  /** Closes all connections. */
  readonly close: () => Promise<void>;
}

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

/**
 * How long a request waits for the database, ms. Locks give up first, then statements, then the driver, so that the
 * answer names what it was; each lies below the app's own patience.
 */
const PATIENCE = {
  connectMs: 5000,
  lockMs: 2000,
  statementMs: 4000,
  idleInTransactionMs: 8000,
  driverMs: 6000,
  healthMs: 1000,
} as const;
const CONNECTIONS = 8;

/** Opens the database; connections are made when they are first needed, and again after they broke. */
export function openDatabase(url: string): OpenDatabase {
  const pool = watched({
    connectionString: url,
    max: CONNECTIONS,
    connectionTimeoutMillis: PATIENCE.connectMs,
    lock_timeout: PATIENCE.lockMs,
    statement_timeout: PATIENCE.statementMs,
    idle_in_transaction_session_timeout: PATIENCE.idleInTransactionMs,
    query_timeout: PATIENCE.driverMs,
    keepAlive: true,
  });
  const health = watched({
    connectionString: url,
    max: 1,
    connectionTimeoutMillis: PATIENCE.healthMs,
    query_timeout: PATIENCE.healthMs,
    keepAlive: true,
  });
  return {
    db: drizzle(pool, { schema, casing: 'snake_case' }),
    pool,
    isAlive: () =>
      health.query('select 1').then(
        () => true,
        () => false,
      ),
    close: async () => {
      await Promise.all([pool.end(), health.end()]);
    },
  };
}

/**
 * A pool none of whose connections can end the process: one that breaks while a transaction holds it says so through
 * its query, but emits an `error` as well, which nobody else listens to.
 */
function watched(options: pg.PoolConfig): pg.Pool {
  const pool = new pg.Pool(options);
  const lost = (): void => undefined;
  pool.on('connect', (client) => client.on('error', lost));
  pool.on('error', (error) => {
    const code = 'code' in error ? String(error.code) : error.name;
    console.error(JSON.stringify({ event: 'database connection lost', code }));
  });
  return pool;
}

/** Brings the database to the newest schema, however long its statements take. */
export async function migrateDatabase(url: string): Promise<void> {
  const pool = watched({ connectionString: url, max: 1 });
  try {
    await migrate(drizzle(pool, { casing: 'snake_case' }), { migrationsFolder: MIGRATIONS });
  } finally {
    await pool.end();
  }
}
