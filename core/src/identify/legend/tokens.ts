import { plainLetters } from './plainLetters';

/** A rating in the print, e.g. `15A`, `7.5 AMP`: it says nothing about the circuit. */
const RATING = /\b\d{1,3}(?:[.,]\d)?\s?(?:A|AMP|AMPS|AMPERE)\b/g;
/** A place in the print, e.g. `F15`, `NO.15`, `FUSE 30`, `#12`. */
const PLACE = /(?:\bFUSE|\bFUSIBLE|\bNO|\bNR|\bF|#)[\s.:]?\d{1,3}\b/g;
/** A letter and a figure that print and eyes confuse, within a word. */
const CONFUSED: readonly (readonly [RegExp, string])[] = [
  [/(?<=[A-Z])0(?=[A-Z])/g, 'O'],
  [/(?<=[A-Z]{3})0\b/g, 'O'],
  [/(?<=[A-Z])1(?=[A-Z])/g, 'I'],
  [/\b1(?=[A-Z]{1,2}\d?\b)/g, 'I'],
];

/** Words for a terminal of DIN 72552. */
const TERMINAL = /\b(?:KLEMME|TERMINAL|BORNE|MORSETTO|KLEM)\b/g;
/** The battery’s plus as DIN 72552 writes it; a lone letter says nothing. */
const BATTERY_PLUS = /\+\s?B(?![A-Z])|\bB\s?\+/g;
/** Words that join others; print leaves them out mostly. */
const JOINING = 'DEL DE LA LES LE DU DES DI DA DOS DO EL AU UND OF THE VON'.split(' ');
/** Those that are mostly something else, such as a side or a terminal: they join only where they stand between two words. */
const JOINING_WORDS = 'AUX D L Y ET E A AN ZU NA POR PER EM'.split(' ');
const JOINS = new RegExp(
  `\\b(?:${JOINING.join('|')})\\b|(?<=[A-Z]{3} )(?:${JOINING_WORDS.join('|')})(?= [A-Z]{3})`,
  'g',
);

/** Whether a word only joins others within a phrase of the trade. */
export function joinsOthers(word: string): boolean {
  return JOINING.includes(word) || JOINING_WORDS.includes(word);
}

/** The parts of a legend: letters and figures apart, `Kl30-b` is `KL`, `30`, `B`. Ratings and places are left out. */
export function tokensOf(legend: string | undefined): readonly string[] {
  const plain = plainLetters(legend ?? '').replace(/[’']/g, ' ');
  const rest = plain
    .replace(BATTERY_PLUS, ' BAT ')
    .replace(RATING, ' ')
    .replace(PLACE, ' ')
    .replace(TERMINAL, 'KL')
    .replace(JOINS, ' ');
  const clear = CONFUSED.reduce((text, [wrong, right]) => text.replace(wrong, right), rest);
  return clear.match(/[A-Z]+|[0-9]+/g) ?? [];
}

/** Whether a token is a number. */
export function isNumber(token: string): boolean {
  return /^\d/.test(token);
}
