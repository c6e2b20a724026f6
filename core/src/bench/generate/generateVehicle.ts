import type { FuseFamily } from '../../vehicle';
import { restVoltage } from '../car/battery';
import type { BenchCircuit, BenchVehicle } from '../car/circuit';
import type { CircuitKind } from './circuitKinds';
import { CIRCUIT_KINDS } from './circuitKinds';
import { pick, shuffled, weighted } from './draw';
import { seededRandom } from './seededRandom';
import type { BenchSupply } from '../car/supplies';

/** A slot as the generated car shows it. */
export interface GeneratedSlot {
  readonly id: string;
  readonly legend: string | undefined;
  /** What the handbook lists for it; null when it lists nothing. */
  readonly handbook: string | null;
  readonly family: FuseFamily;
  /** Rating of the fitted fuse, A. */
  readonly ratingA: number;
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
  /** Share that is terse, or of several meanings, 0 to 1. */
  readonly ambiguous: number;
  /** Share of another circuit, or of another revision of the car, 0 to 1. */
  readonly wrong: number;
  /** Share of slots without one, 0 to 1. */
  readonly missing: number;
}

/** Legends as most panels have them. */
export const USUAL_LEGENDS: LegendQuality = { ambiguous: 0.15, wrong: 0.05, missing: 0.1 };
/** Legends of a worn or foreign panel. */
export const POOR_LEGENDS: LegendQuality = { ambiguous: 0.25, wrong: 0.1, missing: 0.25 };

/** Position count of a generated panel: from, to. */
const SLOT_RANGE: readonly [number, number] = [16, 60];

/** A plausible car for a seed: legends that are right, vague, wrong or missing, and a truth that fits the right ones. */
export function generateVehicle(
  seed: number,
  quality: LegendQuality = USUAL_LEGENDS,
): GeneratedVehicle {
  const random = seededRandom(seed);
  // Of its own, so that a car does not change with its handbook.
  const pages = seededRandom(seed + HANDBOOK_SEED);
  const [least, most] = SLOT_RANGE;
  const count = least + Math.floor(random() * (most - least + 1));
  const kinds = drawKinds(count, random);
  const slots: GeneratedSlot[] = [];
  const circuits: BenchCircuit[] = [];
  for (let index = 0; index < count; index += 1) {
    const id = `F${index + 1}`;
    const drawn = kinds[index] as CircuitKind;
    const legend = drawLegend(drawn, quality, random);
    const ratingA = pick(drawn.ratingsA, random);
    slots.push({
      id,
      legend,
      handbook: entryFor(drawn.legends, () => pick(CIRCUIT_KINDS, pages).legends, pages),
      family: pick(FAMILIES, random),
      ratingA,
      critical: drawn.critical,
      namedCritical: drawn.critical && drawn.legends.includes(legend ?? ''),
    });
    circuits.push(drawCircuit({ id, ratingA, drawn }, weighted(drawn.supplies, random), random));
  }
  return { slots, truth: { battery: drawBattery(random), circuits } };
}

const HANDBOOK_SEED = 55_001;
/** Share of positions that a handbook leaves out, and of those that it lists as another revision has them. */
const UNLISTED = 0.09;
const OTHER_REVISION = 0.03;

/** What a handbook lists for a circuit: one of its own prints, another circuit's, or nothing. */
export function entryFor(
  own: readonly string[],
  other: () => readonly string[],
  random: () => number,
): string | null {
  const draw = random();
  if (draw < UNLISTED) return null;
  return pick(draw < UNLISTED + OTHER_REVISION ? other() : own, random);
}

/** What every car has, the rest by its share, and all of it anywhere on the panel. */
function drawKinds(count: number, random: () => number): CircuitKind[] {
  const shares = CIRCUIT_KINDS.map((one) => [one, one.share] as const);
  const kinds = CIRCUIT_KINDS.filter((one) => one.always);
  while (kinds.length < count) kinds.push(weighted(shares, random));
  return shuffled(kinds, random);
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
        CIRCUIT_KINDS.filter((one) => !one.critical),
        random,
      ).legends,
      random,
    );
  return pick(of.legends, random);
}

/** Beyond any insulation: nothing connected, in a form that JSON can keep, Ω. */
const NOTHING_OHM = 1e12;
/** Share of circuits whose load is switched off or unplugged, so that a dead feed floats. */
const UNLOADED = 0.08;
/** Share of loads whose own ground is bad. */
const BAD_GROUND = 0.03;
/** Share of circuits that another supply reaches from behind. */
const BACK_FED = 0.01;

function drawCircuit(
  slot: { readonly id: string; readonly ratingA: number; readonly drawn: CircuitKind },
  supply: BenchSupply,
  random: () => number,
): BenchCircuit {
  const floats = supply === 'unfed' || random() < UNLOADED;
  // Most loads are switched off or idle; few draw near half of their fuse's rating.
  const loadOhm = 12 / (slot.ratingA * (0.002 + 0.45 * random() ** 4));
  const backFed = random() < BACK_FED && supply !== 'unfed';
  const badGround = random() < BAD_GROUND;
  return {
    slotId: slot.id,
    supply,
    supplyContact: random() < 0.5 ? 'a' : 'b',
    backFeed: backFed ? supply : undefined,
    loadOhm: floats ? NOTHING_OHM : loadOhm,
    ...(slot.drawn.bulbW !== undefined && !floats ? { bulbW: slot.drawn.bulbW } : {}),
    ...(badGround ? { groundOhm: 5 + 40 * random() } : {}),
    ratingA: slot.ratingA,
    blown: false,
    ghostV: random() < 0.5 ? 0 : 6 * random(),
  };
}

/** Healthy batteries on most cars; some have stood for weeks. */
function drawBattery(random: () => number): BenchVehicle['battery'] {
  return {
    restV: restVoltage(0.45 + 0.55 * random()),
    internalOhm: 0.008 + 0.006 * random(),
    crankingA: 150 + 70 * random(),
    chargingV: 13.7 + 0.8 * random(),
  };
}

const FAMILIES: readonly FuseFamily[] = ['mini', 'mini', 'lowProfileMini', 'standard', 'micro2'];
