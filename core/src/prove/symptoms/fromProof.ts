import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import type { ProofCheck } from '../proofChecks';
import type { CheckDone } from './diagnose';
import type { SymptomId } from './symptoms';

/** A search for a fault that begins with what a proof has shown. */
export interface BegunSearch {
  readonly symptom: SymptomId;
  readonly done: readonly CheckDone[];
}

const ENGINE: readonly StitchPlace[] = ['crank', 'engine'];

/**
 * Where the search begins when a closing proof is out of its limit: its symptom, and the check that was done with it.
 *
 * @param arrives something is read there, only not what should be
 */
export function searchFrom(
  { spot, state, leastV }: Pick<ProofCheck, 'spot' | 'state' | 'leastV'>,
  arrives: boolean,
): BegunSearch {
  const place = placeOf(state);
  if (spot === 'original') return { symptom: 'originalDead', done: [] };
  if (spot === 'ground') return { symptom: 'weak', done: [{ check: 'groundDrop', outcome: 1 }] };
  // Live where it must be dead: it hangs on another kind of source.
  if (leastV === undefined) return { symptom: 'drains', done: [] };
  if (ENGINE.includes(place))
    return { symptom: place === 'crank' ? 'cranking' : 'engineOff', done: [] };
  if (spot === 'endOriginalOut' && !arrives)
    return { symptom: 'dead', done: [{ check: 'originalOut', outcome: 1 }] };
  if (spot === 'output') return { symptom: arrives ? 'weak' : 'dead', done: [] };
  return arrives
    ? { symptom: 'weak', done: [{ check: 'farPair', outcome: 1 }] }
    : { symptom: 'dead', done: [{ check: 'farPair', outcome: 2 }] };
}
