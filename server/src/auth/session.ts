import { createHash } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import type { OpenDatabase } from '../db/database';
import { Problem, unauthenticated } from '../http/problem';
import type { Standing } from './sessionStore';
import { openSessionStore } from './sessionStore';
import type { User } from './userRepository';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    /** Mark of the password that the session was opened with. */
    passwordMark: string;
    /** When its end was last put off, ms since 1970. */
    renewedAt?: number;
    /** Whom it belonged to when it was read. */
    standing?: Standing;
  }
}
declare module 'express-serve-static-core' {
  interface Request {
    /** Who is signed in; set by {@link identify}. */
    user?: User;
  }
}

/** Who makes a request. */
export interface Actor {
  /** UUID of the person. */
  readonly userId: string;
  /** UUID of their shop: every statement asks for it too. */
  readonly shopId: string;
  /** As others see it. */
  readonly name: string;
}

/** How long a session lasts after its last use, ms: a working week. */
const SESSION_MS = 7 * 24 * 3600 * 1000;
/** The end of a session in use is put off so often, ms: not with every request. */
const RENEWED_EVERY_MS = 3600 * 1000;

/** Sessions kept in PostgreSQL, so that they outlive the server. */
export interface Sessions {
  /** Reads a request's session, and stores it when it changed. */
  readonly handler: RequestHandler;
  /** Stops sweeping. */
  readonly close: () => void;
}

/** Sessions in a database. */
export function openSessions(parts: OpenDatabase, secret: string): Sessions {
  const store = openSessionStore(parts.pool, parts.db);
  const handler = session({
    name: 'lucky-thread',
    store,
    secret,
    resave: false,
    saveUninitialized: false,
    // The cookie goes out anew when `renew` has put the session's end off, not with every answer.
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SESSION_MS },
  });
  return { handler, close: () => void store.close() };
}

/** What a session remembers of a password: it changes with it, and tells nothing about it. */
export function passwordMark(passwordHash: string): string {
  return createHash('sha256').update(passwordHash).digest('base64url');
}

/**
 * Who a request's session belongs to, as the database has them now; undefined when nobody is signed in, the person is
 * gone, or the password was changed since.
 */
export function userOf(request: Request): User | undefined {
  const { passwordMark: mark, standing } = request.session;
  const found = standing?.of;
  if (found === undefined || passwordMark(found.passwordHash) !== mark) return undefined;
  const { passwordHash: _hash, ...user } = found;
  return user;
}

/** Says who makes a request, and ends a session that nobody stands behind any more. */
export const identify: RequestHandler = async (request, _response, next) => {
  request.user = userOf(request);
  if (request.user === undefined && request.session.userId !== undefined)
    await new Promise<void>((resolve, reject) =>
      request.session.regenerate((error: unknown) =>
        error === undefined || error === null ? resolve() : reject(error as Error),
      ),
    );
  if (request.user !== undefined) renew(request.session);
  next();
};

/** Puts a session's end off; it is kept anew with the answer. */
function renew(session: Request['session'], now = Date.now()): void {
  if (now - (session.renewedAt ?? 0) >= RENEWED_EVERY_MS) session.renewedAt = now;
}

/**
 * Lets only signed-in people pass, and only as who they are: work that was kept on a device while somebody else was
 * signed in names its maker, and is not taken for another's.
 */
export const requireSession: RequestHandler = (request, _response, next) => {
  if (request.user === undefined) throw unauthenticated();
  const maker = request.get(MADE_BY);
  if (maker !== undefined && maker !== request.user.id)
    throw new Problem({
      type: 'other-user',
      title: 'Somebody else is signed in',
      detail: 'This was made by another person: it is sent when they sign in again.',
      status: 409,
    });
  next();
};

/** The header that names who made what is sent. */
const MADE_BY = 'Made-By';

/**
 * Who makes a request.
 *
 * @throws Problem when nobody is signed in.
 */
export function actorOf(request: Pick<Request, 'user'>): Actor {
  const { id: userId, shopId, name } = userIn(request);
  return { userId, shopId, name };
}

/**
 * The person behind a request, with their shop as it was when the request came.
 *
 * @throws Problem when nobody is signed in.
 */
export function userIn(request: Pick<Request, 'user'>): User {
  if (request.user === undefined) throw unauthenticated();
  return request.user;
}
