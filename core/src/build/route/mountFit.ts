import { assertNumbers } from '../../size/ranges';
import { inchBit } from './bundle';

/** A device that goes into a panel, and what is behind it. */
export interface MountGiven {
  /** Device’s body behind the panel: diameter or larger side, and depth, mm. */
  readonly bodyMm: number;
  /** How deep the device is behind the panel, mm. */
  readonly bodyDepthMm: number;
  /** Its front, which must cover the hole, mm. */
  readonly lipMm: number;
  /** Thickest lead or plug lead behind it, mm over its insulation. */
  readonly leadMm: number;
  /** Free depth behind the panel, by a wire pushed through a pilot hole, mm. */
  readonly freeMm: number;
}

/** Whether it goes in, by which hole. */
export interface MountFit {
  /** Whether it fits. */
  readonly good: boolean;
  /** Hole to cut, mm, and the inch cutter nearest to it. */
  readonly holeMm: number;
  /** The bit by its name in inches. */
  readonly holeInch: string;
  /** Depth that it takes with the bend of its lead, mm. */
  readonly needMm: number;
  /** What speaks for and against it, sentence by sentence. */
  readonly says: readonly string[];
}

/** A body wants so much play in its hole, mm; its lip covers at least so much all around, mm. Common practice. */
const PLAY_MM = 0.5;
const COVER_MM = 1.5;
/** A lead bends no tighter than so many times its thickness. Common practice for fixed thin-walled cable. */
const BEND = 4;
/** Air behind it, mm. */
const AIR_MM = 5;

/**
 * Whether a device fits a panel: the hole, whether its lip covers it, and the depth behind with its lead bent away.
 *
 * @throws RangeError naming the field when a measure is a slip.
 */
export function mountFit(given: MountGiven): MountFit {
  assertNumbers({ ...given });
  const holeMm = Math.ceil((given.bodyMm + PLAY_MM) * 2) / 2;
  const needMm = given.bodyDepthMm + BEND * given.leadMm + AIR_MM;
  const covers = given.lipMm >= holeMm + 2 * COVER_MM;
  const deep = given.freeMm >= needMm;
  return {
    good: covers && deep,
    ...{ holeMm, holeInch: inchBit(holeMm), needMm },
    says: [
      covers
        ? `Its front covers the hole by ${((given.lipMm - holeMm) / 2).toFixed(1)} mm all around.`
        : `Its front is too small: ${given.lipMm} mm over a hole of ${holeMm} mm leaves an edge in sight. A frame, or another place.`,
      deep
        ? `${(given.freeMm - needMm).toFixed(0)} mm are left behind it.`
        : `${(needMm - given.freeMm).toFixed(0)} mm are missing behind it: ${given.bodyDepthMm} mm of body, ${(BEND * given.leadMm).toFixed(0)} mm for the lead’s bend, ${AIR_MM} mm of air. Another place, or an angled plug.`,
    ],
  };
}
