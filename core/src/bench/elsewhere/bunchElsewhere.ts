import type { BenchLadder, BenchWireKind, PullUp, SwitchedBy } from '../car/wire';
import type { BunchSignal, DrawnWire, GeneratedBunch, LockKind } from '../generate/generateBunch';
import { LOCK_KINDS, bunchFrom, carriedAsWell } from '../generate/generateBunch';
import { pick } from '../generate/draw';
import { seededRandom } from '../generate/seededRandom';

/** Everything is there more or less often, by car. */
const SHARES: readonly (readonly [BunchSignal, number])[] = [
  ['parkingLamps', 0.9],
  ['brake', 0.7],
  ['reverse', 0.55],
  ['door', 0.75],
  ['hood', 0.35],
  ['parkingBrake', 0.6],
  ['turnLeft', 0.5],
  ['turnRight', 0.5],
  ['horn', 0.65],
  ['wiper', 0.4],
  ['speed', 0.45],
  ['tach', 0.55],
];

/**
 * A bunch by other assumptions than `generateBunch`: lock kinds in equal shares by chance, ladders of any ohms on 5, 8 or 12 V,
 * switches that open when worked, pull-ups that come in strokes or through lamps, poor grounds, tired batteries, two
 * ignition wires, LED loads, more wires in the way. For reporting only: nothing is tuned on it.
 *
 * @param dash with the wires of a dash as well, whose radio is in place
 */
export function bunchElsewhere(seed: number, dash = false): GeneratedBunch {
  const random = seededRandom(seed * 7561 + 401);
  const lockKind = pick(LOCK_KINDS, random);
  const drawn: DrawnWire[] = [
    ...supplies(random),
    ...locks(lockKind, random),
    ...SHARES.filter(([, share]) => random() < share).map(([signal]) => ({
      carries: [signal],
      behind: behindOf(signal, random),
    })),
    ...inTheWay(random),
    ...(dash ? ofTheDash(seededRandom(seed * 4421 + 7)) : []),
  ];
  return bunchFrom(drawn, {
    random,
    lockKind,
    battery: {
      restV: 11.9 + 0.9 * random(),
      internalOhm: 0.005 + 0.015 * random(),
      crankingA: 120 + 130 * random(),
      chargingV: 13.6 + random(),
    },
  });
}

function supplies(random: () => number): DrawnWire[] {
  const some = (share: number, one: DrawnWire): DrawnWire[] => (random() < share ? [one] : []);
  const fed = (supply: Extract<BenchWireKind, { is: 'feed' }>['supply']): BenchWireKind => ({
    is: 'feed',
    supply,
    loadOhm: 10 ** (0.5 + 4 * random()),
  });
  return [
    { carries: ['constant'], behind: fed('battery') },
    { carries: ['ignition'], behind: fed('runCrankContact') },
    { carries: ['starter'], behind: fed('starterContact') },
    ...some(0.4, { carries: ['constant'], behind: fed('battery') }),
    ...some(0.4, { carries: ['ignition'], behind: fed('runCrankContact') }),
    ...some(0.5, { carries: [], behind: fed('runContact') }),
    ...some(0.6, { carries: ['accessory'], behind: fed('accessoryContact') }),
    // Live at run and held through cranking: whoever asks for that is served by it.
    ...some(0.15, { carries: ['ignition', 'accessory'], behind: fed('accessoryContactHeld') }),
    ...some(0.25, { carries: [], behind: fed('batterySaver') }),
    ...some(0.25, { carries: ['accessory', 'retained'], behind: fed('retainedPower') }),
    ...some(0.9, { carries: [], behind: { is: 'ground', ohm: 0.03 + 1.2 * random() ** 3 } }),
  ];
}

/** Some antennas are fed whatever the radio plays: such a wire wakes an amplifier as well. Lamps may be bulbs or LEDs. */
function ofTheDash(random: () => number): DrawnWire[] {
  const some = (share: number, one: DrawnWire): DrawnWire[] => (random() < share ? [one] : []);
  const lamp = (): number => 2 + 400 * random() ** 3;
  return [
    ...some(0.5, {
      carries: ['accessory', 'retained'],
      behind: { is: 'feed', supply: 'retainedPower', loadOhm: 20 + 300 * random() },
    }),
    ...some(0.55, {
      carries: ['lowBeam'],
      behind: { is: 'feed', supply: 'lowBeamSwitch', loadOhm: lamp() },
    }),
    ...some(0.6, {
      carries: ['highBeam'],
      behind: { is: 'switchToPlus', by: 'highBeam', loadOhm: lamp() },
    }),
    ...some(0.6, {
      carries: ['ampTurnOn'],
      behind: { is: 'switchToPlus', by: 'radio', loadOhm: 800 + 2e4 * random() },
    }),
    ...(random() < 0.3
      ? some(0.6, {
          carries: ['ampTurnOn'],
          behind: { is: 'switchToPlus', by: 'radio', loadOhm: 60 + 300 * random() },
        })
      : some(0.6, {
          carries: ['antennaTurnOn'],
          behind: { is: 'switchToPlus', by: 'tuner', loadOhm: 60 + 300 * random() },
        })),
    ...some(0.6, {
      carries: ['dimmer'],
      behind: { is: 'illumination', bulbW: 1 + 12 * random(), pulsed: true },
    }),
  ];
}

function behindOf(signal: BunchSignal, random: () => number): BenchWireKind {
  switch (signal) {
    case 'brake':
      return { is: 'feed', supply: 'brakeSwitch', loadOhm: 3 + 600 * random() ** 3 };
    case 'reverse':
      return { is: 'feed', supply: 'reverseSwitch', loadOhm: 5 + 600 * random() ** 3 };
    case 'parkingLamps':
      return random() < 0.5
        ? { is: 'feed', supply: 'lampSwitch', loadOhm: 4 + 300 * random() }
        : switchWire('lamps', random);
    case 'door':
      return random() < 0.25
        ? { is: 'switchToPlus', by: 'door', loadOhm: 15 + 400 * random() }
        : switchWire('door', random, random() < 0.12);
    case 'hood':
      return switchWire('hood', random, random() < 0.15);
    case 'horn':
      return random() < 0.25
        ? { is: 'switchToPlus', by: 'horn', loadOhm: 60 }
        : switchWire('horn', random);
    case 'turnLeft':
    case 'turnRight':
      return { is: 'turnLamp', bulbW: pick([3, 10, 26, 42], random), side: signal };
    case 'wiper':
      return { is: 'feed', supply: 'wiperSwitch', loadOhm: 2 + 4 * random() };
    case 'speed':
      return {
        is: 'pulses',
        by: 'rolling',
        highV: pick([5, 8, 12], random),
        rest: random() < 0.4 ? 'high' : 'low',
      };
    case 'tach':
      return {
        is: 'pulses',
        by: 'engine',
        highV: pick([5, 10, 13], random),
        rest: random() < 0.3 ? 'high' : 'low',
      };
    default:
      return switchWire('parkingBrake', random);
  }
}

/** From whatever pulls it up: a lamp of a few ohms, or a module behind kilohms. */
function switchWire(by: SwitchedBy, random: () => number, inverted = false): BenchWireKind {
  const from = pick<PullUp>(
    ['battery', 'battery', 'key', 'module5', 'module5', 'module8', 'strokes', 'nothing'],
    random,
  );
  const lamp = (from === 'battery' || from === 'key') && random() < 0.5;
  const pullUpOhm = lamp ? 30 + 120 * random() : 10 ** (2.7 + 1.7 * random());
  return { is: 'switchToGround', by, inverted, from, pullUpOhm };
}

function locks(kind: LockKind, random: () => number): DrawnWire[] {
  if (kind === 'data') return [];
  if (kind === 'multiplex')
    return [
      { carries: ['lock', 'unlock'], behind: { is: 'lockResistive', ladder: ladder(random) } },
    ];
  const pull = switchWire('lock', random);
  return (['lock', 'unlock'] as const).map((by): DrawnWire => {
    if (kind === 'positive')
      return { carries: [by], behind: { is: 'switchToPlus', by, loadOhm: 80 + 3000 * random() } };
    // Lock and unlock of one car are built alike.
    return {
      carries: [by],
      behind: kind === 'reversing' ? { is: 'lockMotor', by } : ({ ...pull, by } as BenchWireKind),
    };
  });
}

/** Any volts, any ohms, as long as a module can tell the ways of the switch apart. */
function ladder(random: () => number): BenchLadder {
  const pullUpOhm = pick([470, 1000, 1500, 2200], random);
  const steps = [0.08 + 0.1 * random(), 0.4 + 0.3 * random()].map((share) => share * pullUpOhm);
  const [first = 100, second = 500] = random() < 0.5 ? steps : [...steps].reverse();
  return {
    volts: pick([5, 5, 8, 12], random),
    pullUpOhm,
    restOhm: random() < 0.4 ? Infinity : pullUpOhm * (4 + 10 * random()),
    lockOhm: random() < 0.2 ? 0.3 : first,
    unlockOhm: second,
  };
}

function inTheWay(random: () => number): DrawnWire[] {
  const kinds: BenchWireKind[] = [];
  const add = (share: number, kind: BenchWireKind): void => {
    if (random() < share) kinds.push(kind);
  };
  const middle = 2.3 + 0.4 * random();
  if (random() < 0.7)
    kinds.push(
      { is: 'data', biasV: middle + 0.1, pair: 'one' },
      { is: 'data', biasV: middle - 0.1, pair: 'one' },
    );
  add(0.4, { is: 'sensor' });
  add(0.3, { is: 'sensor' });
  add(0.5, { is: 'illumination', bulbW: 2 + 10 * random(), pulsed: random() < 0.5 });
  add(0.3, { is: 'turnOn', loadOhm: 100 + 5000 * random() });
  if (random() < 0.5)
    for (const positive of [true, false])
      kinds.push({ is: 'speaker', speaker: 'door', positive, ohm: 3.8 });
  for (let open = Math.floor(5 * random()); open > 0; open -= 1)
    kinds.push({ is: 'open', ghostV: 3 * random() ** 2 });
  return kinds.map((behind) => ({ carries: carriedAsWell(behind), behind }));
}
