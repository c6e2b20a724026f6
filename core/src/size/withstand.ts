import type { InsulationC, Surroundings } from './conductor';
import { adiabaticLimitA2s, ambientOf, ampacityAtA } from './conductor';

/** A conductor where it lies. */
export interface LaidConductor {
  /** Cross-section, mm². */
  readonly areaMm2: number;
  /** Highest temperature of the insulation, °C. */
  readonly insulation: InsulationC;
  /** Where it lies. */
  readonly around: Surroundings;
}

/** Temperature that PVC stands for a few seconds, °C, and how long at most, s (IEC 60364-5-54, from memory). */
const SHORT_TIME_C = 160;
const SHORT_TIME_S = 5;
/** Above its class an insulation is only tested for a while: by so many K, for so many s. Source: ISO 6722-1, short-term ageing and thermal overload, from memory. */
const OVERLOADS = [
  { aboveC: 25, forS: 240 * 3600 },
  { aboveC: 50, forS: 6 * 3600 },
] as const;

/**
 * How long a conductor stands a current, s; `Infinity` up to its ampacity and not beyond.
 *
 * Above it, what it settles at decides: 240 h up to 25 K over the class of its insulation, 6 h up to 50 K. What would
 * settle hotter is cut off when it gets there, and may go on to 160 °C within 5 s: at high currents that is the adiabatic
 * limit of IEC 60364-5-54. One thermal time constant.
 */
export function withstandS(lead: LaidConductor, currentA: number): number {
  return withstandOf(lead)(currentA);
}

/** The same for many currents: what does not depend on the current is worked out once. */
export function withstandOf(lead: LaidConductor): (currentA: number) => number {
  const continuousA = ampacityAtA(lead.areaMm2, lead.insulation, lead.around);
  if (continuousA <= 0) return () => 0;
  const ambientC = ambientOf(lead.around);
  /** The current that settles at a temperature. Heat made grows with its square, heat lost with the difference. */
  const settlingAt = (celsius: number): number =>
    continuousA * Math.sqrt((celsius - ambientC) / (lead.insulation - ambientC));
  const shortA = settlingAt(Math.max(SHORT_TIME_C, lead.insulation));
  const timeConstantS = adiabaticLimitA2s(lead.areaMm2) / shortA ** 2;
  /** Time until a current has heated the conductor to what another settles at. */
  const until = (currentA: number, settledA: number): number =>
    currentA <= settledA ? Infinity : -timeConstantS * Math.log(1 - (settledA / currentA) ** 2);
  const overloads = OVERLOADS.map(({ aboveC, forS }) => ({
    settledA: settlingAt(lead.insulation + aboveC),
    forS,
  }));
  return (currentA) => {
    if (currentA <= continuousA) return Infinity;
    const overload = overloads.map(({ settledA, forS }) =>
      Math.min(forS, until(currentA, settledA)),
    );
    return Math.max(...overload, Math.min(SHORT_TIME_S, until(currentA, shortA)));
  };
}
