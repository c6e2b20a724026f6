import { callbackify } from 'node:util';
import connectPgSimple from 'connect-pg-simple';
import { and, eq, gt, sql } from 'drizzle-orm';
import session from 'express-session';
import type { SessionData } from 'express-session';
import type pg from 'pg';
import type { Database } from '../db/database';
import { onceFor } from '../db/onceFor';
import { session as sessions, shops, users } from '../db/schema';
import { credentialColumns } from './userRepository';
import type { Credentials } from './userRepository';

/** Ended sessions are swept out so often, s. */
const PRUNE_S = 15 * 60;

/** Whom a session belongs to, as the database had them when the session was read; it is never stored with it. */
export class Standing {
  /** @param of undefined when that person is gone */
  constructor(readonly of: Credentials | undefined) {}

  /** Left out of what is stored of a session, and of what tells whether it has changed. */
  toJSON(): undefined {
    return undefined;
  }
}

const PgStore = connectPgSimple(session);

/** Sessions in PostgreSQL; each is read together with the person behind it, since every request asks for both. */
class SessionStore extends PgStore {
  constructor(
    pool: pg.Pool,
    private readonly db: Database,
  ) {
    super({
      pool,
      tableName: 'session',
      pruneSessionInterval: PRUNE_S,
      // A statement on every request, to move an end that is a week away: `identify` renews it now and then.
      disableTouch: true,
      errorLog: () => console.error(JSON.stringify({ event: 'sessions could not be swept' })),
    });
  }

  override get(sid: string, told: (error: unknown, found?: SessionData | null) => void): void {
    callbackify(read)(this.db, sid, told);
  }
}

/** A store of sessions. */
export function openSessionStore(pool: pg.Pool, db: Database): SessionStore {
  return new SessionStore(pool, db);
}

async function read(db: Database, sid: string): Promise<SessionData | null> {
  const [row] = await bySid(db).execute({ sid });
  if (row === undefined) return null;
  const { sess, ...person } = row;
  return {
    ...(sess as SessionData),
    standing: new Standing(isSomebody(person) ? person : undefined),
  };
}

/** Whether somebody was found: every column of nobody is null. */
function isSomebody(person: Partial<Record<keyof Credentials, unknown>>): person is Credentials {
  return person.id !== null;
}

/** Asked with every request: put together once, and each connection plans it once. */
const bySid = onceFor((db: Database) =>
  db
    .select({ sess: sessions.sess, ...credentialColumns })
    .from(sessions)
    .leftJoin(users, eq(users.id, sql`(${sessions.sess}->>'userId')::uuid`))
    .leftJoin(shops, eq(shops.id, users.shopId))
    .where(and(eq(sessions.sid, sql.placeholder('sid')), gt(sessions.expire, sql`now()`)))
    .prepare('session_by_sid'),
);
