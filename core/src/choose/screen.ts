import type { SafetyClass } from '../identify';
import { readWritten } from '../identify/legend/readLabel';
import type { Slot, Source } from '../vehicle';
import { isConductor, nameOf } from '../vehicle';
import { holderFor } from './holders';

/** Whether a slot may serve at all, with the reason. */
export interface Screening {
  /** How safe its legend says it is. */
  readonly class: SafetyClass;
  /** What the legend warns of; undefined when of nothing. */
  readonly reason: string | undefined;
}

/**
 * Whether a slot may be tapped, whatever its readings say. Blocks come from the legend or the handbook and can't be argued with; a
 * legend that is missing or not understood is unknown, not harmless.
 */
export function screenSlot(slot: Pick<Slot, 'legend' | 'handbook'>): Screening {
  const label = readWritten(slot);
  return { class: label.safety, reason: label.reason };
}

/**
 * Why a source may never feed anything, whatever its readings say; undefined when it may.
 *
 * @param role what it is to give; the sound of an amplifier comes in pairs
 */
export function whyNeverTapped(source: Source, role?: string): string | undefined {
  if (source.kind === 'slot') {
    const { class: safety, reason } = screenSlot(source);
    return safety === 'block'
      ? `${source.position} must not be tapped. ${reason ?? ''}`.trim()
      : undefined;
  }
  if (isConductor(source))
    return source.tapedWith === undefined || role === 'amplified'
      ? undefined
      : `${source.name} is taped or twisted with another: a pair is a data line or a speaker’s.`;
  return source.kind === 'ground' ? `${nameOf(source)} is a ground: it feeds nothing.` : undefined;
}

/** Whether a fuse tap goes into a slot, or why not. */
export function tapFit(slot: Pick<Slot, 'family' | 'clearance' | 'ratingA'>): {
  readonly fits: boolean;
  readonly note: string;
} {
  const { fits, note } = holderFor({ slot });
  return { fits, note };
}
