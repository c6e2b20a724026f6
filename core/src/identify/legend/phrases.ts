import { LEXICON } from './lexicon';
import type { LexiconEntry } from './lexicon';
import type { PrintedWord } from './channel';
import { printedWord } from './channel';
import { plainLetters, printedForms } from './plainLetters';
import { joinsOthers } from './tokens';
import { BLOCKED_WORDS } from './vocabulary/blocked';
import { USABLE_WORDS } from './vocabulary/usable';
import type { Vocabulary } from './vocabulary/vocabulary';

/** A trade phrase: its words by number, and the circuit that it names. */
export interface Phrase {
  readonly words: readonly number[];
  /** First letters of its words, two words and more. */
  readonly initials: string;
  readonly entry: LexiconEntry;
}

/** All phrases with the words they are made of. */
export interface PhraseBook {
  readonly words: readonly PrintedWord[];
  /** Numbers of the words that begin with a letter. */
  readonly byLetter: ReadonlyMap<string, readonly number[]>;
  /** Circuits that a word names alone, by its number. */
  readonly alone: ReadonlyMap<number, readonly LexiconEntry[]>;
  /** Phrases of several words by the number of their first. */
  readonly byFirst: ReadonlyMap<number, readonly Phrase[]>;
  readonly byInitials: ReadonlyMap<string, readonly Phrase[]>;
  /** Numbers of the words long enough to be found inside others, by their first {@link LONG} letters. */
  readonly byBeginning: ReadonlyMap<string, readonly number[]>;
}

/** Shortest word that is looked for inside a longer one, letters. */
export const LONG = 5;

let book: PhraseBook | undefined;

/**
 * The phrases of the vocabulary, each under the entry of the lexicon with its meaning. Made when the first legend is read: it is
 * most of what loading the core would take, and whoever opens the app has no legend to read yet.
 */
export function phraseBook(): PhraseBook {
  return (book ??= bookOf([BLOCKED_WORDS, USABLE_WORDS]));
}

function bookOf(vocabularies: readonly Vocabulary[]): PhraseBook {
  const words: PrintedWord[] = [];
  const numbers = new Map<string, number>();
  const numberOf = (text: string): number => {
    const known = numbers.get(text);
    if (known !== undefined) return known;
    numbers.set(text, words.length);
    words.push(printedWord(text));
    return words.length - 1;
  };
  const phrases = vocabularies.flatMap((vocabulary) =>
    Object.entries(vocabulary).flatMap(([meaning, languages]) => {
      const entry = entryOf(meaning);
      const texts = Object.values(languages).flatMap((list) => list.split('|'));
      return [...new Set(texts.flatMap((text) => formsOf(text)))].map((text) =>
        phraseOf(text, entry, numberOf),
      );
    }),
  );
  const single = phrases.filter((phrase) => phrase.words.length === 1);
  const several = phrases.filter((phrase) => phrase.words.length > 1);
  return {
    words,
    byLetter: grouped(words.keys(), (number) => [words[number]?.text.charAt(0) ?? '']),
    alone: mapped(
      grouped(single, (phrase) => phrase.words),
      (group) => [...new Set(group.map(({ entry }) => entry))],
    ),
    byFirst: grouped(several, (phrase) => phrase.words.slice(0, 1)),
    byInitials: grouped(phrases, ({ initials }) => (initials.length > 1 ? [initials] : [])),
    byBeginning: grouped(words.keys(), (number) => {
      const text = words[number]?.text ?? '';
      return text.length >= LONG ? [text.slice(0, LONG)] : [];
    }),
  };
}

function entryOf(meaning: string): LexiconEntry {
  const entry = LEXICON.find((one) => one.meaning === meaning);
  if (entry === undefined) throw new RangeError(`The lexicon has no circuit “${meaning}”`);
  return entry;
}

/** A phrase in the ways its letters are printed. */
function formsOf(text: string): string[] {
  const parts = text
    .split(/[^\p{L}\d]+/u)
    .filter((part) => part !== '' && !joinsOthers(plainLetters(part)))
    .map(printedForms);
  return parts.reduce<string[]>(
    (made, forms) =>
      made.flatMap((before) => forms.map((form) => (before === '' ? form : `${before} ${form}`))),
    [''],
  );
}

function phraseOf(text: string, entry: LexiconEntry, numberOf: (word: string) => number): Phrase {
  const parts = text.split(' ');
  return {
    words: parts.map(numberOf),
    initials: parts.length < 2 ? '' : parts.map((part) => part.charAt(0)).join(''),
    entry,
  };
}

function mapped<K, T, U>(groups: ReadonlyMap<K, T>, of: (group: T) => U): Map<K, U> {
  return new Map([...groups].map(([key, group]): [K, U] => [key, of(group)]));
}

function grouped<T, K>(all: Iterable<T>, keysOf: (one: T) => readonly K[]): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const one of all)
    for (const key of keysOf(one)) {
      const group = groups.get(key);
      if (group === undefined) groups.set(key, [one]);
      else group.push(one);
    }
  return groups;
}
