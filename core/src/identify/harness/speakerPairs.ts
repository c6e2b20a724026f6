import type { Reading } from '../reading/reading';
import type { WireBelief } from './beliefs';
import { betweenOf, isBetween, isDisproved } from '../reading/between';
import { WIRE_ROLES } from './roles';
import type { HarnessWire } from './session';
import { isStriped, mateEvidence } from './wireColours';

/** Two leads of one speaker, as far as known. */
export interface SpeakerPair {
  /** Lead that moves the cone out with plus. */
  readonly plusId: string;
  /** The other one. */
  readonly minusId: string;
  /** Which speaker popped; undefined until one did. */
  readonly speaker: string | undefined;
  /** Polarity is proved by the cone, or only guessed from the stripe. */
  readonly proved: boolean;
}

/** Taped or twisted together: nearly always one speaker, or a data pair. */
const TAPED = 40;
/** Another car of the model had them as one speaker's. Our own choice. */
const LOGGED = 100;
const SPEAKER = WIRE_ROLES.indexOf('speaker');

/** Pairs that a pop has shown, with their polarity. */
export function poppedPairs(readings: readonly Reading[]): SpeakerPair[] {
  return readings.flatMap((reading): SpeakerPair[] => {
    const { value, sourceId, otherId } = reading;
    if (otherId === undefined || value.kind !== 'pop' || value.cone === 'none') return [];
    const [plusId, minusId] = value.cone === 'in' ? [otherId, sourceId] : [sourceId, otherId];
    return [{ plusId, minusId, speaker: value.speaker, proved: value.cone !== 'unseen' }];
  });
}

/** Pairs that a pop has shown, and those that only an ohmmeter did: of these the stripe is a guess at minus. */
export function shownPairs(
  readings: readonly Reading[],
  wires: readonly HarnessWire[],
): SpeakerPair[] {
  const popped = poppedPairs(readings);
  const taken = new Set(popped.flatMap((pair) => [pair.plusId, pair.minusId]));
  const colourOf = (id: string): string | undefined => wires.find((one) => one.id === id)?.colour;
  const measured: SpeakerPair[] = [];
  for (const { value, sourceId, otherId } of readings) {
    if (otherId === undefined || value.kind !== 'ohms') continue;
    if (betweenOf(value.ohm) !== 'coil' || isDisproved(readings, sourceId, otherId)) continue;
    if (taken.has(sourceId) || taken.has(otherId)) continue;
    for (const id of [sourceId, otherId]) taken.add(id);
    const [plusId, minusId] = isStriped(colourOf(sourceId))
      ? [otherId, sourceId]
      : [sourceId, otherId];
    measured.push({ plusId, minusId, speaker: undefined, proved: false });
  }
  return [...popped, ...measured];
}

/** A pair worth trying, and how likely it is one speaker. */
export interface PairCandidate {
  readonly plusId: string;
  readonly minusId: string;
  /** Probability that both are one speaker’s, 0 to 1. */
  readonly chance: number;
}

/**
 * Pairs still to be tried beside those found, likeliest first. Each wire's mate is one of the others: the chance of a pair is its weight
 * against all pairs that either of its wires could still make.
 */
export function pairCandidates(
  beliefs: readonly WireBelief[],
  readings: readonly Reading[],
  found: readonly SpeakerPair[],
): PairCandidate[] {
  const paired = new Set(found.flatMap((pair) => [pair.plusId, pair.minusId]));
  const open = beliefs.filter((one) => !paired.has(one.wire.id));
  const weights = new Map<string, number>();
  const sums = new Map<string, number>();
  for (const [at, left] of open.entries())
    for (const right of open.slice(at + 1)) {
      const weight = pairWeight(left, right, readings);
      weights.set(`${left.wire.id} ${right.wire.id}`, weight);
      for (const { wire } of [left, right]) sums.set(wire.id, (sums.get(wire.id) ?? 0) + weight);
    }
  const candidates: PairCandidate[] = [];
  for (const [at, left] of open.entries())
    for (const right of open.slice(at + 1)) {
      const weight = weights.get(`${left.wire.id} ${right.wire.id}`) ?? 0;
      if (weight <= 0) continue;
      const share = Math.max(
        weight / (ALONE + (sums.get(left.wire.id) ?? 0)),
        weight / (ALONE + (sums.get(right.wire.id) ?? 0)),
      );
      const chance = share * Math.min(left.together[SPEAKER] ?? 0, right.together[SPEAKER] ?? 0);
      const [plus, minus] = isTurned(left.wire, right.wire) ? [right, left] : [left, right];
      candidates.push({ plusId: plus.wire.id, minusId: minus.wire.id, chance });
    }
  return candidates.sort((left, right) => right.chance - left.chance);
}

/** Whether the battery's plus goes on the second wire: as the log has it, or the first has the stripe of a minus. */
function isTurned(left: HarnessWire, right: HarnessWire): boolean {
  return isLogged(left, right) ? left.lead?.end === 'minus' : isStriped(left.colour);
}

/** Whether the model's log has two wires as the leads of one speaker. */
function isLogged({ lead: one }: HarnessWire, { lead: other }: HarnessWire): boolean {
  return (
    one !== undefined &&
    other !== undefined &&
    one.speaker === other.speaker &&
    one.end !== other.end
  );
}

/** Weight of a wire having no mate at all in the bunch. */
const ALONE = 0.2;

function pairWeight(left: WireBelief, right: WireBelief, readings: readonly Reading[]): number {
  const between = readings.filter((one) => isBetween(one, left.wire.id, right.wire.id));
  if (between.some(({ value }) => value.kind === 'pop' && value.cone === 'none')) return 0;
  const ohms = between.find(({ value }) => value.kind === 'ohms')?.value;
  const byOhms = ohms?.kind === 'ohms' ? (betweenOf(ohms.ohm) === 'coil' ? 300 : 0.001) : 1;
  const taped = left.wire.tapedWith === right.wire.id || right.wire.tapedWith === left.wire.id;
  const tapedElsewhere =
    !taped && (left.wire.tapedWith !== undefined || right.wire.tapedWith !== undefined);
  return (
    byOhms *
    mateEvidence(left.wire.colour, right.wire.colour) *
    (taped ? TAPED : tapedElsewhere ? 0.05 : 1) *
    (isLogged(left.wire, right.wire) ? LOGGED : 1) *
    (left.together[SPEAKER] ?? 0) *
    (right.together[SPEAKER] ?? 0)
  );
}
