import type { LabelReading, SafetyClass, Verdict } from '../identify';
import { readOnce } from '../identify/legend/readLabel';
import { AGAINST_PRINT } from '../identify/need/thresholds';
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
  const label = readOnce(slot);
  return { class: label.safety, reason: label.reason };
}

/** Whether a print that names something harmless is, by what was read, likely enough another and dangerous circuit's. */
export function isAgainstItsPrint(
  { safety }: Pick<LabelReading, 'safety'>,
  { posterior }: Pick<Verdict, 'posterior'>,
): boolean {
  return safety === 'free' && posterior.critical > AGAINST_PRINT;
}

/**
 * Why a slot is only taken for a reason, which the log keeps: its legend warns, it can't be read, or its readings speak against it.
 * Undefined where none is wanted. Where danger is a guess, the chance of it is said.
 *
 * @param verdict what the readings say of it; left out: nothing was read
 */
export function whyOnlyWithReason(
  label: Pick<LabelReading, 'safety' | 'reason'>,
  verdict?: Pick<Verdict, 'posterior'>,
): string | undefined {
  if (label.safety === 'block' || label.safety === 'caution') return label.reason;
  if (verdict === undefined) return label.reason;
  const chance = `safety-critical with a chance of ${Math.max(1, Math.round(100 * verdict.posterior.critical))}\u00a0%`;
  if (label.safety === 'unknown')
    return `${label.reason ?? ''} By all that is known it is ${chance}.`.trim();
  if (!isAgainstItsPrint(label, verdict)) return undefined;
  return `Its readings speak against its legend: it may be another circuit’s, ${chance}. Ask the handbook what it is.`;
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
