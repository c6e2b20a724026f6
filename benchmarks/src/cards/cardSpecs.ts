import { seededRandom, vehicleElsewhere } from '@lucky-thread/core/bench';
import type { CardLayout } from '@lucky-thread/core/card';

/** What stands in a cell of a card. */
export interface PrintedCell {
  readonly position: string;
  /** Undefined where nothing is printed. */
  readonly ratingA: number | undefined;
  readonly legend: string | undefined;
}

/** A legend card as a maker prints it, and how it is photographed. */
export interface CardSpec {
  readonly seed: number;
  readonly layout: CardLayout;
  /** Cells row by row; of a list: its blocks side by side. */
  readonly rows: readonly (readonly PrintedCell[])[];
  readonly font: string;
  /** Numbers are printed too. */
  readonly numbered: boolean;
  /** Rating and legend in one line, or below each other. */
  readonly lines: 1 | 2;
  readonly ruled: boolean;
  /** White on black. */
  readonly inverse: boolean;
}

/** Faces that a machine for tests has, and those that come with the app. */
export const FONTS = [
  'DejaVu Sans',
  'DejaVu Sans Condensed',
  'DejaVu Serif',
  'DejaVu Sans Mono',
  'Card Condensed',
  'Card Legible',
] as const;

/** Cells that are printed blank. */
const BLANK = 0.06;

/** A card of a seed: legends from the lists of the second generator, which the reader has never been tuned to. */
export function cardSpec(seed: number): CardSpec {
  const random = seededRandom(seed * 104_729 + 7);
  const layout = random() < 0.6 ? 'boxes' : 'list';
  const rows = layout === 'boxes' ? 3 + Math.floor(random() * 4) : 8 + Math.floor(random() * 6);
  const columns = layout === 'boxes' ? 3 + Math.floor(random() * 3) : 1 + Math.floor(random() * 2);
  const slots = [vehicleElsewhere(seed), vehicleElsewhere(seed + 500_000)].flatMap(
    (car) => car.slots,
  );
  const cells = Array.from({ length: rows * columns }, (_, at): PrintedCell => {
    const slot = slots[at % slots.length];
    const isBlank = random() < BLANK;
    return {
      position: `F${at + 1}`,
      ratingA: isBlank ? undefined : (slot?.ratingA ?? 10),
      legend: isBlank ? undefined : (slot?.legend ?? 'SPARE'),
    };
  });
  return {
    seed,
    layout,
    rows: Array.from({ length: rows }, (_, row) => cells.slice(row * columns, (row + 1) * columns)),
    font: FONTS[Math.floor(random() * FONTS.length)] ?? FONTS[0],
    numbered: layout === 'list' || random() < 0.5,
    lines: random() < 0.7 ? 2 : 1,
    ruled: random() < 0.85,
    inverse: random() < 0.1,
  };
}
