import type { Reading } from '../reading/reading';
import type { WireBelief } from './beliefs';
import { isBetween, isDisproved } from '../reading/between';
import type { HarnessSession } from './session';
import type { PairCandidate } from './speakerPairs';
import { pairCandidates, poppedPairs, shownPairs } from './speakerPairs';
import { isUnfed } from './wireTests';

/** Two wires to try together, and how. */
export interface PairToTry {
  /** With 9 V, or with the ohmmeter first. */
  readonly by: 'pop' | 'ohms';
  /** Wire for the battery’s plus. */
  readonly plusId: string;
  /** Wire for its minus. */
  readonly minusId: string;
}

/** Chance from which on a pair is worth a try: with 9 V, or with ohms, after which a pop is still to come. */
export interface WorthATry {
  readonly pop: number;
  readonly ohms: number;
}

/** Where a bunch is told apart: what answers on no speaker is left over in any case. */
const WORTH_A_TRY: WorthATry = { pop: 0.006, ohms: 0.02 };
/**
 * Chance that there is another speaker once so many are found. Common practice: two or four, tweeters in twos, a centre
 * now and then.
 */
const ANOTHER = [1, 1, 0.6, 1, 0.3, 0.6, 0.12, 0.05];

/**
 * The likeliest pair to try next. 9 V finds speaker and polarity at once, but only where neither wire may be a data or
 * sensor line; elsewhere ohms come first, for a few of them between two unfed wires are a coil, and then the pop is safe.
 */
export function pairToTry(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
  safe: ReadonlySet<string>,
  worth = WORTH_A_TRY,
): PairToTry | undefined {
  const pops = session.cannot?.includes('pop') !== true;
  const ohms = session.cannot?.includes('ohmmeter') !== true;
  const coil = pops ? coilToPop(session, safe) : undefined;
  if (coil !== undefined) return coil;
  for (const { plusId, minusId, chance } of likelyPairs(session, beliefs)) {
    if (pops && chance >= worth.pop && safe.has(plusId) && safe.has(minusId))
      return { by: 'pop', plusId, minusId };
    const isUntried =
      ohms && chance >= worth.ohms && !wasMeasured(session.readings, plusId, minusId);
    if (isUntried && [plusId, minusId].every((id) => isUnfed(id, session)))
      return { by: 'ohms', plusId, minusId };
  }
  return undefined;
}

/** Pairs beside those found, likeliest first, by how many speakers there may be still. */
function likelyPairs(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
): readonly PairCandidate[] {
  const found = shownPairs(session.readings, session.wires);
  const another = ANOTHER[Math.min(found.length, ANOTHER.length - 1)] ?? 1;
  return pairCandidates(beliefs, session.readings, found).map((one) => ({
    ...one,
    chance: another * one.chance,
  }));
}

/** From this chance on a pair that was not tried is worth a word at the end. */
const WORTH_A_WORD = 0.01;

/** Wires of pairs that may well be speakers and that nothing at hand could try: nobody has told them apart. */
export function untoldOf(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
): readonly string[] {
  const open = likelyPairs(session, beliefs).filter(({ chance }) => chance >= WORTH_A_WORD);
  const ids = new Set(open.flatMap(({ plusId, minusId }) => [plusId, minusId]));
  return session.wires.flatMap(({ id }) => (ids.has(id) ? [id] : []));
}

/** A pair that shows a coil's ohms and was not popped yet. */
function coilToPop(session: HarnessSession, safe: ReadonlySet<string>): PairToTry | undefined {
  const { readings, wires } = session;
  const popped = new Set(poppedPairs(readings).flatMap((one) => [one.plusId, one.minusId]));
  const coil = shownPairs(readings, wires).find(
    ({ plusId, minusId }) =>
      !popped.has(plusId) &&
      safe.has(plusId) &&
      safe.has(minusId) &&
      !isDisproved(readings, plusId, minusId),
  );
  return coil && { by: 'pop', plusId: coil.plusId, minusId: coil.minusId };
}

function wasMeasured(readings: readonly Reading[], oneId: string, otherId: string): boolean {
  return readings.some((one) => one.value.kind === 'ohms' && isBetween(one, oneId, otherId));
}
