import { Problem } from '../http/problem';

/** Hashes at once: each takes a quarter of a second of one core, and the other requests want their share. */
const AT_ONCE = 1;
/** Most that wait: none, so that no request takes longer than one hash. The app asks again by itself. */
const MOST_WAITING = 0;

/**
 * Lets one piece of work run at once.
 *
 * @throws Problem 429 when too many wait already.
 */
export function newHashQueue(): <T>(work: () => Promise<T>) => Promise<T> {
  let running = 0;
  const waiting: (() => void)[] = [];
  return async (work) => {
    if (running >= AT_ONCE) {
      if (waiting.length >= MOST_WAITING) throw tooBusy();
      await new Promise<void>((resolve) => waiting.push(resolve));
    } else running += 1;
    try {
      return await work();
    } finally {
      const next = waiting.shift();
      // The place is handed on rather than given up, so that nobody slips in between.
      if (next === undefined) running -= 1;
      else next();
    }
  };
}

function tooBusy(): Problem {
  return new Problem({
    type: 'sign-in-busy',
    title: 'Too many people are signing in',
    detail: 'Try again in a moment.',
    status: 429,
  });
}
