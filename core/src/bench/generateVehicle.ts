import type { BenchCircuit, BenchSupply, BenchVehicle } from './circuit';
import { seededRandom } from './seededRandom';

/** A slot as the generated car shows it. */
export interface GeneratedSlot {
  readonly id: string;
  readonly legend: string | undefined;
  /** Whether pulling or loading this circuit can hurt someone; never shown to the identification. */
  readonly critical: boolean;
  /** Whether the legend names the circuit as critical. */
  readonly namedCritical: boolean;
}

/** A generated car: what is printed, and the truth behind it. */
export interface GeneratedVehicle {
  readonly slots: readonly GeneratedSlot[];
  readonly truth: BenchVehicle;
}

/** How good a car's legends are, as shares of slots; the rest is right. */
export interface LegendQuality {
  readonly ambiguous: number;
  readonly wrong: number;
  readonly missing: number;
}

/** Legends as most panels have them. */
export const USUAL_LEGENDS: LegendQuality = { ambiguous: 0.15, wrong: 0.05, missing: 0.1 };

interface CircuitKind {
  readonly share: number;
  readonly supplies: readonly (readonly [BenchSupply, number])[];
  readonly legends: readonly string[];
  readonly vague: readonly string[];
  readonly critical: boolean;
}

/** What panels hold: invented shares in the order of magnitude of a small car's interior panel. */
const KINDS: readonly CircuitKind[] = [
  kind(
    6,
    [
      ['battery', 3],
      ['batterySaver', 1],
    ],
    ['BAT', 'BATT', 'KL30', 'BACK UP', 'MEMORY'],
    ['B', 'ELEC'],
  ),
  kind(
    5,
    [
      ['battery', 2],
      ['batterySaver', 2],
    ],
    ['ROOM', 'DOME', 'INT LP', 'INNENL'],
    ['LP', 'BODY'],
  ),
  kind(
    7,
    [
      ['accessoryContact', 6],
      ['retainedPower', 1],
      ['battery', 1],
      ['runContact', 1],
    ],
    ['CIG', 'P/OUTLET', 'SOCKET', 'STECKD', 'PRISE'],
    ['PWR', '12V'],
  ),
  kind(
    5,
    [
      ['accessoryContact', 5],
      ['accessoryContactHeld', 1],
      ['retainedPower', 2],
    ],
    ['ACC', 'ACC 2', '15R'],
    ['A2', 'AUX'],
  ),
  kind(
    6,
    [
      ['battery', 3],
      ['accessoryContact', 3],
      ['retainedPower', 1],
    ],
    ['RADIO', 'AUDIO', 'AV'],
    ['ENT', 'HU'],
  ),
  kind(
    6,
    [
      ['runContact', 2],
      ['runCrankContact', 2],
    ],
    ['IGN', 'IG2', 'KL15'],
    ['SYS', 'CTRL'],
  ),
  kind(
    10,
    [['runContact', 1]],
    ['RR DEF', 'SEAT HTR', 'WIPER', 'WASHER', 'BLOWER', 'HECKSCH'],
    ['HTR', 'AUX 2'],
  ),
  kind(6, [['lampSwitch', 1]], ['ILLUM', 'TAIL', 'PANEL LP', 'STANDL'], ['LP 2', 'L']),
  kind(
    4,
    [
      ['retainedPower', 2],
      ['runContact', 2],
      ['battery', 1],
    ],
    ['P/WDW', 'SUNROOF', 'WINDOW'],
    ['COMF', 'K'],
  ),
  kind(
    5,
    [
      ['unfed', 3],
      ['battery', 1],
      ['runContact', 1],
    ],
    ['SPARE', 'OPT', 'RES'],
    ['NC', '--'],
  ),
  kind(3, [['battery', 1]], ['HORN', 'D/LOCK', 'P SEAT'], ['CONV', 'GEN']),
  {
    ...kind(4, [['runCrankContact', 1]], ['A/BAG', 'SRS', 'AIRBAG'], ['SAFE', 'R1']),
    critical: true,
  },
  {
    ...kind(
      8,
      [
        ['runCrankContact', 3],
        ['battery', 2],
      ],
      ['ABS', 'ECM', 'EPS', 'TCM', 'EFI', 'FUEL'],
      ['CU', 'MOT'],
    ),
    critical: true,
  },
  {
    ...kind(
      6,
      [
        ['battery', 3],
        ['runContact', 1],
      ],
      ['STOP', 'HAZ', 'ECU-B', 'HEAD LH', 'TURN'],
      ['E2', 'LGT'],
    ),
    critical: true,
  },
  { ...kind(1, [['starterContact', 1]], ['START', 'ST SIG'], ['S']), critical: true },
];

/** Position count of a generated panel: from, to. */
const SLOT_RANGE: readonly [number, number] = [16, 60];

/** A plausible car for a seed: legends that are right, vague, wrong or missing, and a truth that fits the right ones. */
export function generateVehicle(
  seed: number,
  quality: LegendQuality = USUAL_LEGENDS,
): GeneratedVehicle {
  const random = seededRandom(seed);
  const [least, most] = SLOT_RANGE;
  const count = least + Math.floor(random() * (most - least + 1));
  const slots: GeneratedSlot[] = [];
  const circuits: BenchCircuit[] = [];
  for (let index = 0; index < count; index += 1) {
    const id = `F${index + 1}`;
    const drawn = weighted(
      KINDS.map((one) => [one, one.share] as const),
      random,
    );
    const legend = drawLegend(drawn, quality, random);
    slots.push({
      id,
      legend,
      critical: drawn.critical,
      namedCritical: drawn.critical && drawn.legends.includes(legend ?? ''),
    });
    circuits.push(drawCircuit(id, weighted(drawn.supplies, random), random));
  }
  return { slots, truth: { battery: drawBattery(random), circuits } };
}

function drawLegend(
  of: CircuitKind,
  quality: LegendQuality,
  random: () => number,
): string | undefined {
  const draw = random();
  if (draw < quality.missing) return undefined;
  if (draw < quality.missing + quality.ambiguous) return pick(of.vague, random);
  // A wrong legend belongs to another circuit that the car might have had; restraint legends are never lent out.
  if (draw < quality.missing + quality.ambiguous + quality.wrong)
    return pick(
      pick(
        KINDS.filter((one) => !one.critical),
        random,
      ).legends,
      random,
    );
  return pick(of.legends, random);
}

function drawCircuit(slotId: string, supply: BenchSupply, random: () => number): BenchCircuit {
  const floats = supply === 'unfed' || random() < 0.08;
  return {
    slotId,
    supply,
    supplyContact: random() < 0.5 ? 'a' : 'b',
    backFeed: undefined,
    loadOhm: floats ? Infinity : 2 + 200 * random(),
    blown: false,
    ghostV: random() < 0.5 ? 0 : 6 * random(),
  };
}

function drawBattery(random: () => number): BenchVehicle['battery'] {
  return {
    restV: 12.2 + 0.6 * random(),
    internalOhm: 0.008 + 0.006 * random(),
    crankingA: 150 + 70 * random(),
    chargingV: 13.7 + 0.8 * random(),
  };
}

function kind(
  share: number,
  supplies: CircuitKind['supplies'],
  legends: readonly string[],
  vague: readonly string[],
): CircuitKind {
  return { share, supplies, legends, vague, critical: false };
}

function pick<T>(list: readonly T[], random: () => number): T {
  return list[Math.floor(random() * list.length)] as T;
}

function weighted<T>(list: readonly (readonly [T, number])[], random: () => number): T {
  const total = list.reduce((sum, [, weight]) => sum + weight, 0);
  let left = random() * total;
  for (const [item, weight] of list) {
    left -= weight;
    if (left < 0) return item;
  }
  return (list[list.length - 1] as readonly [T, number])[0];
}
