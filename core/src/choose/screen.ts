import type { SafetyClass } from '../identify';
import { readLabel } from '../identify';
import type { Slot } from '../vehicle';
import { FUSE_FAMILY_FACTS } from '../vehicle';

/** Whether a slot may serve at all, with the reason. */
export interface Screening {
  readonly class: SafetyClass;
  readonly reason: string | undefined;
}

/**
 * Whether a slot may be tapped, whatever its readings say. Blocks come from the legend and can't be argued with; a
 * legend that is missing or not understood is unknown, not harmless.
 */
export function screenSlot(slot: Pick<Slot, 'legend'>): Screening {
  const label = readLabel(slot.legend);
  return { class: label.safety, reason: label.reason };
}

/** Whether a fuse tap goes into a slot, or why not. */
export function tapFit(slot: Pick<Slot, 'family' | 'clearance' | 'ratingA'>): {
  readonly fits: boolean;
  readonly note: string;
} {
  const facts = FUSE_FAMILY_FACTS[slot.family];
  if (slot.ratingA === undefined) return { fits: false, note: 'No fuse fitted here.' };
  if (facts.tap === undefined)
    return { fits: false, note: `No fuse tap is made for ${facts.name} fuses.` };
  if (slot.clearance === 'none')
    return { fits: false, note: 'No room above the slot: a tap would keep the cover open.' };
  return {
    fits: true,
    note:
      slot.clearance === 'tight'
        ? `Takes a ${facts.tap.name}; tight under the cover.`
        : `Takes a ${facts.tap.name}; the cover closes.`,
  };
}
