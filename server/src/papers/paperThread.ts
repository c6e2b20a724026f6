import { Piscina } from 'piscina';
import { tooBusy } from '../http/problem';
import type { PaperMaker } from './makePaper';

/** A thread that nobody asks for a paper ends after this, with what it has loaded, ms. */
const IDLE_MS = 60_000;
/** A paper that takes longer than this is given up, and its thread with it, ms. */
const PATIENCE_MS = 60_000;
/** So many papers may wait for their turn. */
const MOST_WAITING = 40;
/** Memory of the thread: a paper that wants more ends the thread alone, MB. */
const MEMORY_MB = 512;

/** A maker of papers in a thread of its own, and how to end it. */
export interface PaperThread {
  /** Makes a paper there. @throws Problem 503 when too many wait or it takes too long. */
  readonly makePaper: PaperMaker;
  /** Ends the thread. */
  readonly close: () => Promise<void>;
}

/**
 * Makes papers in a thread of its own, one after the other, so that the server's goes on answering. It begins with the first
 * paper and ends when none is asked for; `file` holds what it does, {@link makePaper} as its default.
 */
export function paperThread(file: URL, patienceMs = PATIENCE_MS): PaperThread {
  const pool = new Piscina({
    filename: file.href,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  const closing = new AbortController();
  const make: PaperMaker = async (order) => {
    const late = AbortSignal.timeout(patienceMs);
    const signal = AbortSignal.any([late, closing.signal]);
    const made = pool.run(order, { signal }) as Promise<Uint8Array>;
    return made.catch((error: unknown) => {
      throw late.aborted ? tooBusy('Papers') : error;
    });
  };
  let asked = 0;
  let last: Promise<unknown> = Promise.resolve();
  return {
    makePaper: async (order) => {
      if (asked > MOST_WAITING) throw tooBusy('Papers');
      asked += 1;
      // One after the other, whatever became of the one before.
      const made = last.then(() => make(order));
      last = made.then(
        () => (asked -= 1),
        () => (asked -= 1),
      );
      return made;
    },
    close: () => {
      closing.abort();
      return pool.destroy();
    },
  };
}
