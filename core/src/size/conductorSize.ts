import { AWG_SIZES, METRIC_SIZES_MM2, awgAreaMm2 } from '../units';

/** One conductor as it is sold. */
export interface ConductorSize {
  /** Whose sizes it is one of. */
  readonly system: 'awg' | 'metric';
  /** As it is asked for over the counter, e.g. `18 AWG` or `0.75 mm²`. */
  readonly name: string;
  /** AWG number; undefined for metric sizes. */
  readonly awg: number | undefined;
  /** Cross-section, mm². */
  readonly areaMm2: number;
}

/** Every size offered, of both systems, thinnest first. */
export const CONDUCTOR_SIZES: readonly ConductorSize[] = [
  ...AWG_SIZES.map((awg): ConductorSize => ({
    system: 'awg',
    name: `${awg} AWG`,
    awg,
    areaMm2: awgAreaMm2(awg),
  })),
  ...METRIC_SIZES_MM2.map((areaMm2): ConductorSize => ({
    system: 'metric',
    name: `${areaMm2} mm²`,
    awg: undefined,
    areaMm2,
  })),
].sort((left, right) => left.areaMm2 - right.areaMm2);

/**
 * The size of a name such as `18 AWG` or `0.75 mm²`.
 *
 * @throws RangeError when no such size is sold.
 */
export function conductorSizeOf(name: string): ConductorSize {
  const plain = name.replace(/\s+/g, ' ').replace('mm2', 'mm²').trim().toLowerCase();
  const found = CONDUCTOR_SIZES.find((size) => size.name.toLowerCase() === plain);
  if (found === undefined)
    throw new RangeError(
      `wire: no size "${name}"; sizes are ${CONDUCTOR_SIZES.map((size) => size.name).join(', ')}`,
    );
  return found;
}
