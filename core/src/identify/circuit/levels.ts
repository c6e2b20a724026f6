import type { VehicleState } from '../../vehicle';
import type { Glow, Reading } from '../reading/reading';

/**
 * Electrical levels a point can be at: battery voltage; ground through a load; the chassis itself; open, so that a meter shows ghost
 * voltages; open and quiet, so that it shows none; part of the battery voltage, as behind a divider; battery voltage that only a module's
 * pull-up gives, so that a meter shows it and a filament does not burn; pulsing between on and off; half the supply, as amplifier
 * outputs; a data line's bias; a sensor's 5 V.
 */
export const LEVELS = [
  'battery',
  'ground',
  'chassis',
  'open',
  'quiet',
  'part',
  'pulse',
  'half',
  'bus',
  'five',
  'pulled',
] as const;
/** One electrical level. */
export type Level = (typeof LEVELS)[number];
/** One number per level, in the order of `LEVELS`. */
export type PerLevel = readonly number[];

/** Share of readings that have nothing to do with the level: wrong slot, thumb on the wrong key. */
const SLIP = 0.004;
/** Share of touches that miss the metal: the meter shows nothing. */
const MISSED = 0.0024;
const NOTHING_SIGMA_V = 0.05;
/** Span over which a slipped meter reading may fall, V. */
const SLIP_SPAN_V = 16;
/** Spread of a meter on a grounded point, V: ground offset and the last digit. */
const GROUND_SIGMA_V = 0.12;
/** Mean of the ghost voltage that a 10 MΩ meter shows on an open wire, V. Common practice: mostly under 3 V. */
const GHOST_MEAN_V = 1.6;
/** Voltages and spreads of the levels that sit somewhere: half a supply, a bus bias, a sensor supply. Common practice. */
const HALF_V: readonly [number, number] = [6.2, 0.7];
const BUS_V: readonly [number, number] = [2.5, 0.3];
const FIVE_V: readonly [number, number] = [5, 0.12];
/** Part voltage, and the mean of a pulsing one, lie anywhere between these, V. */
const PART_RANGE_V: readonly [number, number] = [0.5, 11];

/** What the battery shows at a live point: most cars about a mean, the rest anywhere in a range. */
interface BatteryVolts {
  readonly mean: number;
  readonly sigma: number;
  /** Share of cars that are off the mean: a tired battery, a heavy load on the feed, a weak alternator. */
  readonly off: number;
  readonly range: readonly [low: number, high: number];
}

const STANDING: BatteryVolts = { mean: 12.3, sigma: 0.45, off: 0.1, range: [9.5, 13.5] };
/** Between 6.5 V on a tired battery in the cold and hardly a sag. Common practice: 9.6 V is what a test wants at least. */
const CRANKING: BatteryVolts = { mean: 10, sigma: 1.1, off: 0.25, range: [6, 12.5] };
const CHARGING: BatteryVolts = { mean: 14, sigma: 0.6, off: 0.1, range: [11.5, 15.5] };

function batteryVolts(state: VehicleState): BatteryVolts {
  if (state.key === 'crank') return CRANKING;
  return state.key === 'engine' ? CHARGING : STANDING;
}

type GlowRow = readonly [lit: number, dim: number, dark: number, pulsing: number];

/**
 * Chance of each glow of a filament lamp at each level, clipped to ground. Common practice: it takes watts to light one, so
 * that it does not burn on ground or on an open wire; what else shows is the installer's slip.
 */
const GLOW: Record<Level, GlowRow> = {
  battery: [0.975, 0.019, 0.005, 0.001],
  ground: [0.0002, 0.0018, 0.997, 0.001],
  chassis: [0.0002, 0.0018, 0.997, 0.001],
  open: [0.0002, 0.0018, 0.997, 0.001],
  quiet: [0.0002, 0.0018, 0.997, 0.001],
  part: [0.1, 0.45, 0.44, 0.01],
  pulse: [0.1, 0.35, 0.05, 0.5],
  half: [0.15, 0.8, 0.04, 0.01],
  bus: [0.005, 0.015, 0.975, 0.005],
  five: [0.005, 0.035, 0.955, 0.005],
  pulled: [0.002, 0.018, 0.978, 0.002],
};
/** Cranking dims a lamp on a live feed: at 8 V it gives a quarter of its light. */
const GLOW_CRANKING: GlowRow = [0.68, 0.29, 0.029, 0.001];
/** The same clipped to the constant: now it is ground that lights it. */
const GLOW_FROM_CONSTANT: Record<Level, GlowRow> = {
  battery: [0.003, 0.006, 0.99, 0.001],
  ground: [0.25, 0.2, 0.549, 0.001],
  chassis: [0.96, 0.03, 0.009, 0.001],
  open: [0.003, 0.011, 0.985, 0.001],
  quiet: [0.003, 0.011, 0.985, 0.001],
  part: [0.1, 0.3, 0.59, 0.01],
  pulse: [0.1, 0.35, 0.05, 0.5],
  half: [0.15, 0.8, 0.04, 0.01],
  bus: [0.02, 0.1, 0.87, 0.01],
  five: [0.02, 0.1, 0.87, 0.01],
  pulled: [0.003, 0.006, 0.99, 0.001],
};
/** An LED tester hardly loads: it glows on pull-ups and on a bus. */
const GLOW_LED: Record<Level, GlowRow> = {
  ...GLOW,
  open: [0.01, 0.06, 0.925, 0.005],
  quiet: [0.01, 0.06, 0.925, 0.005],
  part: [0.45, 0.4, 0.14, 0.01],
  half: [0.85, 0.13, 0.01, 0.01],
  bus: [0.05, 0.65, 0.25, 0.05],
  five: [0.25, 0.7, 0.04, 0.01],
  pulled: [0.45, 0.5, 0.04, 0.01],
};
const GLOW_COLUMN: Record<Glow, 0 | 1 | 2 | 3> = { lit: 0, dim: 1, dark: 2, pulsing: 3 };

/** Chance that the digits jump, by level. */
const JUMPS: Record<Level, number> = {
  battery: 0.004,
  ground: 0.002,
  chassis: 0.002,
  open: 0.02,
  quiet: 0.02,
  part: 0.03,
  pulse: 0.85,
  half: 0.01,
  bus: 0.06,
  five: 0.005,
  pulled: 0.004,
};

/** Chance of hardly any ohms to ground, of few, of many, and of no continuity, by level. Common practice. */
const OHMS: Record<Level, readonly [hard: number, few: number, many: number, none: number]> = {
  battery: [0.01, 0.2, 0.39, 0.4],
  ground: [0.02, 0.13, 0.83, 0.02],
  chassis: [0.84, 0.15, 0.005, 0.005],
  open: [0.005, 0.005, 0.09, 0.9],
  quiet: [0.005, 0.005, 0.09, 0.9],
  part: [0.01, 0.04, 0.75, 0.2],
  pulse: [0.1, 0.4, 0.3, 0.2],
  half: [0.01, 0.04, 0.75, 0.2],
  bus: [0.01, 0.01, 0.88, 0.1],
  five: [0.01, 0.01, 0.88, 0.1],
  pulled: [0.01, 0.04, 0.75, 0.2],
};
/** Upper ends of the first three columns, Ω; a ground with a poor contact still shows a few ohms. */
const OHM_STEPS: readonly [number, number, number] = [1.5, 8, 1e6];

/** How likely an instrument shows a reading at a point of each level. Volts are densities per volt, the rest chances. */
export function likelihoods(reading: Pick<Reading, 'value' | 'state' | 'clip'>): PerLevel {
  const { value, state } = reading;
  const fromConstant = reading.clip === 'constant';
  switch (value.kind) {
    case 'glow': {
      const rows = fromConstant ? GLOW_FROM_CONSTANT : GLOW;
      return LEVELS.map((level) =>
        glowChance(
          !fromConstant && level === 'battery' && state.key === 'crank'
            ? GLOW_CRANKING
            : rows[level],
          value.glow,
        ),
      );
    }
    case 'led':
      return LEVELS.map((level) => glowChance(GLOW_LED[level], value.glow));
    case 'volts': {
      const battery = batteryVolts(state);
      const volts = fromConstant ? battery.mean - Math.abs(value.volts) : Math.abs(value.volts);
      return LEVELS.map(
        (level) => (1 - JUMPS[level]) * voltDensity(level, volts, { battery, fromConstant }),
      );
    }
    case 'pulsing':
      return LEVELS.map((level) => JUMPS[level]);
    case 'ohms': {
      const column = ohmColumn(value.ohm);
      return LEVELS.map((level) => (1 - SLIP) * OHMS[level][column] + SLIP / 4);
    }
    case 'pop':
      return LEVELS.map(() => 1);
  }
}

function ohmColumn(ohm: number | null): 0 | 1 | 2 | 3 {
  if (ohm === null || ohm > OHM_STEPS[2]) return 3;
  if (ohm > OHM_STEPS[1]) return 2;
  return ohm > OHM_STEPS[0] ? 1 : 0;
}

function glowChance(row: GlowRow, glow: Glow): number {
  return (1 - SLIP) * row[GLOW_COLUMN[glow]] + SLIP / 4;
}

/** What a voltage is judged under: the battery in that state, and where the meter is clipped. */
interface Under {
  readonly battery: BatteryVolts;
  readonly fromConstant: boolean;
}

function voltDensity(level: Level, volts: number, under: Under): number {
  const shown = under.fromConstant ? under.battery.mean - volts : volts;
  const slip = SLIP / SLIP_SPAN_V + MISSED * 2 * normal(shown, NOTHING_SIGMA_V);
  return (1 - SLIP - MISSED) * cleanDensity(level, volts, under) + slip;
}

function cleanDensity(level: Level, volts: number, under: Under): number {
  const { mean, sigma } = under.battery;
  switch (level) {
    case 'battery':
    case 'pulled':
      return batteryDensity(volts, under.battery);
    case 'ground':
    case 'chassis':
      // Counted down from the battery, ground carries the battery's spread.
      return under.fromConstant ? normal(volts, sigma) : 2 * normal(volts, GROUND_SIGMA_V);
    case 'open':
      if (under.fromConstant) return leaking(mean - volts, mean);
      return Math.exp(-volts / GHOST_MEAN_V) / GHOST_MEAN_V;
    case 'quiet':
      // An open wire follows the clip through the meter: near ground, or near the constant.
      if (!under.fromConstant) return 2 * normal(volts, GROUND_SIGMA_V);
      return 0.5 * 2 * normal(mean - volts, sigma) + 0.5 * leaking(mean - volts, mean);
    case 'part':
    case 'pulse': {
      const [low, high] = PART_RANGE_V;
      return volts >= low && volts <= high ? 1 / (high - low) : 0;
    }
    case 'half':
      return normal(volts - HALF_V[0], HALF_V[1]);
    case 'bus':
      return normal(volts - BUS_V[0], BUS_V[1]);
    case 'five':
      return normal(volts - FIVE_V[0], FIVE_V[1]);
  }
}

/** Damp insulation of a few megohms holds an open wire back from the constant: anywhere, but never all the way. */
const LEAK_SHARE = 0.75;

function leaking(volts: number, batteryV: number): number {
  const most = LEAK_SHARE * batteryV;
  return volts >= 0 && volts <= most ? 1 / most : 0;
}

function batteryDensity(volts: number, { mean, sigma, off, range }: BatteryVolts): number {
  const [low, high] = range;
  const anywhere = volts >= low && volts <= high ? 1 / (high - low) : 0;
  return (1 - off) * normal(volts - mean, sigma) + off * anywhere;
}

/** Density of a normal distribution around zero. */
function normal(deviation: number, sigma: number): number {
  return Math.exp(-0.5 * (deviation / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
}
