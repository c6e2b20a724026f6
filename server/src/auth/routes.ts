import { Router } from 'express';
import { SignInRequest } from '@lucky-thread/contract';
import type { DemoAccount, SessionView } from '@lucky-thread/contract';
import type { Database } from '../db/database';
import { checked } from '../http/handlers';
import { Problem } from '../http/problem';
import { hashPassword, passwordMatches } from './passwords';
import type { User } from './userRepository';
import { findByLogin, findUser } from './userRepository';

/** Signing in and out, and who one is. */
export function authRoutes(db: Database, demoAccounts: readonly DemoAccount[]): Router {
  const router = Router();
  // Compared when a login does not exist, so that the time of the answer tells nothing.
  const nobody = hashPassword('nobody');

  router.get('/session', async (request, response) => {
    const { userId } = request.session;
    const user = userId === undefined ? undefined : await findUser(db, userId);
    response.json(view(user, demoAccounts));
  });

  router.post('/session', async (request, response) => {
    const { login, password } = checked(SignInRequest, request.body);
    const user = await findByLogin(db, login.trim().toLowerCase());
    const matches = await passwordMatches(password, user?.passwordHash ?? (await nobody));
    if (user === undefined || !matches)
      throw new Problem({
        type: 'wrong-password',
        title: 'Login and password do not match',
        status: 401,
      });
    await new Promise<void>((resolve, reject) =>
      request.session.regenerate((error: unknown) =>
        error === undefined || error === null ? resolve() : reject(error as Error),
      ),
    );
    request.session.userId = user.id;
    request.session.shopId = user.shopId;
    response.json(view(user, demoAccounts));
  });

  router.delete('/session', async (request, response) => {
    await new Promise<void>((resolve, reject) =>
      request.session.destroy((error: unknown) =>
        error === undefined || error === null ? resolve() : reject(error as Error),
      ),
    );
    response.clearCookie('lucky-thread');
    response.status(204).end();
  });
  return router;
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
