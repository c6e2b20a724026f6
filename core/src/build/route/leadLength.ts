/** A lead as it is cut. */
export interface CutLength {
  /** Along the passages, m. */
  readonly wayM: number;
  /** What is cut, m: the way, with slack and a loop at both ends; to the next 0.1 m. */
  readonly cutM: number;
  /** Clips or ties that hold it. */
  readonly clips: number;
}

/** A lead never lies taut: a tenth more. Common practice. */
const SLACK = 0.1;
/** Service loop at each end, so that a plug can be opened and crimped again once, m. Common practice. */
const LOOP_M = 0.15;
/** Supported at least so often, m: 18 in (ABYC E-11, from memory); ISO 10133 has 0.45 m (from memory). */
const SUPPORT_M = 0.45;
/** Leads are cut to this, m. */
const STEP_M = 0.1;

/**
 * What is cut for a way, and how many clips hold it.
 *
 * @example leadLength(2) // { wayM: 2, cutM: 2.5, clips: 5 }
 */
export function leadLength(wayM: number): CutLength {
  const needM = wayM * (1 + SLACK) + 2 * LOOP_M;
  return {
    wayM,
    cutM: Number((Math.ceil(needM / STEP_M - 1e-9) * STEP_M).toFixed(1)),
    clips: Math.max(0, Math.ceil(wayM / SUPPORT_M - 1e-9)),
  };
}

/** Shortest passage that a tape is taken to, m. */
const LEAST_M = 0.05;

/**
 * Passages as a tape laid along all of them has them: what was cut for the way, less slack and loops, shared out over its passages
 * as they share its length now.
 *
 * @param cutM what the lead took, m
 */
export function taughtLengths<T extends { readonly id: string; readonly lengthM: number }>(
  passages: readonly T[],
  cutM: number,
): readonly { readonly id: string; readonly lengthM: number }[] {
  const wayM = passages.reduce((sum, one) => sum + one.lengthM, 0);
  const meantM = (cutM - 2 * LOOP_M) / (1 + SLACK);
  if (wayM <= 0 || meantM <= 0) return [];
  return passages.map(({ id, lengthM }) => ({
    id,
    lengthM: Math.max(LEAST_M, Number(((lengthM * meantM) / wayM).toFixed(2))),
  }));
}
