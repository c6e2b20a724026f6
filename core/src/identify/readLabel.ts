import type { CircuitFunction } from '../vehicle';
import { CIRCUIT_FUNCTIONS } from '../vehicle';
import type { FunctionWeights, LexiconEntry, SafetyClass } from './lexicon';
import { LEXICON } from './lexicon';

/** Probability of every function; sums to 1. */
export type FunctionPrior = Readonly<Record<CircuitFunction, number>>;

/** What a printed legend says before anything was measured. */
export interface LabelReading {
  /** Entries recognised, most dangerous first. */
  readonly entries: readonly LexiconEntry[];
  readonly safety: SafetyClass;
  /** What it probably is, or why it cannot be told. */
  readonly meaning: string;
  /** Why it is blocked or needs care; undefined when free. */
  readonly reason: string | undefined;
  readonly prior: FunctionPrior;
}

/** What panels hold when the label says nothing: common practice, most circuits are ignition or constant. */
const UNLABELLED: FunctionPrior = normalise({
  constant: 3,
  timedConstant: 1,
  accessory: 1.6,
  retainedAccessory: 0.7,
  ignitionRun: 2,
  ignitionRunCrank: 2,
  starter: 0.3,
  lamps: 1,
  lowBeam: 0.2,
  stopLamp: 0.1,
  reverse: 0.3,
  spare: 1,
  none: 0.4,
});
/** How much of the prior a recognised label sets; legends are wrong or from another revision now and then. */
const LABEL_TRUST = 0.87;

const SEVERITY: Record<SafetyClass, number> = { block: 3, caution: 2, unknown: 1, free: 0 };

interface Term {
  readonly words: readonly string[];
  readonly entry: LexiconEntry;
}

/** Terms by their first word, longest first, so that a legend looks up only what can match. */
const TERMS_BY_WORD: ReadonlyMap<string, readonly Term[]> = indexTerms();

function indexTerms(): Map<string, Term[]> {
  const index = new Map<string, Term[]>();
  for (const entry of LEXICON)
    for (const text of entry.terms) {
      const words = wordsOf(text);
      const first = words[0] ?? '';
      index.set(first, [...(index.get(first) ?? []), { words, entry }]);
    }
  for (const terms of index.values())
    terms.sort((left, right) => right.words.length - left.words.length);
  return index;
}

/**
 * What a legend suggests: a prior over functions and a safety class. A legend is a prior, never a finding; a label
 * that is not understood is `unknown`, not harmless.
 *
 * @example readLabel('P/OUTLET').safety // 'free'
 * @example readLabel('A/BAG').safety // 'block'
 */
export function readLabel(legend: string | undefined): LabelReading {
  const words = wordsOf(legend);
  if (words.length === 0)
    return unknown('No legend that can be read: ask for the handbook’s entry before using it.');
  const entries = matchEntries(words).sort(
    (left, right) => SEVERITY[right.safety] - SEVERITY[left.safety],
  );
  const worst = entries[0];
  if (worst === undefined)
    return unknown(`“${legend ?? ''}” is not in the lexicon: unknown, not harmless.`);
  return {
    entries,
    safety: worst.safety,
    meaning: entries.map((entry) => entry.meaning).join('; '),
    reason: worst.reason,
    prior: (entries.length === 1 ? PRIORS.get(worst) : undefined) ?? blend(entries),
  };
}

/** Reads each legend once; for sessions that ask again and again. */
export function labelReader(): (legend: string | undefined) => LabelReading {
  const known = new Map<string | undefined, LabelReading>();
  return (legend) => {
    const read = known.get(legend) ?? readLabel(legend);
    known.set(legend, read);
    return read;
  };
}

function unknown(reason: string): LabelReading {
  return { entries: [], safety: 'unknown', meaning: 'not known', reason, prior: UNLABELLED };
}

/** Upper-case words without accents or punctuation, letters and digits apart: `Kl30-b` is `KL`, `30`, `B`. */
function wordsOf(legend: string | undefined): string[] {
  const plain = (legend ?? '').normalize('NFD').replace(/[\u0300-\u036f]/g, '');
  return plain.toUpperCase().match(/[A-Z]+|[0-9]+/g) ?? [];
}

/** Each word of the legend is spent once, on the longest term that starts there. */
function matchEntries(words: readonly string[]): LexiconEntry[] {
  const found: LexiconEntry[] = [];
  for (let at = 0; at < words.length;) {
    const term = longestAt(words, at);
    const entries = term === undefined ? compoundEntries(words[at] ?? '') : [term.entry];
    found.push(...entries.filter((entry) => !found.includes(entry)));
    at += term?.words.length ?? 1;
  }
  return found;
}

/** Terms from so many letters are also known as the beginning of a longer word, plurals and compounds. */
const STEM_LETTERS = 5;
/** Dangerous ones from so many letters anywhere in it: a compound says what it is about at its end. */
const INNER_LETTERS = 6;

const STEMS: readonly { readonly stem: string; readonly entry: LexiconEntry }[] = LEXICON.flatMap(
  (entry) =>
    entry.terms
      .filter((term) => term.length >= STEM_LETTERS && !term.includes(' '))
      .map((stem) => ({ stem, entry })),
);

/** What an unknown long word is made of, e.g. `BATTERIESENSOR`. */
function compoundEntries(word: string): LexiconEntry[] {
  if (word.length <= STEM_LETTERS) return [];
  return STEMS.filter(({ stem, entry }) =>
    entry.safety === 'block' && stem.length >= INNER_LETTERS
      ? word.includes(stem)
      : word.startsWith(stem),
  ).map(({ entry }) => entry);
}

function longestAt(words: readonly string[], at: number): Term | undefined {
  return TERMS_BY_WORD.get(words[at] ?? '')?.find((term) =>
    term.words.every((part, offset) => words[at + offset] === part),
  );
}

/** What each entry alone suggests, worked out once: most legends match one. */
const PRIORS: ReadonlyMap<LexiconEntry, FunctionPrior> = new Map(
  LEXICON.map((entry) => [entry, blend([entry])]),
);

function blend(entries: readonly LexiconEntry[]): FunctionPrior {
  const sum: FunctionWeights = {};
  for (const { weights } of entries)
    for (const name of CIRCUIT_FUNCTIONS) sum[name] = (sum[name] ?? 0) + (weights[name] ?? 0);
  return believedOf(sum);
}

/** What weights over functions suggest, as far as a label is trusted. */
export function believedOf(weights: FunctionWeights): FunctionPrior {
  const label = normalise(weights);
  return mapFunctions((name) => LABEL_TRUST * label[name] + (1 - LABEL_TRUST) * UNLABELLED[name]);
}

function normalise(weights: FunctionWeights): FunctionPrior {
  const total = CIRCUIT_FUNCTIONS.reduce((sum, name) => sum + (weights[name] ?? 0), 0);
  return mapFunctions((name) => (weights[name] ?? 0) / total);
}

function mapFunctions(of: (name: CircuitFunction) => number): FunctionPrior {
  const made: Partial<Record<CircuitFunction, number>> = {};
  for (const name of CIRCUIT_FUNCTIONS) made[name] = of(name);
  return made as FunctionPrior;
}
