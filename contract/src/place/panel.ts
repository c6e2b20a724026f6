import type { Place } from '@lucky-thread/core/vehicle';
import { MOST_SLOTS, POSITION } from '@lucky-thread/core/vehicle';
import { Equals, Matches } from 'class-validator';
import { GridIndex, Nested, NestedList, Optional, UniqueBy } from '../rules/fields';
import { PlaceHead, headOf } from './head';
import { SlotLook, SlotMarks, slotSource } from './slot';

/** One slot of a panel as it can be seen. */
export class SlotInput extends SlotMarks {
  /** What is printed beside it, e.g. "F12"; unique on the panel. */
  @Matches(POSITION, { message: 'a position is up to 12 letters or digits' })
  position!: string;

  /** Column, from 0. */
  @GridIndex()
  column!: number;

  /** Row, from 0. */
  @GridIndex()
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
