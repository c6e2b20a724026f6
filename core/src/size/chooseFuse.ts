import { FUSE_FAMILY_FACTS } from '../vehicle';
import type { FeedLoad, Refusal } from './feedLoad';
import { ambientOf } from './conductor';
import { CONTINUOUS_SHARE, amps, refuse } from './feedLoad';
import { fuseShareAt } from './fuseInHeat';
import { openingTimes, ridesThrough } from './openingTime';

/** What of a load the fuse depends on: not the lead, but the air around both. */
export type FuseLoad = Pick<
  FeedLoad,
  'currentA' | 'inrush' | 'slot' | 'stock' | 'ambientC' | 'engineSpace'
>;

/** Electronics charge their capacitors at switching on: smaller fuses open now and then. Common practice: 2 A at least. */
const LEAST_A = 2;

/** A fuse rating, or why none fits. */
export type FuseChoice =
  | { readonly ok: true; readonly fuseA: number; readonly holderA: number }
  | Refusal;

const FROM_BATTERY =
  'Feed it from the battery through its own fuse and a relay, with this slot as the trigger.';

/**
 * The smallest rating made in the family, and at hand, that carries the load at 75 % of what is left of it in the heat,
 * and rides through the inrush (2 A at least where that is not known); it may exceed neither the added side of the holder nor the slot's own rating.
 */
export function chooseFuse(load: FuseLoad): FuseChoice {
  const facts = FUSE_FAMILY_FACTS[load.slot.family];
  const holderA = load.slot.holderA ?? facts.tap?.addedMaxA;
  if (holderA === undefined)
    return refuse(
      'family',
      `No fuse tap is made for ${facts.name} fuses.`,
      'Take a slot of another family, or tap the wire behind the panel with an in-line fuse.',
    );
  const wantedA = wantedFuseA(load);
  const carrying = facts.ratingsA.filter((rating) => rating >= wantedA);
  const smallest = carrying[0];
  if (smallest === undefined)
    return refuse(
      'fuse range',
      `${amps(load.currentA)} needs a fuse of ${amps(wantedA)}; ${facts.name} fuses end at ${amps(facts.contactMaxA)}.`,
      FROM_BATTERY,
    );
  if (smallest > holderA)
    return refuse(
      'holder',
      `${load.slot.at === 'wire' ? 'An in-line holder' : `The added side of a ${facts.tap?.name ?? 'holder'}`} carries ${amps(holderA)}; the load needs a ${amps(smallest)} fuse.`,
      'Use a slot of a larger family, or a relay fed from the battery.',
    );
  if (smallest > load.slot.ratingA)
    return refuse(
      'slot',
      load.slot.at === 'wire'
        ? `The car’s wire stands a fuse of ${amps(load.slot.ratingA)} at most; the added circuit would need ${amps(smallest)}.`
        : `The slot is rated ${amps(load.slot.ratingA)}; the added circuit would need ${amps(smallest)}.`,
      'Use a slot with a larger fuse, or a relay fed from the battery.',
    );
  const allowed = carrying.filter((rating) => rating <= Math.min(holderA, load.slot.ratingA));
  const { inrush } = load;
  const riding =
    inrush === undefined ? allowed : allowed.filter((rating) => ridesThrough(inrush, rating));
  if (riding.length === 0 && inrush !== undefined)
    return refuse('inrush', ...inrushTexts(load, allowed[allowed.length - 1] ?? smallest));
  const atHand = riding.find((rating) => load.stock?.fusesA.includes(rating) !== false);
  if (atHand === undefined)
    return refuse(
      'stock',
      `No ${riding.map(amps).join(', ')} ${facts.name} fuse at hand.`,
      `Get a ${amps(riding[0] ?? smallest)} ${facts.name} fuse.`,
    );
  return { ok: true, fuseA: atHand, holderA };
}

/** The least rating that carries a load for good in the air around it, A; makers' steps come on top. */
export function wantedFuseA(
  load: Pick<FuseLoad, 'currentA' | 'inrush' | 'ambientC' | 'engineSpace'>,
): number {
  const carriedA = load.currentA / (CONTINUOUS_SHARE * fuseShareAt(ambientOf(load)));
  // Where the inrush is known it decides by itself.
  return load.inrush === undefined ? Math.max(LEAST_A, carriedA) : carriedA;
}

function inrushTexts(load: FuseLoad, largestA: number): [string, string] {
  const inrush = load.inrush ?? { peakA: 0, peakS: 0 };
  const { fastestS } = openingTimes(inrush.peakA, largestA);
  return [
    `${amps(inrush.peakA)} for ${inrush.peakS} s may open a ${amps(largestA)} fuse in ${fastestS.toPrecision(2)} s; no larger one is allowed here.`,
    'Use a slot and holder for a larger fuse, or a relay fed from the battery.',
  ];
}
