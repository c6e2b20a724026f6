import type { StitchPlace, VehicleState } from '../vehicle';
import { PLACE_WORDS, placeOf } from '../vehicle';
import type { Field } from './field';
import { assignFilled, contenders } from './field';
import type { Source } from './source';
import type { Visit } from './visits';
import { planVisit } from './visits';
import { VISIT_ORDER } from './workCosts';

/** Everything the planner looks at. */
export interface PlanInput extends Field {
  readonly state: VehicleState;
  /** Places the installer can't or won't bring the car to now, e.g. no cranking indoors. */
  readonly cannot: readonly StitchPlace[];
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

/**
 * The next visit: among the states the car can be brought to, the one that tells most about the unfilled needs per
 * second of work, with every probe that is worth making there (greedy information per second).
 */
export function nextTest(input: PlanInput): NextAction {
  const filled = assignFilled(input);
  const open = input.needs.filter((need) => !filled.has(need.id));
  if (open.length === 0)
    return { kind: 'filled', instruction: 'Every feed has a source. Go on and choose the taps.' };

  const taken = new Set(filled.values());
  const contests = open.map((need) => ({ need, contenders: contenders(need, input, taken) }));
  const sources = new Map(input.sources.map((source) => [source.id, source]));
  const visits = VISIT_ORDER.map((place) =>
    planVisit(place, contests, { state: input.state, sources }),
  ).filter((visit): visit is Visit => visit !== undefined);
  const best = visits
    .filter((visit) => !input.cannot.includes(visit.place))
    .reduce<Visit | undefined>(
      (champion, visit) =>
        champion === undefined || visit.rate > champion.rate ? visit : champion,
      undefined,
    );
  if (best !== undefined) return asAction(best, input, sources);
  if (visits.length > 0) return deferredTo(visits);
  return {
    kind: 'exhausted',
    needIds: open.map((need) => need.id),
    instruction: 'No slot left that could serve. Try another panel or a wire in the harness.',
  };
}

function asAction(
  visit: Visit,
  input: PlanInput,
  sources: ReadonlyMap<string, Source>,
): NextAction {
  const names = visit.sourceIds.map((id) => sources.get(id)?.name ?? id);
  const stays = placeOf(input.state) === visit.place;
  const probe = `touch ${listed(names)}`;
  return {
    kind: 'visit',
    visit,
    instruction: stays ? capitalised(`${probe}.`) : `${ARRIVE[visit.place]}, then ${probe}.`,
    because: becauseOf(visit, input),
    caution: CAUTIONS[visit.place],
  };
}

function deferredTo(visits: readonly Visit[]): NextAction {
  const places = visits.map((visit) => visit.place);
  return {
    kind: 'deferred',
    places,
    instruction: `Left for later: ${places.map((place) => PLACE_WORDS[place]).join(', ')}.`,
  };
}

const ARRIVE: Record<StitchPlace, string> = {
  asleep: 'Lock the car, wait until it sleeps',
  off: 'Key off, driver’s door open',
  acc: 'Key to accessory',
  run: 'Key to run',
  crank: 'Crank the engine',
  lamps: 'Parking lamps on',
  justOff: 'Shut the door, key to run and off again',
  engine: 'Start the engine',
};

/** Cautions of the step itself; the vehicle maker's service information comes first. */
const CAUTIONS: Partial<Record<StitchPlace, string>> = {
  crank:
    'Neutral or park, brake on, nobody near belts and fan, never in a closed room. Feeds drop while cranking.',
  engine: 'Exhaust gas: only in the open or with extraction. Keep clear of belts and fan.',
};

/** Why this visit: the look-alikes it separates on its first source, or simply what is not known yet. */
function becauseOf(visit: Visit, input: PlanInput): string {
  const first = visit.sourceIds[0];
  const verdict = first === undefined ? undefined : input.verdicts.get(first);
  const missing = verdict?.missing.find((one) => one.place === visit.place);
  const source = input.sources.find((one) => one.id === first);
  if (source?.logged !== undefined && verdict?.status === 'unread')
    return 'The log of this model names it; one live reading confirms it for this car.';
  if (missing !== undefined && verdict?.status === 'unresolved') return REASONS[visit.place];
  return 'Tells most about the open feeds for the time it takes.';
}

const REASONS: Record<StitchPlace, string> = {
  asleep: 'A constant stays live when the car sleeps; a timed one does not.',
  off: 'A switched feed is dead here; a constant is not.',
  acc: 'Accessory is live here; ignition is not.',
  run: 'Accessory and ignition are live here; starter and spare are not.',
  crank: 'Ignition held through cranking stays; accessory mostly drops.',
  lamps: 'Illumination wakes with the lamps and with nothing else.',
  justOff: 'Retained accessory stays live until a door opens; plain accessory does not.',
  engine: 'What must work on the road is live here.',
};

function listed(names: readonly string[]): string {
  if (names.length <= 1) return names.join('');
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
