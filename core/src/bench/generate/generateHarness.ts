import { restVoltage } from '../car/battery';
import type { BenchVehicle } from '../car/circuit';
import type { BenchWireKind } from '../car/wire';
import { pick, shuffled } from './draw';
import { fade, paint } from './harnessColours';
import type { GeneratedRole } from './harnessColours';
import { seededRandom } from './seededRandom';

/** A wire of the bunch as it can be seen. */
export interface GeneratedWire {
  readonly id: string;
  /** Colour as seen, `BU/PK`; faded or changed colours are seen wrongly. */
  readonly colour: string;
  /** Id of the wire it is taped or twisted with; undefined when it hangs alone. */
  readonly tapedWith: string | undefined;
}

/** What a wire really is; never shown to the identification. */
export interface WireTruth {
  readonly role: GeneratedRole;
  /** Speaker and polarity, for speaker leads. */
  readonly speaker: string | undefined;
  readonly positive: boolean | undefined;
  /** An amplifier drives it. */
  readonly amplified: boolean;
}

/** A bunch of cut wires behind a removed radio. */
export interface GeneratedHarness {
  readonly wires: readonly GeneratedWire[];
  readonly truth: BenchVehicle;
  readonly roles: Readonly<Record<string, WireTruth>>;
}

/** What a generated harness is like. */
export interface HarnessQuality {
  /** Share of wires whose colour has faded or been changed by an earlier installer. */
  readonly faded: number;
  /** Chance that the two leads of a speaker are still taped or twisted together. */
  readonly taped: number;
}

/** Harnesses as most cars have them. */
export const USUAL_HARNESS: HarnessQuality = { faded: 0.12, taped: 0.6 };
/** An old harness that somebody has been in before. */
export const FADED_HARNESS: HarnessQuality = { faded: 0.4, taped: 0.3 };

interface Drawn {
  readonly role: GeneratedRole;
  readonly behind: BenchWireKind;
  readonly pair?: string;
  readonly speaker?: string;
  readonly positive?: boolean;
}

const SPEAKERS = ['front left', 'front right', 'rear left', 'rear right'];
/** Share of bunches behind an amplifier, cut on its speaker side. */
const AMPLIFIED = 0.08;
/** Wires in a bunch: from, to. */
const LEAST = 12;
const MOST = 24;

/** A plausible bunch of 12 to 24 cut wires for a seed. */
export function generateHarness(
  seed: number,
  quality: HarnessQuality = USUAL_HARNESS,
): GeneratedHarness {
  const random = seededRandom(seed);
  const drawn = shuffled(drawWires(random), random).map((wire, index) => ({
    ...wire,
    id: `W${index + 1}`,
  }));
  const scheme = paint(
    drawn.map((one) => ({ role: one.role, pair: one.pair, positive: one.positive })),
    random,
  );
  const taped = new Set(
    drawn.flatMap((one) =>
      one.pair !== undefined && random() < quality.taped / 2 ? one.pair : [],
    ),
  );
  const wires = drawn.map((one, index): GeneratedWire => {
    const colour = scheme[index] ?? 'BK';
    const mate = drawn.find((other) => other.pair === one.pair && other.id !== one.id);
    return {
      id: one.id,
      colour: random() < quality.faded ? fade(colour, random) : colour,
      tapedWith: one.pair !== undefined && taped.has(one.pair) ? mate?.id : undefined,
    };
  });
  return {
    wires,
    truth: {
      battery: {
        restV: restVoltage(0.5 + 0.5 * random()),
        internalOhm: 0.01,
        crankingA: 180,
        chargingV: 14.2,
      },
      circuits: [],
      wires: drawn.map((one) => ({ id: one.id, behind: one.behind })),
    },
    roles: Object.fromEntries(
      drawn.map((one) => [
        one.id,
        {
          role: one.role,
          speaker: one.speaker,
          positive: one.positive,
          amplified: one.behind.is === 'amplifierOutput',
        },
      ]),
    ),
  };
}

function drawWires(random: () => number): Drawn[] {
  const chance = (share: number): boolean => random() < share;
  const wires: Drawn[] = [
    { role: 'constant', behind: { is: 'feed', supply: 'battery', loadOhm: 1e6 } },
    accessory(random()),
    { role: 'ground', behind: { is: 'ground', ohm: chance(0.05) ? 2 + 4 * random() : 0.1 } },
  ];
  if (chance(0.3)) wires.push({ role: 'ground', behind: { is: 'ground', ohm: 0.1 } });
  if (chance(0.85)) wires.push(illumination(random));
  const doors = chance(0.8) ? SPEAKERS : SPEAKERS.slice(0, 2);
  const impedance = pick([3.6, 4, 5.5, 7.2], random);
  const amplified = chance(AMPLIFIED);
  for (const speaker of doors)
    for (const positive of [true, false])
      wires.push({
        role: 'speaker',
        pair: speaker,
        speaker,
        positive,
        behind: amplified
          ? { is: 'amplifierOutput', speaker, positive }
          : { is: 'speaker', speaker, positive, ohm: impedance },
      });
  if (chance(0.7)) wires.push({ role: 'antennaTurnOn', behind: { is: 'turnOn', loadOhm: 150 } });
  if (chance(0.4)) wires.push({ role: 'amplifierTurnOn', behind: { is: 'turnOn', loadOhm: 4700 } });
  if (chance(0.45)) wires.push(...dataPair());
  if (chance(0.35)) wires.push({ role: 'sensor', behind: { is: 'sensor' } });
  if (chance(0.3))
    wires.push({ role: 'reverse', behind: { is: 'feed', supply: 'reverseSwitch', loadOhm: 15 } });
  if (chance(0.3))
    wires.push({
      role: 'parkingBrakeSwitch',
      behind: { is: 'switchToGround', by: 'parkingBrake', pullUpOhm: 2000 },
    });
  const most = Math.min(MOST, wires.length + Math.floor(random() * 5));
  while (wires.length < Math.max(LEAST, most))
    wires.push({ role: 'spare', behind: { is: 'open', ghostV: chance(0.5) ? 0 : 2.8 * random() } });
  return wires;
}

function accessory(draw: number): Drawn {
  if (draw < 0.8)
    return {
      role: 'accessory',
      behind: { is: 'feed', supply: 'accessoryContact', loadOhm: 1e6 },
    };
  return draw < 0.92
    ? {
        role: 'retainedAccessory',
        behind: { is: 'feed', supply: 'retainedPower', loadOhm: 1e6 },
      }
    : { role: 'ignitionRun', behind: { is: 'feed', supply: 'runContact', loadOhm: 1e6 } };
}

function illumination(random: () => number): Drawn {
  const pulsed = random() < 0.3;
  return {
    role: pulsed ? 'dimmedIllumination' : 'lamps',
    behind: { is: 'illumination', bulbW: 6 + 10 * random(), pulsed },
  };
}

function dataPair(): Drawn[] {
  return [2.65, 2.35].map((biasV) => ({
    role: 'dataBus' as const,
    pair: 'data',
    behind: { is: 'data', biasV } as const,
  }));
}
