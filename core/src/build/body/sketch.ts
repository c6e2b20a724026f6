import type { BodyZone } from '../../vehicle';
import type { PassageKindId } from './passageKinds';

/** A spot of a body: shares of its width from the left, its length from the front, its height from the ground. */
export interface Spot {
  /** Its own in the body, e.g. "dash.left". */
  readonly id: string;
  /** What it is called, e.g. "left kick panel". */
  readonly name: string;
  /** From the front, as a share of the length. */
  readonly x: number;
  /** From the left, as a share of the width. */
  readonly y: number;
  /** From the road, as a share of the height. */
  readonly z: number;
}

/** A way from one spot to the next, before it is measured. */
export interface PassageSketch {
  /** Spot at one end. */
  readonly from: string;
  /** Spot at the other end. */
  readonly to: string;
  /** What a lead goes through there. */
  readonly kind: PassageKindId;
}

/** A body as its spots, the ways between them, and which spot each zone of a vehicle is. */
export interface BodySketch {
  /** Places that leads can be at. */
  readonly spots: readonly Spot[];
  /** Ways between them. */
  readonly passages: readonly PassageSketch[];
  /** The spot of a zone on a side; for zones that a body has not, the nearest that it has. */
  readonly spotOf: (zone: BodyZone, side: 'left' | 'middle' | 'right') => string;
}
