import type {
  BodySide,
  BodyZone,
  FuseFamily,
  Place,
  Slot,
  SlotSource,
} from '@lucky-thread/core/vehicle';
import { BODY_SIDES, BODY_ZONES, FUSE_FAMILIES, MOST_SLOTS } from '@lucky-thread/core/vehicle';
import {
  ArrayMaxSize,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { Nested, NestedList, Optional, UniqueBy } from './rules/fields';

/** Most rows or columns of a panel. */
const MOST_LINES = 50;

/** One slot of a panel as it can be seen. */
export class SlotInput {
  /** What is printed beside it, e.g. "F12"; unique on the panel. */
  @Matches(/^[A-Za-z0-9._-]{1,12}$/, { message: 'a position is up to 12 letters or digits' })
  position!: string;

  /** Printed legend; left out where nothing is printed or legible. */
  @Optional()
  @IsString()
  @Length(1, 40, { message: 'a legend has up to 40 characters' })
  legend?: string;

  /** Rating of the fuse found, A; left out where none is fitted. */
  @Optional()
  @IsNumber({}, { message: 'a rating is a number of amperes' })
  @Min(1)
  @Max(100)
  ratingA?: number;

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
}

/** How a panel's slots are built and lie: for all of them alike. */
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

/** A fuse panel of a model. */
export class PanelInput {
  /** What it is called. */
  @IsString()
  @Length(1, 40, { message: 'name the panel, up to 40 characters' })
  name!: string;

  /** Where it is, in words. */
  @IsString()
  @Length(1, 120, { message: 'say where the panel is, up to 120 characters' })
  location!: string;

  /** Part of the body. */
  @Optional()
  @IsIn(BODY_ZONES)
  zone?: BodyZone;

  /** Side of the body. */
  @Optional()
  @IsIn(BODY_SIDES)
  side?: BodySide;

  /** How to get at it, in order. */
  @IsString({ each: true })
  @Length(1, 200, { each: true })
  @ArrayMaxSize(12)
  steps!: string[];

  /** What the next person should know. */
  @IsString()
  @Length(0, 500)
  notes!: string;

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

/** A panel as a place of its model. */
export function panelPlace(id: string, panel: PanelInput): Place {
  const { look } = panel;
  return {
    id,
    kind: 'fusePanel',
    name: panel.name,
    location: panel.location,
    ...(panel.zone === undefined ? {} : { zone: panel.zone }),
    ...(panel.side === undefined ? {} : { side: panel.side }),
    reach: { steps: panel.steps, fasteners: [], tools: [] },
    notes: panel.notes,
    columns: 1 + Math.max(...panel.slots.map((slot) => slot.column)),
    rows: 1 + Math.max(...panel.slots.map((slot) => slot.row)),
    sources: panel.slots.map((slot): SlotSource => ({
      kind: 'slot',
      id: `${id}/${slot.position}`,
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
    })),
  };
}
