import { checkConductor } from './chooseConductor';
import { ampacityAtA } from './conductor';
import { conductorSizeOf } from './conductorSize';
import { CLEARING_MULTIPLE } from './coordination';
import { chooseFuse } from './chooseFuse';
import type { FeedLoad, Refusal } from './feedLoad';
import { CONTINUOUS_SHARE, SOURCE_OHM, amps, assertLoad, copperIn, refuse } from './feedLoad';
import { FUSE_FAMILY_FACTS } from '../vehicle';
import { strandedOhm } from './strandedWire';

/** An answer that one limit sets. */
export type Limit =
  | {
      readonly ok: true;
      readonly value: number;
      /** Which limit ends it, with its numbers. */
      readonly because: string;
    }
  | Refusal;

/**
 * Longest run one way of a given wire under a load, m: where drop or clearing of a dead short ends it.
 *
 * @param wire name of the size, e.g. `18 AWG`
 * @throws RangeError when the wire or a number is none.
 */
export function longestRunM(load: Omit<FeedLoad, 'oneWayM'>, wire: string): Limit {
  const whole = { ...load, oneWayM: 1, returnM: undefined };
  assertLoad(whole);
  const size = conductorSizeOf(wire);
  const fuse = chooseFuse(whole);
  if (!fuse.ok) return fuse;
  const carriesA = ampacityAtA(size.areaMm2, load.insulation, load);
  if (carriesA < fuse.fuseA)
    return refuse(
      'ampacity',
      `${size.name} carries ${amps(carriesA)} there, less than the ${amps(fuse.fuseA)} fuse.`,
      'Take a thicker wire, or insulation for a higher temperature.',
    );
  const ways = load.returnPath === 'lead' ? 2 : 1;
  const currentA = load.currentA + (load.spareA ?? 0);
  const jointV = currentA * (load.groundOhm ?? 0);
  const dropV = (load.dropLimitPercent / 100) * load.systemV - jointV;
  const byDropM = dropV / (currentA * ways * strandedOhm(size.areaMm2, 1, copperIn(load)));
  const source = load.sourceOhm ?? SOURCE_OHM;
  const byFaultM =
    (load.systemV / (CLEARING_MULTIPLE * fuse.fuseA) - source) /
    (ways * strandedOhm(size.areaMm2, 1));
  const value = Math.min(byDropM, byFaultM);
  if (value <= 0)
    return refuse(
      'voltage drop',
      'The ground joint alone takes the whole drop allowed.',
      'Clean the ground, or allow more drop.',
    );
  return {
    ok: true,
    value,
    because:
      byDropM <= byFaultM
        ? `there the drop reaches ${load.dropLimitPercent} % of ${load.systemV.toFixed(1)} V`
        : `farther out a dead short no longer opens the ${amps(fuse.fuseA)} fuse within 5 s`,
  };
}

/**
 * Largest continuous load of a given wire over a run, A: where drop, wire, fuse, holder or slot end it.
 *
 * @throws RangeError when the wire or a number is none.
 */
export function largestLoadA(load: Omit<FeedLoad, 'currentA'>, wire: string): Limit {
  assertLoad({ ...load, currentA: 1 });
  const size = conductorSizeOf(wire);
  const facts = FUSE_FAMILY_FACTS[load.slot.family];
  const holderA = load.slot.holderA ?? facts.tap?.addedMaxA;
  if (holderA === undefined)
    return refuse(
      'family',
      `No fuse tap is made for ${facts.name} fuses.`,
      'Take a slot of another family.',
    );
  const carriesA = ampacityAtA(size.areaMm2, load.insulation, load);
  const mostA = Math.min(carriesA, holderA, load.slot.ratingA);
  const fuses = facts.ratingsA.filter(
    (rating) => rating <= mostA && load.stock?.fusesA.includes(rating) !== false,
  );
  const fuseA = [...fuses].reverse().find((rating) => checkShort(load, rating, wire));
  if (fuseA === undefined)
    return refuse(
      'fuse range',
      `No ${facts.name} fuse is small enough for ${size.name}, ${amps(holderA)} of holder and ${amps(load.slot.ratingA)} of slot over this run.`,
      'Take a thicker wire or shorten the run.',
    );
  const spareA = load.spareA ?? 0;
  const probe = checkConductor({ ...load, currentA: 1, spareA: 0 }, fuseA, size).drop;
  const byDropA = ((load.dropLimitPercent / 100) * load.systemV) / probe.dropV - spareA;
  const byFuseA = CONTINUOUS_SHARE * fuseA;
  const value = Math.min(byDropA, byFuseA);
  if (value <= 0)
    return refuse(
      'voltage drop',
      'The spare capacity alone takes the whole drop allowed.',
      'Allow more drop, or ask for less spare.',
    );
  return {
    ok: true,
    value,
    because:
      byDropA < byFuseA
        ? `there the drop reaches ${load.dropLimitPercent} % of ${load.systemV.toFixed(1)} V`
        : `${100 * CONTINUOUS_SHARE} % of a ${amps(fuseA)} fuse, the largest that wire, holder and slot allow`,
  };
}

function checkShort(load: Omit<FeedLoad, 'currentA'>, fuseA: number, wire: string): boolean {
  const small = { ...load, currentA: 0.01, spareA: 0 };
  return checkConductor(small, fuseA, conductorSizeOf(wire)).coordination.ok;
}
