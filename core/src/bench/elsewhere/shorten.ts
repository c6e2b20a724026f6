import { pick } from '../generate/draw';

const SIDES = [' L', ' RH', ' FR', ' 1', ' 2', '-R', ' RR'];
const RATINGS = ['5A', '7.5A', '10A', '15A'];
/** Letters that a printer leaves out first, in words of so many letters at least. */
const LONG = 6;

/** How a print differs from the book's: vowels left out, cut, a side or a rating added, other letters for umlauts. */
export function reprinted(legend: string, random: () => number): string {
  const draw = random();
  if (draw < 0.62) return legend;
  if (draw < 0.72) return legend.split(' ').map(withoutVowels).join(' ');
  if (draw < 0.8) return legend.split(' ').map(cut).join(' ');
  if (draw < 0.88) return `${legend}${pick(SIDES, random)}`;
  if (draw < 0.92) return `${legend} ${pick(RATINGS, random)}`;
  if (draw < 0.96) return bare(legend);
  return legend.toLowerCase();
}

function withoutVowels(word: string): string {
  return word.length < LONG ? word : word.charAt(0) + word.slice(1).replace(/[AEIOUÄÖÜÉÅ]/g, '');
}

function cut(word: string): string {
  return word.length < LONG ? word : word.slice(0, Math.max(4, Math.ceil(word.length / 2)));
}

const BARE: Readonly<Record<string, string>> = { Ä: 'AE', Ö: 'OE', Ü: 'UE', É: 'E', Å: 'A' };

function bare(legend: string): string {
  return legend.replace(/[ÄÖÜÉÅ]/g, (letter) => BARE[letter] ?? letter);
}
