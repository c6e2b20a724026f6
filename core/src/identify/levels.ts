import type { VehicleState } from '../vehicle';
import type { ReadingValue } from './reading';

/**
 * Electrical levels a point can be at: battery voltage; ground through a load; open, so that a meter shows ghost
 * voltages; or part of the battery voltage.
 */
export const LEVELS = ['battery', 'ground', 'open', 'part'] as const;
/** One electrical level. */
export type Level = (typeof LEVELS)[number];
/** One number per level. */
export type PerLevel = Readonly<Record<Level, number>>;

/** Share of readings that have nothing to do with the level: slipped probe, wrong slot, thumb on the wrong key. */
const SLIP = 0.004;
/** Span over which a slipped meter reading may fall, V. */
const SLIP_SPAN_V = 16;
/** Spread of a meter on a grounded point, V: ground offset and the last digit. */
const GROUND_SIGMA_V = 0.12;
/** Mean of the ghost voltage that a 10 MΩ meter shows on an open wire, V. Common practice: mostly under 3 V. */
const GHOST_MEAN_V = 1.6;
/** Share of open points on which the meter shows no ghost at all. */
const QUIET_OPEN = 0.5;
/** Part voltage lies anywhere between these, V. */
const PART_RANGE_V: readonly [number, number] = [0.5, 11];

/** What the battery shows at a live point, V: mean and spread over batteries, drops and alternators. */
function batteryVolts(state: VehicleState): readonly [mean: number, sigma: number] {
  if (state.key === 'crank') return [10, 1.1];
  if (state.key === 'engine') return [14.1, 0.5];
  return [12.35, 0.4];
}

/** Chance of each glow of a filament lamp at each level, in the order lit, dim, dark. */
const GLOW: Record<Level, readonly [number, number, number]> = {
  battery: [0.975, 0.02, 0.005],
  ground: [0.003, 0.007, 0.99],
  open: [0.003, 0.012, 0.985],
  part: [0.15, 0.6, 0.25],
};
/** Cranking dims a lamp on a live feed. */
const GLOW_CRANKING: readonly [number, number, number] = [0.84, 0.14, 0.02];

/** How likely an instrument shows `value` at a point of each level. Volts are densities per volt, glows probabilities. */
export function likelihoods(value: ReadingValue, state: VehicleState): PerLevel {
  return value.kind === 'glow'
    ? perLevel((level) => glowLikelihood(level, value.glow, state))
    : perLevel((level) => voltLikelihood(level, Math.abs(value.volts), state));
}

function glowLikelihood(level: Level, glow: 'lit' | 'dim' | 'dark', state: VehicleState): number {
  const row = level === 'battery' && state.key === 'crank' ? GLOW_CRANKING : GLOW[level];
  const column = glow === 'lit' ? 0 : glow === 'dim' ? 1 : 2;
  return (1 - SLIP) * (row[column] ?? 0) + SLIP / 3;
}

function voltLikelihood(level: Level, volts: number, state: VehicleState): number {
  const slip = SLIP / SLIP_SPAN_V;
  switch (level) {
    case 'battery': {
      const [mean, sigma] = batteryVolts(state);
      return (1 - SLIP) * normal(volts - mean, sigma) + slip;
    }
    case 'ground':
      return (1 - SLIP) * 2 * normal(volts, GROUND_SIGMA_V) + slip;
    case 'open': {
      const quiet = 2 * normal(volts, GROUND_SIGMA_V);
      const ghost = Math.exp(-volts / GHOST_MEAN_V) / GHOST_MEAN_V;
      return (1 - SLIP) * (QUIET_OPEN * quiet + (1 - QUIET_OPEN) * ghost) + slip;
    }
    case 'part': {
      const [low, high] = PART_RANGE_V;
      const inside = volts >= low && volts <= high ? 1 / (high - low) : 0;
      return (1 - SLIP) * inside + slip;
    }
  }
}

/** Density of a normal distribution around zero. */
function normal(deviation: number, sigma: number): number {
  return Math.exp(-0.5 * (deviation / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
}

function perLevel(of: (level: Level) => number): PerLevel {
  return { battery: of('battery'), ground: of('ground'), open: of('open'), part: of('part') };
}
