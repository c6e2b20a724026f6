/** What OCR takes for each other on small print, and how easily: 0 is always, 1 never. Common practice, and looks. */
const CONFUSED: readonly (readonly [string, string, number])[] = [
  ['0', 'O', 0.15],
  ['0', 'D', 0.5],
  ['0', 'Q', 0.5],
  ['O', 'Q', 0.4],
  ['O', 'D', 0.5],
  ['O', 'C', 0.6],
  ['O', 'G', 0.6],
  ['1', 'I', 0.15],
  ['1', 'L', 0.35],
  ['I', 'L', 0.35],
  ['I', 'T', 0.6],
  ['1', '7', 0.5],
  ['I', 'J', 0.6],
  ['5', 'S', 0.2],
  ['8', 'B', 0.25],
  ['8', 'S', 0.6],
  ['3', 'B', 0.5],
  ['3', '8', 0.5],
  ['2', 'Z', 0.25],
  ['6', 'G', 0.3],
  ['6', 'B', 0.6],
  ['C', 'G', 0.4],
  ['E', 'F', 0.5],
  ['P', 'F', 0.5],
  ['P', 'R', 0.5],
  ['B', 'R', 0.5],
  ['H', 'N', 0.5],
  ['M', 'N', 0.6],
  ['H', 'M', 0.7],
  ['U', 'V', 0.5],
  ['V', 'Y', 0.5],
  ['W', 'V', 0.6],
  ['4', 'A', 0.4],
  ['U', 'Ü', 0.1],
  ['O', 'Ö', 0.1],
  ['0', 'Ö', 0.3],
  ['A', 'Ä', 0.1],
  ['I', '/', 0.6],
  ['1', '/', 0.6],
];

const COSTS = new Map(
  CONFUSED.flatMap(([one, other, cost]) => [
    [one + other, cost],
    [other + one, cost],
  ]),
);

/** Marks that divide words in print, and one of which OCR takes for another. */
const MARKS = /[\s/.\-_,:]/;
/** What one mark for another, or one too many or too few, costs. */
const MARK = 0.25;
/** What a stroke is read as, and how easily. */
const STROKES = /[I1L|]/;
const STROKE = 0.6;
/** A sign too many or too few. */
const LOST = 1;

/** How far what was read is from what may be printed: 0 is the same, about 1 a sign. */
export function printDistance(read: string, printed: string): number {
  const before = new Float64Array(printed.length + 1);
  for (let column = 1; column <= printed.length; column += 1)
    before[column] = (before[column - 1] ?? 0) + lossOf(printed[column - 1]);
  for (let row = 1; row <= read.length; row += 1) {
    let diagonal = before[0] ?? 0;
    before[0] = diagonal + lossOf(read[row - 1]);
    for (let column = 1; column <= printed.length; column += 1) {
      const above = before[column] ?? 0;
      before[column] = Math.min(
        diagonal + costOf(read[row - 1] ?? '', printed[column - 1] ?? ''),
        above + lossOf(read[row - 1]),
        (before[column - 1] ?? 0) + lossOf(printed[column - 1]),
      );
      diagonal = above;
    }
  }
  return before[printed.length] ?? 0;
}

function lossOf(sign: string | undefined): number {
  return MARKS.test(sign ?? '') ? MARK : LOST;
}

function costOf(read: string, printed: string): number {
  if (read === printed) return 0;
  if (MARKS.test(read) && MARKS.test(printed)) return MARK / 2;
  // The lexicon has blanks where print has strokes, which look like an I.
  if (printed === ' ' && STROKES.test(read)) return STROKE;
  return COSTS.get(read + printed) ?? LOST;
}

/** What a sign may have been instead, the likeliest first. */
export function mistakenFor(sign: string): readonly (readonly [string, number])[] {
  return CONFUSED.flatMap(([one, other, cost]): (readonly [string, number])[] =>
    one === sign ? [[other, cost]] : other === sign ? [[one, cost]] : [],
  );
}

/** Legends that differ in nothing but marks, blanks and dots over letters are one. */
export function folded(legend: string): string {
  return legend
    .toUpperCase()
    .normalize('NFD')
    .replace(/[^A-Z0-9]/g, '');
}
