import { CONTINUOUS_SHARE, ampacityAtA } from '../size';
import type { Conductor } from '../vehicle';
import type { Headroom } from './headroom';

/** Cross-section of a car's wire that nobody has measured, mm²: the thinnest that supplies are laid in. Common practice. */
export const ASSUMED_MM2 = 0.5;
/** Insulation and air that a cabin's loom is laid for, °C. Common practice. */
const CABIN = { insulation: 80, ambientC: 40 } as const;
/** Share of a wire's ampacity that may be added where nobody knows what else hangs on it. Our own choice, on the safe side. */
const ADDED_UNSEEN = 0.25;

/** Cross-section that a wire is reckoned with, mm². */
export function gaugeOf(wire: Pick<Conductor, 'gaugeMm2'>): number {
  return wire.gaugeMm2 ?? ASSUMED_MM2;
}

/** What a car's wire carries for good, A. */
export function carriedBy(wire: Pick<Conductor, 'gaugeMm2'>): number {
  return CONTINUOUS_SHARE * ampacityAtA(gaugeOf(wire), CABIN.insulation, CABIN);
}

/**
 * Whether a car's wire carries an added load beside its own. Its own is known by a clamp only; unseen, little may be added.
 *
 * @param measuredA what flows in it already, by a clamp, A; undefined when nobody has measured
 * @param sharedA what other taps on it draw, A
 */
export function spliceRoom(
  wire: Pick<Conductor, 'gaugeMm2' | 'gaugeMeasured'>,
  addedA: number,
  {
    measuredA,
    sharedA = 0,
  }: { readonly measuredA?: number | undefined; readonly sharedA?: number | undefined },
): Headroom {
  const contactA = carriedBy(wire);
  const togetherA = (measuredA ?? 0) + addedA + sharedA;
  const gauge = `${gaugeOf(wire)} mm² ${wire.gaugeMeasured === true ? 'wire' : 'wire (assumed)'}`;
  const sum = `${measuredA === undefined ? 'its own load, not measured,' : `${num(measuredA)} A (measured)`} + ${num(addedA)} A${sharedA > 0 ? ` + ${num(sharedA)} A added before` : ''}`;
  const limit = `${num(contactA)} A that a ${gauge} carries for good`;
  const room = { togetherA, contactA };
  if (togetherA > contactA)
    return {
      ...room,
      verdict: 'refused',
      text: `${sum}: more than the ${limit}.`,
      wayOut:
        'Feed it from the battery through its own fuse and a relay, with this wire as the trigger.',
    };
  if (measuredA === undefined && addedA + sharedA > ADDED_UNSEEN * contactA)
    return {
      ...room,
      verdict: 'measure',
      text: `${sum}: nobody knows whether that is within the ${limit}.`,
      wayOut: 'Measure what flows in it with a clamp while everything on it works, or take a slot.',
    };
  return { ...room, verdict: 'ok', text: `${sum}, within the ${limit}.`, wayOut: undefined };
}

function num(value: number): string {
  return String(Number(value.toFixed(2)));
}
