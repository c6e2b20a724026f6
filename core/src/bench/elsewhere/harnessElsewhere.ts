import { restVoltage } from '../car/battery';
import type { BenchWireKind } from '../car/wire';
import { pick, shuffled } from '../generate/draw';
import type { GeneratedHarness, GeneratedWire, WireTruth } from '../generate/generateHarness';
import type { GeneratedRole } from '../generate/harnessColours';
import { seededRandom } from '../generate/seededRandom';

/** What a bunch elsewhere is like. */
export interface HarnessElsewhere {
  /** Share of open wires and speaker pairs that pick up a ghost of up to 3 V. */
  readonly ghosts: number;
}

interface Drawn {
  readonly role: GeneratedRole;
  readonly behind: BenchWireKind;
  readonly pair?: string;
  readonly truth?: Partial<WireTruth>;
}

/**
 * A bunch of cut wires by other assumptions than `generateHarness`: up to seven speakers, two constants, three grounds,
 * illumination by LED, terminated data pairs, broken coils, light shades, pairs of unlike colours. For reporting only.
 */
export function harnessElsewhere(
  seed: number,
  quality: HarnessElsewhere = { ghosts: 0 },
): GeneratedHarness {
  const random = seededRandom(seed * 6007 + 29);
  const drawn = shuffled(drawWires(random, quality), random).map((one, index) => ({
    ...one,
    id: `${index + 1}`,
  }));
  const colours = coloursOf(drawn, random);
  const taped = new Map<string, boolean>();
  for (const { pair } of drawn)
    if (pair !== undefined && !taped.has(pair)) taped.set(pair, random() < 0.45);
  const wires = drawn.map((one, index): GeneratedWire => {
    const mate = drawn.find((other) => other.pair === one.pair && other.id !== one.id);
    const isTaped = one.pair !== undefined && taped.get(one.pair) === true;
    return {
      id: one.id,
      colour: colours[index] ?? 'BK',
      tapedWith: isTaped ? mate?.id : undefined,
    };
  });
  return {
    wires,
    truth: {
      battery: {
        restV: restVoltage(0.3 + 0.7 * random()),
        internalOhm: 0.006 + 0.01 * random(),
        crankingA: 200,
        chargingV: 14.1,
      },
      circuits: [],
      wires: drawn.map(({ id, behind }) => ({ id, behind })),
    },
    roles: Object.fromEntries(
      drawn.map(({ id, role, truth }) => [
        id,
        { role, speaker: undefined, positive: undefined, amplified: false, ...truth },
      ]),
    ),
  };
}

const DOORS = ['left door', 'right door', 'left rear', 'right rear'];
const DASH = ['left tweeter', 'right tweeter'];

function drawWires(random: () => number, quality: HarnessElsewhere): Drawn[] {
  const chance = (share: number): boolean => random() < share;
  const feed = (role: GeneratedRole, behind: BenchWireKind): Drawn => ({ role, behind });
  const wires: Drawn[] = [
    feed('constant', { is: 'feed', supply: 'battery', loadOhm: 2e5 }),
    feed('ground', { is: 'ground', ohm: 0.05 + 0.2 * random() }),
    chance(0.7)
      ? feed('accessory', { is: 'feed', supply: 'accessoryContact', loadOhm: 5e4 })
      : feed('ignitionRun', { is: 'feed', supply: 'runContact', loadOhm: 5e4 }),
  ];
  if (chance(0.2)) wires.push(feed('constant', { is: 'feed', supply: 'battery', loadOhm: 5e4 }));
  for (const share of [0.35, 0.1])
    if (chance(share)) wires.push(feed('ground', { is: 'ground', ohm: 0.2 + 0.5 * random() }));
  if (chance(0.75)) wires.push(illumination(random));
  const speakers = [
    ...(chance(0.85) ? DOORS : DOORS.slice(0, 2)),
    ...(chance(0.3) ? DASH : []),
    ...(chance(0.12) ? ['centre'] : []),
  ];
  for (const speaker of speakers) wires.push(...leads(speaker, random, quality));
  if (chance(0.5)) wires.push(...data('main bus', random));
  if (chance(0.08)) wires.push(...data('second bus', random));
  if (chance(0.6))
    wires.push(feed('antennaTurnOn', { is: 'turnOn', loadOhm: 90 + 200 * random() }));
  if (chance(0.3)) wires.push(feed('amplifierTurnOn', { is: 'turnOn', loadOhm: 1e4 }));
  if (chance(0.25)) wires.push(feed('sensor', { is: 'sensor' }));
  if (chance(0.25))
    wires.push(feed('reverse', { is: 'feed', supply: 'reverseSwitch', loadOhm: 12 }));
  if (chance(0.3))
    wires.push(
      feed('parkingBrakeSwitch', { is: 'switchToGround', by: 'parkingBrake', pullUpOhm: 1000 }),
    );
  for (let spare = Math.floor(5 * random()); spare > 0; spare -= 1)
    wires.push(feed('spare', { is: 'open', ghostV: chance(quality.ghosts) ? 3 * random() : 0.05 }));
  return wires;
}

function illumination(random: () => number): Drawn {
  const draw = random();
  if (draw < 0.35)
    return { role: 'lamps', behind: { is: 'feed', supply: 'lampSwitch', loadOhm: 600 } };
  const pulsed = draw < 0.6;
  return {
    role: pulsed ? 'dimmedIllumination' : 'lamps',
    behind: { is: 'illumination', bulbW: 3 + 12 * random(), pulsed },
  };
}

function leads(speaker: string, random: () => number, quality: HarnessElsewhere): Drawn[] {
  const broken = random() < 0.02;
  const ghostV = random() < quality.ghosts ? 3 * random() : 0.05;
  const ohm = pick([1.9, 3.4, 3.8, 5.6, 6.9, 7.6], random);
  return [true, false].map((positive) =>
    broken
      ? { role: 'spare', pair: speaker, behind: { is: 'open', ghostV } }
      : {
          role: 'speaker',
          pair: speaker,
          truth: { speaker, positive },
          behind: { is: 'speaker', speaker, positive, ohm, ghostV },
        },
  );
}

function data(pair: string, random: () => number): Drawn[] {
  const middleV = 2.3 + 0.4 * random();
  return [0.1, -0.1].map((offset) => ({
    role: 'dataBus',
    pair,
    behind: { is: 'data', biasV: middleV + offset, pair },
  }));
}

const SHADES =
  'BK BN RD OG YE GN BU VT GY WH PK TQ LBU LGN BK/RD BK/YE BN/WH RD/WH RD/BU YE/RD YE/BK GN/WH GN/RD BU/WH BU/RD VT/WH GY/BK GY/BU WH/RD WH/BU PK/BK LBU/WH LGN/BK'.split(
    ' ',
  );
const STRIPES = ['BK', 'WH', 'RD', 'BU'];
/** Feeds keep to their makers' colours so often; anything else is anywhere. */
const KEEPS = 0.5;
const MAKERS: Partial<Record<GeneratedRole, readonly string[]>> = {
  constant: ['YE', 'RD', 'YE/RD', 'PK', 'WH/BU'],
  accessory: ['RD', 'GY', 'LBU', 'VT', 'BU/RD'],
  ignitionRun: ['RD/WH', 'BK/YE', 'GN'],
  ground: ['BK', 'BN', 'BK/RD', 'WH/BK'],
  lamps: ['OG', 'GN/RD', 'BN/WH', 'LGN'],
};

function coloursOf(wires: readonly Drawn[], random: () => number): string[] {
  const bases = new Map<string, string>();
  return wires.map(({ role, pair }) => {
    if (pair !== undefined && random() < 0.75) {
      const base = bases.get(pair);
      if (base !== undefined) return `${base}/${pick(STRIPES, random)}`;
      const made = pick(SHADES.slice(1, 14), random);
      bases.set(pair, made);
      return made;
    }
    const makers = MAKERS[role];
    return makers !== undefined && random() < KEEPS ? pick(makers, random) : pick(SHADES, random);
  });
}
