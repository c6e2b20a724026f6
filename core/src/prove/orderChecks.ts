import type { StitchPlace } from '../vehicle';
import { STITCH_PLACES, placeOf } from '../vehicle';
import type { ProofCheck } from './proofChecks';

/** Every state is gone to once, and what costs risk or half an hour of waiting comes last. */
const LAST: readonly StitchPlace[] = ['engine', 'crank', 'asleep'];

/**
 * The order in which a job’s checks are taken: whole states at a time over all its leads, risk and waiting last, and within a
 * state those with a fuse out after the others, since the key goes off for it.
 */
export function orderChecks<T extends { readonly check: ProofCheck }>(checks: readonly T[]): T[] {
  return [...checks].sort((left, right) => rank(left.check) - rank(right.check));
}

function rank({ state, spot }: ProofCheck): number {
  const place = placeOf(state);
  const late = LAST.indexOf(place);
  const at = late < 0 ? STITCH_PLACES.indexOf(place) : STITCH_PLACES.length + late;
  return at * 2 + (spot === 'endOriginalOut' || spot === 'endAddedOut' ? 1 : 0);
}
