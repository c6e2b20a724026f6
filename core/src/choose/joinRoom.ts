import { CONTINUOUS_SHARE } from '../size';
import type { Conductor, Joinable, PowerPoint, StudSource } from '../vehicle';
import { isConductor } from '../vehicle';
import type { Headroom } from './headroom';
import { METHOD_FACTS } from './methods';
import { carriedBy, gaugeOf } from './carriedBy';

/** Share of what a source carries that may be added where nobody knows what else hangs on it. Our own choice, on the safe side. */
const ADDED_UNSEEN = 0.25;
/** What a stud and its ring carry for good by its thread, A: from M5 to M10. Common practice. */
const STUD_A: readonly (readonly [threadMm: number, amps: number])[] = [
  [5, 60],
  [6, 80],
  [8, 120],
  [10, 180],
];
/** Thread of a stud that nobody has measured, mm: the thinnest that a bus bar has. Common practice. */
const ASSUMED_MM = 5;

/**
 * What a lead means for the wire that it is joined to: a load beside its own, what the key's contacts carry in the key's
 * place, or a current that the device gives, so that nothing is drawn from the wire.
 */
export type LoadKind = 'beside' | 'inKeysPlace' | 'given';

/** What is known of the load on a source beside the one that is added. */
export interface PresentLoad {
  /** What the lead means for it; a load beside its own when left out. */
  readonly kind?: LoadKind | undefined;
  /** What flows in it already, by a clamp, A; undefined when nobody has measured. */
  readonly measuredA?: number | undefined;
  /** What other taps on it draw, A. */
  readonly sharedA?: number | undefined;
  /** Fuse of the car that feeds it, A; undefined as long as nobody has found it. */
  readonly feedFuseA?: number | undefined;
}

/** What a source that leads are joined to carries for good, A, and in words. */
export function joinLimit(source: Joinable): { readonly amps: number; readonly words: string } {
  if (isConductor(source)) return { amps: carriedBy(source), words: wireWords(source) };
  return { amps: pointA(source), words: pointWords(source) };
}

/**
 * Whether a wire, terminal or stud carries an added load beside its own, and whether the fuse that feeds it does. Its own is
 * known by a clamp only; unseen, little may be added.
 *
 * @param addedA the load that is added, A
 */
export function joinRoom(
  source: Joinable,
  addedA: number,
  { kind = 'beside', measuredA, sharedA = 0, feedFuseA }: PresentLoad,
): Headroom {
  const own = joinLimit(source);
  const fuseA = feedFuseA === undefined ? undefined : CONTINUOUS_SHARE * feedFuseA;
  const byFuse = fuseA !== undefined && fuseA < own.amps;
  const contactA = byFuse ? fuseA : own.amps;
  const limit = byFuse
    ? `${num(contactA)} A that the ${num(feedFuseA ?? 0)} A fuse before it lets through for good`
    : `${num(contactA)} A that ${own.words} carries for good`;
  const isBeside = kind === 'beside';
  const togetherA =
    (isBeside ? (measuredA ?? 0) + addedA : Math.max(measuredA ?? 0, addedA)) + sharedA;
  const before = sharedA > 0 ? ` + ${num(sharedA)} A added before` : '';
  const beside =
    measuredA === undefined ? 'its own load, not measured,' : `${num(measuredA)} A (measured)`;
  const sum = `${isBeside ? `${beside} + ${num(addedA)} A` : `${num(addedA)} A ${INSTEAD[kind]}`}${before}`;
  const room = { togetherA, contactA };
  if (togetherA > contactA)
    return {
      ...room,
      verdict: 'refused',
      text: `${sum}: more than the ${limit}.`,
      wayOut: isConductor(source)
        ? 'Feed it from the battery through its own fuse and a relay, with this wire as the trigger.'
        : 'Take it from the battery itself, through a fuse of its own.',
    };
  if (isBeside && measuredA === undefined && addedA + sharedA > ADDED_UNSEEN * contactA)
    return {
      ...room,
      verdict: 'measure',
      text: `${sum}: nobody knows whether that is within the ${limit}.`,
      wayOut: 'Measure what flows in it with a clamp while everything on it works, or take a slot.',
    };
  return { ...room, verdict: 'ok', text: `${sum}, within the ${limit}.`, wayOut: undefined };
}

/** Common practice: a remote starter feeds what the key's contacts feed, and the key is off meanwhile. */
const INSTEAD: Record<Exclude<LoadKind, 'beside'>, string> = {
  inKeysPlace: 'in the key’s place, not beside it,',
  given: 'given to it by the device, not drawn from it,',
};

function wireWords(wire: Conductor): string {
  return `a ${gaugeOf(wire)} mm² ${wire.gaugeMeasured === true ? 'wire' : 'wire (assumed)'}`;
}

function pointA(point: PowerPoint): number {
  return point.kind === 'stud' ? studA(point) : METHOD_FACTS.relaySpade.maxA;
}

function studA({ threadMm = ASSUMED_MM }: StudSource): number {
  const amps = STUD_A.findLast(([thread]) => thread <= threadMm)?.[1] ?? STUD_A[0]?.[1] ?? 0;
  return Math.min(amps, METHOD_FACTS.busBarRing.maxA);
}

function pointWords(point: PowerPoint): string {
  return point.kind === 'stud'
    ? `a ring on ${point.threadMm === undefined ? `an M${ASSUMED_MM} stud (assumed)` : `an M${point.threadMm} stud`}`
    : 'a spade in a relay socket';
}

function num(value: number): string {
  return String(Number(value.toFixed(2)));
}
