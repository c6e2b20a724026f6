import type { CircuitFunction } from '../../vehicle';
import type { NeedRole } from '../need/needs';
import { LEXICON } from './lexicon';

/** Functions that serve each role; what a switch gives stands in no fuse slot. */
const SERVING: Partial<Record<NeedRole, readonly CircuitFunction[]>> = {
  constant: ['constant'],
  switched: ['accessory', 'retainedAccessory', 'ignitionRun', 'ignitionRunCrank'],
  // No legend says how long a circuit outlasts the key: what goes by accessory is the likeliest to.
  retained: ['accessory', 'retainedAccessory'],
  illumination: ['lamps'],
  reverse: ['reverse'],
  brake: ['stopLamp'],
  starter: ['starter'],
};

/** Share of what a legend suggests that must serve. */
const WORTH_A_LOOK = 0.6;

/**
 * Legends to look for on a lid that may serve a role: one for each harmless circuit, the commonest first.
 *
 * @param most how many to name
 * @example legendsFor('illumination', 1) // ['ILLUM']
 */
export function legendsFor(role: NeedRole, most: number): string[] {
  return LEXICON.filter((entry) => entry.safety === 'free')
    .map(({ terms, weights }) => ({
      term: terms[0] ?? '',
      share: shareOf(SERVING[role] ?? [], weights),
    }))
    .filter(({ share }) => share >= WORTH_A_LOOK)
    .slice(0, most)
    .map(({ term }) => term);
}

/** How much of what a legend suggests serves. */
function shareOf(
  serving: readonly CircuitFunction[],
  weights: Readonly<Partial<Record<CircuitFunction, number>>>,
): number {
  const all = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  const good = serving.reduce((sum, one) => sum + (weights[one] ?? 0), 0);
  return all === 0 ? 0 : good / all;
}
