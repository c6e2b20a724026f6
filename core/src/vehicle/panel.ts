import type { FuseFamily } from './fuseFamily';

/** One of the two contacts of an empty slot, named against a landmark of the vehicle. */
export interface SlotContact {
  readonly id: 'a' | 'b';
  /** Where it lies, as seen in the car, e.g. "door side"; never left or right of a tap. */
  readonly landmark: string;
}

/** A fuse position as it can be seen, without opening anything: legend, rating, family and where it sits. */
export interface Slot {
  /** Unique within the vehicle, e.g. `dash/F12`. */
  readonly id: string;
  /** What the panel prints beside it, e.g. `F12`. */
  readonly position: string;
  /** Printed legend, as printed; undefined where there is none or it cannot be read. */
  readonly legend: string | undefined;
  /** What the handbook says of it, as far as somebody has looked; null: it lists nothing. Left out: nobody has looked. */
  readonly handbook?: string | null | undefined;
  /** Rating of the fuse found, A; undefined for an empty position. */
  readonly ratingA: number | undefined;
  /** Build of the fuse. */
  readonly family: FuseFamily;
  /** Grid column and row in the panel, 0-based from its upper left corner. */
  readonly column: number;
  /** Row in the panel, from 0. */
  readonly row: number;
  /** `tall` slots stand, `wide` slots lie. */
  readonly lie: 'tall' | 'wide';
  /** The two contacts of the empty slot. */
  readonly contacts: readonly [SlotContact, SlotContact];
  /** Room for a tap above the slot with the cover shut. */
  readonly clearance: 'clear' | 'tight' | 'none';
}

/** One fuse box of a vehicle. */
export interface Panel {
  readonly id: string;
  readonly name: string;
  /** Where it is, in words that need no picture. */
  readonly location: string;
  /** How to get at it, in order. */
  readonly access: readonly string[];
  /** Width of the panel in slots. */
  readonly columns: number;
  /** Height of the panel in slots. */
  readonly rows: number;
  /** In the order of their positions. */
  readonly slots: readonly Slot[];
}
