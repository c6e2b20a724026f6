import { HYPOTHESES } from '../circuit/hypotheses';
import type { StateEvidence } from '../belief/stateEvidence';
import type { Posterior } from '../belief/posterior';
import type { PreparedNeed } from '../need/needs';
import { TRIGGERS, isTrigger } from '../need/triggers';
import type { PlanInput } from '../plan/nextAction';
import type { Reading } from '../reading/reading';
import { isPlain, senseOf } from '../reading/reading';
import { mayTakeLamp } from '../verdict/settled';
import type { Verdict } from '../verdict/verdict';
import { stateAt, stateId } from '../../vehicle';
import { isAlmostSure, wantedPlaces } from './allotWires';
import { askedBy } from './askedBy';
import type { Kinds, Shows } from './bits';
import { bitsFor, showsAfter, showsAt } from './bits';
import type { Look } from './looks';
import { LOOKS } from './looks';

/** What seeing a leading wire where it must be seen is worth, bits. */
const MUST_SEE_BITS = 0.4;
/** So often one wire is touched in one state with one instrument. */
const MOST_TOUCHES = 2;
/** And what a second touch is worth, bits. */
const AGAIN_BITS = 0.02;

/** A wire and a need that it may serve. */
export interface Asked {
  readonly wire: Verdict;
  readonly wanted: PreparedNeed;
  readonly until: PlanInput['until'];
}

/** Worth by need and look, as long as nothing more is read at the wire; NaN where nobody has asked yet. */
const WORTH = {
  role: new WeakMap<Verdict, Map<string, Float64Array>>(),
  function: new WeakMap<Verdict, Map<string, Float64Array>>(),
};

/** What a look at a wire is worth to a need, bits; 0 where it tells nothing new. */
export function worthOf(look: Look, asked: Asked): number {
  const kept = byLook(WORTH[asked.until], asked.wire, askedBy(asked.wanted));
  const number = numberOf(look);
  const known = kept[number] ?? NaN;
  if (!Number.isNaN(known)) return known;
  const worth = workOutWorth(look, asked);
  kept[number] = worth;
  return worth;
}

function workOutWorth(look: Look, asked: Asked): number {
  const { wire } = asked;
  const times = timesRead(look, wire);
  if (times >= MOST_TOUCHES) return 0;
  if (times > 0) {
    if (isDue(look, asked)) return MUST_SEE_BITS;
    return isAgain(look, asked) ? AGAIN_BITS : 0;
  }
  const bits = Math.max(keptBits(look, asked), opensBits(look, asked));
  return bits < MUST_SEE_BITS && isDue(look, asked) ? MUST_SEE_BITS : bits;
}

/** Whether the wire must be seen at this look before it is taken for what the need wants. */
function isDue(look: Look, { wire, wanted, until }: Asked): boolean {
  return isPlainLook(look) && wantedPlaces(wanted, wire, until).includes(look.place);
}

/** Share of what a look would tell that counts for one which only opens it. Chosen on bunches 1 to 60, between 0.1 and 1. */
const OPENING = 0.1;
const OHMS = LOOKS.filter(({ by }) => by === 'ohmmeter');
const KEY_OFF = stateId(stateAt('off'));

/** What a look is worth for what it opens: an ohmmeter goes only on what was read dead with the key off, bits. */
function opensBits(look: Look, asked: Pick<Asked, 'wanted' | 'wire'>): number {
  const isKeyOff = isPlainLook(look) && look.id === KEY_OFF;
  if (!isKeyOff || seenOf(asked.wire).isDeadAtRest) return 0;
  return OPENING * Math.max(...OHMS.map((one) => keptBits(one, asked)));
}

/** Whether a wire may be read once more in this way. */
export function mayBeRead(look: Look, wire: Verdict): boolean {
  return timesRead(look, wire) < MOST_TOUCHES;
}

function timesRead(look: Look, wire: Verdict): number {
  return evidenceAt(look, wire)?.readings.filter((one) => isBy(look, one)).length ?? 0;
}

function evidenceAt(look: Look, wire: Verdict): StateEvidence | undefined {
  return seenOf(wire).byState.get(look.id);
}

/** What was read at a wire, looked through once: every look and need asks for it. */
interface Seen {
  readonly byState: ReadonlyMap<string, StateEvidence>;
  readonly isDeadAtRest: boolean;
  /** What each hypothesis would show in a state in which something was read. */
  readonly shows: Map<Look, Shows>;
}

const SEEN = new WeakMap<Posterior, Seen>();

function seenOf({ posterior }: Verdict): Seen {
  const known = SEEN.get(posterior);
  if (known !== undefined) return known;
  const { evidence } = posterior;
  const seen = {
    byState: new Map(evidence.map((one) => [one.id, one])),
    isDeadAtRest: evidence.some(isDeadAtRest),
    shows: new Map<Look, Shows>(),
  };
  SEEN.set(posterior, seen);
  return seen;
}

/** Bits by need and look, as long as nothing more is read at the wire; NaN where nobody has asked yet. */
const BITS = new WeakMap<Posterior, Map<string, Float64Array>>();
const NUMBER_OF = new Map(LOOKS.map((look, number) => [look, number]));

function keptBits(look: Look, { wanted, wire }: Pick<Asked, 'wanted' | 'wire'>): number {
  const number = numberOf(look);
  const kept = byLook(BITS, wire.posterior, askedBy(wanted));
  const known = kept[number] ?? NaN;
  if (!Number.isNaN(known)) return known;
  const need = { serving: wanted.serving(wire.posterior), kinds: kindsOf(wanted) };
  const bits = bitsFor(wire.posterior, need, showsFor(look, wire));
  kept[number] = bits;
  return bits;
}

function numberOf(look: Look): number {
  const number = NUMBER_OF.get(look);
  if (number === undefined) throw new RangeError(`${look.id} is none of the looks`);
  return number;
}

function byLook<K extends object>(
  all: WeakMap<K, Map<string, Float64Array>>,
  given: K,
  asked: string,
): Float64Array {
  const byNeed = all.get(given) ?? new Map<string, Float64Array>();
  all.set(given, byNeed);
  const kept = byNeed.get(asked) ?? new Float64Array(LOOKS.length).fill(NaN);
  byNeed.set(asked, kept);
  return kept;
}

/** A touch that may have missed the metal is worth another, once nothing else tells more. */
function isAgain(look: Look, { wanted, wire }: Pick<Asked, 'wanted' | 'wire'>): boolean {
  return look.by === 'meter' && wanted.mustSee.includes(look.place) && isAlmostSure(wanted, wire);
}

/** Whether a look is by a meter clipped to ground: only such a one counts as seen. */
export function isPlainLook({ by, clip }: Look): boolean {
  return by === 'meter' && clip === 'ground';
}

const KINDS_OF = new WeakMap<PreparedNeed, Kinds>();

/** The ways in which a need may be served: each function that gives a trigger is one, so that its kind is told as well. */
function kindsOf(wanted: PreparedNeed): Kinds {
  const known = KINDS_OF.get(wanted);
  if (known !== undefined) return known;
  const { role } = wanted.need;
  const ways = isTrigger(role) ? TRIGGERS[role].functions : [];
  const of = Uint8Array.from([
    ...HYPOTHESES.map((one) => 1 + Math.max(0, ways.indexOf(one.function))),
    1,
  ]);
  const kinds = { of, count: 1 + Math.max(1, ways.length) };
  KINDS_OF.set(wanted, kinds);
  return kinds;
}

const KNOWN = new Map<Look, Shows>();

/** What each hypothesis would show at a look at this wire. */
export function showsFor(look: Look, wire: Verdict): Shows {
  const before = evidenceAt(look, wire);
  const known = before === undefined ? KNOWN : seenOf(wire).shows;
  const shows =
    known.get(look) ?? (before === undefined ? showsAt(look) : showsAfter(look, before));
  known.set(look, shows);
  return shows;
}

/** Whether a reading was taken as a look asks for it; whoever has a lamp alone reads with it what a meter would. */
function isBy(look: Look, { value, clip = 'ground' }: Reading): boolean {
  if (clip !== look.clip) return false;
  if (look.by === 'lamp') return value.kind === 'glow';
  return (value.kind === 'ohms') === (look.by === 'ohmmeter');
}

/** An ohmmeter drives a current: only through what was read dead, and is no data or sensor line. */
const FENCED = 0.02;

/** Whether an instrument may be put on a wire, by all that was read at it. */
export function mayTouch(look: Look, wire: Verdict): boolean {
  const { posterior: given } = wire;
  if (look.by === 'meter') return true;
  if (look.by === 'lamp')
    return mayTakeLamp(wire) && evidenceAt(look, wire)?.readings.some(isAtBattery) === true;
  return (
    given.functions.dataBus + given.functions.sensor < FENCED &&
    seenOf(wire).isDeadAtRest &&
    given.evidence.every((one) => one.state.key !== 'off' || one.readings.every(isDead))
  );
}

/** Read against ground with nothing worked, and dead. */
function isDeadAtRest({ id, readings }: StateEvidence): boolean {
  return AT_REST.has(id) && readings.some((one) => isPlain(one) && senseOf(one) === 'dead');
}

const AT_REST = new Set([KEY_OFF, stateId(stateAt('run'))]);

function isAtBattery(reading: Reading): boolean {
  return reading.value.kind === 'volts' && isPlain(reading) && senseOf(reading) === 'live';
}

function isDead(reading: Reading): boolean {
  return !isPlain(reading) || senseOf(reading) === 'dead';
}
