import { feetToMetres, metresToFeet } from './length';

/** The two systems of units. */
export type UnitSystem = 'metric' | 'us';

/** How a quantity is written in one system; the value itself is always kept in its SI unit. */
export interface UnitFace {
  /** Unit as shown. */
  readonly name: string;
  /** The number shown for an SI value. */
  readonly fromSi: (value: number) => number;
  /** The SI value of a number shown. */
  readonly toSi: (shown: number) => number;
  /** Digits after the point that are worth showing. */
  readonly digits: number;
}

const MM_PER_INCH = 25.4;
const same = (value: number): number => value;

/** Quantities whose units differ between the systems. */
export const QUANTITIES = {
  length: {
    metric: face('m', same, same, 2),
    us: face('ft', metresToFeet, feetToMetres, 2),
  },
  smallLength: {
    metric: face('mm', same, same, 1),
    us: face(
      'in',
      (mm) => mm / MM_PER_INCH,
      (inch) => inch * MM_PER_INCH,
      2,
    ),
  },
  temperature: {
    metric: face('°C', same, same, 0),
    us: face(
      '°F',
      (celsius) => celsius * 1.8 + 32,
      (fahrenheit) => (fahrenheit - 32) / 1.8,
      0,
    ),
  },
  mass: {
    metric: face('g', same, same, 0),
    us: face(
      'oz',
      (gram) => gram / 28.349523125,
      (ounce) => ounce * 28.349523125,
      1,
    ),
  },
} as const satisfies Record<string, Record<UnitSystem, UnitFace>>;

/** Name of such a quantity. */
export type Quantity = keyof typeof QUANTITIES;

function face(
  name: string,
  fromSi: (value: number) => number,
  toSi: (shown: number) => number,
  digits: number,
): UnitFace {
  return { name, fromSi, toSi, digits };
}

/** A value of a quantity as text with its unit; the value is not changed by being shown. */
export function shown(quantity: Quantity, value: number, system: UnitSystem): string {
  const { name, fromSi, digits } = QUANTITIES[quantity][system];
  return `${Number(fromSi(value).toFixed(digits))} ${name}`;
}
