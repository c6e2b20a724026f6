import type { BenchCar, BenchVehicle, BenchWire } from '@lucky-thread/core/bench';
import {
  benchCar,
  generateHarness,
  generateVehicle,
  meterReading,
  seededRandom,
} from '@lucky-thread/core/bench';
import type { FindSession, ProbeSource, Reading } from '@lucky-thread/core/identify';
import { advise, newAdviser } from '@lucky-thread/core/identify';
import { plainAdvise } from '@lucky-thread/core/identify/plain';
import { sourcesOf } from '@lucky-thread/core/trial';
import { CIRCUIT_FUNCTIONS, STITCH_PLACES, nextState, stateAt } from '@lucky-thread/core/vehicle';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';

const SLOTS = 60;
const STATES = 24;
/** Slots read in a session that has just begun; most needs are open then. */
const FIRST_LOOKS = 12;
const ROUNDS = 300;
/** Connectors that lie open beside the panel. */
const CONNECTORS = 3;
const CAVITIES = 20;
/** The plain way is slow. */
const PLAIN_ROUNDS = 12;

/** Identify and next plan for 60 slots: read in 24 states, and at the beginning; against the plain way. */
export async function identifyBenchmark(): Promise<void> {
  const seed = seedWithSlots(SLOTS);
  const vehicle = generateVehicle(seed);
  const car = benchCar(vehicle.truth);
  const states = manyStates();
  const sources = sourcesOf(vehicle);
  const asked = {
    sources,
    state: stateAt('off'),
    needs: [
      { id: 'memory', role: 'constant' as const },
      { id: 'supply', role: 'switched' as const, liveInAcc: true },
      { id: 'steady', role: 'switched' as const, holdsCranking: true },
    ],
  };
  const ids = sources.map(({ id }) => id);
  await compare(`${states.length} states read`, {
    ...asked,
    readings: readAll(car, ids, { states, seed }),
  });
  await compare(`${FIRST_LOOKS} slots read at key off`, {
    ...asked,
    readings: readAll(car, ids.slice(0, FIRST_LOOKS), { states: [stateAt('off')], seed }),
  });
  await withConnectors(asked, { truth: vehicle.truth, states, seed });
}

/** The same panel with connectors open beside it, every wire read as the slots are. */
async function withConnectors(
  asked: Omit<FindSession, 'readings'>,
  given: {
    readonly truth: BenchVehicle;
    readonly states: readonly VehicleState[];
    readonly seed: number;
  },
): Promise<void> {
  const wires = Array.from({ length: CONNECTORS }, (_, at) => wiresOf(`plug${at}`, at + 1)).flat();
  const car = benchCar({ ...given.truth, wires });
  const sources = [
    ...asked.sources,
    ...wires.map(({ id }): ProbeSource => ({
      kind: 'wire',
      id,
      name: id,
      legend: undefined,
      fitted: true,
      tappable: true,
      logged: undefined,
    })),
  ];
  const ids = sources.map(({ id }) => id);
  const session = { ...asked, sources, readings: readAll(car, ids, given) };
  const adviser = newAdviser();
  const questions = asWorkGoesOn(session);
  let turn = 0;
  const { worker } = await measure(ROUNDS, {
    worker: () => adviser(questions[(turn += 1) % questions.length] ?? session),
  });
  if (!worker) throw new Error('nothing was measured');
  line(
    `${ids.length} sources (${CONNECTORS} connectors of ${CAVITIES} wires), ${session.readings.length} readings: median, p95`,
    `${worker.median.toFixed(2)} ms, ${worker.p95.toFixed(2)} ms`,
  );
}

/** The wires of one connector, from as many bunches as it takes. */
function wiresOf(place: string, seed: number): BenchWire[] {
  const bunches = [seed, seed + 100].flatMap((one) => generateHarness(one).truth.wires ?? []);
  return bunches
    .slice(0, CAVITIES)
    .map(({ behind }, index) => ({ id: `${place}/${index + 1}`, behind }));
}

function readAll(
  car: BenchCar,
  ids: readonly string[],
  by: { readonly states: readonly VehicleState[]; readonly seed: number },
): Reading[] {
  const random = seededRandom(by.seed);
  return by.states.flatMap((state, at) =>
    ids.map((id): Reading => ({
      id: `${id}-${at}`,
      sourceId: id,
      contact: undefined,
      state,
      value: { kind: 'volts', volts: meterReading(car, { pointId: id, state }, random) },
    })),
  );
}

async function compare(name: string, session: FindSession): Promise<void> {
  const adviser = newAdviser();
  const questions = asWorkGoesOn(session);
  let asked = 0;
  const next = () => questions[(asked += 1) % questions.length] ?? session;
  const { worker } = await measure(ROUNDS, { worker: () => adviser(next()) });
  const { once } = await measure(ROUNDS, { once: () => advise(next()) });
  const { single, plain } = await measure(PLAIN_ROUNDS, {
    single: () => advise(session),
    plain: () => plainAdvise(session),
  });
  if (!worker || !once || !single || !plain) throw new Error('nothing was measured');
  line(
    `identify + next plan, ${session.sources.length} slots, ${name}: median, p95`,
    `${worker.median.toFixed(2)} ms, ${worker.p95.toFixed(2)} ms`,
  );
  line(
    '  a single call, nothing kept from the last one: median, p95',
    `${once.median.toFixed(2)} ms, ${once.p95.toFixed(2)} ms`,
  );
  line('  ratio of the plain reference / a single call', (plain.median / single.median).toFixed(0));
  line('  answers of the reference', differences(session));
}

/** So many different questions are asked in turn. */
const QUESTIONS = 24;

/**
 * The session as a worker gets it question by question: copies, each with another reading missing, so that two sources
 * differ from one question to the next.
 */
function asWorkGoesOn(session: FindSession): FindSession[] {
  return Array.from({ length: QUESTIONS }, (_, at) => {
    const missing = Math.floor((at * session.readings.length) / QUESTIONS);
    const readings = session.readings.filter((_one, index) => index !== missing);
    return structuredClone({ ...session, readings });
  });
}

/** How the plain answers differ from ours: the greatest difference of any chance, and whether the plan is the same. */
function differences(session: FindSession): string {
  const [quick, plain] = [advise(session), plainAdvise(session)];
  const apart = quick.verdicts.flatMap(({ posterior }, index) =>
    CIRCUIT_FUNCTIONS.map((name) =>
      Math.abs(
        posterior.functions[name] - (plain.verdicts[index]?.posterior.functions[name] ?? NaN),
      ),
    ),
  );
  const plans = [quick, plain].map(({ next, filled, tentative }) =>
    JSON.stringify([next, filled, tentative]),
  );
  const plan = plans[0] === plans[1] ? 'the same plan' : 'ANOTHER PLAN';
  return `${plan}, chances within ${Math.max(...apart).toExponential(1)}`;
}

/** The places of a stitch, and keys together with lamps or brake. */
function manyStates(): VehicleState[] {
  const keys = (['acc', 'run', 'crank', 'engine'] as const).flatMap((key) => [
    nextState(stateAt(key), { kind: 'lamps', to: true }),
    nextState(stateAt(key), { kind: 'toggle', which: 'brake', to: true }),
  ]);
  return [...STITCH_PLACES.map(stateAt), ...keys].slice(0, STATES);
}

/** The first seed whose car has so many slots. */
function seedWithSlots(count: number): number {
  for (let seed = 1; seed < 10_000; seed += 1)
    if (generateVehicle(seed).slots.length === count) return seed;
  throw new Error(`no generated car has ${count} slots`);
}
