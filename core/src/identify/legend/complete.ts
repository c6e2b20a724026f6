import { LEXICON } from './lexicon';

/** Letters that must be there before anything is proposed. */
const LEAST_LETTERS = 2;

/** Every legend of the lexicon: plain words before those of several parts or with numbers, the shorter before the longer. */
const TERMS: readonly string[] = [...new Set(LEXICON.flatMap((entry) => entry.terms))].sort(
  (left, right) =>
    parts(left) - parts(right) || left.length - right.length || left.localeCompare(right),
);

/** Blanks and figures in a legend. */
function parts(legend: string): number {
  return legend.match(/[\s\d]/g)?.length ?? 0;
}

/**
 * Legends that begin with what was typed: those that the shop has met, then those of the lexicon, the plainest first.
 * Strokes and dots stay as they were typed.
 *
 * @param met legends that were entered before, the commonest first
 * @param most how many to propose
 * @example completions('a/b', [], 1) // ['A/BAG']
 */
export function completions(typed: string, met: readonly string[], most: number): string[] {
  const begun = typed.trim().toUpperCase();
  if (begun.length < LEAST_LETTERS) return [];
  const plain = plainMarks(begun);
  const whole = [...met.map((legend) => legend.toUpperCase()), ...TERMS]
    .filter((legend) => plainMarks(legend).startsWith(plain) && legend.length > begun.length)
    .map((legend) => begun + legend.slice(begun.length));
  return [...new Set(whole)].slice(0, most);
}

/** Every mark as a blank, sign for sign: the lexicon has none. */
function plainMarks(text: string): string {
  return text.replace(/[^\p{L}\p{N}]/gu, ' ');
}
