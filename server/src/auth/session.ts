import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';
import { unauthenticated } from '../http/problem';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    shopId: string;
  }
}

/** Who makes a request. */
export interface Actor {
  readonly userId: string;
  readonly shopId: string;
}

/** How long a session lasts after its last use, ms: a working week. */
const SESSION_MS = 7 * 24 * 3600 * 1000;

/** Sessions kept in PostgreSQL, so that they outlive the server. */
export function sessions(pool: pg.Pool, secret: string): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'lucky-thread',
    store: new Store({ pool, tableName: 'session', pruneSessionInterval: false }),
    secret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SESSION_MS },
  });
}

/** Lets only signed-in people pass. */
export const requireSession: RequestHandler = (request, _response, next) => {
  if (request.session.userId === undefined) throw unauthenticated();
  next();
};

/**
 * Who makes a request.
 *
 * @throws Problem when nobody is signed in.
 */
export function actorOf(request: { session: { userId?: string; shopId?: string } }): Actor {
  const { userId, shopId } = request.session;
  if (userId === undefined || shopId === undefined) throw unauthenticated();
  return { userId, shopId };
}
