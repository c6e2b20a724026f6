import type { Reading } from '../identify';
import type { LeadSpot } from '../vehicle';
import { placeOf } from '../vehicle';
import type { ProofCheck } from './proofChecks';

/** How a check stands: not read, passed, or out of its limit with what that points to. */
export type CheckStanding =
  | { readonly is: 'open' }
  | { readonly is: 'passed'; readonly readingId: string; readonly shows: string }
  | {
      readonly is: 'failed';
      readonly readingId: string;
      readonly shows: string;
      /** Something arrives, only not what it should. */
      readonly arrives: boolean;
      /** Where the fault is, and what to look at, likeliest first. */
      readonly look: readonly string[];
    };

/** What a lamp says nothing of. */
const BY_METER: readonly LeadSpot[] = ['ground', 'output'];
/** Below this nothing arrives at all, V. */
const NOTHING_V = 1;

/**
 * Whether the newest reading of a check passes, and what it points to where it does not. A lamp tells live from dead and nothing
 * of what the lead loses: lit passes, and says so; dim does not.
 *
 * @param currentA what flows with the load on, A
 */
export function judgeCheck(
  check: ProofCheck,
  readings: readonly Reading[],
  currentA: number,
): CheckStanding {
  const reading = readings.findLast(
    (one) => one.sourceId === check.pointId && placeOf(one.state) === placeOf(check.state),
  );
  if (reading === undefined) return { is: 'open' };
  const seen = seenIn(reading);
  // A lamp is as dark over a tenth of a volt as over two, and as bright on five volts as on seven.
  if (seen === undefined || (seen.volts === undefined && BY_METER.includes(check.spot)))
    return { is: 'open' };
  const { id: readingId } = reading;
  const good =
    check.leastV === undefined
      ? seen.volts === undefined
        ? seen.glow === 'dark'
        : Math.abs(seen.volts) <= (check.mostV ?? 0)
      : seen.volts === undefined
        ? seen.glow === 'lit'
        : seen.volts >= check.leastV && seen.volts <= (check.mostV ?? Infinity);
  return good
    ? { is: 'passed', readingId, shows: seen.shows }
    : {
        ...{ is: 'failed', readingId, shows: seen.shows, arrives: arrivesIn(seen) },
        look: lookAt(check, seen, currentA),
      };
}

function arrivesIn(seen: Seen): boolean {
  return seen.volts === undefined ? seen.glow === 'dim' : Math.abs(seen.volts) > NOTHING_V;
}

interface Seen {
  readonly volts: number | undefined;
  readonly glow: 'lit' | 'dim' | 'dark' | undefined;
  readonly shows: string;
}

/** What counts as a measurement here: volts from ground, or how a lamp burns. */
function seenIn({ value, clip }: Reading): Seen | undefined {
  if (clip === 'constant') return undefined;
  if (value.kind === 'volts')
    return { volts: value.volts, glow: undefined, shows: `${value.volts.toFixed(2)} V` };
  if (value.kind !== 'glow' && value.kind !== 'led') return undefined;
  const glow = value.glow === 'lit' || value.glow === 'dark' ? value.glow : 'dim';
  return { volts: undefined, glow, shows: `lamp ${value.glow}` };
}

function lookAt(check: ProofCheck, seen: Seen, currentA: number): readonly string[] {
  if (check.spot === 'ground') return GROUND;
  if (check.spot === 'output')
    return seen.volts !== undefined && seen.volts > NOTHING_V ? OUTPUT : NO_OUTPUT;
  if (check.leastV === undefined) return check.spot === 'endAddedOut' ? OTHER_WAY_IN : LIVE_ANYWAY;
  const arrives = arrivesIn(seen);
  if (check.spot === 'original') return arrives ? ORIGINAL_WEAK : ORIGINAL_DEAD;
  if (!arrives) return check.spot === 'endOriginalOut' ? TURNED : NOTHING;
  if (seen.volts === undefined || currentA <= 0) return WEAK;
  const extraOhm = (check.expectV - seen.volts) / currentA;
  return [
    `${(check.expectV - seen.volts).toFixed(2)} V more than the lead should lose: about ${extraOhm.toFixed(2)} Ω too much at ${currentA} A.`,
    ...WEAK,
  ];
}

const NOTHING = [
  'Added fuse: in its place, whole, in the outer place of the tap.',
  'The car in the state that is asked for; the source read live again without the lead.',
  'Crimp at the tap: tug it; then the joint at the far end.',
];
const TURNED = [
  'The tap is the wrong way round: both loads run through the original fuse. Key off, turn it.',
  'Line blade in a contact that the supply does not enter: read both contacts of the empty slot again.',
];
const WEAK = [
  'Ground first: meter between the device’s ground and the battery’s minus, load on.',
  'Crimps and the holder: what is warm after a minute is it.',
  'Strands cut while stripping, or a thinner lead than was planned.',
];
const LIVE_ANYWAY = [
  'It is another circuit than was taken: read the source in this state again.',
  'The lead has a second feed: the added lead alone, device unplugged.',
  'Retained: driver’s door open, wait for the car, read again.',
];
const OTHER_WAY_IN = [
  'Current comes by another way: a second feed, or the device’s other lead through it.',
];
const ORIGINAL_DEAD = [
  'The original fuse: in the place nearest the blades, whole, the rating that was there.',
  'The tap’s blades: both in their contacts, pushed home.',
];
const ORIGINAL_WEAK = ['The tap’s blades and the old contacts: seated, not spread, not burnt.'];
const NO_OUTPUT = [
  'Its input first: this state, at the converter’s own plug.',
  'Its fuse inside, and its ground lead.',
];
const OUTPUT = [
  'Unplug what it feeds and read again: right by itself, it is overloaded.',
  'Its setting: some give 5 V or 12 V by a switch or a bridge.',
  'Above its volts: take it out before it takes what it feeds along.',
];
const GROUND = [
  'Bare metal, a toothed washer, the ring crimped and tight.',
  'Another point: a factory stud that carries no airbag unit.',
];
