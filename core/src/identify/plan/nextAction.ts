import type { StitchPlace, VehicleState } from '../../vehicle';
import { PLACE_WORDS, placeOf } from '../../vehicle';
import type { FindScope } from '../need/findScope';
import { allot } from './allot';
import type { Pursuit } from './pursuit';
import { LAMP_BECAUSE, LAMP_CAUTION } from './lampWords';
import { hasGhost, isPulledUpAt } from '../verdict/settled';
import type { Reading } from '../reading/reading';
import { expectation } from '../need/doubt';
import { WAITS, nextVisit } from './nextVisit';
import type { OrderOfVisits } from './orderOfVisits';
import { WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import { visitState } from '../visit/visitState';
import { listed, raised } from './sentence';

/** One visit to a vehicle state and the probes worth making in it. */
export interface Visit {
  /** The state that it is in there. */
  readonly state: VehicleState;
  /** Where the car is brought to. */
  readonly place: StitchPlace;
  /** Sources to be touched, in order. */
  readonly sourceIds: readonly string[];
  /** Those of them to be touched with the lamp, because a meter showed a ghost there, or what may be a pull-up. */
  readonly withLamp: readonly string[];
  /** Seconds of work, change of state included. */
  readonly seconds: number;
  /** Of them, until the first source is read: what it shows may change the plan. */
  readonly firstSeconds: number;
  /** What they are touched with; left out: whatever is in hand. */
  readonly instrument?: 'meter' | 'ohmmeter' | 'lamp';
  /** Where its other end sits; left out: ground. */
  readonly clip?: 'ground' | 'constant';
}

/** Everything the planner looks at. */
export interface PlanInput extends FindScope {
  /** Where the car stands now. */
  readonly state: VehicleState;
  /** Places the installer can't or won't bring the car to now, e.g. no cranking indoors. */
  readonly cannot: readonly StitchPlace[];
  /** A filament lamp is at hand beside the meter. */
  readonly lamp: boolean;
  /** Works out the cheapest order of visits. */
  readonly order: OrderOfVisits;
  /** Where the instrument is clipped now; left out: ground. */
  readonly clip?: 'ground' | 'constant';
  /** Nobody else is there to hold a pedal or a switch; left out: somebody is. */
  readonly alone?: boolean;
  /** The source that the probe sits on still. */
  readonly on?: string | undefined;
  /** Those that count: what two wires showed together is no single wire's. Left out: none. */
  readonly readings?: readonly Reading[];
  /** No 9 V source is at hand; left out: one is. */
  readonly noPop?: boolean;
  /** A wheel hangs free already. */
  readonly lifted?: boolean;
}

/** What to do next. */
export type NextAction =
  | {
      readonly kind: 'visit';
      readonly visit: Visit;
      /** One sentence: what to do with the car and the probe. */
      readonly instruction: string;
      readonly because: string;
      /** What can hurt in this very step; undefined when nothing in particular. */
      readonly caution: string | undefined;
    }
  | {
      /** Ask the handbook what it says of a source, and enter its words, or that it says nothing. */
      readonly kind: 'handbook';
      readonly sourceId: string;
      /** Attended seconds that it takes. */
      readonly seconds: number;
      readonly instruction: string;
      readonly because: string;
    }
  | {
      /** Try two cut wires together, for the leads of one speaker. */
      readonly kind: 'pair';
      /** Speakers' leads that it is tried for. */
      readonly needIds: readonly string[];
      /** With 9 V, plus on the first, or with the ohmmeter. */
      readonly by: 'pop' | 'ohms';
      readonly plusId: string;
      readonly minusId: string;
      /** State that the car is brought to: an ohmmeter wants the key off. */
      readonly state: VehicleState;
      /** Attended seconds that it takes. */
      readonly seconds: number;
      readonly instruction: string;
      readonly because: string;
      readonly caution: string;
    }
  | {
      readonly kind: 'deferred';
      /** Places that would settle what is open, all set aside by the installer. */
      readonly places: readonly StitchPlace[];
      readonly instruction: string;
    }
  | { readonly kind: 'filled'; readonly instruction: string }
  | {
      readonly kind: 'exhausted';
      readonly needIds: readonly string[];
      readonly instruction: string;
    };

/** A plan: what to do next, and what the feeds rest on so far. */
export interface Plan {
  /** What to do now. */
  readonly next: NextAction;
  /** Needs that have a source, by need id. */
  readonly filled: ReadonlyMap<string, string>;
  /** Sources followed up for needs that are still open, by need id. */
  readonly pursued: ReadonlyMap<string, string>;
}

/**
 * The next visit. Every open need follows up its best source, by worth per expected second; among the places that
 * those sources still have to be read at, the one that takes most doubt away per second comes first, and every
 * followed source that needs it is read there. Cranking and sleep come last by what they cost.
 */
export function nextTest(input: PlanInput): Plan {
  const plan = nextTestAmong(input, false);
  // What is expected to settle nothing may settle it all the same: the last word is not said before that was read.
  return plan.next.kind === 'exhausted' ? nextTestAmong(input, true) : plan;
}

function nextTestAmong(input: PlanInput, evenUnsettled: boolean): Plan {
  const { filled, leaders } = allot(input, { ...input, evenUnsettled });
  const pursued = new Map(leaders.map((one) => [one.wanted.need.id, one.verdict.sourceId]));
  const open = input.needs.filter((wanted) => !filled.has(wanted.need.id));
  if (open.length === 0)
    return {
      filled,
      pursued,
      next: {
        kind: 'filled',
        instruction: 'Every feed has a source. Go on and choose the taps.',
      },
    };
  const best = bestVisit(leaders, input, (place) => !input.cannot.includes(place));
  const asked = leaders.find((one) => isWorthAsking(one, best, input));
  if (asked !== undefined) return { filled, pursued, next: askHandbook(asked, input) };
  if (best !== undefined) return { filled, pursued, next: asAction(best, input) };
  const places = [...new Set(leaders.flatMap((one) => one.checks.map((check) => check.place)))];
  if (places.length > 0) return { filled, pursued, next: deferredTo(places) };
  return {
    filled,
    pursued,
    next: {
      kind: 'exhausted',
      needIds: open.map((wanted) => wanted.need.id),
      instruction: 'No slot left that could serve. Try another panel or a wire in the harness.',
    },
  };
}

function bestVisit(
  leaders: readonly Pursuit[],
  input: PlanInput,
  allowed: (place: StitchPlace) => boolean,
): Visit | undefined {
  const next = nextVisit(leaders, { state: input.state, allowed, order: input.order });
  if (next === undefined) return undefined;
  const place = isRashWait(next.place, leaders, input) ? placeOf(input.state) : next.place;
  const stays = placeOf(input.state) === place;
  const state = stays ? input.state : visitState(place, input.state);
  const gainOf = (one: Pursuit): number =>
    one.checks.find((check) => check.place === place)?.gain ?? 0;
  const sourceIds = [...next.pursuits]
    .sort((left, right) => gainOf(right) - gainOf(left))
    .map((one) => one.verdict.sourceId);
  const arrive = changeSeconds(input.state, state);
  const withLamp = input.lamp
    ? sourceIds.filter((id) => {
        const verdict = input.verdicts.get(id);
        if (verdict === undefined) return false;
        return hasGhost(place, verdict) || isPulledUpAt(place, verdict);
      })
    : [];
  return {
    ...{ place, state, sourceIds, withLamp },
    seconds: arrive + sourceIds.length * WORK_SECONDS.probe,
    firstSeconds: arrive + WORK_SECONDS.probe,
  };
}

/**
 * Whether the very first step would be a wait. Nobody waits half an hour with a tester that has shown nothing yet:
 * one look where the car stands comes first.
 */
function isRashWait(place: StitchPlace, leaders: readonly Pursuit[], input: PlanInput): boolean {
  if (!WAITS.includes(place)) return false;
  const here = placeOf(input.state);
  const isFirst = [...input.verdicts.values()].every((one) => one.posterior.evidence.length === 0);
  return (
    isFirst &&
    !WAITS.includes(here) &&
    !input.cannot.includes(here) &&
    leaders.some((one) => expectation(one.wanted, one.verdict, here) !== undefined)
  );
}

/**
 * Whether the handbook is asked about a source now: nothing but dear readings, or none, are left on it, and none of
 * the readings that the plan would take next is cheaper.
 */
function isWorthAsking(one: Pursuit, best: Visit | undefined, input: PlanInput): boolean {
  if (!one.lookUp) return false;
  const open = one.checks.filter(({ place }) => !input.cannot.includes(place));
  return open.every(({ place }) => isDear(place)) && (best === undefined || isDear(best.place));
}

/** Cranking and waiting cost more than a look into a book. */
function isDear(place: StitchPlace): boolean {
  return place === 'crank' || WAITS.includes(place);
}

function askHandbook({ verdict, danger }: Pursuit, input: PlanInput): NextAction {
  const source = input.sources.get(verdict.sourceId);
  const name = source?.name ?? verdict.sourceId;
  const chance = Math.max(1, Math.round(100 * danger));
  return {
    kind: 'handbook',
    sourceId: verdict.sourceId,
    seconds: WORK_SECONDS.lookUp,
    instruction: `Look up ${name} in the handbook or on the fuse table, and enter what it says.`,
    because:
      input.classes.get(verdict.sourceId) === 'unknown'
        ? `Its legend can’t be read; with what was measured it is safety-critical with a chance of ${chance} %.`
        : `With what was measured it is safety-critical with a chance of ${chance} %, whatever its legend says.`,
  };
}

function asAction(visit: Visit, input: PlanInput): NextAction {
  const names = visit.sourceIds.map((id) => {
    const name = input.sources.get(id)?.name ?? id;
    return visit.withLamp.includes(id) ? `${name} with the lamp` : name;
  });
  const stays = placeOf(input.state) === visit.place;
  const probe = `touch ${listed(names)}`;
  return {
    kind: 'visit',
    visit,
    instruction: stays ? raised(`${probe}.`) : `${ARRIVE[visit.place]}, then ${probe}.`,
    because: becauseOf(visit, input),
    caution: cautionOf(visit, input),
  };
}

function cautionOf(visit: Visit, input: PlanInput): string | undefined {
  const cautions = [CAUTIONS[visit.place], loadsWire(visit, input) ? LAMP_CAUTION : undefined];
  return cautions.filter((one) => one !== undefined).join(' ') || undefined;
}

/** Whether the lamp is to tell a supply from a pull-up, and not from a ghost. */
function loadsWire({ place, withLamp }: Visit, { verdicts }: PlanInput): boolean {
  return withLamp.some((id) => {
    const verdict = verdicts.get(id);
    return verdict !== undefined && isPulledUpAt(place, verdict);
  });
}

function deferredTo(places: readonly StitchPlace[]): NextAction {
  return {
    kind: 'deferred',
    places,
    instruction: `Left for later: ${places.map((place) => PLACE_WORDS[place]).join(', ')}.`,
  };
}

const ARRIVE: Record<StitchPlace, string> = {
  asleep: 'Lock the car, wait until it sleeps',
  // In some cars a door that stood open already does not end retained power: it must be opened after key-off.
  off: 'Key off, open the driver’s door now',
  acc: 'Key to accessory',
  run: 'Key to run',
  crank: 'Crank the engine',
  lamps: 'Key to run, parking lamps on',
  justOff: 'Shut the door, key to run and off again',
  engine: 'Start the engine',
  waited: 'Key off, wait ten minutes',
  dimmed: 'Parking lamps on, dimmer down',
  brake: 'Press the brake pedal',
  reverse: 'Key to run, parking brake on, select reverse',
  parkingBrake: 'Parking brake on',
  lock: 'Hold the lock switch at lock',
  unlock: 'Hold the lock switch at unlock',
  hazard: 'Hazard lamps on',
  hood: 'Open the hood',
  turnLeft: 'Key to run, turn lever to the left',
  turnRight: 'Key to run, turn lever to the right',
  horn: 'Press the horn',
  wiper: 'Key to run, wiper on',
  rolling: 'Key to run, turn the lifted wheel by hand',
  highBeam: 'Key to run, main beam on',
  tuner: 'Key to run, the car’s radio on a station',
  otherSource: 'Key to run, the car’s radio on anything but a station',
  everything: 'Key to run, everything on',
};

/** Cautions of the step itself; the vehicle maker's service information comes first. */
const CAUTIONS: Partial<Record<StitchPlace, string>> = {
  crank:
    'Neutral or park, brake on, nobody near belts and fan, never in a closed room. Feeds drop while cranking.',
  engine: 'Exhaust gas: only in the open or with extraction. Keep clear of belts and fan.',
  reverse: 'Wheels chocked, parking brake on, engine off: the car must not roll.',
};

/** Why this visit: the look-alikes it separates on its first source, or simply what is not known yet. */
function becauseOf(visit: Visit, input: PlanInput): string {
  const first = visit.sourceIds[0];
  const verdict = first === undefined ? undefined : input.verdicts.get(first);
  const missing = verdict?.missing.find((one) => one.place === visit.place);
  if (verdict?.claim !== undefined && verdict?.status === 'unread')
    return 'The log of this model names it; this confirms it for this car.';
  if (loadsWire(visit, input)) return LAMP_BECAUSE;
  if (visit.withLamp.length > 0)
    return 'A meter shows ghosts on an open wire; a ghost does not light a lamp.';
  if (missing !== undefined || verdict?.status === 'unresolved')
    return REASONS[visit.place] ?? 'Separates what the open feeds can’t tell apart yet.';
  return 'Tells most about the open feeds for the time it takes.';
}

const REASONS: Partial<Record<StitchPlace, string>> = {
  asleep: 'A constant stays live when the car sleeps; a timed one does not.',
  off: 'A switched feed is dead here; a constant is not.',
  acc: 'Accessory is live here; ignition is not.',
  run: 'Accessory and ignition are live here; starter and spare are not.',
  crank: 'Ignition held through cranking stays; accessory mostly drops.',
  lamps: 'Illumination wakes with the lamps and with nothing else.',
  justOff: 'Retained accessory stays live until a door opens; plain accessory does not.',
  engine: 'What must work on the road is live here.',
  waited: 'Shed loads and timers have dropped here.',
};
