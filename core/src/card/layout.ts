import type { CardGrid } from './grid';
import type { ReadLine } from './readCell';

/** Whether each box of a card is a fuse, or each line of a list. */
export const CARD_LAYOUTS = ['boxes', 'list'] as const;
/** One of them. */
export type CardLayout = (typeof CARD_LAYOUTS)[number];

/** What a column of a list holds. */
export type ColumnRole = 'number' | 'rating' | 'legend';

/** Columns of a list differ in width: numbers and ratings need less than legends. */
const UNEVEN = 1.7;

/** Whether a card is a list, by its columns: boxes are alike. */
export function guessLayout({ columns }: CardGrid): CardLayout {
  const widths = columns.slice(1).map((right, at) => right - (columns[at] ?? 0));
  return widths.length > 1 && Math.max(...widths) > UNEVEN * Math.min(...widths) ? 'list' : 'boxes';
}

const RATING = /^\d{1,2}(?:[.,]5)?\s*(?:A|AMP)?$/i;
const WITH_UNIT = /^\d{1,2}(?:[.,]5)?\s*(?:A|AMP)$/i;
const NUMERIC = /^[A-Z]{0,2}\.?\s?\d{1,3}(?:[.,]5)?\s*(?:A|AMP)?$/i;

/** Columns of one fuse, by what they hold. */
export type Block = Readonly<Partial<Record<ColumnRole, number>>>;

/**
 * Columns of each fuse of a list, left to right: number, rating and legend in any order, or rating and legend, in one block
 * or several side by side that are alike. Undefined where the columns are no such blocks.
 */
export function blocksOf(
  cells: readonly (readonly (readonly ReadLine[])[])[],
): Block[] | undefined {
  const count = Math.max(0, ...cells.map((row) => row.length));
  const width = count % 3 === 0 ? 3 : count % 2 === 0 ? 2 : undefined;
  if (width === undefined || count === 0) return undefined;
  const texts = Array.from({ length: width }, (_, at) =>
    textsIn(cells, (column) => column % width === at),
  );
  const numeric = texts.map((all) => share(all, (text) => NUMERIC.test(text)));
  const legend = numeric.indexOf(Math.min(...numeric));
  const others = texts.map((_, at) => at).filter((at) => at !== legend);
  const rating = ratingAmong(others, texts);
  const number = others.find((at) => at !== rating);
  return Array.from({ length: count / width }, (_, block) => ({
    legend: block * width + legend,
    rating: block * width + rating,
    ...(number === undefined ? {} : { number: block * width + number }),
  }));
}

/** Which of the columns has the ratings: with an A behind them, else those that do not count on, else the later one. */
function ratingAmong(columns: readonly number[], texts: readonly (readonly string[])[]): number {
  const scored = columns.map((at, order) => {
    const all = texts[at] ?? [];
    const units = share(all, (text) => WITH_UNIT.test(text));
    const ratings = share(all, (text) => RATING.test(text));
    return { at, score: 4 * units + ratings - (countsOn(all) ? 2 : 0) + 0.1 * order };
  });
  return scored.reduce((best, one) => (one.score > best.score ? one : best)).at;
}

function textsIn(
  cells: readonly (readonly (readonly ReadLine[])[])[],
  isOne: (column: number) => boolean,
): string[] {
  return cells.flatMap((row) =>
    row
      .filter((_, column) => isOne(column))
      .map((lines) => lines.map((line) => line.text.trim()).join(' '))
      .filter((text) => text !== ''),
  );
}

function share(texts: readonly string[], fits: (text: string) => boolean): number {
  return texts.length === 0 ? 0 : texts.filter(fits).length / texts.length;
}

/** Whether most of them are above the one before: a count, not ratings. */
function countsOn(texts: readonly string[]): boolean {
  const figures = texts.map((text) => Number(/\d+/.exec(text)?.[0] ?? Number.NaN));
  const steps = figures.slice(1).filter((figure, at) => figure > (figures[at] ?? Infinity));
  return steps.length >= 0.7 * (figures.length - 1) && figures.length > 1;
}
