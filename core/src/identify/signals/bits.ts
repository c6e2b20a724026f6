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
  const seen = seenAt(given, shows);
  const joint = new Float64Array(kinds.count * KINDS);
  // What does not serve is what is left of the whole: few of those that are open do.
  joint.set(seen.chances);
  for (const { index, way, weight } of openIn(given)) {
    const good = weight * (serving[index] ?? 0);
    const inThisWay = shows[way];
    if (good === 0 || inThisWay === undefined) continue;
    const row = (kinds.of[index] ?? 0) * KINDS;
    const from = index * KINDS;
    for (let kind = 0; kind < KINDS; kind += 1) {
      // Every place is there: a check for each would cost more than the sum.
      const chance = good * (inThisWay[from + kind] as number);
      (joint[row + kind] as number) += chance;
      (joint[kind] as number) -= chance;
    }
  }
  let bits = seen.entropy;
  for (let row = 0; row < kinds.count; row += 1) {
    let whole = 0;
    for (let kind = 0; kind < KINDS; kind += 1) {
      const cell = joint[row * KINDS + kind] as number;
      whole += cell;
      bits -= entropyOf(cell);
    }
    bits += entropyOf(whole);
  }
  return Math.max(0, Math.round(bits / STEP) * STEP);
}

/** Wires that tell as much must not come in an order that rounding gives them, bits. */
const STEP = 2 ** -40;

/** What a look shows at a wire, whatever is asked: the chance of each kind, and the sum of −p·log₂ p over them. */
interface Showing {
  readonly chances: Float64Array;
  readonly entropy: number;
}

const SHOWING = new WeakMap<Posterior, WeakMap<Shows, Showing>>();

function seenAt(given: Posterior, shows: Shows): Showing {
  const byLook = SHOWING.get(given) ?? new WeakMap<Shows, Showing>();
  SHOWING.set(given, byLook);
  const known = byLook.get(shows);
  if (known !== undefined) return known;
  const chances = new Float64Array(KINDS);
  for (const { index, way, weight } of openIn(given))
    for (let kind = 0; kind < KINDS; kind += 1)
      (chances[kind] as number) += weight * (shows[way]?.[index * KINDS + kind] ?? 0);
  const entropy = chances.reduce((sum, chance) => sum + entropyOf(chance), 0);
  const seen = { chances, entropy };
  byLook.set(shows, seen);
  return seen;
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
