import { assertNumbers } from '../../size/ranges';

/** Greatest outer diameter of thin-walled vehicle cable by conductor, mm² and mm. ISO 6722-1, thin wall (from memory). */
const OUTER: readonly (readonly [areaMm2: number, outerMm: number])[] = [
  [0.35, 1.4],
  [0.5, 1.6],
  [0.75, 1.9],
  [1, 2.1],
  [1.5, 2.4],
  [2.5, 3],
  [4, 3.7],
  [6, 4.3],
  [10, 6],
  [16, 7.2],
  [25, 8.7],
];
/** Insulation of anything thicker, all around, mm. Common practice. */
const THICK_MM = 3;

/**
 * How thick a lead is over its insulation, mm: that of the next size made.
 *
 * @throws RangeError when the conductor is out of range.
 * @example outerMm(0.75) // 1.9
 */
export function outerMm(areaMm2: number): number {
  assertNumbers({ areaMm2 });
  const made = OUTER.find(([area]) => area >= areaMm2 - 1e-6);
  return made?.[1] ?? 2 * Math.sqrt(areaMm2 / Math.PI) * 1.15 + THICK_MM;
}

/** A round bundle is no thicker than this times the root of its leads’ squares: the closest packings of circles lie below it. */
const PACKING = 1.25;

/**
 * How thick a round bundle of leads is, mm; nothing for none. Two lie side by side; more are packed about as close as circles go
 * (Graham et al. 1998, from memory).
 *
 * @param outers of each lead over its insulation, mm
 * @example bundleMm([2, 2]) // 4
 */
export function bundleMm(outers: readonly number[]): number {
  const [first = 0, second = 0] = [...outers].sort((a, b) => b - a);
  if (outers.length < 2) return first;
  const root = Math.sqrt(outers.reduce((sum, one) => sum + one * one, 0));
  return Math.max(first + second, PACKING * root);
}

/** Grommets as they are sold: what goes through, and the hole in the sheet, mm. Common practice. */
const GROMMETS: readonly { readonly boreMm: number; readonly holeMm: number }[] = [
  { boreMm: 4, holeMm: 6.5 },
  { boreMm: 6, holeMm: 9.5 },
  { boreMm: 8, holeMm: 11 },
  { boreMm: 10, holeMm: 14 },
  { boreMm: 12.5, holeMm: 16 },
  { boreMm: 16, holeMm: 20 },
  { boreMm: 20, holeMm: 25 },
];

/** A grommet for a bundle, with the hole that it sits in. */
export interface Grommet {
  readonly boreMm: number;
  readonly holeMm: number;
  /** The hole as an inch bit, e.g. "7/16 in". */
  readonly holeInch: string;
}

/** The smallest grommet that a bundle goes through; undefined above the largest. */
export function grommetFor(bundle: number): Grommet | undefined {
  const found = GROMMETS.find(({ boreMm }) => boreMm >= bundle);
  return found === undefined ? undefined : { ...found, holeInch: inchBit(found.holeMm) };
}

const MM_PER_INCH = 25.4;
const SIXTY_FOURTHS = 64;

/**
 * The inch bit nearest to a hole, in sixty-fourths as they are sold.
 *
 * @example inchBit(11) // '7/16 in'
 */
export function inchBit(mm: number): string {
  let over = Math.round((mm / MM_PER_INCH) * SIXTY_FOURTHS);
  let under = SIXTY_FOURTHS;
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  const whole = Math.floor(over / under);
  const rest = over % under;
  const parts = [...(whole > 0 ? [String(whole)] : []), ...(rest > 0 ? [`${rest}/${under}`] : [])];
  return `${parts.join(' ')} in`;
}
