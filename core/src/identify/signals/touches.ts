import { isSignal, meetsProbability } from '../need/needs';
import type { PlanInput } from '../plan/nextAction';
import type { Verdict } from '../verdict/verdict';
import { stateId } from '../../vehicle';
import type { OpenNeed } from './allotWires';
import { wantedPlaces } from './allotWires';
import { arrivalSeconds, dueSeconds, touchSeconds } from './lookSeconds';
import type { Look } from './looks';
import { LOOKS } from './looks';
import type { Leader } from './onceSeen';
import { leaderOf } from './onceSeen';
import { isPlainLook, mayTouch, worthOf } from './worth';

/** A look with the wires worth touching. */
export interface Touches {
  readonly look: Look;
  /** Best first. */
  readonly wires: readonly Verdict[];
  readonly seconds: number;
  /** Of them, until the first is read. */
  readonly firstSeconds: number;
  /** Bits per second. */
  readonly rate: number;
}

/** So many wires are named in one instruction: what they show may save the others. */
const MOST_AT_ONCE = 6;
/**
 * A look in the state that the car is in counts for so much more: what is left undone here costs the way back. Chosen on
 * bunches 301 to 350 of both generators, between 1 and 3.
 */
const STAYING = 2;
/** What the risk and noise of a state are worth in seconds of other work. Our own choice. */
const RISKY: Partial<Record<Look['place'], number>> = { crank: 20, engine: 20 };

/** A need with the wire, if any, that only what it must be seen at stands before. */
interface Sought extends OpenNeed {
  readonly leader: Leader | undefined;
}

/**
 * Every look with the wires that are worth touching at it.
 *
 * @param least bits below which a wire is not worth a touch
 */
export function touchesFor(needs: readonly OpenNeed[], input: PlanInput, least: number): Touches[] {
  const sought = soughtOf(needs, input);
  return looksFor(needs, input).flatMap(
    (look) => touchesAt(look, worthAt(look, sought, { input, least }), input) ?? [],
  );
}

function soughtOf(needs: readonly OpenNeed[], input: PlanInput): Sought[] {
  return needs.map((need) => {
    const leader = leaderOf(need, input.until);
    return {
      ...need,
      leader,
      leftFor:
        leader === undefined
          ? need.leftFor
          : (wire) => (wire === leader.wire ? 1 : 1 - leader.chance),
    };
  });
}

/**
 * What finding a wire is worth, s: without it the lead's partner is looked for elsewhere in the car, or a module is fitted. Chosen
 * on bunches 301 to 350 of both generators, between 600, which missed six of the starter's leads in 280, and 6000.
 */
const FINDING_SECONDS = 2000;

/**
 * Whether a need is still worth a touch: at some look the chance that the wires touched there give it comes to more than the
 * work.
 */
export function isWorthGoingOn(need: OpenNeed, input: PlanInput, least: number): boolean {
  const sought = soughtOf([need], input);
  return looksFor([need], input).some((look) => {
    // Nobody works while a car falls asleep.
    let gain = look.state.asleep ? 0 : -arrivalSeconds(look, input);
    return worthAt(look, sought, { input, least })
      .map(([wire]) => ({ wire, chance: meetsProbability(need.wanted, wire.posterior) }))
      .sort((left, right) => right.chance - left.chance)
      .some(({ wire, chance }, index) => {
        gain += chance * FINDING_SECONDS - touchSeconds(look, wire.sourceId, { index, input });
        return gain > 0;
      });
  });
}

/** The looks that a need asks for, by what is at hand. */
function looksFor(needs: readonly OpenNeed[], { lamp }: PlanInput): Look[] {
  return LOOKS.filter((look) => (lamp || look.by !== 'lamp') && isAskedFor(look, needs));
}

/** Looks that only a need which must see them is worth: nobody lifts a wheel for anything but the speed signal. */
const ON_DEMAND: readonly Look['place'][] = ['rolling', 'highBeam', 'tuner', 'otherSource'];

function isAskedFor({ place, state, by }: Look, needs: readonly OpenNeed[]): boolean {
  if (by === 'lamp') return needs.some(({ wanted }) => !isSignal(wanted.need));
  // Accessory with the lamps on tells the low beam from lamps that only want the key on, and nothing else.
  if (place === 'lamps' && state.key === 'acc')
    return needs.some(({ wanted }) => wanted.need.role === 'lowBeam');
  // With the door shut nothing else changes.
  if (place === 'run' && state.driverDoor === 'closed')
    return needs.some(({ wanted }) => wanted.need.role === 'door');
  return !ON_DEMAND.includes(place) || needs.some(({ wanted }) => wanted.mustSee.includes(place));
}

/** Worth of each wire at a look to all open needs together, bits; most first, but for the wire that the probe sits on. */
function worthAt(
  look: Look,
  sought: readonly Sought[],
  { input, least }: { readonly input: PlanInput; readonly least: number },
): (readonly [wire: Verdict, bits: number])[] {
  const worth = new Map<Verdict, number>();
  for (const { wanted, wires, leftFor, leader } of sought)
    for (const wire of wires) {
      if (!mayTouch(look, wire)) continue;
      if (leader?.wire === wire && !isWanted(look, { wanted, wires }, input)) continue;
      const bits = leftFor(wire) * worthOf(look, { wire, wanted, until: input.until });
      if (bits >= least) worth.set(wire, (worth.get(wire) ?? 0) + bits);
    }
  const isHere = (wire: Verdict): number => (wire.sourceId === input.on ? 1 : 0);
  return [...worth].sort(
    ([one, left], [other, right]) => isHere(other) - isHere(one) || right - left,
  );
}

function isWanted(
  look: Look,
  { wanted, wires: [first] }: Pick<OpenNeed, 'wanted' | 'wires'>,
  input: PlanInput,
): boolean {
  return (
    first !== undefined &&
    isPlainLook(look) &&
    wantedPlaces(wanted, first, input.until).includes(look.place)
  );
}

/** So many of the wires that the look tells most per second. */
function touchesAt(
  look: Look,
  ranked: readonly (readonly [wire: Verdict, bits: number])[],
  input: PlanInput,
): Touches | undefined {
  const arrive = arrivalSeconds(look, input);
  const risk = (RISKY[look.place] ?? 0) - dueSeconds(look, input);
  let [best, bits, seconds] = [{ rate: 0, count: 0, seconds: 0 }, 0, arrive];
  ranked.forEach(([{ sourceId }, worth], index) => {
    bits += worth;
    seconds += touchSeconds(look, sourceId, { index, input });
    const rate = bits / (seconds + risk);
    if (rate >= best.rate && index < MOST_AT_ONCE) best = { rate, count: index + 1, seconds };
    else if (rate >= best.rate) best = { ...best, rate };
  });
  if (best.count === 0) return undefined;
  return {
    look,
    wires: ranked.slice(0, best.count).map(([wire]) => wire),
    seconds: best.seconds,
    firstSeconds: arrive + touchSeconds(look, ranked[0]?.[0].sourceId ?? '', { index: 0, input }),
    rate: best.rate * (staysAt(look, input) ? STAYING : 1),
  };
}

function staysAt({ id, clip, by }: Look, { state, clip: now = 'ground' }: PlanInput): boolean {
  return by === 'meter' && clip === now && id === stateId(state);
}
