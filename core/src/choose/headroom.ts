import { CONTINUOUS_SHARE } from '../size';
import type { FuseFamily } from '../vehicle';
import { FUSE_FAMILY_FACTS } from '../vehicle';

/** How the original circuit's load is known. */
export type LoadBasis = 'measured' | 'class' | 'rating';

/** What a slot carries already. */
export interface OriginalLoad {
  /** Continuous current, A. */
  readonly amps: number;
  /** How it is known. */
  readonly basis: LoadBasis;
}

/** What circuits usually draw for good, by words of their legend, A. Common practice. */
const CLASS_LOADS: readonly { readonly meaning: string; readonly amps: number }[] = [
  { meaning: 'memory supply', amps: 0.1 },
  { meaning: 'courtesy lamps', amps: 1.5 },
  { meaning: 'radio', amps: 5 },
  { meaning: 'USB supply', amps: 3 },
  { meaning: 'mirrors', amps: 2 },
  { meaning: 'panel illumination', amps: 1.5 },
  { meaning: 'rear window heater', amps: 16 },
  { meaning: 'seat heaters', amps: 10 },
];

/** The original circuit's load: as measured with a clamp, else by its class, else three quarters of its fuse. */
export function originalLoad(given: {
  readonly ratingA: number;
  readonly measuredA?: number | undefined;
  readonly meaning?: string | undefined;
}): OriginalLoad {
  if (given.measuredA !== undefined) return { amps: given.measuredA, basis: 'measured' };
  const byClass = CLASS_LOADS.find((one) => one.meaning === given.meaning);
  if (byClass !== undefined)
    return { amps: Math.min(byClass.amps, CONTINUOUS_SHARE * given.ratingA), basis: 'class' };
  return { amps: CONTINUOUS_SHARE * given.ratingA, basis: 'rating' };
}

/** Whether a slot carries both loads. */
export interface Headroom {
  /** Enough, to be measured, or too much. */
  readonly verdict: 'ok' | 'measure' | 'refused';
  /** Both loads together, A. */
  readonly togetherA: number;
  /** What the supply contact carries for good, A. */
  readonly contactA: number;
  /** The sum with its limit. */
  readonly text: string;
  /** The cheapest way out; undefined when all is well. */
  readonly wayOut: string | undefined;
}

const BASIS_WORDS: Record<LoadBasis, string> = {
  measured: 'measured',
  class: 'usual for such a circuit',
  rating: '75 % of its fuse',
};

/**
 * Whether the slot's supply contact carries the original and the added load: even the right way round both go through
 * it. More than the contact carries is refused; more than the slot's own fuse was meant for wants a measurement, since
 * nobody knows what the car's feed behind it was sized for.
 *
 * @param shared loads already added to the same slot or feed, A
 */
export function headroom(
  slot: { readonly family: FuseFamily; readonly ratingA: number },
  original: OriginalLoad,
  addedA: number,
  shared = 0,
): Headroom {
  const contactA = CONTINUOUS_SHARE * FUSE_FAMILY_FACTS[slot.family].contactMaxA;
  const togetherA = original.amps + addedA + shared;
  const sum = `${num(original.amps)} A (${BASIS_WORDS[original.basis]}) + ${num(addedA)} A${shared > 0 ? ` + ${num(shared)} A added before` : ''} = ${num(togetherA)} A`;
  // What only the fuse's rating says of the original load is a guess: it asks for a clamp and refuses nothing.
  const known = original.basis === 'rating' ? addedA + shared : togetherA;
  if (known > contactA)
    return {
      verdict: 'refused',
      togetherA,
      contactA,
      text: `${sum}: more than the ${num(contactA)} A that the slot’s contact carries for good.`,
      wayOut: 'Take another slot, or a relay fed from the battery with this slot as the trigger.',
    };
  if (togetherA > Math.min(slot.ratingA, contactA))
    return {
      // What a clamp has shown leaves nothing to measure.
      verdict: original.basis === 'measured' ? 'refused' : 'measure',
      togetherA,
      contactA,
      text:
        contactA < slot.ratingA
          ? `${sum}: more than the ${num(contactA)} A that the slot’s contact carries for good.`
          : `${sum}: more than the ${num(slot.ratingA)} A that the feed behind the slot is known to carry.`,
      wayOut:
        original.basis === 'measured'
          ? 'Take another slot, or give the load its own feed.'
          : 'Measure the original circuit with a clamp while it works, or take another slot.',
    };
  return {
    verdict: 'ok',
    togetherA,
    contactA,
    text: `${sum}, within the ${num(slot.ratingA)} A of the slot.`,
    wayOut: undefined,
  };
}

function num(value: number): string {
  return String(Number(value.toFixed(2)));
}
