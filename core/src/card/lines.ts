import type { Box, Gray } from './gray';

/** A pixel darker than this is ink. */
const INK = 128;
/** A line of print has at least so many pixels of height; less is a speck. */
const LEAST_HEIGHT_PX = 5;
/** What stands closer above or below than this share of a line's height belongs to it: dots and rings over letters. */
const DOTS = 0.3;
/** Ruled lines and smudges at a cell's edge are thinner than this share of the cell. */
const THIN = 0.12;

/** The lines of print in a cell, from top to bottom, each cut close. */
export function printedLines(card: Gray, cell: Box): Box[] {
  const inside = {
    left: Math.max(0, Math.ceil(cell.left)),
    right: Math.min(card.width, Math.floor(cell.right)),
    top: Math.max(0, Math.ceil(cell.top)),
    bottom: Math.min(card.height, Math.floor(cell.bottom)),
  };
  const { top, bottom } = inside;
  const ruled = ruledColumns(card, inside);
  const rows = bandsOf(bottom - top, (y) =>
    inkIn(card, { ...inside, top: top + y, bottom: top + y + 1 }, ruled),
  );
  const bands = joined(rows);
  const tall = Math.max(0, ...bands.map((band) => band.to - band.from));
  return bands
    .filter(({ from, to }) => to - from >= Math.max(LEAST_HEIGHT_PX, 0.45 * tall))
    .filter((band) => !isEdge(band, bottom - top))
    .map(({ from, to }) => trimmed(card, { ...inside, top: top + from, bottom: top + to }, ruled));
}

/** Share of a cell's height that what is left of a ruled line goes through. */
const THROUGH = 0.8;

/** Columns of a cell in which nothing but what is left of a ruled line stands. */
function ruledColumns(card: Gray, cell: Box): ReadonlySet<number> {
  const columns = Array.from(
    { length: Math.max(0, cell.right - cell.left) },
    (_, at) => cell.left + at,
  );
  return new Set(
    columns.filter(
      (x) => inkIn(card, { ...cell, left: x, right: x + 1 }) >= THROUGH * (cell.bottom - cell.top),
    ),
  );
}

interface Band {
  readonly from: number;
  readonly to: number;
}

const NONE: ReadonlySet<number> = new Set();

/** Pixels of ink, but for columns that do not count. */
function inkIn({ width, pixels }: Gray, box: Box, but: ReadonlySet<number> = NONE): number {
  let ink = 0;
  for (let y = box.top; y < box.bottom; y += 1)
    for (let x = box.left; x < box.right; x += 1)
      if ((pixels[y * width + x] ?? 255) < INK && !but.has(x)) ink += 1;
  return ink;
}

/** Stretches with ink. */
function bandsOf(length: number, inkAt: (at: number) => number): Band[] {
  const bands: Band[] = [];
  let from: number | undefined;
  for (let at = 0; at <= length; at += 1) {
    const isInk = at < length && inkAt(at) > 0;
    if (isInk) from ??= at;
    else if (from !== undefined) {
      bands.push({ from, to: at });
      from = undefined;
    }
  }
  return bands;
}

function joined(bands: readonly Band[]): Band[] {
  const all: Band[] = [];
  for (const band of bands) {
    const before = all.at(-1);
    if (before === undefined) all.push(band);
    else {
      const shorter = Math.min(before.to - before.from, band.to - band.from);
      const taller = Math.max(before.to - before.from, band.to - band.from);
      const isDot = shorter < 0.4 * taller && band.from - before.to < DOTS * taller;
      if (isDot) all[all.length - 1] = { from: before.from, to: band.to };
      else all.push(band);
    }
  }
  return all;
}

/** Whether a band is the rest of a ruled line at the edge of the cell. */
function isEdge({ from, to }: Band, height: number): boolean {
  return (from <= 1 || to >= height - 1) && to - from < THIN * height;
}

/** A line without the blank to its left and right. */
function trimmed(card: Gray, line: Box, ruled: ReadonlySet<number>): Box {
  const columns = bandsOf(line.right - line.left, (x) =>
    inkIn(card, { ...line, left: line.left + x, right: line.left + x + 1 }, ruled),
  );
  const first = columns[0];
  const last = columns.at(-1);
  if (first === undefined || last === undefined) return line;
  return { ...line, left: line.left + first.from, right: line.left + last.to };
}
