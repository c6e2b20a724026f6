/** Opening times of blade fuses by load, s. Source: ISO 8820-3, from memory: keep a band. */
export const BLADE_OPENING_BAND: readonly {
  readonly loadPercent: number;
  readonly fastestS: number;
  readonly slowestS: number;
}[] = [
  { loadPercent: 110, fastestS: 100 * 3600, slowestS: Infinity },
  { loadPercent: 135, fastestS: 0.75, slowestS: 600 },
  { loadPercent: 200, fastestS: 0.15, slowestS: 5 },
  { loadPercent: 350, fastestS: 0.08, slowestS: 0.5 },
  { loadPercent: 600, fastestS: 0, slowestS: 0.1 },
];

/** The band that a load falls into, taken at the next lower row; undefined below 110 %, where a fuse holds. */
export function openingBand(
  currentA: number,
  ratingA: number,
): { readonly fastestS: number; readonly slowestS: number } | undefined {
  const percent = (100 * currentA) / ratingA;
  return BLADE_OPENING_BAND.filter((row) => percent >= row.loadPercent).at(-1);
}

/** Load from which every fuse opens within the band, per cent of its rating. */
export const CERTAIN_PERCENT = 135;
/** Loads between which the fast and the slow edge are known, per cent. */
const FAST_KNOWN = [110, 350] as const;
const SLOW_KNOWN = [135, 600] as const;

/**
 * Shortest and longest time that a blade fuse takes at a load, s; `Infinity` where it may hold for good.
 *
 * Between the rows of ISO 8820-3 both edges go straight on double logarithmic paper; past the last row the heat let
 * through stays the same, so that the time falls with the square of the current.
 */
export function openingTimes(
  currentA: number,
  ratingA: number,
): { readonly fastestS: number; readonly slowestS: number } {
  const percent = (100 * currentA) / ratingA;
  return {
    fastestS: percent < FAST_KNOWN[0] ? Infinity : edge(percent, FAST_ROWS),
    slowestS: percent < SLOW_KNOWN[0] ? Infinity : edge(percent, SLOW_ROWS),
  };
}

const FAST_ROWS = BLADE_OPENING_BAND.filter((row) => row.loadPercent <= FAST_KNOWN[1]).map(
  (row) => [row.loadPercent, row.fastestS] as const,
);
const SLOW_ROWS = BLADE_OPENING_BAND.filter((row) => row.loadPercent >= SLOW_KNOWN[0]).map(
  (row) => [row.loadPercent, row.slowestS] as const,
);

function edge(percent: number, rows: typeof FAST_ROWS): number {
  for (let at = 1; at < rows.length; at += 1) {
    const [x0, y0] = rows[at - 1] as (typeof rows)[number];
    const [x1, y1] = rows[at] as (typeof rows)[number];
    if (percent < x1) return y0 * (percent / x0) ** (Math.log(y1 / y0) / Math.log(x1 / x0));
  }
  const [last, lastS] = rows[rows.length - 1] as (typeof rows)[number];
  return lastS * (last / percent) ** 2;
}

/** A short current at switching on. */
export interface Inrush {
  /** Highest current, A. */
  readonly peakA: number;
  /** How long it counts as flowing, s. */
  readonly peakS: number;
}

/** Whether a fuse holds while a device starts: even the fastest of its rating must take longer than the inrush lasts. */
export function ridesThrough(inrush: Inrush, ratingA: number): boolean {
  return openingTimes(inrush.peakA, ratingA).fastestS > inrush.peakS;
}
