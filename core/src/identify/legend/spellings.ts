import { LEXICON } from './lexicon';
import { readLabel } from './readLabel';
import { readTokens } from './reader';
import { tokensOf } from './tokens';
import type { SafetyClass } from './lexicon';

/** Every spelling that the lexicon has, in capitals without marks. */
export const LEGEND_SPELLINGS: readonly string[] = [
  ...new Set(LEXICON.flatMap((entry) => entry.terms)),
];

/**
 * The chance that nothing in a legend names a circuit known here, 0 to 1.
 *
 * @example howUnknown('RADIO') < 0.1 // true
 */
export function howUnknown(legend: string): number {
  return readTokens(tokensOf(legend)).nothing;
}

/** How safe a legend says its circuit is. */
export function readSafety(legend: string): SafetyClass {
  return readLabel(legend).safety;
}
