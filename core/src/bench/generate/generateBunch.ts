import type { BenchBattery } from '../car/circuit';
import type { BenchWire, BenchWireKind, PullUp, SwitchedBy } from '../car/wire';
import { restVoltage } from '../car/battery';
import { pick, shuffled, weighted } from './draw';
import { seededRandom } from './seededRandom';

/** Ways in which a car carries lock and unlock. */
export const LOCK_KINDS = ['negative', 'positive', 'reversing', 'multiplex', 'data'] as const;
/** One of them. */
export type LockKind = (typeof LOCK_KINDS)[number];

/** Signals that a bunch may hold. */
export const BUNCH_SIGNALS = [
  'constant',
  'ignition',
  'accessory',
  'starter',
  'parkingLamps',
  'brake',
  'reverse',
  'door',
  'hood',
  'parkingBrake',
  'lock',
  'unlock',
  'turnLeft',
  'turnRight',
  'horn',
  'wiper',
  'speed',
  'tach',
  'retained',
  'dimmer',
  'lowBeam',
  'highBeam',
  'ampTurnOn',
  'antennaTurnOn',
] as const;
/** One of them. */
export type BunchSignal = (typeof BUNCH_SIGNALS)[number];

/** A bunch of wires with the truth about it. */
export interface GeneratedBunch {
  readonly wires: readonly BenchWire[];
  readonly battery: BenchBattery;
  /** Wires that carry each signal; none where the car has no wire for it here. */
  readonly carries: ReadonlyMap<BunchSignal, readonly string[]>;
  readonly lockKind: LockKind;
}

/** A signal with what is behind its wire. */
export interface DrawnWire {
  /** Signals that it carries; none for a wire that is only in the way. */
  readonly carries: readonly BunchSignal[];
  readonly behind: BenchWireKind;
}

/** A bunch as it is laid out, from its wires. */
export function bunchFrom(
  drawn: readonly DrawnWire[],
  given: {
    readonly battery: BenchBattery;
    readonly lockKind: LockKind;
    readonly random: () => number;
  },
): GeneratedBunch {
  const wires = shuffled(drawn, given.random).map((one, index) => ({
    ...one,
    id: `W${index + 1}`,
  }));
  const carries = new Map(
    BUNCH_SIGNALS.map((signal) => [
      signal,
      wires.filter((one) => one.carries.includes(signal)).map(({ id }) => id),
    ]),
  );
  return {
    wires: wires.map(({ id, behind }) => ({ id, behind })),
    battery: given.battery,
    carries,
    lockKind: given.lockKind,
  };
}

/** Chance that a signal has a wire in the bunch at all. */
const THERE = 0.8;

/** Wires of a dash with its radio in place: lamps, what the radio wakes, what outlasts the key. */
function dashWires(random: () => number): DrawnWire[] {
  const all: DrawnWire[] = [
    { carries: ['retained'], behind: feed('retainedPower', 30) },
    { carries: ['dimmer'], behind: { is: 'illumination', bulbW: 8, pulsed: true } },
    { carries: ['lowBeam'], behind: feed('lowBeamSwitch', 3) },
    { carries: ['highBeam'], behind: { is: 'switchToPlus', by: 'highBeam', loadOhm: 3 } },
    { carries: ['ampTurnOn'], behind: { is: 'switchToPlus', by: 'radio', loadOhm: 4700 } },
    { carries: ['antennaTurnOn'], behind: { is: 'switchToPlus', by: 'tuner', loadOhm: 150 } },
  ];
  return all.filter(() => random() < THERE);
}

/**
 * A bunch at column and kick panel with the signals that starters, locks and screens ask for. For tuning.
 *
 * @param dash with the wires of a dash as well, whose radio is in place
 */
export function generateBunch(seed: number, dash = false): GeneratedBunch {
  const random = seededRandom(seed * 977 + 13);
  const lockKind = LOCK_KINDS[seed % LOCK_KINDS.length] ?? 'negative';
  const there = (): boolean => random() < THERE;
  const drawn: DrawnWire[] = [
    { carries: ['constant'], behind: feed('battery', 1e6) },
    { carries: ['ignition'], behind: feed('runCrankContact', 40) },
    { carries: ['accessory'], behind: feed('accessoryContact', 40) },
    { carries: ['starter'], behind: feed('starterContact', 20) },
    { carries: [], behind: { is: 'ground', ohm: 0.1 } },
    ...lockWires(lockKind, random),
    ...bystanders(random),
  ];
  if (there()) drawn.push({ carries: ['brake'], behind: feed('brakeSwitch', 6) });
  if (there()) drawn.push({ carries: ['reverse'], behind: feed('reverseSwitch', 7) });
  if (there())
    drawn.push(
      random() < 0.6
        ? { carries: ['parkingLamps'], behind: feed('lampSwitch', 5) }
        : { carries: ['parkingLamps'], behind: toGround('lamps', random) },
    );
  if (there())
    drawn.push(
      random() < 0.8
        ? { carries: ['door'], behind: toGround('door', random) }
        : { carries: ['door'], behind: { is: 'switchToPlus', by: 'door', loadOhm: 30 } },
    );
  for (const [signal, by] of SWITCHES)
    if (there()) drawn.push({ carries: [signal], behind: toGround(by, random) });
  for (const side of ['turnLeft', 'turnRight'] as const)
    if (there()) drawn.push({ carries: [side], behind: { is: 'turnLamp', bulbW: 42, side } });
  if (there())
    drawn.push({
      carries: ['speed'],
      behind: { is: 'pulses', by: 'rolling', highV: pick([5, 12], random), rest: 'low' },
    });
  if (there())
    drawn.push({
      carries: ['tach'],
      behind: { is: 'pulses', by: 'engine', highV: 12, rest: 'low' },
    });
  if (dash) drawn.push(...dashWires(seededRandom(seed * 613 + 29)));
  return bunchFrom(drawn, {
    random,
    lockKind,
    battery: {
      restV: restVoltage(0.5 + 0.5 * random()),
      internalOhm: 0.009,
      crankingA: 180,
      chargingV: 14.2,
    },
  });
}

const SWITCHES = [
  ['hood', 'hood'],
  ['parkingBrake', 'parkingBrake'],
  ['horn', 'horn'],
] as const;

function feed(
  supply: Extract<BenchWireKind, { is: 'feed' }>['supply'],
  loadOhm: number,
): BenchWireKind {
  return { is: 'feed', supply, loadOhm };
}

const PULL_UPS: readonly (readonly [PullUp, number])[] = [
  ['battery', 4],
  ['key', 1],
  ['module5', 2],
  ['module8', 2],
  ['nothing', 1],
];

function toGround(by: SwitchedBy, random: () => number): BenchWireKind {
  return {
    is: 'switchToGround',
    by,
    pullUpOhm: 1000 + 9000 * random(),
    from: weighted(PULL_UPS, random),
  };
}

/** The wires by which a car of a kind carries lock and unlock; none where data alone do. */
export function lockWires(kind: LockKind, random: () => number): DrawnWire[] {
  if (kind === 'data') return [];
  if (kind === 'multiplex')
    return [{ carries: ['lock', 'unlock'], behind: { is: 'lockResistive' } }];
  return (['lock', 'unlock'] as const).map((by) => ({
    carries: [by],
    behind: lockWire(kind, by, random),
  }));
}

function lockWire(
  kind: 'negative' | 'positive' | 'reversing',
  by: 'lock' | 'unlock',
  random: () => number,
): BenchWireKind {
  if (kind === 'negative') return toGround(by, random);
  return kind === 'positive' ? { is: 'lockPositive', by } : { is: 'lockMotor', by };
}

/** Bulbs on the light switch hang on the same circuit as the parking lamps, unless a dimmer pulses them. */
export function carriedAsWell(behind: BenchWireKind): readonly BunchSignal[] {
  if (behind.is !== 'illumination') return [];
  return behind.pulsed ? ['dimmer'] : ['parkingLamps'];
}

/** Wires that carry nothing of what is searched for. */
function bystanders(random: () => number): DrawnWire[] {
  const none: BenchWireKind[] = [
    { is: 'data', biasV: 2.65, pair: 'bus' },
    { is: 'data', biasV: 2.35, pair: 'bus' },
    { is: 'sensor' },
    { is: 'speaker', speaker: 'left', positive: true, ohm: 4 },
    { is: 'speaker', speaker: 'left', positive: false, ohm: 4 },
    { is: 'illumination', bulbW: 8, pulsed: random() < 0.5 },
  ];
  const open = Math.floor(4 * random());
  for (let index = 0; index < open; index += 1) none.push({ is: 'open', ghostV: 2 * random() });
  return none
    .filter(() => random() < 0.75)
    .map((behind) => ({ carries: carriedAsWell(behind), behind }));
}
