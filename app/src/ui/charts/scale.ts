/** Where a value lies along an axis, px. */
export type Scale = (value: number) => number;

/** An axis of equal ratios. */
export function logScale(
  [low, high]: readonly [number, number],
  [from, to]: readonly [number, number],
): Scale {
  const span = Math.log(high / low);
  return (value) => from + ((to - from) * Math.log(value / low)) / span;
}

/** An axis of equal differences. */
export function linearScale(
  [low, high]: readonly [number, number],
  [from, to]: readonly [number, number],
): Scale {
  return (value) => from + ((to - from) * (value - low)) / (high - low);
}

/** The powers of ten within a range. */
export function decades([low, high]: readonly [number, number]): number[] {
  const first = Math.ceil(Math.log10(low) - 1e-9);
  const last = Math.floor(Math.log10(high) + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => 10 ** (first + at));
}

/** A path through points. */
export function pathThrough(points: readonly (readonly [x: number, y: number])[]): string {
  return points
    .map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join(' ');
}
