import { setTimeout as wait } from 'node:timers/promises';
import { say } from './console.mjs';

/** Wait before a part that ended is started again, ms: at first hardly any, then twice as long each time. */
const FIRST_WAIT_MS = 200;
const LONGEST_WAIT_MS = 8000;
/** A part that ran so long was not at fault from the beginning, ms. */
const STEADY_MS = 30_000;

/**
 * Starts a part and starts it again whenever it ends, with a growing delay while it keeps ending at once.
 *
 * @param name what it is called in what is said
 * @param start starts it; answers `{ ended, stop }`
 * @returns once it runs the first time: `current`, and `stop`, after which it stays stopped
 * @throws what the very first start threw
 */
export async function keepRunning(name, start) {
  let current = await start();
  let stopping = false;
  let waitMs = FIRST_WAIT_MS;
  const watched = watch();
  return {
    get current() {
      return current;
    },
    stop: async () => {
      stopping = true;
      await current?.stop();
      await watched;
    },
  };

  async function watch() {
    for (;;) {
      const began = Date.now();
      const code = await current?.ended;
      current = undefined;
      if (stopping) return;
      if (Date.now() - began > STEADY_MS) waitMs = FIRST_WAIT_MS;
      const how = typeof code === 'number' ? ` with code ${code}` : '';
      say(`The ${name} ended${how}; it is started again`);
      await wait(waitMs);
      waitMs = Math.min(LONGEST_WAIT_MS, waitMs * 2);
      if (stopping) return;
      current = await startAgain();
    }
  }

  /** A start that fails counts as a part that ended. */
  async function startAgain() {
    try {
      return await start();
    } catch (error) {
      say(`The ${name} could not be started: ${error.message}`);
      return { ended: Promise.resolve(), stop: async () => undefined };
    }
  }
}
