import type { FuseFamily } from '../fuseFamily';
import type { Slot } from '../panel';
import type { SlotSource } from '../source';
import type { LidCell } from './lidCell';
import { NO_POSITION, readCell } from './lidCell';
import { linesOf } from '../typed/lines';
import { MOST_SLOTS } from '../typed/limits';
import { nextPosition } from '../typed/position';

/** Corners that a panel's numbers can begin at, as one stands before it. */
export const CORNERS = ['upper left', 'upper right', 'lower left', 'lower right'] as const;
/** One corner. */
export type Corner = (typeof CORNERS)[number];

/** How the positions of a panel are numbered. */
export interface Numbering {
  /** The first position, e.g. "F1", "07" or "A"; the others count on from it. */
  readonly start: string;
  /** Where it begins. */
  readonly from: Corner;
  /** Along the rows, or along the columns. */
  readonly along: 'rows' | 'columns';
}

/** What holds for a whole panel; a cell may differ from it. */
export interface PanelGiven {
  /** Id of the place; slots are `<id>/<position>`. */
  readonly id: string;
  /** Build of its fuses. */
  readonly family: FuseFamily;
  /** `tall` slots stand, `wide` slots lie. */
  readonly lie: Slot['lie'];
  /** Landmarks of contacts a and b as the slots lie in the car. */
  readonly landmarks: readonly [string, string];
  /** Room above the slots with the cover shut. */
  readonly clearance: Slot['clearance'];
  /** How its positions are numbered. */
  readonly numbering: Numbering;
}

/** What contacts are called by how the slots lie, until somebody names a landmark. */
export const USUAL_LANDMARKS: Record<Slot['lie'], readonly [string, string]> = {
  tall: ['upper contact', 'lower contact'],
  wide: ['door-side contact', 'inner contact'],
};

/** One thing that is wrong with what was typed: where it stands, from 1, and what to do. */
export interface TypedProblem {
  /** Line, from 1; empty lines do not count. */
  readonly row: number;
  /** Cell in the line, from 1. */
  readonly cell: number;
  /** What is wrong and what to write. */
  readonly message: string;
}

/** A panel as it was typed, as far as it could be read. */
export interface TypedPanel {
  /** Cells of the longest line. */
  readonly columns: number;
  /** Lines with something in them. */
  readonly rows: number;
  /** Every cell that could be read. */
  readonly slots: readonly SlotSource[];
  /** Positions whose rating was marked with a question mark. */
  readonly doubtful: readonly string[];
  /** Those that could not. */
  readonly problems: readonly TypedProblem[];
}

/** Of all ratings only 7.5 A has a fraction, and no fuse is made for 7 A. */
const FRACTION = /\b(7),(?=5(?:\s|a\b|\?|$))/gi;

/**
 * A fuse panel typed as it is read off its lid: a line per row, cells between commas or semicolons, each its rating and its
 * legend, a dash where nothing is fitted, a question mark after a rating that cannot be read well, an underscore where
 * there is no position at all. `31: 10 ACC` names the position, and those after it count on from there; `40 ABS {maxi}`
 * differs in build. For instance `10 ACC, 15 CIG, -` over `7.5 A/BAG, 20? P/WDW`.
 */
export function typedPanel(text: string, given: PanelGiven): TypedPanel {
  const lines = linesOf(text, FRACTION);
  const size = { rows: lines.length, columns: Math.max(0, ...lines.map((line) => line.length)) };
  const problems: TypedProblem[] = [];
  const cells: Placed[] = [];
  lines.forEach((line, row) =>
    line.forEach((written, column) => {
      if (written === NO_POSITION) return;
      const cell = readCell(written, given.family);
      if (typeof cell === 'string')
        problems.push({ row: row + 1, cell: column + 1, message: cell });
      // What could not be read has its number all the same.
      cells.push({ row, column, cell: typeof cell === 'string' ? undefined : cell });
    }),
  );
  const named = namedCells(cells, size, given.numbering);
  problems.push(...taken(named));
  const read = named.flatMap(({ cell, ...at }) => (cell === undefined ? [] : [{ ...at, cell }]));
  if (named.length > MOST_SLOTS)
    problems.push({
      row: lines.length,
      cell: 1,
      message: `more than ${MOST_SLOTS} positions: enter the panel in parts`,
    });
  return {
    ...size,
    slots: read.map((one) => slotOf(one, given)),
    doubtful: read.filter(({ cell }) => cell.doubtful).map(({ position }) => position),
    problems,
  };
}

interface Placed {
  readonly row: number;
  readonly column: number;
  /** Undefined where what was typed could not be read. */
  readonly cell: LidCell | undefined;
}

interface Size {
  readonly rows: number;
  readonly columns: number;
}

/** Cells with their positions, in reading order: each counts on from the one before it in the order of the numbers. */
function namedCells(
  cells: readonly Placed[],
  size: Size,
  numbering: Numbering,
): (Placed & { readonly position: string })[] {
  const order = [...cells].sort(
    (left, right) => rank(left, size, numbering) - rank(right, size, numbering),
  );
  let next = numbering.start;
  const positions = new Map(
    order.map((one) => {
      const position = one.cell?.position ?? next;
      next = nextPosition(position);
      return [one, position];
    }),
  );
  return cells.map((one) => ({ ...one, position: positions.get(one) ?? '' }));
}

/** Which cell comes when, counted from a corner along rows or columns. */
function rank(
  { row, column }: Placed,
  { rows, columns }: Size,
  { from, along }: Numbering,
): number {
  const down = from.startsWith('upper') ? row : rows - 1 - row;
  const across = from.endsWith('left') ? column : columns - 1 - column;
  return along === 'rows' ? down * columns + across : across * rows + down;
}

/** Positions that are there twice. */
function taken(named: readonly (Placed & { readonly position: string })[]): TypedProblem[] {
  const first = new Set<string>();
  return named.flatMap(({ row, column, position }) => {
    const again = first.has(position);
    first.add(position);
    const message = `${position} is there already: name another, as in 31: 10 ACC`;
    return again ? [{ row: row + 1, cell: column + 1, message }] : [];
  });
}

function slotOf(
  at: Placed & { readonly position: string; readonly cell: LidCell },
  given: PanelGiven,
): SlotSource {
  const { position, cell } = at;
  const { family = given.family, lie = given.lie, clearance = given.clearance } = cell.unlike;
  const [a, b] = lie === given.lie ? given.landmarks : USUAL_LANDMARKS[lie];
  return {
    kind: 'slot',
    id: `${given.id}/${position}`,
    position,
    legend: cell.legend,
    ratingA: cell.ratingA,
    family,
    column: at.column,
    row: at.row,
    lie,
    contacts: [
      { id: 'a', landmark: a },
      { id: 'b', landmark: b },
    ],
    clearance,
  };
}
