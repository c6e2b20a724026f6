import { GROUND_LIMIT_V } from './ground';

/** What was read over a ground joint while something was on. */
export interface GroundReading {
  /** Meter between the joint's metal and the battery's negative post, V. */
  readonly dropV: number;
  /** What flows then, A, above 0. */
  readonly atA: number;
}

/** Whether a joint is good for a load. */
export interface GroundVerdict {
  readonly good: boolean;
  /** Joint and path to the battery, Ω. */
  readonly ohm: number;
  /** What would drop over it with the whole load, V. */
  readonly atLoadV: number;
  readonly text: string;
}

/** Below this a meter's last digit says more than the joint, A: the whole load is better. Common practice. */
const LEAST_A = 1;

/**
 * Whether a ground is good for a load, from what drops over it under another: Ohm's law. A continuity test says nothing: one
 * strand passes it. The limit is common practice, 0.1 V.
 *
 * @param currentA current that is to come back by it, A
 *
 * @example groundUnderLoad({ dropV: 0.02, atA: 5 }, 10).good // true
 */
export function groundUnderLoad({ dropV, atA }: GroundReading, currentA: number): GroundVerdict {
  const ohm = Math.abs(dropV) / atA;
  const atLoadV = ohm * currentA;
  const good = atLoadV <= GROUND_LIMIT_V;
  const sum = `${milli(dropV)} mV at ${num(atA)} A is ${milli(ohm)} mΩ: ${milli(atLoadV)} mV at ${num(currentA)} A`;
  const said = good
    ? `${sum}, within ${milli(GROUND_LIMIT_V)} mV.`
    : `${sum}, more than ${milli(GROUND_LIMIT_V)} mV. Bare metal, a toothed washer, tight; then read again.`;
  const weak = atA < LEAST_A && atA < currentA;
  return {
    good,
    ohm,
    atLoadV,
    text: weak
      ? `${said} Less than ${LEAST_A} A flowed: read it once more with the load itself on.`
      : said,
  };
}

function milli(value: number): string {
  return String(Number((1000 * Math.abs(value)).toPrecision(3)));
}

function num(value: number): string {
  return String(Number(value.toFixed(2)));
}
