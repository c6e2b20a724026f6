import { Worker } from 'node:worker_threads';
import { tooBusy } from '../http/problem';
import type { PaperMaker, PaperOrder } from './makePaper';

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
  /** Ends the thread; papers that it has not made fail. */
  readonly close: () => Promise<void>;
}

/** What the thread answers. */
interface Answer {
  readonly paper?: Uint8Array;
  readonly error?: unknown;
}

/**
 * Makes papers in a thread of its own, one after the other, so that the server's goes on answering. It begins with the first
 * paper, and again after one that ended it; `file` is what it runs, see `paperWorker`.
 */
export function paperThread(file: URL, patienceMs = PATIENCE_MS): PaperThread {
  const thread = restarted(file);
  let closed = false;
  let asked = 0;
  let last: Promise<unknown> = Promise.resolve();
  const make = (order: PaperOrder): Promise<Uint8Array> =>
    new Promise((resolve, reject) => {
      if (closed) return reject(new Error('The thread of papers was ended'));
      const late = setTimeout(() => {
        thread.end();
        reject(tooBusy('Papers'));
      }, patienceMs);
      thread.ask(order, ({ paper, error }) => {
        clearTimeout(late);
        if (paper === undefined) reject(error);
        else resolve(paper);
      });
    });
  return {
    makePaper: async (order) => {
      if (asked > MOST_WAITING) throw tooBusy('Papers');
      asked += 1;
      // One after the other, whatever became of the one before.
      const made = last.then(() => make(order)).finally(() => (asked -= 1));
      last = made.catch(() => undefined);
      return made;
    },
    close: async () => {
      closed = true;
      await thread.end();
    },
  };
}

/** A thread that is asked one thing at a time, is begun when it is asked, and answers with an error when it ends instead. */
function restarted(file: URL): {
  readonly ask: (order: PaperOrder, hear: (answer: Answer) => void) => void;
  readonly end: () => Promise<void>;
} {
  let worker: Worker | undefined;
  let hear: ((answer: Answer) => void) | undefined;
  let idle: NodeJS.Timeout | undefined;
  const answer = (what: Answer): void => {
    const listener = hear;
    hear = undefined;
    listener?.(what);
  };
  const end = async (): Promise<void> => {
    const [ended, listener] = [worker, hear];
    [worker, hear] = [undefined, undefined];
    clearTimeout(idle);
    await ended?.terminate();
    listener?.({ error: new Error('The thread of papers was ended') });
  };
  const begin = (): Worker => {
    const begun = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } });
    // Nobody waits for a thread that has nothing to do.
    begun.unref();
    begun.on('message', (what: Answer) => {
      // It was given up while it said so: whoever is next must not be handed somebody else's paper.
      if (worker !== begun) return;
      idle = setTimeout(() => void end(), IDLE_MS).unref();
      answer(what);
    });
    const lost = (error: unknown): void => {
      if (worker !== begun) return;
      worker = undefined;
      answer({ error });
    };
    begun.on('error', lost);
    begun.on('exit', (code) => lost(new Error(`The thread of papers ended with ${code}`)));
    return begun;
  };
  return {
    ask: (order, listener) => {
      clearTimeout(idle);
      hear = listener;
      worker ??= begin();
      try {
        worker.postMessage(order);
      } catch (error) {
        answer({ error });
      }
    },
    end,
  };
}
