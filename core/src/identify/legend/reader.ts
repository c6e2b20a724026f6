import { LEXICON } from './lexicon';
import type { LexiconEntry } from './lexicon';
import type { PrintedWord } from './channel';
import { tokenGiven } from './channel';
import type { Phrase } from './phrases';
import { LONG, phraseBook } from './phrases';
import { beforeNothing, saysKind, saysNothing } from './sayNothing';
import { isNumber } from './tokens';

/** A circuit that a legend may name. */
export interface LegendReading {
  readonly entry: LexiconEntry;
  /** Probability that the legend names it, perhaps among others, 0 to 1. */
  readonly probability: number;
}

/** What a legend may mean. */
export interface LegendPosterior {
  /** Likeliest first. */
  readonly readings: readonly LegendReading[];
  /** Probability that it names something that must not be touched, 0 to 1. */
  readonly danger: number;
  /** Probability that nothing in it names a circuit known here, 0 to 1. */
  readonly nothing: number;
  /** Tokens that name something, as it looks, but nothing known here. */
  readonly unread: readonly string[];
}

/** An abbreviation that is known as it stands beats any that is worked out; of several words it beats its own parts. */
const KNOWN = 4;
const KNOWN_TOGETHER = 10;
/** Words that are known to stand together seldom do so by chance. */
const TOGETHER = 12;
/** A legend names one circuit; two are rarer. */
const ANOTHER = 0.006;
/** Initials of a phrase: two letters are often chance, three seldom. */
const INITIALS = [0, 0, 0.008, 0.04, 0.15] as const;
/** Letters set apart, as in `W/P`, are initials by their look. */
const APART = 0.3;
/** Two words run together without a space. */
const RUN_TOGETHER = 0.3;
/** From this probability on a token is like a word. */
const CLEAR = 0.1;
/** Least probability of each part of words run together. */
const PART = 0.05;
/** The same where the rest says nothing and can't be a part of it: stems of long words are cut ones. */
const STEM = 0.03;
/** Below this a token is some letters of a much longer word, in their order. */
const CHANCE = 0.005;
/** So many such letters may warn, but make nothing harmless; fewer are left to be weighed against danger by as little. */
const SOME_LETTERS = 5;
/** Most tokens that are read: what follows them is no legend. */
const MOST_TOKENS = 8;
/** How probable a token is that names nothing known, by its letters: almost anything has two. */
const UNKNOWN = [1, 0.2, 0.02, 0.004, 0.0015, 0.0007] as const;

/** A token of fewer letters is often a side, a number or a maker's own mark. */
const NAMES = 3;

type Scores = Map<LexiconEntry, number>;

/**
 * What a legend's tokens may mean: every way of cutting them into phrases of the trade, each printed through the
 * channel, weighed together (a forward and a backward pass, as for a hidden Markov model).
 */
export function readTokens(all: readonly string[]): LegendPosterior {
  const tokens = all.slice(0, MOST_TOKENS);
  if (tokens.length === 0) return { readings: [], danger: 0, nothing: 1, unread: [] };
  const segments = segmentsOf(tokens);
  const empty = tokens.map((token) => Math.max(unknownChance(token), saysNothing(token)));
  const forward = pass(tokens.length, segments, empty, () => true);
  const backward = passBack(tokens.length, segments, empty);
  // Naming nothing at all costs as much as naming one circuit.
  const blank = empty.reduce((product, chance) => product * chance, 1);
  const total = (forward[tokens.length] ?? 0) - blank * (1 - ANOTHER);
  const isSafe = (entry: LexiconEntry): boolean => entry.safety !== 'block';
  const safe =
    (pass(tokens.length, segments, empty, isSafe)[tokens.length] ?? 0) - blank * (1 - ANOTHER);
  const byEntry: Scores = new Map();
  for (const { from, to, scores } of segments)
    for (const [entry, score] of scores) {
      const share = ((forward[from] ?? 0) * ANOTHER * score * (backward[to] ?? 0)) / total;
      byEntry.set(entry, (byEntry.get(entry) ?? 0) + share);
    }
  return {
    readings: [...byEntry]
      .map(([entry, probability]) => ({ entry, probability: Math.min(1, probability) }))
      .sort((left, right) => right.probability - left.probability),
    danger: Math.max(0, 1 - safe / total),
    nothing: (blank * ANOTHER) / total,
    unread: tokens.filter(
      (token, at) =>
        token.length >= NAMES &&
        saysNothing(token) === 0 &&
        !saysKind(token) &&
        !isRead(at, segments, empty[at] ?? 0),
    ),
  };
}

/** Whether a token, or a phrase that it is a part of, is anything known more likely than nothing known. */
function isRead(at: number, segments: readonly Segment[], nothing: number): boolean {
  return segments.some(
    ({ from, to, scores }) =>
      from <= at && at < to && [...scores.values()].some((score) => score > nothing),
  );
}

interface Segment {
  readonly from: number;
  readonly to: number;
  readonly scores: Scores;
}

function pass(
  length: number,
  segments: readonly Segment[],
  empty: readonly number[],
  counts: (entry: LexiconEntry) => boolean,
): number[] {
  const sums = [1, ...empty.map(() => 0)];
  for (let to = 1; to <= length; to += 1) {
    let sum = (sums[to - 1] ?? 0) * (empty[to - 1] ?? 0);
    for (const segment of segments)
      if (segment.to === to)
        for (const [entry, score] of segment.scores)
          if (counts(entry)) sum += (sums[segment.from] ?? 0) * ANOTHER * score;
    sums[to] = sum;
  }
  return sums;
}

function passBack(
  length: number,
  segments: readonly Segment[],
  empty: readonly number[],
): number[] {
  const sums = [...empty.map(() => 0), 1];
  for (let from = length - 1; from >= 0; from -= 1) {
    let sum = (sums[from + 1] ?? 0) * (empty[from] ?? 0);
    for (const segment of segments)
      if (segment.from === from)
        for (const score of segment.scores.values())
          sum += (sums[segment.to] ?? 0) * ANOTHER * score;
    sums[from] = sum;
  }
  return sums;
}

/** Every stretch of tokens that names something, with the best score of each circuit. */
function segmentsOf(tokens: readonly string[]): Segment[] {
  const candidates = tokens.map(candidatesOf);
  return tokens.flatMap((token, from) => {
    const byEnd = new Map<number, Scores>();
    const note = (to: number, entry: LexiconEntry, score: number): void => {
      const scores = byEnd.get(to) ?? new Map<LexiconEntry, number>();
      byEnd.set(to, scores.set(entry, Math.max(scores.get(entry) ?? 0, score)));
    };
    for (const { length, entry } of knownAt(tokens, from))
      note(from + length, entry, KNOWN * KNOWN_TOGETHER ** (length - 1));
    for (const [word, probability] of candidates[from] ?? []) {
      // A lone letter is no word.
      if (token.length > 1)
        for (const entry of phraseBook().alone.get(word) ?? [])
          if (probability >= CHANCE || token.length < SOME_LETTERS || entry.safety === 'block')
            note(from + 1, entry, probability);
      if (from + 1 === tokens.length) continue;
      for (const phrase of phraseBook().byFirst.get(word) ?? []) {
        const score = probability * TOGETHER * restOf(phrase, candidates, from);
        if (score > 0) note(from + phrase.words.length, phrase.entry, score);
      }
    }
    for (const phrase of phraseBook().byInitials.get(token) ?? [])
      note(from + 1, phrase.entry, INITIALS[Math.min(token.length, INITIALS.length - 1)] ?? 0);
    for (const { to, entry } of initialsApart(tokens, from)) note(to, entry, APART);
    if (isOpaque(candidates[from]))
      for (const [entry, score] of runTogether(token)) note(from + 1, entry, score);
    return [...byEnd].map(([to, scores]) => ({ from, to, scores }));
  });
}

/** The words of a phrase after its first over the tokens after one; 0 when one of them is not there. */
function restOf(
  phrase: Phrase,
  candidates: readonly ReadonlyMap<number, number>[],
  from: number,
): number {
  let score = 1;
  for (let at = 1; at < phrase.words.length && score > 0; at += 1)
    score *= candidates[from + at]?.get(phrase.words[at] as number) ?? 0;
  return score;
}

let lone: ReadonlyMap<string, ReadonlyMap<number, number>> | undefined;

/** What a lone letter may begin, worked out once: it is everything with that letter. */
function loneLetters(): ReadonlyMap<string, ReadonlyMap<number, number>> {
  return (lone ??= new Map(
    [...phraseBook().byLetter].map(([letter, numbers]) => [
      letter,
      new Map(numbers.map((number) => [number, tokenGiven(letter, wordAt(number))])),
    ]),
  ));
}

function wordAt(number: number): PrintedWord {
  const word = phraseBook().words[number];
  if (word === undefined) throw new RangeError(`There is no word ${number}`);
  return word;
}

/** Words of the trade that a token may be, by number. */
function candidatesOf(token: string): ReadonlyMap<number, number> {
  const letter = loneLetters().get(token);
  if (letter !== undefined) return letter;
  const found = new Map<number, number>();
  if (isNumber(token)) return found;
  const looked = [...(phraseBook().byLetter.get(token.charAt(0)) ?? []), ...insideOf(token)];
  const isWord = looked.some((number) => wordAt(number).text === token);
  for (const number of looked) {
    const word = wordAt(number);
    // A compound that is known as it stands is no chance find of the words within it.
    if (isWord && isWithin(word.text, token)) continue;
    const probability = tokenGiven(token, word);
    if (probability > 0) found.set(number, probability);
  }
  return found;
}

/** Whether a word is a part of a longer one, and not what that is the plural of. */
function isWithin(text: string, token: string): boolean {
  return token.length > text.length + 2 && token.includes(text);
}

/** Words that may stand inside a longer token. */
function insideOf(token: string): number[] {
  const found: number[] = [];
  for (let at = 1; at + LONG <= token.length; at += 1)
    found.push(...(phraseBook().byBeginning.get(token.slice(at, at + LONG)) ?? []));
  return found;
}

/** Whether a token is like no single word: only then is it cut in two. */
function isOpaque(candidates: ReadonlyMap<number, number> | undefined): boolean {
  return [...(candidates?.values() ?? [])].every((probability) => probability < CLEAR);
}

/** Two words of a phrase printed as one, e.g. `FUELPMP`; or a word and one that says nothing. */
function runTogether(token: string): Scores {
  const scores: Scores = new Map();
  if (token.length < 4) return scores;
  for (let cut = 2; cut <= token.length - 2; cut += 1) {
    const left = candidatesOf(token.slice(0, cut));
    const right = candidatesOf(token.slice(cut));
    for (const [word, probability] of left) {
      if (probability < PART) continue;
      for (const { words, entry } of phraseBook().byFirst.get(word) ?? []) {
        const second = words.length === 2 ? (right.get(words[1] as number) ?? 0) : 0;
        if (second < PART) continue;
        const score = RUN_TOGETHER * probability * second * TOGETHER;
        scores.set(entry, Math.max(scores.get(entry) ?? 0, score));
      }
    }
  }
  for (const head of beforeNothing(token))
    for (const [word, probability] of candidatesOf(head))
      if (probability >= STEM)
        for (const entry of phraseBook().alone.get(word) ?? [])
          scores.set(entry, Math.max(scores.get(entry) ?? 0, RUN_TOGETHER * probability));
  return scores;
}

/** Phrases whose initials stand apart from a token on, e.g. `W/P`. */
function initialsApart(
  tokens: readonly string[],
  from: number,
): { readonly to: number; readonly entry: LexiconEntry }[] {
  let letters = '';
  const found: { to: number; entry: LexiconEntry }[] = [];
  for (let to = from; tokens[to]?.length === 1 && !isNumber(tokens[to] ?? ''); to += 1) {
    letters += tokens[to] ?? '';
    for (const { entry } of phraseBook().byInitials.get(letters) ?? [])
      found.push({ to: to + 1, entry });
  }
  return found;
}

interface Known {
  readonly words: readonly string[];
  readonly entry: LexiconEntry;
}

/** Abbreviations known as they stand, by their first word. */
const KNOWN_TERMS: ReadonlyMap<string, readonly Known[]> = knownTerms();

function knownTerms(): Map<string, Known[]> {
  const index = new Map<string, Known[]>();
  for (const entry of LEXICON)
    for (const term of entry.terms) {
      const words = term.match(/[A-Z]+|[0-9]+/g) ?? [];
      const first = words[0] ?? '';
      index.set(first, [...(index.get(first) ?? []), { words, entry }]);
    }
  return index;
}

function knownAt(
  tokens: readonly string[],
  from: number,
): { readonly length: number; readonly entry: LexiconEntry }[] {
  const terms = KNOWN_TERMS.get(tokens[from] ?? '') ?? [];
  return (
    terms
      .filter(({ words }) => words.every((word, offset) => tokens[from + offset] === word))
      // A bare number is a terminal only where the whole legend is that number.
      .filter(({ words }) => !words.every(isNumber) || tokens.length === words.length)
      .map(({ words, entry }) => ({ length: words.length, entry }))
  );
}

function unknownChance(token: string): number {
  return UNKNOWN[Math.min(token.length, UNKNOWN.length - 1)] ?? 0;
}
