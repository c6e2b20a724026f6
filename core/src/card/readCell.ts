import type { FuseFamily } from '../vehicle';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '../vehicle';
import { snapLegend } from './snapLegend';

/** A line of print as it was read. */
export interface ReadLine {
  readonly text: string;
  /** How sure the reading is of itself, 0 to 100. */
  readonly confidence: number;
}

/** What a cell of a legend card says. */
export interface CardCell {
  /** Printed number, e.g. "F12"; undefined where none is printed. */
  readonly position: string | undefined;
  /** Rating, A; undefined where none could be read. */
  readonly ratingA: number | undefined;
  /** Legend; undefined where nothing else is printed. */
  readonly legend: string | undefined;
  /** Why it has to be looked at; empty where nothing speaks against it. */
  readonly doubts: readonly string[];
}

/** A cell in which nothing is printed. */
export const BLANK_CELL: CardCell = {
  position: undefined,
  ratingA: undefined,
  legend: undefined,
  doubts: [],
};

/** Build of the fuses, whose ratings are the only ones, and legends that the shop has met. */
export interface ReadCellGiven {
  readonly family: FuseFamily;
  readonly met: readonly string[];
  /** The number that must stand in this box, by those of the others; left out where they do not say. */
  readonly number?: string | undefined;
}

/** Readings less sure of themselves than this have to be looked at, 0 to 100. */
const SURE = 88;
/** A number of the panel: letters, then figures. */
const NUMBER = /^(?:F|FU|NO|NR|R|K|SB|FB)?\.?\s?\d{1,3}$/i;
/** A number and a rating that were read without the blank between them. */
const TOGETHER = /^[A-Z]{1,2}\d{2,5}(?:[.,]5)?A$/i;
/** A word of a legend that may be its rating, read wrongly. */
const LIKE_A_RATING = /(?:^|\s)[0-9OISBZ]{1,3}(?:[.,]\d)?A(?:\s|$)/;
/** Signs that are read in the place of figures. */
const FIGURES: Readonly<Record<string, string>> = {
  O: '0',
  Q: '0',
  D: '0',
  I: '1',
  L: '1',
  '|': '1',
  '!': '1',
  S: '5',
  Z: '2',
  B: '8',
  G: '6',
};

/** What a box says in which all stands together: a rating, a legend, perhaps its number. */
export function readBox(lines: readonly ReadLine[], given: ReadCellGiven): CardCell {
  const words = wordsOf(lines).flatMap((word) => apart(word, given));
  if (words.length === 0) return BLANK_CELL;
  const ratings = ratingWords(words, given.family);
  const rating = ratings[0];
  const rest = words.filter((_, at) => at !== rating?.at && at !== rating?.unitAt);
  const [first = ''] = rest;
  const isNumbered =
    (NUMBER.test(first) || isNumberAsRead(first, given.number)) &&
    (rest.length > 1 || rating === undefined) &&
    rating?.at !== 0;
  const position = isNumbered ? first : undefined;
  const legend = (isNumbered ? rest.slice(1) : rest).join(' ');
  // A number with nothing beside it is an empty position.
  if (isNumbered && legend === '' && rating === undefined) return { ...BLANK_CELL, position };
  const doubled = ratings.length > 1 ? ['two numbers could be its rating'] : [];
  const cell = together({ lines, legend, rating }, given);
  return { ...cell, position, doubts: [...cell.doubts, ...doubled] };
}

/** What a line of a list says, from its columns. */
export function readListed(
  columns: {
    readonly rating: readonly ReadLine[];
    readonly legend: readonly ReadLine[];
    readonly number: readonly ReadLine[];
  },
  given: ReadCellGiven,
): CardCell {
  const position = wordsOf(columns.number).join('') || undefined;
  const lines = [...columns.rating, ...columns.legend];
  if (wordsOf(lines).length === 0) return { ...BLANK_CELL, position };
  const rating = ratingWords(wordsOf(columns.rating), given.family)[0];
  const legend = wordsOf(columns.legend).join(' ');
  return { ...together({ lines, legend, rating }, given), position };
}

function together(
  read: {
    readonly lines: readonly ReadLine[];
    readonly legend: string;
    readonly rating: RatingWord | undefined;
  },
  given: ReadCellGiven,
): CardCell {
  const { rating } = read;
  const snapped = read.legend === '' ? undefined : snapLegend(read.legend, given.met);
  const unsure = Math.min(...read.lines.map((line) => line.confidence));
  return {
    position: undefined,
    ratingA: rating?.ratingA,
    legend: snapped?.legend,
    doubts: [
      ...(unsure < SURE ? ['hard to read'] : []),
      ...(rating === undefined
        ? ['no rating']
        : rating.isPlain
          ? []
          : [`rating read as ${rating.word}`]),
      ...(snapped === undefined ? ['no legend'] : []),
      ...(LIKE_A_RATING.test(read.legend) ? ['a number in its legend'] : []),
      ...(snapped?.doubt === undefined ? [] : [snapped.doubt]),
    ],
  };
}

function wordsOf(lines: readonly ReadLine[]): string[] {
  return lines
    .flatMap(({ text }) => text.trim().split(/\s+/))
    .filter((word) => word !== '')
    .map(inCapitals);
}

/** Small letters that are capitals seen wrongly. */
const SMALL: Readonly<Record<string, string>> = {
  l: 'I',
  i: 'I',
  o: 'O',
  s: 'S',
  z: 'Z',
  v: 'V',
  w: 'W',
  x: 'X',
  c: 'C',
  u: 'U',
  p: 'P',
  k: 'K',
};

/** A word in capitals: a small l among capitals is an I; a word in small letters is as it is. */
function inCapitals(word: string): string {
  const capitals = word.match(/[A-ZÄÖÜ]/g)?.length ?? 0;
  const small = word.match(/[a-zäöü]/g)?.length ?? 0;
  if (capitals < small || capitals === 0) return word.toUpperCase();
  return [...word].map((sign) => SMALL[sign] ?? sign.toUpperCase()).join('');
}

/** Whether a word is the number that must stand there, however its figures were read. */
function isNumberAsRead(word: string, number: string | undefined): boolean {
  if (number === undefined || word.length > number.length + 1) return false;
  const letters = number.replace(/\d+$/, '');
  return (
    word.startsWith(letters) &&
    /^[A-Z]*[0-9OQDILSZBG&|!]{0,3}$/.test(word) &&
    word !== letters + 'A'
  );
}

/** A number and a rating in one word, set apart: after the number that must stand there, else where there is one way only. */
function apart(word: string, { family, number }: ReadCellGiven): string[] {
  if (!TOGETHER.test(word)) return [word];
  if (number !== undefined && word.startsWith(number)) {
    const rating = word.slice(number.length);
    return readRating(rating, family) === undefined ? [word] : [number, rating];
  }
  const ways = [2, 3, 4]
    .map((back) => [word.slice(0, -back), word.slice(-back)] as const)
    .filter(
      ([before, rating]) =>
        /^[A-Z]{1,2}\d{1,3}$/i.test(before) && readRating(rating, family) !== undefined,
    );
  const [only] = ways;
  return only !== undefined && ways.length === 1 ? [...only] : [word];
}

interface RatingWord {
  readonly at: number;
  /** Where its A stands by itself. */
  readonly unitAt: number | undefined;
  readonly word: string;
  readonly ratingA: number;
  /** Read as it is printed, with nothing taken for something else. */
  readonly isPlain: boolean;
}

/** The words that can be a rating, those with an A before bare numbers. */
function ratingWords(words: readonly string[], family: FuseFamily): RatingWord[] {
  const found = words.flatMap((word, at): (RatingWord & { readonly hasUnit: boolean })[] => {
    const next = words[at + 1];
    const isApart = /^\d+(?:[.,]\d)?$/.test(word) && (next === 'A' || next === 'AMP');
    const read = readRating(isApart ? `${word}A` : word, family);
    return read === undefined ? [] : [{ ...read, at, unitAt: isApart ? at + 1 : undefined, word }];
  });
  const withUnit = found.filter((one) => one.hasUnit);
  return withUnit.length > 0 ? withUnit : found.filter(({ word }) => /^\d/.test(word));
}

/** A rating, perhaps with its A; figures read as letters are figures again. */
function readRating(
  word: string,
  family: FuseFamily,
): (Pick<RatingWord, 'ratingA' | 'isPlain'> & { readonly hasUnit: boolean }) | undefined {
  const match = /^([0-9OQDILSZBG|!]{1,3}(?:[.,][5S])?)(A|AMP)?$/i.exec(word);
  if (match === null || !/\d/.test(word)) return undefined;
  const print = match[1] ?? '';
  const figures = [...print.toUpperCase()]
    .map((sign) => FIGURES[sign] ?? sign)
    .join('')
    .replace(',', '.');
  const value = ratingIn(figures, family);
  if (value === undefined) return undefined;
  const fits = FUSE_FAMILY_FACTS[family].ratingsA.includes(value);
  return {
    ratingA: value,
    isPlain: fits && String(value) === print.replace(',', '.'),
    hasUnit: match[2] !== undefined,
  };
}

/** The rating that figures are, or can only have been. */
function ratingIn(figures: string, family: FuseFamily): number | undefined {
  // A point is lost easily: no fuse is made for 75 A, 7.5 A is.
  const value = Number(figures === '75' ? '7.5' : figures);
  if (ALL_RATINGS.has(value)) return value;
  // A point is read as a figure, and a stroke through a nought as one more: 715 is 7.5, 180 is 10.
  if (/^(?:175|715|775)$/.test(figures)) return 7.5;
  if (!/^\d{3}$/.test(figures)) return undefined;
  const made = FUSE_FAMILY_FACTS[family].ratingsA;
  const shorter = [0, 1, 2].map((at) => Number(figures.slice(0, at) + figures.slice(at + 1)));
  const found = [...new Set(shorter.filter((one) => made.includes(one)))];
  return found.length === 1 ? found[0] : undefined;
}

const ALL_RATINGS: ReadonlySet<number> = new Set(
  FUSE_FAMILIES.flatMap((family) => FUSE_FAMILY_FACTS[family].ratingsA),
);
