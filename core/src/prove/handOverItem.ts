/** A figure that is read for a hand-over test, and its limits. */
export interface HandOverFigure {
  /** What is read, e.g. `Across the pair`. */
  readonly label: string;
  /** Its unit as it is shown. */
  readonly unit: string;
  /** Least that is right, 0 or more, in that unit. */
  readonly least: number;
  /** Most that is right, at least `least`, in that unit. */
  readonly most: number;
  /** Where the limits come from. */
  readonly because: string;
}

/** One thing that must be tried before a car is handed over: by a figure, or by what eye or ear can tell. */
export interface HandOverTest {
  /** Its own among the tests of a job. */
  readonly id: string;
  /** What is done. */
  readonly what: string;
  /** What must come of it. */
  readonly must: string;
  /** The figure that is read; undefined where there is none. */
  readonly figure?: HandOverFigure;
  /** What to answer where there is no figure: as it must be, and not; left out: `As it must`, `Not so`. */
  readonly answers?: readonly [good: string, bad: string];
  /** What to answer where there is nothing to try; undefined where there always is. */
  readonly lacks?: string;
  /** What to look at where it does not come to what it must, likeliest first. */
  readonly look: readonly string[];
  /** What to look at where the figure is too small; left out: the same as where it is too large. */
  readonly lookBelow?: readonly string[];
}

/** What is noted of a test: 1 as it must be, 0 not, or the figure; null is an old tick; {@link LACKING}: nothing to try. */
export type HandOverFound = { readonly value: number | null } | undefined;
/** Noted where there is nothing to try; no figure of a hand-over test is below zero. */
export const LACKING = -1;
