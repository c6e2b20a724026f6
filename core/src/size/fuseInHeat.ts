/** Share of a blade fuse's rating left in hot air, by °C. Source: makers' curves in general, from memory. */
const SHARES: readonly (readonly [celsius: number, share: number])[] = [
  [30, 1],
  [60, 0.93],
  [85, 0.87],
];

/**
 * Share of its rating that a blade fuse carries in air of a temperature, 0 to 1: it is rated at 25 °C, and the
 * usual 30 °C lie within the 75 % that may flow for good. Straight lines between the points, the last one on beyond 85 °C.
 *
 * @example fuseShareAt(60) // 0.93
 */
export function fuseShareAt(ambientC: number): number {
  const after = SHARES.findIndex(([celsius]) => celsius >= ambientC);
  if (after === 0) return 1;
  const upper = after < 0 ? SHARES.length - 1 : after;
  const [[lowC, low], [highC, high]] = [SHARES[upper - 1], SHARES[upper]] as [
    readonly [number, number],
    readonly [number, number],
  ];
  return low + ((high - low) * (ambientC - lowC)) / (highC - lowC);
}
