import type { FuseFamily, Slot, SlotSource } from '@lucky-thread/core/vehicle';
import { FUSE_FAMILIES } from '@lucky-thread/core/vehicle';
import { IsIn, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { Optional } from '../rules/fields';

/** How a panel's slots are built and lie. */
export class SlotLook {
  /** Build of the fuses. */
  @IsIn(FUSE_FAMILIES)
  family!: FuseFamily;

  /** `tall` slots stand, `wide` slots lie. */
  @IsIn(['tall', 'wide'])
  lie!: Slot['lie'];

  /** Landmark of contact a. */
  @IsString()
  @Length(1, 40, { message: 'name the one side by what lies there' })
  landmarkA!: string;

  /** Landmark of contact b. */
  @IsString()
  @Length(1, 40, { message: 'name the other side by what lies there' })
  landmarkB!: string;

  /** Room above the slots with the cover shut. */
  @IsIn(['clear', 'tight', 'none'])
  clearance!: Slot['clearance'];
}

/** What is printed at a slot and fitted in it. */
export class SlotMarks {
  /** Printed legend; left out where nothing is printed or legible. */
  @Optional()
  @IsString()
  @Length(1, 40, { message: 'a legend has up to 40 characters' })
  legend?: string;

  /** Rating of the fuse found, A; left out where none is fitted. */
  @Optional()
  @IsNumber({}, { message: 'a rating is a number of amperes' })
  @Min(1, { message: 'a fuse carries at least 1 A' })
  @Max(100, { message: 'a fuse in a panel carries at most 100 A' })
  ratingA?: number;
}

/** A slot as it can be seen: its marks, and where it stands. */
export interface SeenSlot extends SlotMarks {
  /** As printed beside it, e.g. "F7". */
  readonly position: string;
  /** Column, from 0. */
  readonly column: number;
  /** Row, from 0. */
  readonly row: number;
  /** How it differs in build or lie; left out: like the others. */
  readonly look?: SlotLook;
}

/** One slot as a source of its panel. */
export function slotSource(panelId: string, slot: SeenSlot, panelLook: SlotLook): SlotSource {
  const look = slot.look ?? panelLook;
  return {
    kind: 'slot',
    id: `${panelId}/${slot.position}`,
    position: slot.position,
    legend: slot.legend,
    ratingA: slot.ratingA,
    family: look.family,
    column: slot.column,
    row: slot.row,
    lie: look.lie,
    contacts: [
      { id: 'a', landmark: look.landmarkA },
      { id: 'b', landmark: look.landmarkB },
    ],
    clearance: look.clearance,
  };
}
