import type { Slot } from './panel';

/** Width of a panel that grows slot by slot; what fits across a phone. */
const USUAL_COLUMNS = 6;

/**
 * Where the next slot of a panel stands that is entered as one comes upon it: after the last one, row by row.
 *
 * @param columns width of the panel so far; 0 before its first slot
 * @example freeCell([{ column: 0, row: 0 }], 1) // { column: 1, row: 0 }
 */
export function freeCell(
  slots: readonly Pick<Slot, 'column' | 'row'>[],
  columns: number,
): { readonly column: number; readonly row: number } {
  const width = Math.max(columns, USUAL_COLUMNS);
  const last = slots.reduce((most, { column, row }) => Math.max(most, row * width + column), -1);
  return { column: (last + 1) % width, row: Math.floor((last + 1) / width) };
}
