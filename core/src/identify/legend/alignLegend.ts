/** How a printed legend lies against its panel. */
export interface Lie {
  /** Quarter turns of the legend, clockwise. */
  readonly quarterTurns: 0 | 1 | 2 | 3;
  /** Turned over left to right before it is turned round. */
  readonly mirrored: boolean;
}

/** A grid of ratings, A; null for an empty position, undefined where nothing can be read. Rows from the top. */
export type RatingGrid = readonly (readonly (number | null | undefined)[])[];

/** One way the legend may lie, with how likely that is. */
export interface LegendLie extends Lie {
  /** Chance that the print is wrong, 0 to 1. */
  readonly probability: number;
  /** The legend as it then lies on the panel. */
  readonly onPanel: RatingGrid;
}

/** What the ratings say about the legend's lie. */
export type Alignment =
  | { readonly kind: 'matched'; readonly best: LegendLie; readonly others: readonly LegendLie[] }
  | {
      readonly kind: 'ambiguous';
      readonly lies: readonly LegendLie[];
      /** Position whose rating would settle most, 0-based; undefined when no further fuse can. */
      readonly readNext: { readonly column: number; readonly row: number } | undefined;
    }
  | { readonly kind: 'noMatch'; readonly reason: string };

/** Share of positions whose fuse is not the printed one: swapped, missing or replaced. Common practice. */
const DIFFERS = 0.08;
/** Ratings one might find instead. */
const OTHER_RATINGS = 8;
/** From here up the lie is taken for found. */
const SURE = 0.95;
/** Below this share of agreeing positions the legend is not this panel's. */
const LEAST_AGREEMENT = 0.5;

/**
 * Which way round a printed legend lies on its panel: the ratings printed against the ratings seen, over quarter turns
 * and mirroring; positions that were not looked at say nothing.
 *
 * @throws RangeError when a grid is empty or its rows differ in length.
 *
 * @example alignLegend([[10, 15], [20, 5]], [[5, 20], [15, undefined]]).kind // 'matched'
 */
export function alignLegend(printed: RatingGrid, seen: RatingGrid): Alignment {
  assertGrid(printed, 'The legend');
  assertGrid(seen, 'The panel');
  const fitting = LIES.map((lie) => ({ ...lie, onPanel: laid(printed, lie) })).filter(
    ({ onPanel }) => onPanel.length === seen.length && onPanel[0]?.length === seen[0]?.length,
  );
  if (fitting.length === 0)
    return {
      kind: 'noMatch',
      reason: `A legend of ${sizeOf(printed)} does not fit a panel of ${sizeOf(seen)} either way.`,
    };
  const weighed = fitting.map((lie) => ({ ...lie, ...compare(lie.onPanel, seen) }));
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const lies = weighed
    .map(({ quarterTurns, mirrored, onPanel, weight }) => ({
      quarterTurns,
      mirrored,
      onPanel,
      probability: weight / total,
    }))
    .sort((left, right) => right.probability - left.probability);
  const agreement = Math.max(...weighed.map((one) => one.agreement));
  if (agreement < LEAST_AGREEMENT)
    return { kind: 'noMatch', reason: 'Too few ratings agree: another panel’s or year’s legend?' };
  const [best, ...others] = lies;
  if (best === undefined) throw new Error('unreachable: lies were counted above');
  if (best.probability >= SURE) return { kind: 'matched', best, others };
  return { kind: 'ambiguous', lies, readNext: mostTelling(lies, seen) };
}

const LIES: readonly Lie[] = ([0, 1, 2, 3] as const).flatMap((quarterTurns) => [
  { quarterTurns, mirrored: false },
  { quarterTurns, mirrored: true },
]);

/** A grid as it lies after mirroring and turning. */
export function laid(grid: RatingGrid, lie: Lie): RatingGrid {
  let rows = grid.map((row) => (lie.mirrored ? [...row].reverse() : [...row]));
  for (let turn = 0; turn < lie.quarterTurns; turn += 1) {
    const width = rows[0]?.length ?? 0;
    rows = Array.from({ length: width }, (_, column) => rows.map((row) => row[column]).reverse());
  }
  return rows;
}

function compare(onPanel: RatingGrid, seen: RatingGrid): { weight: number; agreement: number } {
  let weight = 1;
  let agreeing = 0;
  let compared = 0;
  seen.forEach((row, y) =>
    row.forEach((found, x) => {
      const expected = onPanel[y]?.[x];
      if (found === undefined || expected === undefined) return;
      compared += 1;
      if (found === expected) agreeing += 1;
      weight *= found === expected ? 1 - DIFFERS : DIFFERS / OTHER_RATINGS;
    }),
  );
  return { weight, agreement: compared === 0 ? 1 : agreeing / compared };
}

/** The unseen position on which the likely lies disagree most (largest entropy of the expected rating). */
function mostTelling(
  lies: readonly LegendLie[],
  seen: RatingGrid,
): { column: number; row: number } | undefined {
  let best: { column: number; row: number } | undefined;
  let bestBits = 0.01;
  seen.forEach((cells, row) =>
    cells.forEach((found, column) => {
      if (found !== undefined) return;
      const chances = new Map<number | null | undefined, number>();
      for (const lie of lies) {
        const expected = lie.onPanel[row]?.[column];
        chances.set(expected, (chances.get(expected) ?? 0) + lie.probability);
      }
      if (chances.has(undefined)) return;
      const bits = [...chances.values()].reduce(
        (sum, chance) => (chance > 0 ? sum - chance * Math.log2(chance) : sum),
        0,
      );
      if (bits <= bestBits) return;
      bestBits = bits;
      best = { column, row };
    }),
  );
  return best;
}

function assertGrid(grid: RatingGrid, name: string): void {
  const width = grid[0]?.length ?? 0;
  if (width === 0) throw new RangeError(`${name} has no positions`);
  if (grid.some((row) => row.length !== width))
    throw new RangeError(
      `${name} must have rows of one length, got ${grid.map((row) => row.length).join(', ')}`,
    );
}

function sizeOf(grid: RatingGrid): string {
  return `${grid[0]?.length ?? 0} × ${grid.length}`;
}
