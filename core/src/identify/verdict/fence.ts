import type { LexiconEntry } from '../legend/lexicon';
import type { Posterior } from '../belief/posterior';
import type { LabelReading } from '../legend/readLabel';
import type { ProbeSource } from '../reading/source';
import { canHaveLegend } from '../reading/source';

/** A circuit to keep away from. */
export interface Fence {
  /** Why to stop here. */
  readonly reason: string;
  /** What to do, and which instrument not to use. */
  readonly instruction: string;
}

/** From here up a wire is taken for a data or sensor line. */
const LIKELY = 0.5;

/** Whether a source is fenced off: by its legend, or by what the readings make of it. */
export function fenceOf(
  source: Pick<ProbeSource, 'kind'>,
  label: LabelReading,
  given: Posterior,
): Fence | undefined {
  if (canHaveLegend(source) && label.safety === 'block')
    return { reason: label.reason ?? '', instruction: instructionFor(label.entries[0]) };
  if (given.evidence.length === 0) return undefined;
  if (given.functions.dataBus >= LIKELY)
    return {
      reason: 'It sits at a data line’s bias.',
      instruction:
        'Stop here: no filament lamp, no powered probe, no 9 V pop. A 10 MΩ meter may look, nothing else.',
    };
  if (given.functions.sensor >= LIKELY)
    return {
      reason: 'It sits at a sensor’s 5 V.',
      instruction: 'Stop here: any lamp shifts what the control unit measures. Meter only.',
    };
  return undefined;
}

function instructionFor(entry: LexiconEntry | undefined): string {
  return entry?.meaning.includes('airbag') === true
    ? 'Stop: do not pull the fuse, and put no lamp and no probe on it. Restraint work follows the vehicle maker’s service information.'
    : 'Leave the fuse in and take nothing from it. If it must be looked at: 10 MΩ meter only, no lamp.';
}
