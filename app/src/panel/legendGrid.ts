import type { RatingGrid } from '@lucky-thread/core/identify/legend';
import type { Panel } from '@lucky-thread/core/vehicle';

/** The printed ratings of a panel as a grid; positions without a slot can't be compared. */
export function printedGrid(panel: Panel): RatingGrid {
  return Array.from({ length: panel.rows }, (_, row) =>
    Array.from({ length: panel.columns }, (__, column) => {
      const slot = panel.slots.find((one) => one.row === row && one.column === column);
      return slot === undefined ? undefined : (slot.ratingA ?? null);
    }),
  );
}

/**
 * A typed row of ratings as seen in the panel: numbers, `-` for an empty position, `?` for one not looked at.
 *
 * @throws RangeError for anything else.
 */
export function parseRow(text: string): (number | null | undefined)[] {
  // The only rating with a fraction is 7.5: with a decimal comma it is one rating, not two.
  return text
    .replace(/\b7,5\b/g, '7.5')
    .trim()
    .split(/[\s,;]+/)
    .filter((part) => part !== '')
    .map((part) => {
      if (part === '-' || part === '–') return null;
      if (part === '?') return undefined;
      const value = Number(part);
      if (!(value > 0 && value <= 120))
        throw new RangeError(`“${part}” is no fuse rating: a number of amperes, - or ?`);
      return value;
    });
}
