import type { FuseFamily } from './fuseFamily';
import { FUSE_FAMILY_FACTS } from './fuseFamily';
import type { Slot } from './panel';
import type { SlotSource } from './source';

/** Corners that a panel's numbers can begin at, as one stands before it. */
export const CORNERS = ['upper left', 'upper right', 'lower left', 'lower right'] as const;
/** One corner. */
export type Corner = (typeof CORNERS)[number];

/** How the positions of a panel are numbered. */
export interface Numbering {
  /** What stands before the number, e.g. "F"; may be empty. */
  readonly prefix: string;
  /** The first number, 0 or more. */
  readonly first: number;
  /** Where it begins. */
  readonly from: Corner;
  /** Along the rows, or along the columns. */
  readonly along: 'rows' | 'columns';
}

/** What holds for a whole panel; a cell may differ in nothing but its print yet. */
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

/** Most positions that one panel has. */
export const MOST_SLOTS = 200;

/** A cell as it is typed: rating, perhaps with its A or a doubt, then the legend. */
const CELL = /^(\d+(?:[.,]\d+)?)\s*a?\s*(\?)?(?:\s+(.*))?$/i;
/** What people write where there is nothing. */
const EMPTY = /^[-–—.x]?$/i;

interface Cell {
  readonly ratingA: number | undefined;
  readonly legend: string | undefined;
  readonly doubtful: boolean;
}

/**
 * A fuse panel typed as it is read off its lid: a line per row, cells between commas or semicolons, each its rating and its
 * legend, a dash where nothing is fitted, a question mark after a rating that cannot be read well.
 * For instance `10 ACC, 15 CIG, -` over `7.5 A/BAG, 20? P/WDW`.
 */
export function typedPanel(text: string, given: PanelGiven): TypedPanel {
  const problems: TypedProblem[] = [];
  const lines = linesOf(text);
  const columns = Math.max(0, ...lines.map((line) => line.length));
  const slots: SlotSource[] = [];
  const doubtful: string[] = [];
  lines.forEach((line, row) =>
    line.forEach((written, column) => {
      const cell = readCell(written, given.family);
      if (typeof cell === 'string') {
        problems.push({ row: row + 1, cell: column + 1, message: cell });
        return;
      }
      const at = { row, column, rows: lines.length, columns };
      const slot = slotOf(cell, at, given);
      slots.push(slot);
      if (cell.doubtful) doubtful.push(slot.position);
    }),
  );
  if (slots.length > MOST_SLOTS)
    problems.push({
      row: lines.length,
      cell: 1,
      message: `more than ${MOST_SLOTS} positions: enter the panel in parts`,
    });
  return { columns, rows: lines.length, slots, doubtful, problems };
}

function linesOf(text: string): string[][] {
  return text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) =>
      line
        // Of all ratings only 7.5 A has a fraction, and no fuse is made for 7 A: this comma divides nothing.
        .replace(/\b7,(?=5(?:\s|a\b|\?|$))/gi, '7.')
        .split(/[,;\t|]/)
        .map((cell) => cell.trim()),
    );
}

/** A cell, or what is wrong with it. */
function readCell(written: string, family: FuseFamily): Cell | string {
  if (EMPTY.test(written)) return { ratingA: undefined, legend: undefined, doubtful: false };
  const match = CELL.exec(written);
  if (match === null)
    return `“${written}” begins with no rating: write 10 ${written}, or – where nothing is fitted`;
  const ratingA = Number((match[1] ?? '').replace(',', '.'));
  const { name, ratingsA } = FUSE_FAMILY_FACTS[family];
  if (!ratingsA.includes(ratingA))
    return `${ratingA} A is no rating of ${name} fuses: ${nearest(ratingsA, ratingA)}?`;
  const legend = match[3]?.trim();
  return {
    ratingA,
    legend: legend === undefined || legend === '' ? undefined : legend,
    doubtful: match[2] !== undefined,
  };
}

function nearest(ratings: readonly number[], wanted: number): string {
  return [...ratings]
    .sort((left, right) => Math.abs(left - wanted) - Math.abs(right - wanted))
    .slice(0, 2)
    .sort((left, right) => left - right)
    .map((one) => `${one} A`)
    .join(' or ');
}

interface At {
  readonly row: number;
  readonly column: number;
  readonly rows: number;
  readonly columns: number;
}

function slotOf(cell: Cell, at: At, given: PanelGiven): SlotSource {
  const position = `${given.numbering.prefix}${numberAt(at, given.numbering)}`;
  return {
    kind: 'slot',
    id: `${given.id}/${position}`,
    position,
    legend: cell.legend,
    ratingA: cell.ratingA,
    family: given.family,
    column: at.column,
    row: at.row,
    lie: given.lie,
    contacts: [
      { id: 'a', landmark: given.landmarks[0] },
      { id: 'b', landmark: given.landmarks[1] },
    ],
    clearance: given.clearance,
  };
}

/**
 * The number of a position, counted from its corner along rows or columns.
 *
 * @example numberAt({ row: 0, column: 1, rows: 2, columns: 3 }, { prefix: 'F', first: 1, from: 'upper left', along: 'rows' }) // 2
 */
export function numberAt({ row, column, rows, columns }: At, numbering: Numbering): number {
  const { first, from, along } = numbering;
  const down = from.startsWith('upper') ? row : rows - 1 - row;
  const across = from.endsWith('left') ? column : columns - 1 - column;
  return first + (along === 'rows' ? down * columns + across : across * rows + down);
}
