import type { FuseFamily } from '../vehicle';
import { INSULATIONS_C, ambientOf } from './conductor';
import type { InsulationC, Surroundings } from './conductor';
import type { Inrush } from './openingTime';
import { assertNumbers } from './ranges';
import type { ReturnPath } from './voltageDrop';

/** Where a feed's fuse sits. */
export interface FusePlace {
  /** Build of the fuse that sits there. */
  readonly family: FuseFamily;
  /** Rating of the slot that is tapped, or of the upstream protection, A. */
  readonly ratingA: number;
  /** What the added side of the holder carries, A; that of the family's usual tap when left out. */
  readonly holderA?: number | undefined;
  /** A tap in a slot, or an in-line holder at a wire of the car; a slot when left out. */
  readonly at?: 'slot' | 'wire' | undefined;
}

/** What is at hand: only these are offered. */
export interface Stock {
  /** Conductors by name, e.g. `18 AWG` or `0.75 mm²`. */
  readonly conductors: readonly string[];
  /** Fuse ratings, A. */
  readonly fusesA: readonly number[];
}

/** What a feed is sized from. */
export interface FeedLoad extends Surroundings {
  /** Continuous current at 12 V, A. */
  readonly currentA: number;
  /** Length of the lead one way, m. */
  readonly oneWayM: number;
  /** How the current comes back. */
  readonly returnPath: ReturnPath;
  /** Length of a return lead of its own, m; the supply's length when left out. */
  readonly returnM?: number | undefined;
  /** Resistance of the ground joint, Ω; 0 when left out: it is proved by its own test. */
  readonly groundOhm?: number | undefined;
  /** Voltage that per cent refer to, V. */
  readonly systemV: number;
  /** Most of the voltage that may be lost in the lead, per cent. */
  readonly dropLimitPercent: number;
  /** Highest temperature of the insulation, °C. */
  readonly insulation: InsulationC;
  /** Slot that the tap sits in, or the holder of an in-line fuse. */
  readonly slot: FusePlace;
  /** What flows at switching on; undefined when nobody knows. */
  readonly inrush?: Inrush | undefined;
  /** Current that the conductor shall carry later beside the load, A. */
  readonly spareA?: number | undefined;
  /** Battery and the car's own feed, Ω. */
  readonly sourceOhm?: number | undefined;
  /** What is at hand; everything sold when left out. */
  readonly stock?: Stock | undefined;
}

/** Share of a fuse's rating that may flow for good. Common practice: 75–80 %. */
export const CONTINUOUS_SHARE = 0.75;
/** Copper temperature that drops are stated for, °C: a warm cabin. */
const COPPER_C = 40;

/** Temperature of a lead's copper, °C: a warm cabin's, and never cooler than what surrounds it. */
export function copperIn(around: Surroundings): number {
  return Math.max(COPPER_C, ambientOf(around));
}

/** Battery and the car's own feed up to the slot, Ω: some 6 mΩ and some 20 mΩ. Common practice. */
export const SOURCE_OHM = 0.026;
/** Thinnest conductor for a lead that is pulled through trim, mm²: thinner ones break. Common practice: 18 AWG, 0.75 mm². */
export const THINNEST_MM2 = 0.75;

/** Which limit a refusal or a choice comes from. */
export type SizeConstraint =
  | 'fuse range'
  | 'inrush'
  | 'holder'
  | 'slot'
  | 'stock'
  | 'ampacity'
  | 'voltage drop'
  | 'short circuit'
  | 'family';

/** One limit with its numbers, for "why". */
export interface SizeReason {
  /** Which limit. */
  readonly constraint: SizeConstraint;
  /** The limit with its numbers. */
  readonly text: string;
}

/** A refusal: the constraint that fails, and the cheapest way out. */
export interface Refusal {
  readonly ok: false;
  /** The limit that can’t be kept. */
  readonly failed: SizeReason;
  /** The cheapest way out. */
  readonly relax: string;
}

/** Refuses with the constraint that fails and the cheapest way out. */
export function refuse(constraint: SizeConstraint, text: string, relax: string): Refusal {
  return { ok: false, failed: { constraint, text }, relax };
}

/**
 * Refuses loads whose numbers are slips.
 *
 * @throws RangeError naming each field with its range.
 */
export function assertLoad(load: FeedLoad): void {
  assertNumbers({
    currentA: load.currentA,
    oneWayM: load.oneWayM,
    returnM: load.returnM,
    groundOhm: load.groundOhm,
    systemV: load.systemV,
    dropLimitPercent: load.dropLimitPercent,
    ambientC: load.ambientC,
    bundle: load.bundle,
    spareA: load.spareA,
    sourceOhm: load.sourceOhm,
    peakA: load.inrush?.peakA,
    peakS: load.inrush?.peakS,
    slotA: load.slot.ratingA,
  });
  if (!INSULATIONS_C.includes(load.insulation))
    throw new RangeError(
      `insulation: must be one of ${INSULATIONS_C.join(', ')} °C, got ${String(load.insulation)}`,
    );
}

/** Amperes as text, without needless digits. */
export function amps(value: number): string {
  return `${Number(value.toFixed(2))} A`;
}
