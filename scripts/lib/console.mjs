/** A failure that is told in one line, with what to do about it. */
export class Stop extends Error {}

const started = Date.now();

/** Says what is being done, and how long it has been going on. */
export function say(text) {
  const seconds = Math.round((Date.now() - started) / 1000);
  console.log(`[${String(seconds).padStart(4)} s] ${text}`);
}

/** Runs a script's main function; a `Stop` ends it with its one line. */
export function main(run) {
  run().catch((error) => {
    console.error(error instanceof Stop ? `Stopped: ${error.message}` : error);
    process.exitCode = 1;
  });
}
