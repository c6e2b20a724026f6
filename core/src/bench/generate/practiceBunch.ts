import { restVoltage } from '../car/battery';
import type { BenchWireKind } from '../car/wire';
import { pick, weighted } from './draw';
import type { DrawnWire, GeneratedBunch, LockKind } from './generateBunch';
import { LOCK_KINDS, bunchFrom, carriedAsWell, generateBunch, lockWires } from './generateBunch';
import { seededRandom } from './seededRandom';

/** Bunches to practise on, from the simplest on. */
export const PRACTICE_BUNCHES = ['column', 'locks', 'plug', 'screen', 'starter'] as const;
/** One of them. */
export type PracticeBunch = (typeof PRACTICE_BUNCHES)[number];

/** A bunch to practise on; the same number is the same bunch. */
export function practiceBunch(kind: PracticeBunch, seed: number): GeneratedBunch {
  if (kind === 'starter') return generateBunch(seed);
  const random = seededRandom(seed * 991 + 29);
  const lockKind = LOCK_KINDS[Math.floor(LOCK_KINDS.length * random())] ?? 'negative';
  return bunchFrom(DRAWN[kind](random, lockKind), {
    ...{ random, lockKind },
    battery: {
      restV: restVoltage(0.5 + 0.5 * random()),
      ...{ internalOhm: 0.009, crankingA: 180, chargingV: 14.2 },
    },
  });
}

type Draw = (random: () => number, lockKind: LockKind) => readonly DrawnWire[];

const DRAWN: Record<Exclude<PracticeBunch, 'starter'>, Draw> = {
  column: (random) => [
    ...repeated({ carries: ['constant'], behind: feed('battery', 1e6) }, random() < 0.5 ? 1 : 2),
    { carries: ['ignition'], behind: feed('runCrankContact', 40) },
    { carries: ['accessory'], behind: feed('accessoryContact', 40) },
    { carries: ['starter'], behind: feed('starterContact', 20) },
    // A second ignition wire that drops while cranking: what people take for the first.
    ...some(random, 0.6, [{ carries: [], behind: feed('runContact', 15) }]),
    ...some(random, 0.7, [{ carries: [], behind: { is: 'ground', ohm: 0.1 } }]),
    ...bus(random),
    ...open(random),
  ],
  locks: (random, lockKind) => [
    ...lockWires(lockKind, random),
    { carries: ['constant'], behind: feed('battery', 1e6) },
    { carries: ['door'], behind: switchToGround('door', random) },
    { carries: [], behind: { is: 'ground', ohm: 0.1 } },
    ...speaker('front'),
    ...some(random, 0.5, [lit(random)]),
    ...bus(random),
    ...open(random),
  ],
  plug: (random) => {
    // One of the two is missing: by revision, or because the network wakes the radio.
    const missing = pick(['ground', 'accessory'] as const, random);
    return [
      { carries: ['constant'], behind: feed('battery', 1e6) },
      ...(missing === 'accessory'
        ? []
        : [{ carries: ['accessory'], behind: feed('accessoryContact', 40) } as const]),
      ...(missing === 'ground'
        ? []
        : [{ carries: [], behind: { is: 'ground', ohm: 0.1 } } as const]),
      lit(random),
      ...speaker('left'),
      ...speaker('right'),
      { carries: [], behind: { is: 'turnOn', loadOhm: 1000 } },
      ...bus(random),
      ...open(random),
    ];
  },
  screen: (random) => [
    { carries: ['constant'], behind: feed('battery', 1e6) },
    { carries: ['accessory'], behind: feed('accessoryContact', 40) },
    { carries: ['reverse'], behind: feed('reverseSwitch', 7) },
    { carries: ['parkingBrake'], behind: switchToGround('parkingBrake', random) },
    ...some(random, 0.6, [{ carries: ['brake'], behind: feed('brakeSwitch', 6) }]),
    ...some(random, 0.6, [
      {
        carries: ['speed'],
        behind: { is: 'pulses', by: 'rolling', highV: pick([5, 12], random), rest: 'low' },
      },
    ]),
    { carries: [], behind: { is: 'sensor' } },
    lit(random),
    ...speaker('left'),
    ...bus(random),
    ...open(random),
  ],
};

function feed(
  supply: Extract<BenchWireKind, { is: 'feed' }>['supply'],
  loadOhm: number,
): BenchWireKind {
  return { is: 'feed', supply, loadOhm };
}

function switchToGround(by: 'door' | 'parkingBrake', random: () => number): BenchWireKind {
  const from = weighted(
    [['battery', 3] as const, ['key', 1] as const, ['module5', 1] as const],
    random,
  );
  return { is: 'switchToGround', by, from, pullUpOhm: 1000 + 5000 * random() };
}

function lit(random: () => number): DrawnWire {
  const behind: BenchWireKind = { is: 'illumination', bulbW: 8, pulsed: random() < 0.5 };
  return { carries: carriedAsWell(behind), behind };
}

function speaker(name: string): DrawnWire[] {
  return [true, false].map((positive) => ({
    carries: [],
    behind: { is: 'speaker', speaker: name, positive, ohm: 4 },
  }));
}

function bus(random: () => number): readonly DrawnWire[] {
  const pair = [2.65, 2.35].map((biasV): DrawnWire => ({
    carries: [],
    behind: { is: 'data', biasV, pair: 'bus' },
  }));
  return some(random, 0.7, pair);
}

function open(random: () => number): DrawnWire[] {
  return repeated(
    { carries: [], behind: { is: 'open', ghostV: 2 * random() } },
    pick([0, 1, 2], random),
  );
}

function repeated(wire: DrawnWire, times: number): DrawnWire[] {
  return Array.from({ length: times }, () => wire);
}

function some(
  random: () => number,
  chance: number,
  wires: readonly DrawnWire[],
): readonly DrawnWire[] {
  return random() < chance ? wires : [];
}
