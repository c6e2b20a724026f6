import type { Reading } from '../reading';
import type { WireBelief } from './beliefs';
import { isBetween, isDisproved } from './between';
import type { HarnessSession } from './session';
import { pairCandidates, poppedPairs, shownPairs } from './speakerPairs';
import { isUnfed } from './wireTests';

/** Two wires to try together, and how. */
export interface PairToTry {
  readonly by: 'pop' | 'ohms';
  readonly plusId: string;
  readonly minusId: string;
}

/** A pair less likely than this is not worth a try. */
const WORTH_A_TRY = 0.006;

/**
 * The likeliest pair to try next. 9 V finds speaker and polarity at once, but only where neither wire may be a data or
 * sensor line; elsewhere ohms come first, for a few of them between two unfed wires are a coil, and then the pop is safe.
 */
export function pairToTry(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
  safe: ReadonlySet<string>,
): PairToTry | undefined {
  const pops = session.cannot?.includes('pop') !== true;
  const ohms = session.cannot?.includes('ohmmeter') !== true;
  const coil = pops ? coilToPop(session, safe) : undefined;
  if (coil !== undefined) return coil;
  const found = shownPairs(session.readings, session.wires);
  for (const { plusId, minusId, chance } of pairCandidates(beliefs, session.readings, found)) {
    if (chance < WORTH_A_TRY) return undefined;
    if (pops && safe.has(plusId) && safe.has(minusId)) return { by: 'pop', plusId, minusId };
    const isUntried = ohms && !wasMeasured(session.readings, plusId, minusId);
    if (isUntried && [plusId, minusId].every((id) => isUnfed(id, session)))
      return { by: 'ohms', plusId, minusId };
  }
  return undefined;
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
