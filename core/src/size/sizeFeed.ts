import type { FuseFamily } from '../vehicle';
import { FUSE_FAMILY_FACTS } from '../vehicle';
import { AWG_SIZES, awgAreaMm2, metricAtLeast } from '../units';
import type { InsulationC } from './conductor';
import { ampacityA } from './conductor';
import type { DropBasis, ReturnPath, VoltageDrop } from './voltageDrop';
import { voltageDrop } from './voltageDrop';

/** What a feed is sized from. */
export interface FeedLoad {
  /** Continuous current at 12 V, A. */
  readonly currentA: number;
  /** Length of the lead one way, m. */
  readonly oneWayM: number;
  readonly returnPath: ReturnPath;
  /** Voltage that per cent refer to, V. */
  readonly systemV: number;
  /** Most of the voltage that may be lost in the lead, per cent. */
  readonly dropLimitPercent: number;
  readonly insulation: InsulationC;
  /** Slot that the tap sits in. */
  readonly slot: { readonly family: FuseFamily; readonly ratingA: number };
}

/** Which limit a refusal or a choice comes from. */
export type SizeConstraint =
  'fuse range' | 'holder' | 'slot' | 'ampacity' | 'voltage drop' | 'family';

/** One limit with its numbers, for "why". */
export interface SizeReason {
  readonly constraint: SizeConstraint;
  readonly text: string;
}

/** A sized feed, or the constraint that fails and what to relax. */
export type FeedSize =
  | {
      readonly ok: true;
      readonly fuseA: number;
      readonly awg: number;
      /** Cross-section of that AWG size, mm². */
      readonly areaMm2: number;
      /** Metric size to buy instead, mm². */
      readonly metricMm2: number;
      readonly drop: VoltageDrop;
      /** Limits the choice was checked against, tightest first. */
      readonly reasons: readonly SizeReason[];
    }
  | { readonly ok: false; readonly failed: SizeReason; readonly relax: string };

/** Share of a fuse's rating that may flow for good. Common practice: 75–80 %. */
export const CONTINUOUS_SHARE = 0.75;
/** Copper temperature that drops are stated for, °C: a warm cabin. */
const COPPER_C = 40;
/** Thinnest conductor for a lead that is pulled through trim, AWG: thinner ones break. Common practice. */
const THINNEST_AWG = 18;
/** Ranges accepted; outside them a number is a slip. */
export const FEED_LOAD_RANGES = {
  currentA: [0.01, 80],
  oneWayM: [0.05, 30],
  systemV: [9, 30],
  dropLimitPercent: [0.1, 20],
} as const;

/**
 * Which fuse and conductor a tapped feed gets.
 *
 * The fuse is the smallest made in the family that carries the load at 75 % of its rating; it may exceed neither the
 * added side of the holder, nor the slot's own rating, nor the conductor. The conductor is the thinnest that keeps
 * the drop and carries the fuse.
 *
 * @throws RangeError naming the field when a number is outside `FEED_LOAD_RANGES`.
 */
export function sizeFeed(load: FeedLoad): FeedSize {
  assertRanges(load);
  const facts = FUSE_FAMILY_FACTS[load.slot.family];
  if (facts.tap === undefined)
    return refuse(
      'family',
      `No fuse tap is made for ${facts.name} fuses.`,
      'Take a slot of another family, or tap the wire behind the panel with an in-line fuse.',
    );

  const wantedA = load.currentA / CONTINUOUS_SHARE;
  const fuseA = facts.ratingsA.find((rating) => rating >= wantedA);
  if (fuseA === undefined)
    return refuse(
      'fuse range',
      `${amps(load.currentA)} needs a fuse of ${amps(wantedA)}; ${facts.name} fuses end at ${amps(facts.contactMaxA)}.`,
      'Feed it from the battery through its own fuse and a relay, with this slot as the trigger.',
    );
  if (fuseA > facts.tap.addedMaxA)
    return refuse(
      'holder',
      `The added side of a ${facts.tap.name} carries ${amps(facts.tap.addedMaxA)}; the load needs a ${amps(fuseA)} fuse.`,
      'Use a slot of a larger family, or a relay fed from the battery.',
    );
  if (fuseA > load.slot.ratingA)
    return refuse(
      'slot',
      `The slot is rated ${amps(load.slot.ratingA)}; the added circuit would need ${amps(fuseA)}.`,
      'Use a slot with a larger fuse, or a relay fed from the battery.',
    );
  return sizeConductor(load, fuseA, facts.tap.addedMaxA);
}

function sizeConductor(load: FeedLoad, fuseA: number, holderA: number): FeedSize {
  const basis: DropBasis = {
    oneWayM: load.oneWayM,
    returnPath: load.returnPath,
    systemV: load.systemV,
    copperC: COPPER_C,
  };
  for (const awg of AWG_SIZES) {
    if (awg > THINNEST_AWG) continue;
    const areaMm2 = awgAreaMm2(awg);
    const carriesA = ampacityA(awg, load.insulation);
    const drop = voltageDrop(load.currentA, areaMm2, basis);
    const metricMm2 = metricAtLeast(areaMm2);
    if (carriesA < fuseA || drop.percent > load.dropLimitPercent || metricMm2 === undefined)
      continue;
    const reasons: SizeReason[] = [
      {
        constraint: 'fuse range',
        text: `${amps(load.currentA)} is ${share(load.currentA, fuseA)} of a ${amps(fuseA)} fuse; at most ${100 * CONTINUOUS_SHARE} % for good.`,
      },
      { constraint: 'holder', text: `The added side of the holder carries ${amps(holderA)}.` },
      { constraint: 'slot', text: `The slot is rated ${amps(load.slot.ratingA)}.` },
      {
        constraint: 'ampacity',
        text: `${awg} AWG carries ${amps(carriesA)} with ${load.insulation} °C insulation, not less than its fuse.`,
      },
      {
        constraint: 'voltage drop',
        text: `${drop.dropV.toFixed(2)} V, ${drop.percent.toFixed(1)} % of ${load.systemV.toFixed(1)} V; limit ${load.dropLimitPercent} %.`,
      },
    ];
    return { ok: true, fuseA, awg, areaMm2, metricMm2, drop, reasons };
  }
  const thickest = AWG_SIZES[AWG_SIZES.length - 1] as number;
  const best = voltageDrop(load.currentA, awgAreaMm2(thickest), basis);
  return refuse(
    'voltage drop',
    `Even ${thickest} AWG loses ${best.percent.toFixed(1)} % over ${load.oneWayM} m; the limit is ${load.dropLimitPercent} %.`,
    'Shorten the run, allow more drop, or give the load its own feed from the battery.',
  );
}

function refuse(constraint: SizeConstraint, text: string, relax: string): FeedSize {
  return { ok: false, failed: { constraint, text }, relax };
}

function assertRanges(load: FeedLoad): void {
  for (const [field, [low, high]] of Object.entries(FEED_LOAD_RANGES)) {
    const value = load[field as keyof typeof FEED_LOAD_RANGES];
    if (!(value >= low && value <= high))
      throw new RangeError(`${field} must lie between ${low} and ${high}, got ${value}`);
  }
}

function amps(value: number): string {
  return `${Number(value.toFixed(2))} A`;
}

function share(part: number, whole: number): string {
  return `${Math.round((100 * part) / whole)} %`;
}
