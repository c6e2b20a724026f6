import type { BenchCar, BenchTouch, GeneratedHarness, WireTruth } from '../bench';
import { benchCar, lampShows, meterShows, ohmmeterShows, popShows, seededRandom } from '../bench';
import type { Reading, ReadingValue } from '../identify';
import { WORK_SECONDS, changeSeconds, senseOf } from '../identify';
import type { HarnessAdvice, HarnessWire, WireRole } from '../identify/harness';
import { ROLE_OF, adviseHarness } from '../identify/harness';
import { endOf } from './byPlan';
import type { VehicleState } from '../vehicle';
import { PARKED, stateAt } from '../vehicle';

/** What a bunch has taken so far. */
export interface HarnessEffort {
  /** Attended work, s. */
  readonly seconds: number;
  /** Touches. */
  readonly probes: number;
  /** Touches with 9 V. */
  readonly pops: number;
  /** 9 V touched to a live, data or sensor wire. */
  readonly harm: number;
}

/** A bunch on the bench with an instrument and a 9 V source in hand. */
export interface HarnessTrial {
  /** The wires of the bunch as they are seen. */
  readonly wires: readonly HarnessWire[];
  /** What was read so far, oldest first. */
  readonly readings: Reading[];
  /** The state that the car is in. */
  readonly state: () => VehicleState;
  /** What the instrument’s other lead is clipped to. */
  readonly clip: () => 'ground' | 'constant';
  /** Brings the car to a state; takes its seconds. */
  readonly go: (state: VehicleState) => void;
  /** Puts the clip on ground, on a wire that is constant, or without one on the battery’s post. */
  readonly clipTo: (clip: 'ground' | 'constant', wireId?: string) => void;
  /** Reads one wire against the clip. */
  readonly probe: (wireId: string, instrument?: 'meter' | 'ohmmeter' | 'lamp') => Reading;
  /** Touches a pair with a small cell and watches the cones. */
  readonly pop: (plusId: string, minusId: string) => Reading;
  /** Reads ohms between two wires. */
  readonly ohmsBetween: (oneId: string, otherId: string) => Reading;
  /** A test lamp is in hand instead of a meter. */
  readonly lampOnly: boolean;
  /** Seconds, touches and harm so far. */
  readonly effort: () => HarnessEffort;
}

const NOISE_SEED = 77_777;

/**
 * A bunch to try a way of working on.
 *
 * @param by what is in hand: a meter, or a test lamp beside the ohmmeter and the 9 V source
 */
export function harnessTrial(
  harness: GeneratedHarness,
  seed: number,
  by: 'meter' | 'lamp' = 'meter',
): HarnessTrial {
  const car: BenchCar = benchCar(harness.truth);
  const random = seededRandom(seed + NOISE_SEED);
  const readings: Reading[] = [];
  let state = PARKED;
  let clip: 'ground' | 'constant' = 'ground';
  let clippedTo: string | undefined;
  let effort: HarnessEffort = { seconds: 0, probes: 0, pops: 0, harm: 0 };
  const keep = (reading: Omit<Reading, 'id' | 'contact' | 'state'>): Reading => {
    const kept: Reading = { ...reading, id: `r${readings.length}`, contact: undefined, state };
    readings.push(kept);
    return kept;
  };
  return {
    wires: harness.wires.map((wire) => ({ ...wire, name: `${wire.id} ${wire.colour}` })),
    readings,
    state: () => state,
    clip: () => clip,
    go: (to) => {
      effort = { ...effort, seconds: effort.seconds + changeSeconds(state, to) };
      state = to;
    },
    clipTo: (to, wireId) => {
      if (to !== clip) effort = { ...effort, seconds: effort.seconds + WORK_SECONDS.clip };
      clip = to;
      clippedTo = wireId;
    },
    probe: (wireId, wanted = 'meter') => {
      const instrument = wanted === 'meter' ? by : wanted;
      effort = {
        ...effort,
        seconds: effort.seconds + WORK_SECONDS.probe,
        probes: effort.probes + 1,
      };
      const post = clippedTo === undefined ? ('battery' as const) : { pointId: clippedTo };
      const on = clip === 'constant' && instrument !== 'ohmmeter' ? post : undefined;
      const touch = {
        pointId: wireId,
        state,
        ...(on === undefined ? {} : { clip: { to: on, ohm: 0.05 } }),
      };
      const value = valueOf(car, touch, { instrument, random });
      return keep({ sourceId: wireId, value, ...(on === undefined ? {} : { clip: 'constant' }) });
    },
    ohmsBetween: (oneId, otherId) => {
      effort = {
        ...effort,
        seconds: effort.seconds + WORK_SECONDS.pair,
        probes: effort.probes + 1,
      };
      const shows = ohmmeterShows(car, { pointId: oneId, otherId, state });
      return keep({
        sourceId: oneId,
        otherId,
        value: { kind: 'ohms', ohm: shows.kind === 'ohms' ? shows.ohm : null },
      });
    },
    lampOnly: by === 'lamp',
    pop: (plusId, minusId) => {
      const shows = popShows(car, { plusId, minusId, state });
      effort = {
        seconds: effort.seconds + WORK_SECONDS.pair,
        probes: effort.probes + 1,
        pops: effort.pops + 1,
        harm: effort.harm + (shows.harm === undefined ? 0 : 1),
      };
      return keep({
        sourceId: plusId,
        otherId: minusId,
        value: { kind: 'pop', cone: shows.cone, speaker: shows.speaker },
      });
    },
    effort: () => effort,
  };
}

function valueOf(
  car: BenchCar,
  touch: BenchTouch,
  by: { readonly instrument: 'meter' | 'ohmmeter' | 'lamp'; readonly random: () => number },
): ReadingValue {
  if (by.instrument === 'lamp') return { kind: 'glow', glow: lampShows(car, touch).burns };
  if (by.instrument === 'meter') return meterShows(car, touch, by.random);
  const shows = ohmmeterShows(car, touch);
  return { kind: 'ohms', ohm: shows.kind === 'ohms' ? shows.ohm : null };
}

/** More actions than any bunch needs; reaching it is a fault of the plan. */
const MOST_ACTIONS = 200;

/**
 * Follows the plan on a bunch, one action per step; the last answer is the advice it ended with.
 *
 * @throws Error when the plan does not come to an end.
 */
export function* planHarnessSteps(
  trial: HarnessTrial,
): Generator<HarnessAdvice, HarnessAdvice, void> {
  for (let action = 0; action < MOST_ACTIONS; action += 1) {
    const advice = adviseHarness({
      wires: trial.wires,
      readings: trial.readings,
      state: trial.state(),
      clip: trial.clip(),
      ...(trial.lampOnly ? { cannot: ['meter' as const] } : {}),
    });
    const { next } = advice;
    if (next.kind === 'done' || next.kind === 'help') return advice;
    if (next.kind === 'pairOhms') {
      trial.go(PARKED);
      trial.ohmsBetween(next.oneId, next.otherId);
    } else if (next.kind === 'pop') {
      trial.pop(next.plusId, next.minusId);
    } else {
      trial.go(next.state);
      trial.clipTo(next.clip, constantOf(advice));
      for (const wireId of next.wireIds) trial.probe(wireId, next.instrument);
    }
    yield advice;
  }
  throw new Error(`The plan has not come to an end after ${MOST_ACTIONS} actions`);
}

/** The wire that is surest to be the constant. */
function constantOf(advice: HarnessAdvice): string | undefined {
  return advice.wires
    .filter((one) => one.role === 'constant')
    .sort((left, right) => right.certainty - left.certainty)[0]?.wireId;
}

/** Follows the plan to its end on a bunch. */
export function followHarnessPlan(trial: HarnessTrial): HarnessAdvice {
  return endOf(planHarnessSteps(trial));
}

/** What each wire was taken for, and the speaker pairs found. */
export interface HarnessFound {
  /** What each wire was found to be, by its id. */
  readonly roles: Readonly<Record<string, WireRole>>;
  /** Speaker pairs with their polarity; speaker undefined where nobody saw which cone moved. */
  readonly pairs: readonly { plusId: string; minusId: string; speaker: string | undefined }[];
}

/**
 * The order of work by hand: every wire with the key off, the rest at accessory, the rest with the lamps on; ground by a
 * lamp clipped to the constant; then 9 V from wire to wire, taped mates and like colours first; at the end what is
 * left is swept with everything on.
 */
export function harnessByHand(trial: HarnessTrial): HarnessFound {
  const roles: Record<string, WireRole> = {};
  let rest = trial.wires.map((wire) => wire.id);
  const take = (id: string, role: WireRole): void => {
    roles[id] = role;
    rest = rest.filter((one) => one !== id);
  };
  const sweep = (state: VehicleState, role: WireRole): void => {
    trial.go(state);
    for (const id of [...rest]) {
      const reading = trial.probe(id);
      const sense = senseOf(reading);
      if (sense === 'live') take(id, role);
      else if (sense === 'part' && role !== 'constant') take(id, partRole(reading));
    }
  };
  sweep(stateAt('off'), 'constant');
  sweep(stateAt('acc'), 'switched');
  sweep({ ...stateAt('run'), lamps: true }, 'lamps');
  const constant = Object.keys(roles).find((id) => roles[id] === 'constant');
  trial.go(stateAt('off'));
  trial.clipTo('constant', constant);
  for (const id of [...rest]) {
    if (senseOf(trial.probe(id, 'lamp')) !== 'live') continue;
    take(id, 'ground');
    break;
  }
  trial.clipTo('ground');
  const pairs: HarnessFound['pairs'][number][] = [];
  for (const first of [...rest]) {
    if (!rest.includes(first)) continue;
    for (const mate of matesFor(first, rest, trial.wires)) {
      const { value } = trial.pop(first, mate);
      if (value.kind !== 'pop' || value.cone === 'none') continue;
      const [plusId, minusId] = value.cone === 'out' ? [first, mate] : [mate, first];
      pairs.push({ plusId, minusId, speaker: value.speaker });
      take(first, 'speaker');
      take(mate, 'speaker');
      break;
    }
  }
  trial.go({ ...stateAt('run'), lamps: true });
  for (const id of [...rest]) {
    trial.probe(id);
    take(id, 'leftOver');
  }
  return { roles, pairs };
}

/** About half the supply is an amplifier's output, common practice; anything else between is left alone as a sensor. */
const HALF_V: readonly [number, number] = [5.5, 7];

function partRole({ value }: Reading): WireRole {
  const [least, most] = HALF_V;
  return value.kind === 'volts' && value.volts >= least && value.volts <= most
    ? 'amplifier'
    : 'sensor';
}

/** By hand a wire is tried against its taped mate, then like colours, then two more. */
const MOST_TRIES = 4;

function matesFor(id: string, rest: readonly string[], wires: readonly HarnessWire[]): string[] {
  const own = wires.find((wire) => wire.id === id);
  const base = own?.colour?.split('/')[0];
  return rest
    .filter((other) => other !== id)
    .map((other) => {
      const wire = wires.find((one) => one.id === other);
      const taped = own?.tapedWith === other || wire?.tapedWith === id;
      return { other, rank: taped ? 0 : wire?.colour?.split('/')[0] === base ? 1 : 2 };
    })
    .sort((left, right) => left.rank - right.rank)
    .slice(0, MOST_TRIES)
    .map(({ other }) => other);
}

/** The role a wire really plays. */
export function roleOfTruth(truth: WireTruth): WireRole {
  return truth.amplified ? 'amplifier' : ROLE_OF[truth.role];
}

/** What a lamp leaves dark and nobody joins to a radio: by lamp these need not be told from each other. */
const LEFT_ALONE: readonly WireRole[] = ['dataBus', 'sensor', 'pulledUp', 'leftOver'];

/**
 * Whether every wire was told apart rightly: roles, speaker pairs, names and polarity.
 *
 * @param by with a lamp, what is left alone counts as one
 */
export function isFullyRight(
  harness: GeneratedHarness,
  found: HarnessFound,
  by: 'meter' | 'lamp' = 'meter',
): boolean {
  const isSame = (role: WireRole | undefined, truth: WireRole): boolean =>
    role === truth ||
    (by === 'lamp' &&
      role !== undefined &&
      LEFT_ALONE.includes(role) &&
      LEFT_ALONE.includes(truth));
  return harness.wires.every(({ id }) => {
    const truth = harness.roles[id];
    if (truth === undefined || !isSame(found.roles[id], roleOfTruth(truth))) return false;
    if (truth.role !== 'speaker' || truth.amplified) return true;
    const pair = found.pairs.find((one) => one.plusId === id || one.minusId === id);
    return pair?.speaker === truth.speaker && (pair?.plusId === id) === truth.positive;
  });
}
