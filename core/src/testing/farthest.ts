/**
 * Largest difference between two lists, entry by entry; infinite where one is longer, no number where either holds none. One
 * `expect` of it takes the place of thousands.
 */
export function farthest(left: readonly number[], right: readonly number[]): number {
  if (left.length !== right.length) return Infinity;
  return left.reduce(
    (most, one, index) => Math.max(most, Math.abs(one - (right[index] ?? NaN))),
    0,
  );
}
