import type { Posterior } from '../belief/posterior';
import type { PreparedNeed } from '../need/needs';
import { sureOf } from '../need/needs';
import type { PlanInput } from '../plan/nextAction';
import type { Verdict } from '../verdict/verdict';
import type { OpenNeed } from './allotWires';
import { wantedPlaces } from './allotWires';
import { askedBy } from './askedBy';
import type { OpenHypothesis, Shows } from './bits';
import { KINDS, openIn } from './bits';
import { LOOKS } from './looks';
import { isPlainLook, mayBeRead, showsFor } from './worth';

/** A wire that will be sure of a need once it was seen wherever it must be. */
export interface Leader {
  readonly wire: Verdict;
  /** How sure it will be then, 0 to 1. */
  readonly chance: number;
}

/**
 * The wire of a need that nothing but the looks it must be seen at stands before: whatever else would be read at it, or at
 * the others for this need, costs time and decides nothing. Undefined where no wire leads so far.
 */
export function leaderOf(
  { wanted, wires }: OpenNeed,
  until: PlanInput['until'],
): Leader | undefined {
  const [wire] = wires;
  if (wire === undefined) return undefined;
  const kept = LEADING[until].get(wire) ?? new Map<string, Leader | undefined>();
  LEADING[until].set(wire, kept);
  const asked = askedBy(wanted);
  if (!kept.has(asked)) kept.set(asked, leading(wanted, wire, until));
  return kept.get(asked);
}

/** What was found out of a wire, by what was asked, as long as nothing more is read at it. */
const LEADING = {
  role: new WeakMap<Verdict, Map<string, Leader | undefined>>(),
  function: new WeakMap<Verdict, Map<string, Leader | undefined>>(),
};

function leading(
  wanted: PreparedNeed,
  wire: Verdict,
  until: PlanInput['until'],
): Leader | undefined {
  const places = wantedPlaces(wanted, wire, until);
  const coming = [...new Set(places)].flatMap((place) => {
    const look = LOOKS.find((one) => isPlainLook(one) && one.place === place);
    return look !== undefined && mayBeRead(look, wire) ? [showsFor(look, wire)] : [];
  });
  if (places.length === 0 || coming.length < new Set(places).size) return undefined;
  const sure = sureOf(wanted.need);
  const { posterior } = wire;
  const chance = chanceOnceSeen(wanted, posterior, { weights: posterior.hypotheses, coming });
  const byReadings = chanceOnceSeen(wanted, posterior, { weights: posterior.byReadings, coming });
  return chance >= sure.believed && byReadings >= sure.byReadings ? { wire, chance } : undefined;
}

interface Weighed extends OpenHypothesis {
  /** Chance that it serves. */
  readonly good: number;
}

/** Chance that a wire serves, once each look has shown what it most likely shows if it does. */
function chanceOnceSeen(
  wanted: PreparedNeed,
  posterior: Posterior,
  by: { readonly weights: readonly number[]; readonly coming: readonly Shows[] },
): number {
  const serving = wanted.serving(posterior);
  let open: Weighed[] = openIn(posterior).map(({ index, way, weight }) => ({
    ...{ index, way, good: serving[index] ?? 0 },
    weight: weight * shareOf(by.weights[index], posterior.hypotheses[index]),
  }));
  for (const shows of by.coming) {
    const kind = likeliestKind(open, shows);
    open = open.map((one) => ({ ...one, weight: one.weight * chanceOf(kind, one, shows) }));
  }
  const whole = open.reduce((sum, { weight }) => sum + weight, 0);
  const good = open.reduce((sum, one) => sum + one.weight * one.good, 0);
  return whole > 0 ? good / whole : 0;
}

/** What other weights give an entry against its own; "none of these" counts as it stands. */
function shareOf(other: number | undefined, own: number | undefined): number {
  return other === undefined || own === undefined || own === 0 ? 1 : other / own;
}

function likeliestKind(open: readonly Weighed[], shows: Shows): number {
  const kinds = Array.from({ length: KINDS }, (_, kind) =>
    open.reduce((sum, one) => sum + one.weight * one.good * chanceOf(kind, one, shows), 0),
  );
  return kinds.indexOf(Math.max(...kinds));
}

function chanceOf(kind: number, { index, way }: OpenHypothesis, shows: Shows): number {
  return shows[way]?.[index * KINDS + kind] ?? 0;
}
