/** Lines that may come at once, and how many a second after that: a screen sends four for a reading. */
const AT_ONCE = 400;
const A_SECOND = 200;

/**
 * Counts the lines of a connection: true while there is one left. Measuring solves the car's network each time, and
 * the other requests wait meanwhile.
 *
 * @param nowMs a clock, ms
 */
export function lineBudget(nowMs: () => number): () => boolean {
  let left = AT_ONCE;
  let countedMs = nowMs();
  return () => {
    const now = nowMs();
    left = Math.min(AT_ONCE, left + ((now - countedMs) / 1000) * A_SECOND);
    countedMs = now;
    if (left < 1) return false;
    left -= 1;
    return true;
  };
}
