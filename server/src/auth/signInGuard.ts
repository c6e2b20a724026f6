import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type pg from 'pg';
import { Problem } from '../http/problem';

/** Wrong passwords of one account from one address before it has to wait. */
const FREE_TRIES = 5;
/** Tries of one address, whatever the account, in ten minutes. */
const ADDRESS_TRIES = 60;
const ADDRESS_S = 600;
/** Wrong passwords are remembered so long, s. */
const MEMORY_S = 24 * 3600;
/** The wait doubles with every wrong password after the free ones, from the first to the last of these, s. */
const WAITS_S = [2, 900] as const;

/** Counts tries to sign in, in the database, so that a restart forgets none. */
export interface SignInGuard {
  /**
   * Counts a try before its password is looked at.
   *
   * @throws Problem 429 with the seconds to wait.
   */
  readonly enter: (login: string, address: string) => Promise<void>;
  /** The password was right: the account's count begins anew. */
  readonly passed: (login: string, address: string) => Promise<void>;
}

/** A guard on the table `sign_in_tries`. */
export function newSignInGuard(pool: pg.Pool): SignInGuard {
  const common = {
    storeClient: pool,
    storeType: 'pool',
    tableName: 'sign_in_tries',
    tableCreated: true,
    clearExpiredByTimeout: true,
  };
  const account = new RateLimiterPostgres({
    ...common,
    keyPrefix: 'account',
    points: FREE_TRIES,
    duration: MEMORY_S,
  });
  const address = new RateLimiterPostgres({
    ...common,
    keyPrefix: 'address',
    points: ADDRESS_TRIES,
    duration: ADDRESS_S,
  });
  const gate = new RateLimiterPostgres({ ...common, keyPrefix: 'gate', points: 1, duration: 1 });
  const keyOf = (login: string, from: string): string => `${login}|${from}`;
  return {
    enter: async (login, from) => {
      const key = keyOf(login, from);
      await consume(address, from);
      const before = (await account.get(key))?.consumedPoints ?? 0;
      // Counted before the password is looked at, so that a hundred tries at once are not a hundred free ones.
      if (before < FREE_TRIES) {
        if ((await account.penalty(key)).consumedPoints <= FREE_TRIES) return;
        await account.reward(key);
      }
      const wrong = Math.max(0, before - FREE_TRIES);
      await consume(gate, key, waitFor(wrong));
      await account.penalty(key);
    },
    passed: async (login, from) => {
      const key = keyOf(login, from);
      await Promise.all([account.delete(key), gate.delete(key), address.reward(from)]);
    },
  };
}

/** Seconds to wait after so many wrong passwords beyond the free ones. */
export function waitFor(wrong: number): number {
  return Math.min(WAITS_S[1], WAITS_S[0] * 2 ** wrong);
}

async function consume(limiter: RateLimiterPostgres, key: string, seconds?: number): Promise<void> {
  try {
    await limiter.consume(key, 1, seconds === undefined ? {} : { customDuration: seconds });
  } catch (error) {
    if (error instanceof RateLimiterRes) throw later(error.msBeforeNext);
    throw error;
  }
}

function later(waitMs: number): Problem {
  const seconds = Math.max(1, Math.ceil(waitMs / 1000));
  return new Problem({
    type: 'too-many-tries',
    title: 'Too many tries to sign in',
    detail: `Try again in ${seconds} s.`,
    status: 429,
  });
}
