import type { Slot } from '../panel';
import { NO_POSITION, writeCell } from './lidCell';
import { nextPosition } from '../typed/position';
import type { PanelGiven } from './typedPanel';

/** What holds for all slots of a panel unless one says otherwise. */
export type PanelLook = Pick<PanelGiven, 'family' | 'lie' | 'clearance'>;

/** A panel as it would be typed. */
export interface WrittenPanel {
  /** A line per row. */
  readonly text: string;
  /** The first position, from the upper left along the rows. */
  readonly start: string;
}

/**
 * A panel as it would be typed: read again with the same build and lie, from the upper left along the rows, it has the
 * same positions, legends, ratings and places. Two slots in one cell stand one after the other.
 */
export function writtenPanel(slots: readonly Slot[], given: PanelLook): WrittenPanel {
  const rows = 1 + Math.max(-1, ...slots.map((slot) => slot.row));
  let next: string | undefined;
  let start = '';
  const lines = Array.from({ length: rows }, (_, row) => {
    const line = slots.filter((slot) => slot.row === row);
    const cells: string[] = [];
    for (const slot of [...line].sort((left, right) => left.column - right.column)) {
      while (cells.length < slot.column) cells.push(NO_POSITION);
      if (next === undefined) start = slot.position;
      const counted = next === undefined || next === slot.position;
      cells.push(cellOf(slot, { counted, ...given }));
      next = nextPosition(slot.position);
    }
    return cells.length === 0 ? NO_POSITION : cells.join(', ');
  });
  return { text: lines.join('\n'), start };
}

/** A slot of a panel as it would be typed, without its position. */
export function writtenCell(slot: Slot, panel: PanelLook): string {
  return cellOf(slot, { ...panel, counted: true });
}

function cellOf(slot: Slot, given: PanelLook & { readonly counted: boolean }): string {
  const unlike = {
    ...(slot.family === given.family ? {} : { family: slot.family }),
    ...(slot.lie === given.lie ? {} : { lie: slot.lie }),
    ...(slot.clearance === given.clearance ? {} : { clearance: slot.clearance }),
  };
  const position = given.counted ? undefined : slot.position;
  const { ratingA, legend } = slot;
  return writeCell({ position, ratingA, legend, doubtful: false, unlike }, given.family);
}
