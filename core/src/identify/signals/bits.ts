import {
  HYPOTHESES,
  LEVEL_ROWS,
  ROW_WHEN,
  UNFED,
  UNKNOWN_LEVELS,
  levelRowOf,
} from '../circuit/hypotheses';
import type { PerLevel } from '../circuit/levels';
import { LEVELS } from '../circuit/levels';
import type { Seen } from '../circuit/seenBy';
import { LAMP_SEES, METER_SEES, OHMMETER_SEES } from '../circuit/seenBy';
import type { Posterior } from '../belief/posterior';
import type { StateEvidence } from '../belief/stateEvidence';
import type { Look } from './looks';

/** Counted down from the constant, ground stands at battery voltage and an open wire at nothing. */
const FROM_CONSTANT: Seen = { ...METER_SEES, open: 0, quiet: 0 };
/** How many kinds of showing an instrument tells apart. */
export const KINDS = 7;

function seenBy({ by, clip }: Look): Seen {
  if (by === 'ohmmeter') return OHMMETER_SEES;
  if (by === 'lamp') return LAMP_SEES;
  return clip === 'constant' ? FROM_CONSTANT : METER_SEES;
}

/**
 * What each hypothesis would show at a look, "none of these" last: chance of each kind, one row after the other, once for each
 * way in which a circuit that is not fed may lie.
 */
export type Shows = readonly Float64Array[];

/** What would be shown where nothing was read in that state yet. */
export function showsAt(look: Look): Shows {
  return showing(look, undefined, (index) =>
    levelRowOf(HYPOTHESES[index] as (typeof HYPOTHESES)[number], look.state),
  );
}

/** The same where another instrument has looked in that state already. */
export function showsAfter(look: Look, evidence: StateEvidence): Shows {
  return showing(look, evidence.levels, (index) => evidence.rowOf[index] ?? 0);
}

function showing(look: Look, known: PerLevel | undefined, rowOf: (index: number) => number): Shows {
  const seen = seenBy(look);
  const byRow = LEVEL_ROWS.map((row) => kindsOf(row, seen, known));
  const none = kindsOf(UNKNOWN_LEVELS, seen, known);
  return UNFED.map((way) => {
    const shows = new Float64Array((HYPOTHESES.length + 1) * KINDS);
    HYPOTHESES.forEach((_, index) =>
      shows.set(byRow[ROW_WHEN[way][rowOf(index)] ?? 0] ?? [], index * KINDS),
    );
    shows.set(none, HYPOTHESES.length * KINDS);
    return shows;
  });
}

function kindsOf(row: PerLevel, seen: Seen, known: PerLevel | undefined): Float64Array {
  const kinds = new Float64Array(KINDS);
  let whole = 0;
  LEVELS.forEach((level, index) => {
    const weight = (row[index] ?? 0) * (known?.[index] ?? 1);
    kinds[seen[level]] = (kinds[seen[level]] ?? 0) + weight;
    whole += weight;
  });
  return whole > 0 ? kinds.map((kind) => kind / whole) : kinds;
}

/** What a wire may be to a need: by entry of `HYPOTHESES`, "none of these" last, 0 where it does not serve, else a kind of its own. */
export interface Kinds {
  readonly of: Uint8Array;
  /** How many there are, 0 included. */
  readonly count: number;
}

/**
 * Bits that a look gives about whether a wire serves and in which way (mutual information between that and what the
 * instrument shows).
 *
 * @param serving chance that each hypothesis serves, "none of these" last
 */
export function bitsFor(
  given: Posterior,
  need: { readonly serving: Float64Array; readonly kinds: Kinds },
  shows: Shows,
): number {
  const { kinds, serving } = need;
  const joint = new Float64Array(kinds.count * KINDS);
  for (const { index, way, weight } of openIn(given)) {
    const inThisWay = shows[way];
    if (inThisWay === undefined) continue;
    const good = weight * (serving[index] ?? 0);
    const row = (kinds.of[index] ?? 0) * KINDS;
    const from = index * KINDS;
    for (let kind = 0; kind < KINDS; kind += 1) {
      // Every place is there: a check for each would cost more than the sum.
      const chance = inThisWay[from + kind] as number;
      if (chance === 0) continue;
      (joint[row + kind] as number) += good * chance;
      (joint[kind] as number) += (weight - good) * chance;
    }
  }
  let bits = 0;
  for (let row = 0; row < kinds.count; row += 1)
    bits += entropyOf(sum(joint.subarray(row * KINDS, (row + 1) * KINDS)));
  for (let kind = 0; kind < KINDS; kind += 1) {
    let column = 0;
    for (let row = 0; row < kinds.count; row += 1) {
      const cell = joint[row * KINDS + kind] ?? 0;
      column += cell;
      bits -= entropyOf(cell);
    }
    bits += entropyOf(column);
  }
  return Math.max(0, bits);
}

/** A hypothesis that is still open, with the way in which its circuit lies where it is not fed. */
export interface OpenHypothesis {
  /** Place in the list of hypotheses, from 0. */
  readonly index: number;
  readonly way: number;
  /** Probability, above 0. */
  readonly weight: number;
}

const OPEN = new WeakMap<Posterior, readonly OpenHypothesis[]>();

/** What is not ruled out yet: a few readings leave a handful. Kept, since every look and need asks for it. */
export function openIn(given: Posterior): readonly OpenHypothesis[] {
  const known = OPEN.get(given);
  if (known !== undefined) return known;
  const open: OpenHypothesis[] = [];
  for (let index = 0; index <= HYPOTHESES.length; index += 1)
    for (let way = 0; way < UNFED.length; way += 1) {
      const weight = weightOf(given, index, way);
      if (weight >= TRACE) open.push({ index, way, weight });
    }
  OPEN.set(given, open);
  return open;
}

/** Weight of a hypothesis whose circuit lies in one way where it is not fed; "none of these" counts once. */
function weightOf(given: Posterior, index: number, way: number): number {
  if (index === HYPOTHESES.length) return way === 0 ? given.functions.none : 0;
  const share = given.unfed?.[way]?.[index] ?? (way === 0 ? 1 : 0);
  return (given.hypotheses[index] ?? 0) * share;
}

const TRACE = 1e-6;

/** −p·log₂ p. */
function entropyOf(chance: number): number {
  return chance > 0 ? -chance * Math.log2(chance) : 0;
}

function sum(values: Float64Array): number {
  return values.reduce((total, value) => total + value, 0);
}
