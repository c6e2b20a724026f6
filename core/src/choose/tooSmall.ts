import { chooseFuse } from '../size';
import type { FeedLoad } from '../size';
import type { Slot } from '../vehicle';
import { holderFor } from './holders';

/** The fuse does not depend on the lead: any will do. */
const ANY_LEAD = {
  oneWayM: 1,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
} as const;

/** Slots where no fuse for a load can be put, by their ids: there is no use in testing them for it. */
export function tooSmallFor(
  load: Pick<FeedLoad, 'currentA' | 'inrush'>,
  slots: readonly Slot[],
): string[] {
  return slots.flatMap((slot) => {
    const fit = holderFor({ slot });
    if (!fit.fits || slot.ratingA === undefined) return [];
    const fuse = chooseFuse({
      ...ANY_LEAD,
      ...load,
      slot: { family: slot.family, ratingA: slot.ratingA, holderA: fit.holder.addedMaxA },
    });
    return fuse.ok ? [] : [slot.id];
  });
}
