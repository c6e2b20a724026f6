import type { BenchCircuit } from '../car/circuit';
import { pick, shuffled, weighted } from '../generate/draw';
import type { GeneratedSlot, GeneratedVehicle } from '../generate/generateVehicle';
import { entryFor } from '../generate/generateVehicle';
import { seededRandom } from '../generate/seededRandom';
import type { CircuitElsewhere } from './circuits';
import { HABITS, circuitsElsewhere } from './circuits';
import type { Printed } from './prints';
import { PRINTS, printsOf } from './prints';
import { reprinted } from './shorten';

/** Shares of slots whose print says nothing, is another circuit's, or is gone. */
export interface PrintsElsewhere {
  /** Share of legends that say little, 0 to 1. */
  readonly vague: number;
  /** Share that stand at a neighbour's slot, 0 to 1. */
  readonly swapped: number;
  /** Share of slots without one, 0 to 1. */
  readonly missing: number;
}

/** A panel with its lid. */
export const USUAL_ELSEWHERE: PrintsElsewhere = { vague: 0.1, swapped: 0.05, missing: 0.12 };
/** A lid from another trim level, half of it worn off. */
export const POOR_ELSEWHERE: PrintsElsewhere = { vague: 0.18, swapped: 0.1, missing: 0.28 };

/** Sizes of panels, positions. */
const SIZES = [14, 16, 20, 24, 24, 32, 40, 52, 72];
const UNPLUGGED_OHM = 1e12;

/**
 * A car by other assumptions than `generateVehicle`: its own words in nine languages and their shortenings, other panel
 * sizes, other shares of circuits on battery, accessory and ignition, other errors of legends, weaker batteries, next to no
 * ghosts on slots. For reporting only: nothing is tuned on it.
 */
export function vehicleElsewhere(
  seed: number,
  prints: PrintsElsewhere = USUAL_ELSEWHERE,
): GeneratedVehicle {
  const random = seededRandom(seed * 7919 + 13);
  const pages = seededRandom(seed + 1_000_003);
  const kinds = drawKinds(random);
  const slots: GeneratedSlot[] = [];
  const circuits: BenchCircuit[] = [];
  kinds.forEach((kind, index) => {
    const id = `${index + 1}`;
    const { legend, own } = drawPrint(kind, kinds, { prints, random });
    const ratingA = pick(kind.ratingsA, random);
    slots.push({
      id,
      legend,
      handbook: entryFor(printsOf(kind.printed), () => printsOf(pick(kinds, pages).printed), pages),
      family: pick(['mini', 'micro2', 'micro3', 'lowProfileMini', 'standard'] as const, random),
      ratingA,
      critical: kind.critical,
      namedCritical: kind.critical && own,
    });
    circuits.push(drawCircuit(id, { kind, ratingA }, random));
  });
  return { slots, truth: { battery: drawBattery(random), circuits } };
}

/** A panel by numbers per thirty positions; every car has something for every need. */
function drawKinds(random: () => number): CircuitElsewhere[] {
  const kinds = circuitsElsewhere(pick(HABITS, random));
  const shares = kinds.map((one) => [one, one.per30] as const);
  const held = kinds.filter((one) => EVERYWHERE.includes(one.printed));
  const size = pick(SIZES, random);
  while (held.length < size) held.push(weighted(shares, random));
  return shuffled(held, random);
}

const EVERYWHERE: readonly Printed[] = [
  'socket',
  'radio',
  'courtesy',
  'memory',
  'accessory',
  'cluster',
  'ignition',
  'restraint',
  'engine',
  'lawLamps',
  'blower',
];

function drawPrint(
  kind: CircuitElsewhere,
  among: readonly CircuitElsewhere[],
  by: { readonly prints: PrintsElsewhere; readonly random: () => number },
): { readonly legend: string | undefined; readonly own: boolean } {
  const { prints, random } = by;
  const draw = random();
  if (draw < prints.missing) return { legend: undefined, own: false };
  if (draw < prints.missing + prints.vague)
    return { legend: pick(printsOf('vague'), random), own: false };
  if (draw < prints.missing + prints.vague + prints.swapped) {
    const other = pick(among, random);
    return { legend: print(other.printed, random), own: other === kind };
  }
  return { legend: print(kind.printed, random), own: true };
}

function print(of: Printed, random: () => number): string {
  return reprinted(pick(printsOf(of), random), random);
}

function drawCircuit(
  slotId: string,
  of: { readonly kind: CircuitElsewhere; readonly ratingA: number },
  random: () => number,
): BenchCircuit {
  const supply = weighted(of.kind.supplies, random);
  const unplugged = supply === 'unfed' || random() < 0.05;
  const amperes = of.ratingA * (0.004 + 0.5 * random() ** 3);
  return {
    slotId,
    supply,
    supplyContact: random() < 0.5 ? 'a' : 'b',
    backFeed: undefined,
    loadOhm: unplugged ? UNPLUGGED_OHM : 12.5 / amperes,
    ...(of.kind.bulbW !== undefined && !unplugged ? { bulbW: of.kind.bulbW } : {}),
    ratingA: of.ratingA,
    blown: false,
    // Coupled in through insulation; a load bleeds it off.
    ghostV: random() < 0.25 ? 3 * random() : 0,
  };
}

/** From a fresh battery to one that barely turns the engine in winter. */
function drawBattery(random: () => number): GeneratedVehicle['truth']['battery'] {
  const age = random();
  return {
    restV: 12.75 - 0.55 * random() - 0.2 * age,
    internalOhm: 0.005 + 0.013 * age * age,
    crankingA: 130 + 150 * random(),
    chargingV: 13.4 + 1.3 * random(),
  };
}

/** Circuits that have prints, for tests that look at all of them. */
export const PRINTED = Object.keys(PRINTS) as Printed[];
