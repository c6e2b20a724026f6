import { Problem } from '../http/problem';

/**
 * Lets one piece of work in at a time: a hash takes a quarter of a second of one core, and the other requests want their share.
 * Nobody waits at the gate, so that no request takes longer than one hash; the app asks again by itself.
 *
 * @throws Problem 429 while another piece of work is in.
 */
export function newHashGate(): <T>(work: () => Promise<T>) => Promise<T> {
  let isTaken = false;
  return async (work) => {
    if (isTaken) throw tooBusy();
    isTaken = true;
    try {
      return await work();
    } finally {
      isTaken = false;
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
