import type { Coordination, ProtectedLead } from './coordination';
import { coordinate, currentsBetween } from './coordination';
import { openingTimes } from './openingTime';
import { withstandOf } from './withstand';

/** One point of a time–current curve. */
export interface CurvePoint {
  /** A. */
  readonly currentA: number;
  /** s. */
  readonly seconds: number;
}

/** What a fuse–conductor coordination chart draws. */
export interface CoordinationCurves {
  /** Fast and slow edge of the fuse's opening band. */
  readonly fastest: readonly CurvePoint[];
  /** Slow edge of the fuse’s opening band. */
  readonly slowest: readonly CurvePoint[];
  /** How long the conductor stands each current. */
  readonly conductor: readonly CurvePoint[];
  /** What the curves come to. */
  readonly coordination: Coordination;
  /** Range of the axes, A and s. */
  readonly currents: readonly [number, number];
  /** Range of the time axis, s. */
  readonly times: readonly [number, number];
}

/** Times worth drawing, s: from a thousandth to three hours. */
const TIMES: readonly [number, number] = [0.001, 10_000];

/** The curves of a lead with its fuse, clipped to what the chart shows. */
export function coordinationCurves(lead: ProtectedLead): CoordinationCurves {
  const coordination = coordinate(lead);
  const currents: readonly [number, number] = [
    lead.fuseA / 2,
    Math.max(20 * lead.fuseA, 1.3 * coordination.faultA),
  ];
  const grid = currentsBetween(currents[0], currents[1]);
  const stands = withstandOf(lead);
  const curve = (timeAt: (currentA: number) => number): CurvePoint[] =>
    grid
      .map((currentA) => ({ currentA, seconds: timeAt(currentA) }))
      .filter(({ seconds }) => seconds >= TIMES[0] && seconds <= TIMES[1]);
  return {
    fastest: curve((currentA) => openingTimes(currentA, lead.fuseA).fastestS),
    slowest: curve((currentA) => openingTimes(currentA, lead.fuseA).slowestS),
    conductor: curve(stands),
    coordination,
    currents,
    times: TIMES,
  };
}
