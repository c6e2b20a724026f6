import { METRIC_SIZES_MM2, metricAtLeast } from '../units';
import type { ConductorCheck } from './chooseConductor';
import { checkConductor, chooseConductors, offeredSizes } from './chooseConductor';
import { chooseFuse } from './chooseFuse';
import { copperGramsPerM } from './conductor';
import type { FeedLoad, Refusal, SizeReason } from './feedLoad';
import { CONTINUOUS_SHARE, amps, assertLoad } from './feedLoad';
import { openingTimes } from './openingTime';
import type { VoltageDrop } from './voltageDrop';

/** What the next thicker conductor would change. */
export interface NextUp {
  /** The conductor, as it is sold. */
  readonly name: string;
  /** Drop with it, per cent of the system's voltage. */
  readonly percent: number;
  /** More copper over the whole lead, g. */
  readonly moreGrams: number;
}

/** A sized feed, or the constraint that fails and what to relax. */
export type FeedSize =
  | {
      readonly ok: true;
      readonly fuseA: number;
      /** What the added side of the holder carries, A. */
      readonly holderA: number;
      readonly awg: number;
      /** Cross-section of that AWG size, mm². */
      readonly areaMm2: number;
      /** Metric size to buy instead, mm². */
      readonly metricMm2: number;
      /** Drop with the AWG size. */
      readonly drop: VoltageDrop;
      /** Limits the choice was checked against. */
      readonly reasons: readonly SizeReason[];
      /** The conductor of each system that was chosen; undefined where none of it passes or is at hand. */
      readonly conductors: {
        readonly awg: ConductorCheck | undefined;
        readonly metric: ConductorCheck | undefined;
      };
      /** What the next size up buys; undefined at the thickest. */
      readonly nextUp: NextUp | undefined;
      /** What spare capacity costs: the size that the load alone would get, and the copper saved. */
      readonly withoutSpare: NextUp | undefined;
    }
  | Refusal;

/**
 * Which fuse and conductor a tapped feed gets.
 *
 * The fuse is the smallest made in the family that carries the load at 75 % of its rating and rides through the inrush;
 * it may exceed neither the added side of the holder, nor the slot's own rating, nor the conductor. The conductor is the
 * thinnest that keeps the drop, carries the fuse where it lies, and stands every current until the slowest fuse opens.
 *
 * @throws RangeError naming the field and the range when a number is a slip.
 */
export function sizeFeed(load: FeedLoad): FeedSize {
  assertLoad(load);
  const fuse = chooseFuse(load);
  if (!fuse.ok) return fuse;
  const chosen = chooseConductors(load, fuse.fuseA);
  if (!chosen.ok) return chosen;
  const main = (chosen.awg ?? chosen.metric) as ConductorCheck;
  return {
    ok: true,
    fuseA: fuse.fuseA,
    holderA: fuse.holderA,
    // Where only metric wire is at hand the nearest AWG number stands for the record.
    awg: main.size.awg ?? nearestAwg(main.size.areaMm2),
    areaMm2: main.size.areaMm2,
    metricMm2:
      chosen.metric?.size.areaMm2 ??
      metricAtLeast(main.size.areaMm2) ??
      (METRIC_SIZES_MM2[METRIC_SIZES_MM2.length - 1] as number),
    drop: main.drop,
    reasons: reasonsFor(load, main, fuse),
    conductors: { awg: chosen.awg, metric: chosen.metric },
    nextUp: nextUpFrom(load, main, fuse.fuseA),
    withoutSpare: withoutSpare(load, main, fuse.fuseA),
  };
}

function nearestAwg(areaMm2: number): number {
  // ASTM B258 turned round: the AWG number of a diameter.
  const diameterMm = Math.sqrt((4 * areaMm2) / Math.PI);
  return Math.round(36 - (39 * Math.log(diameterMm / 0.127)) / Math.log(92));
}

/** The limits that a fuse and one of its conductors were held against, with their numbers. */
export function reasonsFor(
  load: FeedLoad,
  main: ConductorCheck,
  fuse: { readonly fuseA: number; readonly holderA: number },
): SizeReason[] {
  const { fuseA, holderA } = fuse;
  const { drop, coordination, size } = main;
  const inrush = load.inrush;
  return [
    {
      constraint: 'fuse range',
      text: `${amps(load.currentA)} is ${share(load.currentA, fuseA)} of a ${amps(fuseA)} fuse; at most ${100 * CONTINUOUS_SHARE} % for good.`,
    },
    ...(inrush === undefined
      ? []
      : [
          {
            constraint: 'inrush' as const,
            text: `${amps(inrush.peakA)} for ${inrush.peakS} s: the fastest ${amps(fuseA)} fuse takes ${seconds(openingTimes(inrush.peakA, fuseA).fastestS)}.`,
          },
        ]),
    ...(load.slot.at === 'wire'
      ? [
          { constraint: 'holder' as const, text: `The in-line holder carries ${amps(holderA)}.` },
          {
            constraint: 'slot' as const,
            text: `The car’s wire stands a fuse of ${amps(load.slot.ratingA)}.`,
          },
        ]
      : [
          {
            constraint: 'holder' as const,
            text: `The added side of the holder carries ${amps(holderA)}.`,
          },
          { constraint: 'slot' as const, text: `The slot is rated ${amps(load.slot.ratingA)}.` },
        ]),
    {
      constraint: 'ampacity',
      text: `${size.name} carries ${amps(main.carriesA)} with ${load.insulation} °C insulation${surroundings(load)}, not less than its fuse.`,
    },
    {
      constraint: 'voltage drop',
      text: `${drop.dropV.toFixed(2)} V, ${drop.percent.toFixed(1)} % of ${load.systemV.toFixed(1)} V; limit ${load.dropLimitPercent} %.`,
    },
    {
      constraint: 'short circuit',
      text: `A dead short at the far end draws ${coordination.faultA.toFixed(0)} A: the slowest ${amps(fuseA)} fuse clears it in ${seconds(coordination.clearsS)}, the conductor stands it for ${seconds(coordination.standsS)}.`,
    },
  ];
}

function surroundings(load: FeedLoad): string {
  const said = [
    ...(load.engineSpace === true ? ['in the engine space'] : []),
    ...(load.ambientC === undefined ? [] : [`at ${load.ambientC} °C`]),
    ...((load.bundle ?? 1) > 3 ? [`${load.bundle ?? 1} together`] : []),
  ];
  return said.length === 0 ? '' : ` ${said.join(', ')}`;
}

/** The next thicker conductor of the same system, and what it would change; undefined at the thickest. */
export function nextUpFrom(
  load: FeedLoad,
  main: ConductorCheck,
  fuseA: number,
): NextUp | undefined {
  const thicker = offeredSizes(load).find(
    (size) => size.system === main.size.system && size.areaMm2 > main.size.areaMm2,
  );
  return thicker === undefined ? undefined : compared(checkConductor(load, fuseA, thicker), main);
}

function withoutSpare(load: FeedLoad, main: ConductorCheck, fuseA: number): NextUp | undefined {
  if ((load.spareA ?? 0) === 0) return undefined;
  const bare = chooseConductors({ ...load, spareA: 0 }, fuseA);
  if (!bare.ok) return undefined;
  const thinner = main.size.system === 'awg' ? bare.awg : bare.metric;
  return thinner === undefined ? undefined : compared(thinner, main);
}

function compared(other: ConductorCheck, main: ConductorCheck): NextUp {
  return {
    name: other.size.name,
    percent: other.drop.percent,
    moreGrams:
      other.drop.copperM *
      (copperGramsPerM(other.size.areaMm2) - copperGramsPerM(main.size.areaMm2)),
  };
}

function seconds(value: number): string {
  return value === Infinity ? 'for good' : `${Number(value.toPrecision(2))} s`;
}

function share(part: number, whole: number): string {
  return `${Math.round((100 * part) / whole)} %`;
}
