import { adiabaticLimitA2s, ampacityAtA } from './conductor';
import { CERTAIN_PERCENT, openingTimes } from './openingTime';
import { strandedOhm } from './strandedWire';
import type { LaidConductor } from './withstand';
import { withstandOf, withstandS } from './withstand';

/** A dead short must be this many times the rating, so that the slowest fuse clears it within 5 s (ISO 8820-3, 200 %). */
export const CLEARING_MULTIPLE = 2;
/** Less than this is no difference between a rating and an ampacity, A. */
const ROUNDING_A = 1e-9;
/** Points per decade of current at which band and withstand are compared. */
const POINTS_PER_DECADE = 24;

/** A lead with its fuse. */
export interface ProtectedLead extends LaidConductor {
  /** Rating of its fuse, A. */
  readonly fuseA: number;
  /** Copper that a short at the far end passes, m. */
  readonly copperM: number;
  /** Battery, the car's own feed up to the slot and the holder, Ω. */
  readonly sourceOhm: number;
  /** Voltage behind the short, V. */
  readonly systemV: number;
}

/** Current of a dead short at the far end of a lead, A (Ohm's law, the worst wire of its size at 20 °C). */
export function faultCurrentA(lead: ProtectedLead): number {
  return lead.systemV / (lead.sourceOhm + strandedOhm(lead.areaMm2, lead.copperM));
}

/** How a fuse and a conductor agree. */
export interface Coordination {
  /** Current of a dead short at the far end, A. */
  readonly faultA: number;
  /** Longest time until the fuse clears it, s. */
  readonly clearsS: number;
  /** Time that the conductor stands it, s. */
  readonly standsS: number;
  /** Heat let through at most, and what the conductor takes, A²s. */
  readonly letThroughA2s: number;
  /** Heat that the conductor takes up, A²s. */
  readonly limitA2s: number;
  /** Whether the fuse protects the conductor at every current. */
  readonly ok: boolean;
  /** Why not; undefined when it is. */
  readonly problem: string | undefined;
}

/** Whether a fuse clears every overload and a dead short before its conductor's insulation is hurt. */
export function coordinate(lead: ProtectedLead): Coordination {
  const faultA = faultCurrentA(lead);
  const clearsS = openingTimes(faultA, lead.fuseA).slowestS;
  const standsS = withstandS(lead, faultA);
  const limitA2s = adiabaticLimitA2s(lead.areaMm2);
  const crossing = firstCrossing(lead, faultA);
  const carriesA = ampacityAtA(lead.areaMm2, lead.insulation, lead.around);
  const problem =
    lead.fuseA > carriesA + ROUNDING_A
      ? `a ${lead.fuseA} A fuse lets more flow for good than the ${carriesA.toFixed(1)} A that the conductor carries`
      : faultA < CLEARING_MULTIPLE * lead.fuseA
        ? `a dead short at the far end draws only ${faultA.toFixed(0)} A, too little for a ${lead.fuseA} A fuse to open within 5 s`
        : crossing === undefined
          ? undefined
          : `at ${crossing.toFixed(0)} A the conductor is hurt before the slowest ${lead.fuseA} A fuse opens`;
  return {
    faultA,
    clearsS,
    standsS,
    letThroughA2s: faultA ** 2 * clearsS,
    limitA2s,
    ok: problem === undefined,
    problem,
  };
}

function firstCrossing(lead: ProtectedLead, faultA: number): number | undefined {
  const stands = withstandOf(lead);
  return currentsBetween((CERTAIN_PERCENT / 100) * lead.fuseA, faultA).find((currentA) => {
    const standsS = stands(currentA);
    return standsS !== Infinity && openingTimes(currentA, lead.fuseA).slowestS > standsS;
  });
}

/** Currents from one to another in even steps of their logarithm, both ends included; empty when upside down. */
export function currentsBetween(fromA: number, toA: number): number[] {
  if (!(toA > fromA)) return [];
  const count = Math.max(2, Math.ceil(POINTS_PER_DECADE * Math.log10(toA / fromA)));
  return Array.from({ length: count + 1 }, (_, at) => fromA * (toA / fromA) ** (at / count));
}
