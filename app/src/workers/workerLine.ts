import type { Remote } from 'comlink';
import { releaseProxy, wrap } from 'comlink';

/** The part of a worker that a line to it uses. */
export type WorkerEnd = Pick<
  Worker,
  'addEventListener' | 'removeEventListener' | 'postMessage' | 'terminate'
>;

/** A line to a worker. */
export interface WorkerLine<Offer> {
  /** Has the worker do something; rejects when it fails, can't be loaded or ends meanwhile. */
  readonly ask: <T>(work: (remote: Remote<Offer>) => Promise<T>) => Promise<T>;
}

/**
 * A line to a worker that is started at the first question, and started anew after it broke: a worker that can't be
 * loaded, or that ends in the middle, answers nobody, and comlink alone would wait for ever.
 *
 * @param open starts a worker
 */
export function workerLine<Offer>(open: () => WorkerEnd): WorkerLine<Offer> {
  let line: { readonly remote: Remote<Offer>; readonly broken: Promise<never> } | undefined;
  const connected = (): NonNullable<typeof line> => {
    const worker = open();
    const remote = wrap<Offer>(worker);
    const broken = new Promise<never>((_resolve, reject) => {
      const fail = (event: Event): void => {
        line = undefined;
        remote[releaseProxy]();
        worker.terminate();
        reject(new Error(reasonOf(event)));
      };
      worker.addEventListener('error', fail as EventListener);
      worker.addEventListener('messageerror', fail as EventListener);
    });
    // Whoever asks hears of it; nobody has to be asking.
    broken.catch(() => undefined);
    return { remote, broken };
  };
  return {
    ask: (work) => {
      line ??= connected();
      return Promise.race([work(line.remote), line.broken]);
    },
  };
}

function reasonOf(event: Event): string {
  const message = 'message' in event && typeof event.message === 'string' ? event.message : '';
  return message === '' ? 'the part that works it out could not be loaded' : message;
}
