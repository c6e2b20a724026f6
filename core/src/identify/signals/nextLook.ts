import { HYPOTHESES } from '../circuit/hypotheses';
import type { StateEvidence } from '../belief/stateEvidence';
import type { Posterior } from '../belief/posterior';
import type { Meeting } from '../need/needs';
import { TRIGGERS, isTrigger } from '../need/triggers';
import type { Plan, PlanInput } from '../plan/nextAction';
import type { Reading } from '../reading/reading';
import { isPlain, senseOf } from '../reading/reading';
import type { Verdict } from '../verdict/verdict';
import { WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import { stateAt, stateId } from '../../vehicle';
import type { OpenNeed } from './allotWires';
import { allotWires, isAlmostSure, wantedPlaces } from './allotWires';
import type { Kinds, Shows } from './bits';
import { bitsFor, showsAfter, showsAt } from './bits';
import type { Look } from './looks';
import { LOOKS } from './looks';
import type { Touches } from './touches';
import { sayDeferred, sayLook, sayNotThere } from './say';

/** So many wires are named in one instruction: what they show may save the others. */
const MOST_AT_ONCE = 6;
/** A look that tells less than this of a wire is not worth a touch, bits. */
const WORTH_A_TOUCH = 0.001;
/** What seeing a leading wire where it must be seen is worth, bits. */
const MUST_SEE_BITS = 0.4;
/** So often one wire is touched in one state with one instrument. */
const MOST_TOUCHES = 2;
/** And what a second touch is worth, bits. */
const AGAIN_BITS = 0.02;
/** Clipping the probe on, so that both hands are free, s. Common practice. */
const CLIP_ON_SECONDS = 6;

/**
 * The next look at a bunch in which signals are searched for: of every state of the car, every instrument and every number
 * of wires, the one that tells most per second about the needs that are open, all of them together. A need is given up
 * when no wire may give it any more.
 *
 * @param input its candidates are wires only
 */
export function nextLook(input: PlanInput): Plan {
  const { filled, open } = allotWires(input);
  const pursued = new Map(
    open.flatMap(({ meeting, wires }) =>
      wires[0] === undefined ? [] : [[meeting.need.id, wires[0].sourceId] as const],
    ),
  );
  if (open.length === 0)
    return {
      filled,
      pursued,
      next: {
        kind: 'filled',
        instruction: 'Every lead has its wire. Go on and choose the joints.',
      },
    };
  const all = touchesFor(open, input);
  const best = bestOf(all.filter(({ look }) => !input.cannot.includes(look.place)));
  if (best !== undefined) return { filled, pursued, next: sayLook(best, open, input) };
  const places = [...new Set(all.map(({ look }) => look.place))];
  return {
    filled,
    pursued,
    next:
      places.length > 0
        ? sayDeferred(places)
        : sayNotThere(
            open.map(({ meeting }) => meeting.need),
            input,
          ),
  };
}

function bestOf(touches: readonly Touches[]): Touches | undefined {
  return touches.reduce<Touches | undefined>(
    (best, one) => (best === undefined || one.rate > best.rate ? one : best),
    undefined,
  );
}

function touchesFor(open: readonly OpenNeed[], input: PlanInput): Touches[] {
  // Nobody lifts a wheel for anything but the speed signal.
  const lifts = open.some(({ meeting }) => meeting.mustSee.includes('rolling'));
  return LOOKS.filter(({ place }) => lifts || place !== 'rolling').flatMap(
    (look) => touchesAt(look, open, input) ?? [],
  );
}

function touchesAt(look: Look, open: readonly OpenNeed[], input: PlanInput): Touches | undefined {
  const worth = new Map<Verdict, number>();
  for (const { meeting, wires, leftFor } of open)
    for (const wire of wires) {
      if (!mayTouch(look, wire)) continue;
      const bits = leftFor(wire) * worthOf(look, { wire, meeting, until: input.until });
      if (bits >= WORTH_A_TOUCH) worth.set(wire, (worth.get(wire) ?? 0) + bits);
    }
  const ranked = [...worth].sort(([, left], [, right]) => right - left);
  const arrive =
    changeSeconds(input.state, look.state) + clipSeconds(look, input) + (RISKY[look.place] ?? 0);
  const perTouch = (index: number): number =>
    touchSeconds(look, input) + (index > 0 ? againSeconds(look, input) : 0);
  let [best, bits, seconds] = [{ rate: 0, count: 0 }, 0, arrive];
  ranked.forEach(([, worthOfIt], index) => {
    bits += worthOfIt;
    seconds += perTouch(index);
    if (bits / seconds >= best.rate) best = { rate: bits / seconds, count: index + 1 };
  });
  if (best.count === 0) return undefined;
  const wires = ranked.slice(0, Math.min(best.count, MOST_AT_ONCE)).map(([wire]) => wire);
  const risk = RISKY[look.place] ?? 0;
  const work = wires.reduce((sum, _, index) => sum + perTouch(index), arrive - risk);
  return { look, wires, seconds: work, rate: best.rate };
}

/** What the risk and noise of a state are worth in seconds of other work. Our own choice. */
const RISKY: Partial<Record<Look['place'], number>> = { crank: 20, engine: 20 };

function worthOf(
  look: Look,
  { wire, meeting, until }: { wire: Verdict; meeting: Meeting; until: PlanInput['until'] },
): number {
  const before = wire.posterior.evidence.find(({ id }) => id === stateId(look.state));
  const same = before?.readings.filter((one) => isBy(look, one)).length ?? 0;
  if (same > 0) return isAgain(look, same, { meeting, wire }) ? AGAIN_BITS : 0;
  const bits = keptBits(look, before, { meeting, wire });
  const wanted = isPlainLook(look) && wantedPlaces(meeting, wire, until).includes(look.place);
  return wanted ? Math.max(bits, MUST_SEE_BITS) : bits;
}

/** Bits by look and need, as long as nothing more is read at the wire. */
const BITS = new WeakMap<Posterior, Map<string, number>>();

function keptBits(
  look: Look,
  before: StateEvidence | undefined,
  { meeting, wire }: { readonly meeting: Meeting; readonly wire: Verdict },
): number {
  const kept = BITS.get(wire.posterior) ?? new Map<string, number>();
  BITS.set(wire.posterior, kept);
  const { id: _name, excluded: _out, ...asked } = meeting.need;
  const key = `${LOOKS.indexOf(look)} ${JSON.stringify(asked)}`;
  const known = kept.get(key);
  if (known !== undefined) return known;
  const need = { serving: meeting.serving(wire.posterior), kinds: kindsOf(meeting) };
  const bits = bitsFor(wire.posterior, need, showsFor(look, before));
  kept.set(key, bits);
  return bits;
}

/** A touch that may have missed the metal is worth another, once nothing else tells more. */
function isAgain(
  look: Look,
  same: number,
  { meeting, wire }: { readonly meeting: Meeting; readonly wire: Verdict },
): boolean {
  return (
    look.by === 'meter' &&
    same < MOST_TOUCHES &&
    meeting.mustSee.includes(look.place) &&
    isAlmostSure(meeting, wire)
  );
}

function isPlainLook({ by, clip }: Look): boolean {
  return by === 'meter' && clip === 'ground';
}

const KINDS_OF = new WeakMap<Meeting, Kinds>();

/** The ways in which a need may be served: each function that gives a trigger is one, so that its kind is told as well. */
function kindsOf(meeting: Meeting): Kinds {
  const known = KINDS_OF.get(meeting);
  if (known !== undefined) return known;
  const { role } = meeting.need;
  const ways = isTrigger(role) ? TRIGGERS[role].functions : [];
  const of = Uint8Array.from([
    ...HYPOTHESES.map((one) => 1 + Math.max(0, ways.indexOf(one.function))),
    1,
  ]);
  const kinds = { of, count: 1 + Math.max(1, ways.length) };
  KINDS_OF.set(meeting, kinds);
  return kinds;
}

const KNOWN = new Map<Look, Shows>();

function showsFor(look: Look, before: StateEvidence | undefined): Shows {
  if (before !== undefined) return showsAfter(look, before);
  const shows = KNOWN.get(look) ?? showsAt(look);
  KNOWN.set(look, shows);
  return shows;
}

/** Whether a reading was taken as a look asks for it. */
function isBy(look: Look, { value, clip = 'ground' }: Reading): boolean {
  return (value.kind === 'ohms') === (look.by === 'ohmmeter') && clip === look.clip;
}

/** An ohmmeter drives a current: only through what was read dead, and is no data or sensor line. */
const FENCED = 0.02;

function mayTouch(look: Look, { posterior: given }: Verdict): boolean {
  if (look.by === 'meter') return true;
  return (
    given.functions.dataBus + given.functions.sensor < FENCED &&
    given.evidence.some(isDeadAtRest) &&
    given.evidence.every((one) => one.state.key !== 'off' || one.readings.every(isDead))
  );
}

/** Read against ground with nothing worked, and dead. */
function isDeadAtRest({ id, readings }: StateEvidence): boolean {
  return AT_REST.has(id) && readings.some((one) => isPlain(one) && senseOf(one) === 'dead');
}

const AT_REST = new Set([stateId(stateAt('off')), stateId(stateAt('run'))]);

function isDead(reading: Reading): boolean {
  return !isPlain(reading) || senseOf(reading) === 'dead';
}

/** Moving the clip, or changing the range. */
function clipSeconds({ clip, by }: Look, { clip: now = 'ground' }: PlanInput): number {
  return (clip === now ? 0 : WORK_SECONDS.clip) + (by === 'ohmmeter' ? WORK_SECONDS.clip : 0);
}

function touchSeconds({ held }: Look, { alone = false }: PlanInput): number {
  return WORK_SECONDS.probe + (held && alone ? CLIP_ON_SECONDS : 0);
}

/** Alone, what must be held is let go before the next wire is clipped on. */
function againSeconds(look: Look, { alone = false }: PlanInput): number {
  if (!look.held || !alone) return 0;
  return look.place === 'crank' ? WORK_SECONDS.crank : WORK_SECONDS.action;
}
