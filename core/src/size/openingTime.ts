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
