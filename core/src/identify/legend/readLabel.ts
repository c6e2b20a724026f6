import type { CircuitFunction } from '../../vehicle';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import type { LegendPosterior, LegendReading } from './reader';
import { readTokens } from './reader';
import { tokensOf } from './tokens';
import type { FunctionWeights, LexiconEntry, SafetyClass } from './lexicon';

/** Probability of every function; sums to 1. */
export type FunctionPrior = Readonly<Record<CircuitFunction, number>>;

/** What a printed legend says before anything was measured. */
export interface LabelReading {
  /** Circuits that it may name, most dangerous first. */
  readonly entries: readonly LexiconEntry[];
  /** How safe the print says it is. */
  readonly safety: SafetyClass;
  /** Probability that it names something that must not be touched, 0 to 1. */
  readonly danger: number;
  /** What it probably is, or why it cannot be told. */
  readonly meaning: string;
  /** Why it is blocked or needs care; undefined when free. */
  readonly reason: string | undefined;
  /** Functions to expect behind it, before any reading. */
  readonly prior: FunctionPrior;
  /** Whether the handbook says so, and not the print alone. */
  readonly lookedUp: boolean;
}

/** What is written of a source: on the car, and in the handbook. */
export interface Written {
  /** As printed; undefined when nothing is. */
  readonly legend: string | undefined;
  /** As looked up; null when the handbook lists nothing. */
  readonly handbook?: string | null | undefined;
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
/** A handbook is of the model, seldom of another revision. */
const HANDBOOK_TRUST = 0.96;
/** A legend that names danger this surely stays blocked, whatever somebody typed from a handbook. */
const NAMED_DANGER = 0.6;
/** From this chance of danger on a legend is blocked, whatever harmless words stand in it. */
const BLOCKED = 0.3;
/** From this chance on it is not harmless either: the handbook has to say which of its readings it is. */
const DOUBTFUL = 0.06;
/** A legend whose words more probably name nothing is not read. */
const NOTHING = 0.5;
/** From this chance on a reading that wants care decides. */
const CAREFUL = 0.3;
/** Readings below this are not worth showing. */
const TRACE = 0.1;

const SEVERITY: Record<SafetyClass, number> = { block: 3, caution: 2, unknown: 1, free: 0 };

/**
 * What a legend suggests: a prior over functions and a safety class. A legend is a prior, never a finding; a label
 * that is not understood is `unknown`, not harmless. Danger outweighs: a word that may well be dangerous blocks the
 * whole legend.
 *
 * @example readLabel('P/OUTLET').safety // 'free'
 * @example readLabel('A/BAG').safety // 'block'
 */
export function readLabel(legend: string | undefined): LabelReading {
  const tokens = tokensOf(legend);
  if (tokens.length === 0)
    return unknown('No legend that can be read: ask for the handbook’s entry before using it.', 0);
  const posterior = readTokens(tokens);
  const likely = posterior.readings.filter(({ probability }) => probability >= TRACE);
  const { danger } = posterior;
  if (danger < BLOCKED && (posterior.nothing > NOTHING || likely.length === 0))
    return unknown(`“${legend ?? ''}” can’t be read: unknown, not harmless.`, danger);
  if (danger < BLOCKED && danger >= DOUBTFUL)
    return unknown(
      `“${legend ?? ''}” ${couldBe(posterior)}: ask for the handbook’s entry.`,
      danger,
    );
  const entries = likely
    .filter(({ entry }) => danger < BLOCKED || entry.safety === 'block')
    .map(({ entry }) => entry)
    .sort((left, right) => SEVERITY[right.safety] - SEVERITY[left.safety]);
  const unread = [...posterior.unread, ...lettersOfOthers(legend ?? '')];
  return read(entries.length > 0 ? entries : worstOf(posterior), { ...posterior, unread });
}

function read(entries: readonly LexiconEntry[], posterior: LegendPosterior): LabelReading {
  const { danger, readings } = posterior;
  const decisive =
    danger >= BLOCKED
      ? entries.find((entry) => entry.safety === 'block')
      : readings.find(
          ({ entry, probability }) => entry.safety === 'caution' && probability >= CAREFUL,
        )?.entry;
  const reason = decisive?.reason ?? whatElse(posterior.unread);
  return {
    entries,
    safety: danger >= BLOCKED ? 'block' : reason === undefined ? 'free' : 'caution',
    danger,
    meaning: [...new Set(entries.map((entry) => entry.meaning))].join('; '),
    reason,
    prior: blend(readings.filter(({ entry }) => entries.includes(entry))),
    lookedUp: false,
  };
}

/** Words in letters that no language known here is printed with. */
function lettersOfOthers(legend: string): readonly string[] {
  return legend.match(/[^\p{Script=Latin}\P{L}]+/gu) ?? [];
}

/** A word that can't be read may name a second circuit behind the same fuse: a harmless one beside it does not answer for it. */
function whatElse(unread: readonly string[]): string | undefined {
  if (unread.length === 0) return undefined;
  return `“${unread.join('”, “')}” can’t be read: look up what else hangs on this fuse.`;
}

/**
 * What is written of a source suggests: the handbook's entry where it can be read, otherwise the legend. Danger
 * outweighs here too: a legend that plainly names it is not made harmless by an entry.
 */
export function readWritten(written: Written): LabelReading {
  const print = readLabel(written.legend);
  if (typeof written.handbook !== 'string') return print;
  const entry = readLabel(written.handbook);
  if (print.safety === 'block' && print.danger >= NAMED_DANGER && entry.safety !== 'block')
    return print;
  if (entry.safety === 'unknown')
    return entry.danger > print.danger && print.safety !== 'block'
      ? { ...entry, lookedUp: true }
      : print;
  return { ...entry, prior: trusted(entry.prior), lookedUp: true };
}

/** A prior by a legend as a handbook's entry deserves it. */
function trusted(prior: FunctionPrior): FunctionPrior {
  const share = (HANDBOOK_TRUST - LABEL_TRUST) / (1 - LABEL_TRUST);
  return mapFunctions((name) => {
    const named = (prior[name] - (1 - LABEL_TRUST) * UNLABELLED[name]) / LABEL_TRUST;
    return (1 - share) * prior[name] + share * named;
  });
}

/** Dangerous readings that are many and each rare: the likeliest of them. */
function worstOf({ readings }: LegendPosterior): LexiconEntry[] {
  return readings
    .filter(({ entry }) => entry.safety === 'block')
    .slice(0, 1)
    .map(({ entry }) => entry);
}

/** The readings that stay open, in words. */
function couldBe({ readings }: LegendPosterior): string {
  const safe = readings.find(({ entry }) => entry.safety !== 'block');
  const bad = readings.find(({ entry }) => entry.safety === 'block');
  return `could be ${[safe, bad].flatMap((one) => one?.entry.meaning ?? []).join(' or ')}`;
}

/** What was read before, by what is written. */
const READ = new Map<string, LabelReading>();
/** More than all the panels of a shop's models say. */
const MOST_READ = 5000;

/** Reads what is written once; for sessions that ask again and again. */
export function readOnce({ legend, handbook }: Written): LabelReading {
  const key = JSON.stringify([legend, handbook ?? null]);
  const known = READ.get(key);
  if (known !== undefined) return known;
  if (READ.size >= MOST_READ) READ.clear();
  const made = readWritten({ legend, handbook });
  READ.set(key, made);
  return made;
}

function unknown(reason: string, danger: number): LabelReading {
  return {
    entries: [],
    safety: 'unknown',
    danger,
    meaning: 'not known',
    reason,
    prior: UNLABELLED,
    lookedUp: false,
  };
}

function blend(readings: readonly LegendReading[]): FunctionPrior {
  const sum: FunctionWeights = {};
  for (const { entry, probability } of readings)
    for (const name of CIRCUIT_FUNCTIONS)
      sum[name] = (sum[name] ?? 0) + probability * (entry.weights[name] ?? 0);
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
