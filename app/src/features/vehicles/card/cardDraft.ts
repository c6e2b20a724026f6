import type { CardCell, ReadCardCell } from '@lucky-thread/core/card';
import type { Slot } from '@lucky-thread/core/vehicle';
import { POSITION } from '@lucky-thread/core/vehicle';
import { writtenPanel } from '@lucky-thread/core/vehicle/typed';
import type { PanelDraft } from '../drafts/panelDraft';

/** A fuse of a card as it was read and, where somebody looked, put right. */
export interface CheckedCell {
  /** What the print reader made of it. */
  readonly cell: ReadCardCell;
  /** Somebody compared it with its picture. */
  readonly seen: boolean;
}

/** Fuses that have to be looked at and were not yet. */
export function toLookAt(cells: readonly CheckedCell[]): number {
  return cells.filter(({ cell, seen }) => cell.doubts.length > 0 && !seen).length;
}

/** A fuse put right by somebody who looked at its picture. */
export function righted(
  checked: CheckedCell,
  change: Partial<Pick<CardCell, 'ratingA' | 'legend'>>,
): CheckedCell {
  return { cell: { ...checked.cell, ...change }, seen: true };
}

/** The lid that a card says, as it would be typed. */
export function lidOf(
  cells: readonly ReadCardCell[],
  draft: PanelDraft,
): Pick<PanelDraft, 'text' | 'start' | 'from' | 'along'> {
  const positions = positionsOf(cells);
  const slots = cells.map((cell, at): Slot => ({
    id: String(at),
    position: positions?.[at] ?? `F${at + 1}`,
    legend: cell.legend,
    ratingA: cell.ratingA,
    family: draft.family,
    column: cell.column,
    row: cell.row,
    lie: draft.lie,
    contacts: [
      { id: 'a', landmark: draft.landmarkA },
      { id: 'b', landmark: draft.landmarkB },
    ],
    clearance: draft.clearance,
  }));
  return { ...writtenPanel(slots, draft), from: 'upper left', along: 'rows' };
}

/** The printed numbers, when every fuse has one of its own; a number misread would put a tap into another slot. */
function positionsOf(cells: readonly ReadCardCell[]): string[] | undefined {
  const positions = cells.map(({ position }) => position ?? '');
  const isWhole =
    positions.every((position) => POSITION.test(position)) &&
    new Set(positions).size === positions.length;
  return isWhole ? positions : undefined;
}
