import type { RequestHandler } from 'express';
import { Router } from 'express';
import type pg from 'pg';
import { SignInRequest } from '@lucky-thread/contract';
import type { DemoAccount, SessionView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { checked } from '../http/handlers';
import { Problem } from '../http/problem';
import { newHashGate } from './hashGate';
import { passwordMatches, unmatchedHash } from './passwords';
import { passwordMark } from './session';
import { newSignInGuard } from './signInGuard';
import type { User } from './userRepository';
import { findByLogin } from './userRepository';

/** What signing in needs. */
export interface AuthParts {
  /** Where people are looked up. */
  readonly db: Database;
  /** Where tries to sign in are counted. */
  readonly pool: pg.Pool;
  /** Accounts that are offered with their passwords; none outside the demo. */
  readonly demoAccounts: readonly DemoAccount[];
  /** Reads a request's body; only after its try was counted would be too late to refuse it. */
  readonly readBody: RequestHandler;
  /** Told when a session ends, so that what hangs on it ends too. */
  readonly onSignedOut: (sessionId: string) => void;
}

/** Signing in and out, and who one is. */
export function authRoutes(parts: AuthParts): Router {
  const { db, demoAccounts } = parts;
  const router = Router();
  const guard = newSignInGuard(parts.pool);
  const oneAtOnce = newHashGate();
  // Compared when a login does not exist, so that the time of the answer tells nothing.
  const nobody = unmatchedHash();

  router.get('/session', (request, response) => {
    response.json(view(request.user, demoAccounts));
  });

  router.post('/session', parts.readBody, async (request, response) => {
    const given = checked(SignInRequest, request.body);
    const login = given.login.trim().toLowerCase();
    const address = request.socket.remoteAddress ?? 'unknown';
    // A try counts once its turn has come: who was asked to come again has not tried.
    const user = await oneAtOnce(async () => {
      await guard.enter(login, address);
      const found = await findByLogin(db, login);
      const hash = found?.passwordHash ?? nobody;
      return (await passwordMatches(given.password, hash)) ? found : undefined;
    });
    if (user === undefined)
      throw new Problem({
        type: 'wrong-password',
        title: 'Login and password do not match',
        status: 401,
      });
    await guard.passed(login, address);
    await done((told) => request.session.regenerate(told));
    request.session.userId = user.id;
    request.session.passwordMark = passwordMark(user.passwordHash);
    // Left to itself it is stored behind the answer's head, and who goes on at once is asked to sign in again.
    await done((told) => request.session.save(told));
    response.json(view(user, demoAccounts));
  });

  router.delete('/session', async (request, response) => {
    const { sessionID } = request;
    await done((told) => request.session.destroy(told));
    parts.onSignedOut(sessionID);
    response.clearCookie('lucky-thread');
    response.status(204).end();
  });
  return router;
}

/** The callbacks of express-session as promises. */
function done(work: (told: (error: unknown) => void) => void): Promise<void> {
  return new Promise((resolve, reject) =>
    work((error) => (error === undefined || error === null ? resolve() : reject(error as Error))),
  );
}

function view(user: User | undefined, demoAccounts: readonly DemoAccount[]): SessionView {
  return {
    user:
      user === undefined
        ? null
        : { id: user.id, name: user.name, role: user.role, shopName: user.shopName },
    demoAccounts,
  };
}
