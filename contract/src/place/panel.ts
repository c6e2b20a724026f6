import type { FuseFamily, Place, Slot, SlotSource } from '@lucky-thread/core/vehicle';
import { FUSE_FAMILIES, MOST_SLOTS, POSITION } from '@lucky-thread/core/vehicle';
import {
  Equals,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { Nested, NestedList, Optional, UniqueBy } from '../rules/fields';
import { PlaceHead, headOf } from './head';

/** Most rows or columns of a panel or connector. */
export const MOST_LINES = 50;

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

/** One slot of a panel as it can be seen. */
export class SlotInput extends SlotMarks {
  /** What is printed beside it, e.g. "F12"; unique on the panel. */
  @Matches(POSITION, { message: 'a position is up to 12 letters or digits' })
  position!: string;

  /** Column, from 0. */
  @IsInt()
  @Min(0)
  @Max(MOST_LINES - 1)
  column!: number;

  /** Row, from 0. */
  @IsInt()
  @Min(0)
  @Max(MOST_LINES - 1)
  row!: number;

  /** How this one differs in build or lie; left out: like the others. */
  @Optional()
  @Nested(() => SlotLook)
  look?: SlotLook;
}

/** A fuse panel of a model. */
export class PanelInput extends PlaceHead {
  @Equals('fusePanel')
  kind!: 'fusePanel';

  /** Build and lie of its slots. */
  @Nested(() => SlotLook)
  look!: SlotLook;

  /** Its slots. */
  @NestedList(() => SlotInput, {
    min: 1,
    max: MOST_SLOTS,
    tooFew: 'a panel has at least one slot',
  })
  @UniqueBy<SlotInput>('position', 'two slots have the same position')
  slots!: SlotInput[];
}

/** One slot as a source of its panel. */
export function slotSource(panelId: string, slot: SlotInput, panelLook: SlotLook): SlotSource {
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

/** A panel as a place of its model. */
export function panelPlace(id: string, panel: PanelInput): Place {
  return {
    id,
    kind: 'fusePanel',
    ...headOf(panel),
    columns: 1 + Math.max(...panel.slots.map((slot) => slot.column)),
    rows: 1 + Math.max(...panel.slots.map((slot) => slot.row)),
    sources: panel.slots.map((slot) => slotSource(id, slot, panel.look)),
  };
}
