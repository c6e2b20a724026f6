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
/** Share of a ruled line that is dark: it goes through, with a flaw here and there. */
const RULED = 0.55;
/** Lines closer together than this share of the card are one line, drawn thick. */
const CLOSEST = 0.012;
/** Most rows or columns that are guessed. */
const MOST = 30;

/** The rows and columns of an evened card: along its ruled lines, else where no ink stands between its texts. */
export function guessGrid(card: Gray): CardGrid {
  const across = profile(card, 'rows');
  const down = profile(card, 'columns');
  return {
    rows: edges(across, card.height) ?? gaps(across, card.height) ?? evenly(card.height, 1),
    columns: edges(down, card.width) ?? gaps(down, card.width) ?? evenly(card.width, 1),
  };
}

/** A card cut evenly, or along the edges that were guessed where there are as many. */
export function gridOf(
  card: Gray,
  guessed: CardGrid,
  counts: { readonly rows: number; readonly columns: number },
): CardGrid {
  const { rows, columns } = counts;
  return {
    rows: guessed.rows.length === rows + 1 ? guessed.rows : evenly(card.height, rows),
    columns: guessed.columns.length === columns + 1 ? guessed.columns : evenly(card.width, columns),
  };
}

function evenly(length: number, count: number): number[] {
  return Array.from({ length: count + 1 }, (_, at) => (length * at) / count);
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
function edges(shares: Float64Array, length: number): number[] | undefined {
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

/** Edges in the middle of what is free of ink, where the widest gaps are alike; undefined where there are none. */
function gaps(shares: Float64Array, length: number): number[] | undefined {
  const free: { readonly from: number; readonly to: number }[] = [];
  let begun: number | undefined;
  for (let at = 0; at <= shares.length; at += 1) {
    const isFree = at < shares.length && (shares[at] ?? 0) < TEXT;
    if (isFree) begun ??= at;
    else if (begun !== undefined) {
      free.push({ from: begun, to: at });
      begun = undefined;
    }
  }
  const inner = free.filter(({ from, to }) => from > 0 && to < shares.length);
  const widest = Math.max(0, ...inner.map(({ from, to }) => to - from));
  const wide = inner.filter(({ from, to }) => to - from >= 0.6 * widest && to - from >= 3);
  if (wide.length === 0 || wide.length >= MOST) return undefined;
  return [0, ...wide.map(({ from, to }) => (from + to) / 2), length];
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

/** Share of a cell that must be ink for something to be written in it. */
const WRITTEN = 0.004;

/** Whether anything stands in a cell. */
export function isBlank({ width, pixels }: Gray, box: Box): boolean {
  let ink = 0;
  let all = 0;
  for (let y = Math.ceil(box.top); y < box.bottom; y += 1)
    for (let x = Math.ceil(box.left); x < box.right; x += 1) {
      all += 1;
      if ((pixels[y * width + x] ?? 255) < INK) ink += 1;
    }
  return all === 0 || ink / all < WRITTEN;
}
