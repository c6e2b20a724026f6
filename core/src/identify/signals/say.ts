import type { KeyPosition, StitchPlace } from '../../vehicle';
import { PLACE_WORDS, stateId } from '../../vehicle';
import type { Need } from '../need/needs';
import { meetsProbability } from '../need/needs';
import { LAMP_BECAUSE, LAMP_CAUTION } from '../plan/lampWords';
import type { NextAction, PlanInput } from '../plan/nextAction';
import { TRIGGER_NAMES } from './names';
import { isTrigger } from '../need/triggers';
import type { OpenNeed } from './allotWires';
import type { Verdict } from '../verdict/verdict';
import type { Look } from './looks';
import type { Touches } from './touches';
import { listed, raised } from '../plan/sentence';

/** A look as an instruction, with why and what can hurt. */
export function sayLook(
  { look, wires, seconds, firstSeconds }: Touches,
  open: readonly OpenNeed[],
  input: PlanInput,
): NextAction {
  const names = wires.map(({ sourceId }) => input.sources.get(sourceId)?.name ?? sourceId);
  const touch = `touch ${listed(names)}`;
  const stays = stateId(input.state) === stateId(look.state);
  const moved = (input.clip ?? 'ground') === look.clip && look.by === 'meter';
  const alone = look.held && input.alone === true;
  const arrive = [...(stays ? [] : [arriveAt(look, open)]), ...(moved ? [] : [CLIP[clipOf(look)]])];
  const sentence = alone
    ? `Clip the probe on ${listed(names)}${names.length > 1 ? ', one after the other' : ''}: ${lowered([...arrive, 'read'].join(', '))}.`
    : arrive.length === 0
      ? `${raised(touch)}.`
      : `${raised(arrive.join(', '))}, then ${touch}.`;
  return {
    kind: 'visit',
    visit: {
      place: look.place,
      state: look.state,
      sourceIds: wires.map(({ sourceId }) => sourceId),
      withLamp: look.by === 'lamp' ? wires.map(({ sourceId }) => sourceId) : [],
      seconds,
      firstSeconds,
      instrument: look.by,
      clip: look.clip,
    },
    instruction: sentence,
    because: reasonFor(look, open),
    caution: cautionFor(look, wires.length),
  };
}

type ClipName = 'ohms' | 'lamp' | 'constant' | 'ground';

function clipOf({ by, clip }: Look): ClipName {
  if (by === 'lamp') return 'lamp';
  return by === 'ohmmeter' ? 'ohms' : clip;
}

const CLIP: Record<ClipName, string> = {
  ohms: 'meter to ohms against bare metal',
  lamp: 'test lamp clipped to bare metal',
  constant: 'meter clipped to the battery’s plus or a proven constant',
  ground: 'meter clipped to bare metal, 20 V range',
};

function arriveAt({ place, state }: Look, open: readonly OpenNeed[]): string {
  if (place === 'run' && state.driverDoor === 'closed')
    return 'Key to run, driver’s door shut, everything else at rest';
  if (place === 'run' && open.some(({ wanted }) => OF_THE_RADIO.includes(wanted.need.role)))
    return 'Key to run, radio off, everything else at rest';
  if (place === 'lamps' && state.key !== 'run') return WITH_LAMPS[state.key] ?? WITH_LAMPS.off;
  return ARRIVE[place] ?? raised(PLACE_WORDS[place]);
}

/** What the radio itself drives: it often comes on with the key. */
const OF_THE_RADIO: readonly Need['role'][] = ['ampTurnOn', 'antennaTurnOn'];

const WITH_LAMPS: Partial<Record<KeyPosition, string>> & { readonly off: string } = {
  off: 'Key off, parking lamps on',
  acc: 'Key to accessory, low beam on',
};

const ARRIVE: Partial<Record<StitchPlace, string>> = {
  run: 'Key to run, everything else at rest',
  off: 'Key off, open the driver’s door now',
  acc: 'Key to accessory',
  lamps: 'Key to run, parking lamps on',
  dimmed: 'Key to run, parking lamps on, dimmer down',
  brake: 'Key to run, brake pedal pressed',
  reverse: 'Key to run, parking brake on, select reverse',
  parkingBrake: 'Key to run, parking brake on',
  hood: 'Key to run, hood open',
  lock: 'Key to run, hold the lock switch at lock',
  unlock: 'Key to run, hold the lock switch at unlock',
  horn: 'Key to run, press the horn',
  turnLeft: 'Key to run, turn lever to the left',
  turnRight: 'Key to run, turn lever to the right',
  wiper: 'Key to run, wiper on',
  rolling: 'Key to run, turn the lifted wheel by hand',
  highBeam: 'Key to run, main beam on',
  tuner: 'Key to run, the car’s radio on a station, volume down',
  otherSource: 'Key to run, the car’s radio on anything but a station, volume down',
  everything: 'Key to run; lamps, brake, reverse, parking brake on and the hood open, all at once',
  justOff: 'Shut the door, key to run and off again',
  engine: 'Start the engine',
  crank: 'Crank the engine',
  asleep: 'Lock the car, wait until it sleeps',
};

const CAUTIONS: Partial<Record<StitchPlace, string>> = {
  crank:
    'Neutral or park, brake on, nobody near belts and fan, never in a closed room. Feeds drop while cranking.',
  engine: 'Exhaust gas: only in the open or with extraction. Keep clear of belts and fan.',
  reverse: 'Wheels chocked, parking brake on, engine off: the car must not roll.',
  everything:
    'Wheels chocked, engine off: the car must not roll. Hands clear of the hood’s hinges.',
  rolling: 'Car on stands, other wheels chocked, gear out, engine off; never by the engine.',
  wiper: 'Arms off the glass or the glass wet; hands clear of the linkage.',
};

/** Bare ends are live, and a bunch may hold what must never be loaded. */
const TOUCHING =
  'Touch with the meter only, one wire at a time: no lamp, no 9 V on any of these. Yellow sleeves and airbag plugs stay shut.';

function cautionFor(look: Look, wires: number): string {
  const own = CAUTIONS[look.place];
  if (look.by === 'ohmmeter') return `Key off, and never on a live wire. ${TOUCHING}`;
  if (look.by === 'lamp') return LAMP_CAUTION;
  return own === undefined ? TOUCHING : `${own}${wires > 0 ? ` ${TOUCHING}` : ''}`;
}

function reasonFor(look: Look, open: readonly OpenNeed[]): string {
  if (look.by === 'ohmmeter')
    return 'A motor’s lead rests on ground itself; a trigger’s rests on a load or on nothing.';
  if (look.by === 'lamp') return LAMP_BECAUSE;
  if (look.clip === 'constant')
    return 'Clipped to the constant the meter shows the battery’s volts on what is tied to ground, and nothing on an open wire.';
  if (look.place === 'everything')
    return 'Whatever any of the open leads answers to answers now: what does not change is out.';
  const asked = open
    .map(({ wanted }) => wanted.need)
    .filter((need) => LOOKED_FOR[look.place]?.includes(need.role) === true)
    .map((need) => nameOf(need));
  if (asked.length > 0) return `${raised(listed(asked))} changes here, and little else does.`;
  return 'Tells most about the open leads for the time it takes.';
}

const LOOKED_FOR: Partial<Record<StitchPlace, readonly Need['role'][]>> = {
  lamps: ['parkingLamps', 'illumination', 'lowBeam'],
  brake: ['brake'],
  reverse: ['reverse'],
  parkingBrake: ['parkingBrake'],
  hood: ['hood'],
  lock: ['lock'],
  unlock: ['unlock'],
  horn: ['horn'],
  turnLeft: ['turnLeft'],
  turnRight: ['turnRight'],
  wiper: ['wiper'],
  rolling: ['speed'],
  engine: ['tach'],
  dimmed: ['dimmer'],
  highBeam: ['highBeam'],
  tuner: ['antennaTurnOn'],
  otherSource: ['ampTurnOn', 'antennaTurnOn'],
  crank: ['starter'],
  justOff: ['door'],
};

/** What is said when all that is left was set aside. */
export function sayDeferred(places: readonly StitchPlace[]): NextAction {
  return {
    kind: 'deferred',
    places,
    instruction: `Left for later: ${places.map((place) => PLACE_WORDS[place]).join(', ')}.`,
  };
}

/** What the last word is told of the wires. */
interface Told {
  readonly candidates: readonly Verdict[];
  readonly sources: ReadonlyMap<string, { readonly name: string }>;
}

/** Which signals are not on these wires, and the way round each. */
export function sayNotThere(
  open: readonly OpenNeed[],
  input: Told,
): Extract<NextAction, { kind: 'exhausted' }> {
  const needs = open.map(({ wanted }) => wanted.need);
  const none = input.candidates.length === 0;
  return {
    kind: 'exhausted',
    needIds: needs.map(({ id }) => id),
    instruction: none
      ? `Lay out the wires where ${listed(needs.map(nameOf))} may run: kick panel, column, door jamb or the unit itself.`
      : open.map((one) => notFound(one, input)).join(' '),
  };
}

/** A wire that leads with this chance or more, and can't be made sure, is named: the last word must not deny it. */
const MAY_BE = 0.1;

function notFound({ wanted, wires: [first], hope, shares }: OpenNeed, input: Told): string {
  const name = raised(nameOf(wanted.need));
  const named = ({ sourceId }: Verdict): string => input.sources.get(sourceId)?.name ?? sourceId;
  if (shares !== undefined)
    return `${name} has no wire of its own here: ${named(shares)}, taken already, serves for it too, where it carries both.`;
  const chance = first === undefined ? 0 : meetsProbability(wanted, first.posterior);
  if (first !== undefined && chance >= MAY_BE) {
    return `${name} may be ${named(first)} (${percent(chance)}), but nothing left to read here makes it sure. Otherwise: ${lowered(wayRound(wanted.need))}`;
  }
  const left = hope >= 0.005 ? ` (a chance of ${percent(hope)} is left)` : '';
  return `${name} is on none of these wires${left}. ${wayRound(wanted.need)}`;
}

function percent(chance: number): string {
  return `${Math.max(1, Math.round(100 * chance))} %`;
}

function nameOf({ role }: Need): string {
  return isTrigger(role) ? TRIGGER_NAMES[role].name : ROLE_WORDS[role];
}

function wayRound({ role }: Need): string {
  return isTrigger(role)
    ? TRIGGER_NAMES[role].wayRound
    : 'Look in another bunch, or take it from a slot.';
}

const ROLE_WORDS = {
  constant: 'the constant',
  switched: 'the switched feed',
  retained: 'the retained feed',
  illumination: 'illumination',
  reverse: 'the reversing lamp',
  brake: 'the stop lamp',
  starter: 'the starter wire',
} as const;

function lowered(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
