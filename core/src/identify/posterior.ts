import type { CircuitFunction, VehicleState } from '../vehicle';
import { CIRCUIT_FUNCTIONS, stateId } from '../vehicle';
import type { PerLevel } from './levels';
import { LEVELS, likelihoods } from './levels';
import type { Reading } from './reading';
import type { FunctionPrior, LabelReading } from './readLabel';
import { labelReader } from './readLabel';
import type { Hypothesis } from './signatures';
import { HYPOTHESES, LEVEL_ROWS, UNKNOWN_LEVELS, levelRowOf } from './signatures';
import type { Belief } from './sourcePrior';

/** What the readings of one source in one state say about its level there. */
export interface StateEvidence {
  /** The state's id, see `stateId`. */
  readonly id: string;
  readonly state: VehicleState;
  readonly readings: readonly Reading[];
  /** Relative likelihood of each level; the largest is 1. */
  readonly levels: PerLevel;
}

/** How probable each function of a source is, given everything known. */
export interface Posterior {
  /** By function; sums to 1. */
  readonly functions: FunctionPrior;
  /** By entry of `HYPOTHESES`, in its order; together with `functions.none` sums to 1. */
  readonly hypotheses: readonly number[];
  /** The same from the readings alone, all hypotheses alike beforehand; the last entry is "none of these". */
  readonly byReadings: readonly number[];
  /** Chance that the circuit is safety-critical although nothing printed says so. */
  readonly critical: number;
  /** The same by entry of `HYPOTHESES`; sums to `critical`. */
  readonly criticalBy: readonly number[];
  readonly evidence: readonly StateEvidence[];
}

/** What is worked out once per session, not once per source. */
export interface Workings {
  /** Ids of states, by the very object. */
  readonly ids: Map<VehicleState, string>;
  /** Beliefs before the first reading, by what the legend says. */
  readonly beliefs: Map<LabelReading, Belief>;
  /** Reads legends, each once. */
  readonly read: (legend: string | undefined) => LabelReading;
}

/** What the hypotheses expect in one state. */
interface StateTable {
  /** Entry of `LEVEL_ROWS` by hypothesis. */
  readonly rowOf: Uint8Array;
  /** The entries that occur: of those that fuse slots can have, and of all. */
  readonly slotRows: Uint8Array;
  readonly rows: Uint8Array;
}

/** Empty workings for one session. */
export function newWorkings(): Workings {
  return { ids: new Map(), beliefs: new Map(), read: labelReader() };
}

const WIDTH = LEVELS.length;

/** "None of these" against one hypothesis, when nothing but readings counts. */
const NONE_SHARE = 0.25;

/**
 * How probable each function is after the readings of one source (Bayes' rule).
 *
 * Readings in one state share one unknown level, so that contradicting readings are explained by a slip and not by a
 * level in between, and their order does not matter. Readings at a contact of an empty slot are left out: one of
 * the two contacts is dead by design, whatever the function.
 */
export function posterior(
  prior: Belief,
  readings: readonly Reading[],
  workings: Workings = newWorkings(),
): Posterior {
  const evidence = gatherEvidence(readings, workings);
  const possible = possibleFor(prior);
  const fit = new Float64Array(COUNT).fill(1);
  const agreements = new Float64Array(ROW_COUNT);
  let noneFit = 1;
  for (const one of evidence) {
    const { rowOf, rows, slotRows } = tableFor(one);
    // Many hypotheses expect the same: what a row makes of the readings is worked out once.
    agree(one.levels, possible === ON_SLOTS ? slotRows : rows, agreements);
    for (let at = 0; at < possible.length; at += 1) {
      const index = possible[at] as number;
      fit[index] = (fit[index] as number) * (agreements[rowOf[index] as number] as number);
    }
    noneFit *= agreement(UNKNOWN_LEVELS, one.levels);
  }
  return weigh(prior, { possible, fit, noneFit, evidence });
}

const COUNT = HYPOTHESES.length;
const ROW_COUNT = LEVEL_ROWS.length;
/** The rows one after the other: this is the innermost loop of the identification. */
const FLAT_ROWS = Float64Array.from(LEVEL_ROWS.flat());
const INDICES = HYPOTHESES.map((_, index) => index);

const ON_SLOTS = INDICES.filter((index) => HYPOTHESES[index]?.onSlots === true);

/** Functions that no fuse slot has. */
const WIRE_ONLY = CIRCUIT_FUNCTIONS.filter((name) =>
  HYPOTHESES.some((hypothesis) => hypothesis.function === name && !hypothesis.onSlots),
);

/** Fuse slots never have what only wires have; wires may have anything. */
function possibleFor(prior: Belief): readonly number[] {
  if (WIRE_ONLY.every((name) => prior.functions[name] === 0)) return ON_SLOTS;
  return INDICES.filter((index) => {
    const hypothesis = HYPOTHESES[index];
    return (
      hypothesis !== undefined && (hypothesis.onSlots || prior.functions[hypothesis.function] > 0)
    );
  });
}

function weigh(
  prior: Belief,
  seen: {
    readonly possible: readonly number[];
    readonly fit: Float64Array;
    readonly noneFit: number;
    readonly evidence: readonly StateEvidence[];
  },
): Posterior {
  const hypotheses = new Array<number>(COUNT).fill(0);
  const byReadings = new Array<number>(COUNT + 1).fill(0);
  const criticalBy = new Array<number>(COUNT).fill(0);
  const functions: Record<CircuitFunction, number> = { ...NO_WEIGHT };
  const none = prior.functions.none * seen.noneFit;
  const noneByReadings = NONE_SHARE * seen.noneFit;
  let total = none;
  let totalByReadings = noneByReadings;
  for (const index of seen.possible) {
    const hypothesis = HYPOTHESES[index] as Hypothesis;
    const fit = hypothesis.share * (seen.fit[index] ?? 0);
    hypotheses[index] = prior.functions[hypothesis.function] * fit;
    criticalBy[index] = prior.critical[hypothesis.function] * fit;
    byReadings[index] = fit;
    total += hypotheses[index] ?? 0;
    totalByReadings += fit;
  }
  byReadings[COUNT] = noneByReadings / totalByReadings;
  let critical = 0;
  for (const index of seen.possible) {
    const hypothesis = HYPOTHESES[index] as Hypothesis;
    hypotheses[index] = (hypotheses[index] ?? 0) / total;
    criticalBy[index] = (criticalBy[index] ?? 0) / total;
    byReadings[index] = (byReadings[index] ?? 0) / totalByReadings;
    functions[hypothesis.function] += hypotheses[index] ?? 0;
    critical += criticalBy[index] ?? 0;
  }
  functions.none = none / total;
  return { functions, hypotheses, byReadings, critical, criticalBy, evidence: seen.evidence };
}

const NO_WEIGHT = Object.fromEntries(CIRCUIT_FUNCTIONS.map((name) => [name, 0])) as Record<
  CircuitFunction,
  number
>;

/** By state id; the hypotheses are the same in every session. */
const TABLES = new Map<string, StateTable>();

function tableFor(one: StateEvidence): StateTable {
  const known = TABLES.get(one.id);
  if (known !== undefined) return known;
  const rowOf = Uint8Array.from(HYPOTHESES, (hypothesis) => levelRowOf(hypothesis, one.state));
  const table = {
    rowOf,
    slotRows: new Uint8Array(new Set(ON_SLOTS.map((index) => rowOf[index] as number))),
    rows: new Uint8Array(new Set(rowOf)),
  };
  TABLES.set(one.id, table);
  return table;
}

/** Readings with the fuse in, grouped by state. */
export function gatherEvidence(
  readings: readonly Reading[],
  workings: Workings = newWorkings(),
): StateEvidence[] {
  const groups = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (reading.contact !== undefined || saysNothingOfLevel(reading)) continue;
    const id = idOf(reading.state, workings);
    const group = groups.get(id);
    if (group === undefined) groups.set(id, [reading]);
    else group.push(reading);
  }
  return [...groups].map(([id, group]) => {
    const first = group[0] as Reading;
    return { id, state: first.state, readings: group, levels: combined(group) };
  });
}

function idOf(state: VehicleState, workings: Workings): string {
  const known = workings.ids.get(state);
  if (known !== undefined) return known;
  const id = stateId(state);
  workings.ids.set(state, id);
  return id;
}

/** A pop, or ohms between two wires, tells of pairs and not of a level. */
function saysNothingOfLevel(reading: Reading): boolean {
  return reading.value.kind === 'pop' || reading.otherId !== undefined;
}

/** Product of the readings' likelihoods per level, scaled so that the largest is 1 and nothing underflows. */
function combined(readings: readonly Reading[]): PerLevel {
  const first = readings[0];
  if (readings.length === 1 && first !== undefined) return scaledOnce(first);
  const logs = LEVELS.map(() => 0);
  for (const reading of readings)
    likelihoods(reading).forEach(
      (likelihood, index) => (logs[index] = (logs[index] ?? 0) + Math.log(likelihood)),
    );
  const top = Math.max(...logs);
  return logs.map((log) => Math.exp(log - top));
}

/** So many different voltages are kept; a session shows the same few again and again. */
const KEPT_VOLTS = 4096;
const VOLTS_KEPT = new Map<string, Map<number, PerLevel>>();

/** A reading's scaled likelihoods; those of a voltage are kept, as the same digits come back in every session. */
function scaledOnce(reading: Reading): PerLevel {
  const { value, state, clip } = reading;
  if (value.kind !== 'volts') return scaled(likelihoods(reading));
  const under = clip === 'constant' ? `${state.key} from the constant` : state.key;
  let kept = VOLTS_KEPT.get(under);
  if (kept === undefined || kept.size >= KEPT_VOLTS) VOLTS_KEPT.set(under, (kept = new Map()));
  const known = kept.get(value.volts) ?? scaled(likelihoods(reading));
  kept.set(value.volts, known);
  return known;
}

function scaled(levels: PerLevel): PerLevel {
  const top = Math.max(...levels);
  return levels.map((level) => level / top);
}

/** How well the given rows agree with what was seen, written into `into`. */
function agree(seen: PerLevel, rows: Uint8Array, into: Float64Array): void {
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at] as number;
    let sum = 0;
    for (let level = 0; level < WIDTH; level += 1)
      sum += (FLAT_ROWS[row * WIDTH + level] as number) * (seen[level] as number);
    into[row] = sum;
  }
}

/** How well expected levels agree with what was seen. */
function agreement(expected: PerLevel, seen: PerLevel): number {
  let sum = 0;
  for (let index = 0; index < WIDTH; index += 1) sum += (expected[index] ?? 0) * (seen[index] ?? 0);
  return sum;
}
