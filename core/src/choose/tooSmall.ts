import { chooseFuse } from '../size';
import type { FuseLoad } from '../size';
import type { Slot } from '../vehicle';
import { holderLimitA } from './holders';

/** Slots where no fuse for a load can be put, by their ids: there is no use in testing them for it. */
export function tooSmallFor(
  load: Pick<FuseLoad, 'currentA' | 'inrush'>,
  slots: readonly Slot[],
): string[] {
  return slots.flatMap((slot) => {
    const holderA = holderLimitA({ slot });
    if (holderA === undefined || slot.ratingA === undefined) return [];
    const fuse = chooseFuse({
      ...load,
      slot: { family: slot.family, ratingA: slot.ratingA, holderA },
    });
    return fuse.ok ? [] : [slot.id];
  });
}
