import type { FuseFamily } from '../vehicle';
import type { Box, Gray } from './gray';
import { beside, cut } from './gray';
import type { CardGrid } from './grid';
import { cellBoxes } from './grid';
import type { CardLayout, ColumnRole } from './layout';
import { blocksOf } from './layout';
import { printedLines } from './lines';
import { folded } from './printed';
import type { CardCell, ReadLine } from './readCell';
import { BLANK_CELL, readBox, readListed } from './readCell';

/** Signs that stand on legend cards: a reader that knows of no others makes fewer mistakes. */
export const CARD_SIGNS =
  'ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÜabcdefghijklmnopqrstuvwxyzäöü0123456789/-. +&';

/** Reads one line of print; resolves with what stands there and how sure that is. */
export type LineReader = (line: Gray) => Promise<ReadLine>;

/** A fuse of a card that was read, with where it stands. */
export interface ReadCardCell extends CardCell {
  /** Row among the fuses, from 0. */
  readonly row: number;
  /** Column among the fuses, from 0; of a list: the block. */
  readonly column: number;
  /** What of the card says so. */
  readonly box: Box;
}

/** What a card is read with. */
export interface ReadCardGiven {
  readonly family: FuseFamily;
  readonly layout: CardLayout;
  /** Legends that the shop has met. */
  readonly met: readonly string[];
  readonly read: LineReader;
  /** Told again and again how much is read; the reading stops when it answers false. */
  readonly onProgress: (done: number, of: number) => boolean | Promise<boolean>;
}

/** Height that each line of print is brought to where it is read by itself, px. */
const ALONE_PX = 38;
/** Heights where all lines of a fuse are read as one: a rating by itself is too short to be read well. */
const TOGETHER_PX = [24, 30] as const;
/** White around print, and between what is set side by side, as shares of its height. */
const MARGIN = 0.4;
const GAP = 0.9;

/** What of a card says one thing: a fuse, by its cell or by its columns of a list. */
interface Unit {
  readonly row: number;
  readonly column: number;
  readonly box: Box;
  /** Lines of print that say rating and legend, in their order. */
  readonly lines: readonly Box[];
  /** What was read of it line by line. */
  readonly alone: CardCell;
  /** The number that must stand there; undefined where nobody knows, or where it stands apart. */
  readonly number: string | undefined;
}

/** The lines of every cell, row by row, as they were read one by one. */
type Look = readonly (readonly (readonly ReadLine[])[])[];
/** Where those lines stand. */
type Printed = readonly (readonly (readonly Box[])[])[];

/**
 * Reads an evened card fuse by fuse: line by line, then all lines of a fuse as one, in two sizes. What the readings do not
 * agree about has to be looked at, whatever each is sure of. Undefined when it was stopped.
 */
export async function readCard(
  card: Gray,
  grid: CardGrid,
  given: ReadCardGiven,
): Promise<ReadCardCell[] | undefined> {
  const boxes = cellBoxes(grid);
  const printed = boxes.map((line) => line.map((box) => printedLines(card, box)));
  // Whether boxes or a list: about twice as much work as there are cells.
  const progress = progressOf(2 * boxes.flat().length, given);
  const look = await readAlone(card, printed, given.read, progress);
  if (look === undefined) return undefined;
  const units = unitsOf(look, { boxes, printed }, given);
  const cells: ReadCardCell[] = [];
  for (const unit of units) {
    const together = await readTogether(card, unit, given);
    const { row, column, box } = unit;
    cells.push({ ...agreed([unit.alone, ...together]), row, column, box });
    if (!(await progress(boxes.flat().length / units.length))) return undefined;
  }
  return cells;
}

/** Adds up the work done; false when the reading is to stop. */
function progressOf(
  of: number,
  { onProgress }: ReadCardGiven,
): (work: number) => boolean | Promise<boolean> {
  let done = 0;
  return (work) => {
    done += work;
    return onProgress(Math.min(of, Math.round(done)), of);
  };
}

async function readAlone(
  card: Gray,
  printed: Printed,
  read: LineReader,
  progress: (work: number) => boolean | Promise<boolean>,
): Promise<Look | undefined> {
  const look: ReadLine[][][] = [];
  for (const line of printed) {
    const cells: ReadLine[][] = [];
    for (const lines of line) {
      const texts: ReadLine[] = [];
      for (const one of lines) texts.push(await read(pictureOf(card, [one], ALONE_PX)));
      cells.push(texts);
      if (!(await progress(1))) return undefined;
    }
    look.push(cells);
  }
  return look;
}

/** Lines of print side by side in one picture, each brought to a height. */
function pictureOf(card: Gray, lines: readonly Box[], heightPx: number): Gray {
  const cuts = lines.map((line) => cut(card, line, heightPx / (line.bottom - line.top)));
  return beside(cuts, Math.round(GAP * heightPx), Math.round(MARGIN * heightPx));
}

async function readTogether(card: Gray, unit: Unit, given: ReadCardGiven): Promise<CardCell[]> {
  if (unit.lines.length === 0) return [];
  const cells: CardCell[] = [];
  for (const height of TOGETHER_PX) {
    const line = await given.read(pictureOf(card, unit.lines, height));
    cells.push(readBox([line], { ...given, number: unit.number }));
  }
  return cells;
}

function unitsOf(
  look: Look,
  at: { readonly boxes: readonly (readonly Box[])[]; readonly printed: Printed },
  given: ReadCardGiven,
): Unit[] {
  const blocks = given.layout === 'list' ? blocksOf(look) : undefined;
  if (blocks === undefined) {
    const numbers = numbersOn(look);
    return look.flatMap((line, row) =>
      line.map((lines, column): Unit => {
        const number = numbers?.(row, column);
        return {
          row,
          column,
          box: at.boxes[row]?.[column] ?? NO_BOX,
          lines: at.printed[row]?.[column] ?? [],
          alone: readBox(lines, { ...given, number }),
          number,
        };
      }),
    );
  }
  return look.flatMap((line, row) =>
    blocks.map((block, column): Unit => {
      const of = (role: ColumnRole): readonly ReadLine[] => line[block[role] ?? -1] ?? [];
      const linesOf = (role: ColumnRole): readonly Box[] =>
        at.printed[row]?.[block[role] ?? -1] ?? [];
      return {
        row,
        column,
        box: around(Object.values(block).map((one) => at.boxes[row]?.[one] ?? NO_BOX)),
        lines: [...linesOf('rating'), ...linesOf('legend')],
        alone: readListed(
          { number: of('number'), rating: of('rating'), legend: of('legend') },
          given,
        ),
        number: undefined,
      };
    }),
  );
}

/** Share of boxes whose number is where a count has it, from which on the count is believed. */
const COUNTED = 0.5;

/** How the boxes of a card are numbered, along rows or columns, as far as most of them say; undefined where they do not. */
function numbersOn(look: Look): ((row: number, column: number) => string) | undefined {
  const rows = look.length;
  const columns = Math.max(0, ...look.map((line) => line.length));
  const printed = look.flatMap((line, row) =>
    line.flatMap((lines, column) => {
      const match = /^([A-Z]{1,2})\s?(\d{1,3})/i.exec(lines[0]?.text.trim() ?? '');
      const [, letters = '', figures = ''] = match ?? [];
      // A number and a rating in one word: its first figures are the number.
      return match === null ? [] : [{ row, column, letters: letters.toUpperCase(), figures }];
    }),
  );
  const prefix = printed[0]?.letters ?? '';
  const counts = [
    (row: number, column: number): number => row * columns + column,
    (row: number, column: number): number => column * rows + row,
  ].flatMap((rank) =>
    [0, 1].map((first) => (row: number, column: number) => first + rank(row, column)),
  );
  const fitting = counts
    .map((count) => ({
      count,
      fits: printed.filter(
        ({ row, column, letters, figures }) =>
          letters === prefix && figures.startsWith(String(count(row, column))),
      ).length,
    }))
    .reduce((best, one) => (one.fits > best.fits ? one : best));
  const written = look.flat().filter((lines) => lines.length > 0).length;
  if (fitting.fits < COUNTED * written || fitting.fits < 3) return undefined;
  return (row, column) => `${prefix}${fitting.count(row, column)}`;
}

const NO_BOX: Box = { left: 0, top: 0, right: 0, bottom: 0 };

function around(boxes: readonly Box[]): Box {
  return {
    left: Math.min(...boxes.map((box) => box.left)),
    top: Math.min(...boxes.map((box) => box.top)),
    right: Math.max(...boxes.map((box) => box.right)),
    bottom: Math.max(...boxes.map((box) => box.bottom)),
  };
}

/** What most readings of a cell say, field by field; among as many, the one with fewest doubts. What differs is in doubt. */
function agreed(readings: readonly CardCell[]): CardCell {
  const clear = [...readings].sort((one, other) => one.doubts.length - other.doubts.length);
  const ratingOf = ({ ratingA }: CardCell): string => String(ratingA);
  const legendOf = ({ legend }: CardCell): string => folded(legend ?? '');
  // A reading that found nothing has no say where another found something.
  const rating = mostOf(
    someOf(clear, (one) => one.ratingA !== undefined),
    ratingOf,
  );
  const legend = mostOf(
    someOf(clear, (one) => one.legend !== undefined),
    legendOf,
  );
  const best = clear.find((one) => ratingOf(one) === rating && legendOf(one) === legend);
  const others = readings.filter((one) => ratingOf(one) !== rating || legendOf(one) !== legend);
  return {
    position:
      mostOf(
        someOf(clear, (one) => one.position !== undefined),
        ({ position }) => position ?? '',
      ) || undefined,
    ratingA: clear.find((one) => ratingOf(one) === rating)?.ratingA,
    legend: clear.find((one) => legendOf(one) === legend)?.legend,
    doubts: [
      ...(best ?? clear[0] ?? BLANK_CELL).doubts,
      ...others.map((one) => `also read as ${spoken(one)}`),
    ],
  };
}

function someOf(
  readings: readonly CardCell[],
  found: (cell: CardCell) => boolean,
): readonly CardCell[] {
  const some = readings.filter(found);
  return some.length === 0 ? readings : some;
}

/** What most of them say; the first among as many. */
function mostOf(readings: readonly CardCell[], of: (cell: CardCell) => string): string {
  const counts = new Map<string, number>();
  for (const one of readings) counts.set(of(one), (counts.get(of(one)) ?? 0) + 1);
  return [...counts].reduce((best, one) => (one[1] > best[1] ? one : best), ['', 0] as [
    string,
    number,
  ])[0];
}

function spoken({ ratingA, legend }: CardCell): string {
  return `${ratingA === undefined ? '–' : `${ratingA} A`} ${legend ?? ''}`.trim();
}
