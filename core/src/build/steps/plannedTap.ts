import type { FuseFamily } from '../../vehicle';

/** A tap or splice as it is to be fitted. */
export type PlannedTap = SlotTap | Splice;

interface Planned {
  /** The feed’s id and name. */
  readonly feedId: string;
  readonly feedName: string;
  /** Printed position of a slot, e.g. "F12", or a wire's name and colour. */
  readonly position: string;
  readonly fuseA: number;
  readonly awg: number;
  readonly oneWayM: number;
}

/** A fuse tap in a slot. */
export interface SlotTap extends Planned {
  readonly at: 'slot';
  /** Build of the fuses in the slot. */
  readonly family: FuseFamily;
  /** Rating of the fuse that was there, A. */
  readonly originalA: number;
  /** Landmark of the contact that the supply enters, e.g. "door side". */
  readonly supplyLandmark: string;
}

/** A lead joined to a wire of the car. */
export interface Splice extends Planned {
  readonly at: 'wire';
  /** The joint, e.g. "sealed crimp splice". */
  readonly method: string;
  /** Whether the car's wire is cut for it. */
  readonly cuts: boolean;
}
