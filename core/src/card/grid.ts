import type { Box, Gray } from './gray';

/** Where the rows and columns of a card meet, pixels from its upper left, both ends included. */
export interface CardGrid {
  /** From top to bottom, one more than there are rows. */
  readonly rows: readonly number[];
  /** From left to right, one more than there are columns. */
  readonly columns: readonly number[];
}

/** A pixel darker than this is ink, once the paper is even. */
const INK = 128;
/** Pieces in which a ruled line is looked for: over the whole card it runs aslant when a thumb missed a corner. */
const PIECES = 10;
/** Share of a piece of a ruled line that is dark: it goes through, with a flaw here and there. */
const DARK = 0.7;
/** How far a ruled line may wander, as a share of the card. */
const WANDERS = 0.004;
/** Share of its pieces that must be there. */
const RULED = 0.75;
/** Lines closer together than this share of the card are one line, drawn thick. */
const CLOSEST = 0.012;
/** Most rows or columns that are guessed. */
const MOST = 30;

/** The rows and columns of an evened card: along its ruled lines, else where no ink stands between its texts. */
export function guessGrid(card: Gray): CardGrid {
  return { rows: guess(card, 'rows'), columns: guess(card, 'columns') };
}

function guess(card: Gray, of: 'rows' | 'columns'): readonly number[] {
  const ruled = edges(ruledShares(card, of));
  const shares = profile(card, of);
  if (ruled !== undefined) return ruled;
  const free = freeStretches(shares);
  const wide = of === 'rows' ? alike(free) : between(free, lineHeight(card));
  return wide.length === 0 || wide.length >= MOST
    ? evenly(shares.length, 1)
    : cutIn(wide, shares.length);
}

/**
 * A card cut into so many rows and columns: along the edges that were guessed where there are as many; else the columns of
 * a list through the widest stretches without ink, and all that is alike evenly.
 */
export function gridOf(
  card: Gray,
  guessed: CardGrid,
  set: { readonly rows: number; readonly columns: number; readonly layout: 'boxes' | 'list' },
): CardGrid {
  const { rows, columns, layout } = set;
  return {
    rows: guessed.rows.length === rows + 1 ? guessed.rows : evenly(card.height, rows),
    columns:
      guessed.columns.length === columns + 1
        ? guessed.columns
        : layout === 'list'
          ? throughBlanks(card, columns)
          : evenly(card.width, columns),
  };
}

function throughBlanks(card: Gray, count: number): readonly number[] {
  const shares = profile(card, 'columns');
  const widest = [...freeStretches(shares)]
    .sort((one, other) => other.to - other.from - (one.to - one.from))
    .slice(0, count - 1)
    .sort((one, other) => one.from - other.from);
  return widest.length === count - 1 ? cutIn(widest, shares.length) : evenly(shares.length, count);
}

function evenly(length: number, count: number): number[] {
  return Array.from({ length: count + 1 }, (_, at) => (length * at) / count);
}

/** Share of the pieces of a ruled line that are found at each row or column, or so near that it may be the same line. */
function ruledShares(card: Gray, of: 'rows' | 'columns'): Float64Array {
  const { width, height } = card;
  const length = of === 'rows' ? height : width;
  const breadth = of === 'rows' ? width : height;
  const reach = Math.max(1, Math.round(WANDERS * Math.max(width, height)));
  const found = new Float64Array(length);
  for (let piece = 0; piece < PIECES; piece += 1) {
    const from = Math.floor((piece * breadth) / PIECES);
    const to = Math.floor(((piece + 1) * breadth) / PIECES);
    const dark = darkIn(card, of, { from, to });
    for (let at = 0; at < length; at += 1) {
      const near = dark.subarray(Math.max(0, at - reach), at + reach + 1);
      if (near.some((share) => share >= DARK)) found[at] = (found[at] ?? 0) + 1 / PIECES;
    }
  }
  return found;
}

/** Share of ink in each row or column over a piece of its length. */
function darkIn(
  { width, height, pixels }: Gray,
  of: 'rows' | 'columns',
  { from, to }: Stretch,
): Float64Array {
  const length = of === 'rows' ? height : width;
  const shares = new Float64Array(length);
  for (let at = 0; at < length; at += 1) {
    let ink = 0;
    for (let along = from; along < to; along += 1) {
      const pixel = of === 'rows' ? at * width + along : along * width + at;
      if ((pixels[pixel] ?? 255) < INK) ink += 1;
    }
    shares[at] = ink / Math.max(1, to - from);
  }
  return shares;
}

/** Share of ink in each row, or in each column. */
function profile({ width, height, pixels }: Gray, of: 'rows' | 'columns'): Float64Array {
  const length = of === 'rows' ? height : width;
  const breadth = of === 'rows' ? width : height;
  const shares = new Float64Array(length);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      if ((pixels[y * width + x] ?? 255) < INK) {
        const at = of === 'rows' ? y : x;
        shares[at] = (shares[at] ?? 0) + 1 / breadth;
      }
  return shares;
}

/** Edges along ruled lines; undefined where fewer than two lines lie within, or they say nothing of the card's ends. */
function edges(shares: Float64Array): number[] | undefined {
  const { length } = shares;
  const lines = peaks(shares, length);
  const near = 0.04 * length;
  const inner = lines.filter((at) => at > near && at < length - near);
  if (inner.length === 0) return undefined;
  const first = lines.find((at) => at <= near) ?? 0;
  const last = lines.findLast((at) => at >= length - near) ?? length;
  const found = [first, ...inner, last];
  const spans = found.slice(1).map((at, index) => at - (found[index] ?? 0));
  // A frame with one line across it is no grid: rows of a card are alike.
  const widest = Math.max(...spans);
  const narrowest = Math.min(...spans);
  return found.length - 1 <= MOST && widest < 12 * narrowest ? found : undefined;
}

/** Middles of ruled lines. */
function peaks(shares: Float64Array, length: number): number[] {
  const found: number[] = [];
  let begun: number | undefined;
  for (let at = 0; at <= shares.length; at += 1) {
    const isLine = (shares[at] ?? 0) >= RULED;
    if (isLine) begun ??= at;
    else if (begun !== undefined) {
      const middle = (begun + at) / 2;
      const before = found.at(-1);
      if (before !== undefined && middle - before < CLOSEST * length)
        found[found.length - 1] = (before + middle) / 2;
      else found.push(middle);
      begun = undefined;
    }
  }
  return found;
}

/** Least share of ink in a row or column that has text. */
const TEXT = 0.004;
/** A stretch without ink is no mere gap between strokes from this width on, px. */
const LEAST_STRETCH_PX = 3;

interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Stretches without ink between texts, from one side to the other. */
function freeStretches(shares: Float64Array): Stretch[] {
  const free: Stretch[] = [];
  let begun: number | undefined;
  for (let at = 0; at <= shares.length; at += 1) {
    const isFree = at < shares.length && (shares[at] ?? 0) < TEXT;
    if (isFree) begun ??= at;
    else if (begun !== undefined) {
      free.push({ from: begun, to: at });
      begun = undefined;
    }
  }
  return free.filter(
    ({ from, to }) => from > 0 && to < shares.length && to - from >= LEAST_STRETCH_PX,
  );
}

/** Stretches about as wide as the widest: rows are alike, what is narrower lies within one. */
function alike(free: readonly Stretch[]): readonly Stretch[] {
  const widest = Math.max(0, ...free.map(({ from, to }) => to - from));
  return free.filter(({ from, to }) => to - from >= 0.6 * widest);
}

/** Blanks between words are narrower than a line is high; columns stand farther apart. */
const APART = 1.1;

function between(free: readonly Stretch[], height: number): readonly Stretch[] {
  return free.filter(({ from, to }) => to - from >= APART * height);
}

/** How high a line of print is on a card, px: the middle one of all stretches of rows with ink. */
function lineHeight(card: Gray): number {
  const shares = profile(card, 'rows');
  const heights: number[] = [];
  let from: number | undefined;
  for (let at = 0; at <= shares.length; at += 1) {
    const isInk = at < shares.length && (shares[at] ?? 0) >= TEXT;
    if (isInk) from ??= at;
    else if (from !== undefined) {
      heights.push(at - from);
      from = undefined;
    }
  }
  const sorted = heights.sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? card.height;
}

function cutIn(stretches: readonly Stretch[], length: number): number[] {
  return [0, ...stretches.map(({ from, to }) => (from + to) / 2), length];
}

/**
 * Room left between a cell's edges and what is read, so that no ruled line is read along: a share of the cell, and of the
 * card no more than a line and a thumb's miss take.
 */
const INSET = { across: 0.03, down: 0.07, most: 0.005 } as const;

/** A ruled line is at least so thick on a picture that can be read, px. */
const LEAST_INSET_PX = 4;

/** The cells of a card, row by row, without their lines. */
export function cellBoxes({ rows, columns }: CardGrid): Box[][] {
  const most = Math.max(
    LEAST_INSET_PX,
    INSET.most * Math.max(rows.at(-1) ?? 0, columns.at(-1) ?? 0),
  );
  return rows.slice(1).map((bottom, row) =>
    columns.slice(1).map((right, column) => {
      const top = rows[row] ?? 0;
      const left = columns[column] ?? 0;
      const across = Math.max(2, Math.min(most, INSET.across * (right - left)));
      const down = Math.max(2, Math.min(most, INSET.down * (bottom - top)));
      return { left: left + across, top: top + down, right: right - across, bottom: bottom - down };
    }),
  );
}
