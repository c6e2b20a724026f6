import type { ConductorSize } from './conductorSize';
import { CONDUCTOR_SIZES } from './conductorSize';
import { ampacityAtA } from './conductor';
import type { Coordination, ProtectedLead } from './coordination';
import { coordinate } from './coordination';
import type { FeedLoad, Refusal, SizeConstraint } from './feedLoad';
import { SOURCE_OHM, THINNEST_MM2, amps, copperIn, refuse } from './feedLoad';
import type { DropBasis, VoltageDrop } from './voltageDrop';
import { voltageDrop } from './voltageDrop';

/** What one conductor does under a load. */
export interface ConductorCheck {
  /** The conductor. */
  readonly size: ConductorSize;
  /** Current that it carries for good where it lies, A. */
  readonly carriesA: number;
  /** Drop with the load alone. */
  readonly drop: VoltageDrop;
  /** How it agrees with its fuse. */
  readonly coordination: Coordination;
  /** The first limit that it breaks; undefined when it does. */
  readonly breaks: SizeConstraint | undefined;
}

/** What the drop of a load is stated for. */
export function basisOf(load: FeedLoad): DropBasis {
  return {
    oneWayM: load.oneWayM,
    returnPath: load.returnPath,
    returnM: load.returnM,
    groundOhm: load.groundOhm,
    systemV: load.systemV,
    copperC: copperIn(load),
  };
}

/** A lead of a conductor with its fuse, for the short-circuit check. */
export function leadOf(load: FeedLoad, fuseA: number, areaMm2: number): ProtectedLead {
  const returnM = load.returnPath === 'lead' ? (load.returnM ?? load.oneWayM) : 0;
  return {
    fuseA,
    areaMm2,
    insulation: load.insulation,
    around: load,
    copperM: load.oneWayM + returnM,
    sourceOhm: load.sourceOhm ?? SOURCE_OHM,
    systemV: load.systemV,
  };
}

/** How a conductor fares under a load with its fuse; with spare capacity it is held against both currents. */
export function checkConductor(load: FeedLoad, fuseA: number, size: ConductorSize): ConductorCheck {
  const coordination = coordinate(leadOf(load, fuseA, size.areaMm2));
  return {
    size,
    carriesA: ampacityAtA(size.areaMm2, load.insulation, load),
    drop: voltageDrop(load.currentA, size.areaMm2, basisOf(load)),
    coordination,
    breaks: firstBroken(load, fuseA, size) ?? (coordination.ok ? undefined : 'short circuit'),
  };
}

/** The first of the cheap limits that a conductor breaks. */
function firstBroken(
  load: FeedLoad,
  fuseA: number,
  size: ConductorSize,
): 'ampacity' | 'voltage drop' | undefined {
  const laterA = load.currentA + (load.spareA ?? 0);
  if (ampacityAtA(size.areaMm2, load.insulation, load) < Math.max(fuseA, laterA)) return 'ampacity';
  const { percent } = voltageDrop(laterA, size.areaMm2, basisOf(load));
  return percent > load.dropLimitPercent ? 'voltage drop' : undefined;
}

/** The sizes that may be pulled through trim, of those at hand, thinnest first. */
export function offeredSizes(load: FeedLoad): readonly ConductorSize[] {
  return CONDUCTOR_SIZES.filter(
    (size) => size.areaMm2 >= THINNEST_MM2 && load.stock?.conductors.includes(size.name) !== false,
  );
}

/** The thinnest conductor of each system that passes, or the limit that even the thickest breaks. */
export function chooseConductors(
  load: FeedLoad,
  fuseA: number,
):
  | {
      readonly ok: true;
      readonly awg: ConductorCheck | undefined;
      readonly metric: ConductorCheck | undefined;
    }
  | Refusal {
  const offered = offeredSizes(load);
  const first = (system: ConductorSize['system']): ConductorCheck | undefined => {
    for (const size of offered) {
      if (size.system !== system || firstBroken(load, fuseA, size) !== undefined) continue;
      const check = checkConductor(load, fuseA, size);
      if (check.breaks === undefined) return check;
    }
    return undefined;
  };
  const [awg, metric] = [first('awg'), first('metric')];
  if (awg !== undefined || metric !== undefined) return { ok: true, awg, metric };
  const thickest = offered[offered.length - 1];
  if (thickest === undefined)
    return refuse(
      'stock',
      'No conductor at hand may be pulled through trim.',
      'Get 18 AWG or 0.75 mm².',
    );
  return refusalBy(load, fuseA, checkConductor(load, fuseA, thickest));
}

function refusalBy(load: FeedLoad, fuseA: number, check: ConductorCheck): Refusal {
  const { size, carriesA, coordination } = check;
  if (check.breaks === 'ampacity')
    return refuse(
      'ampacity',
      `Even ${size.name} carries only ${amps(carriesA)} there; fuse and load want ${amps(Math.max(fuseA, load.currentA + (load.spareA ?? 0)))}.`,
      'Take insulation for a higher temperature, or lay it apart from the bundle and the heat.',
    );
  if (check.breaks === 'short circuit')
    return refuse(
      'short circuit',
      `With ${size.name} ${coordination.problem ?? 'the fuse is too slow'}.`,
      'Shorten the run, or feed it through a smaller fuse near the source.',
    );
  const later = voltageDrop(load.currentA + (load.spareA ?? 0), size.areaMm2, basisOf(load));
  return refuse(
    'voltage drop',
    `Even ${size.name} loses ${later.percent.toFixed(1)} % over ${load.oneWayM} m; the limit is ${load.dropLimitPercent} %.`,
    'Shorten the run, allow more drop, or give the load its own feed from the battery.',
  );
}
