import type { BodyZone } from '../../vehicle';
import type { PassageKindId } from './passageKinds';

/** A spot of a body: shares of its width from the left, its length from the front, its height from the ground. */
export interface Spot {
  readonly id: string;
  /** What it is called, e.g. "left kick panel". */
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A way from one spot to the next, before it is measured. */
export interface PassageSketch {
  readonly from: string;
  readonly to: string;
  readonly kind: PassageKindId;
}

/** A body as its spots, the ways between them, and which spot each zone of a vehicle is. */
export interface BodySketch {
  readonly spots: readonly Spot[];
  readonly passages: readonly PassageSketch[];
  /** The spot of a zone on a side; for zones that a body has not, the nearest that it has. */
  readonly spotOf: (zone: BodyZone, side: 'left' | 'middle' | 'right') => string;
}
