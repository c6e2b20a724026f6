import type { HiddenCircuits } from './hiddenCircuits';
import { hiddenCircuits } from './hiddenCircuits';
import type { LabelReading, Written } from './readLabel';
import type { ProbeSource } from '../reading/source';
import { canHaveLegend } from '../reading/source';

/** What the legends of a panel, taken together, say of each of its slots. */
export interface PanelPrints {
  /** Circuits that no legend names. */
  readonly hidden: HiddenCircuits;
  /** How many times likelier than on a usual panel a print stands at the wrong slot. */
  readonly doubt: number;
}

/** On a usual panel a quarter of the positions has no legend that can be read. Our own choice. */
const USUALLY_UNREADABLE = 0.25;
/** So many positions of a usual panel are counted beside those of this one: a few slots say little about a lid. */
const TAKEN_AS_USUAL = 8;
/** However clean a lid is, and however worn. */
const DOUBTS: readonly [number, number] = [0.5, 4];

/**
 * What the legends of a panel say together. A lid of another trim level, or one half worn off, is wrong about as much more often as
 * it is silent, and has fewer prints left that are right: what can't be read on it is a reason to doubt what can. What was looked up
 * in the handbook changes nothing there.
 *
 * @param read reads what is written
 */
export function panelPrints(
  sources: readonly ProbeSource[],
  read: (written: Written) => LabelReading,
): PanelPrints {
  return { hidden: hiddenCircuits(sources, read), doubt: doubtOfPrints(sources, read) };
}

/** How many times likelier than on a usual panel a print stands at the wrong slot, see {@link panelPrints}. */
export function doubtOfPrints(
  sources: readonly ProbeSource[],
  read: (written: Written) => LabelReading,
): number {
  const prints = sources.filter(canHaveLegend).map(({ legend }) => read({ legend }));
  const unreadable = prints.filter(({ safety }) => safety === 'unknown').length;
  const share =
    (unreadable + USUALLY_UNREADABLE * TAKEN_AS_USUAL) / (prints.length + TAKEN_AS_USUAL);
  const [least, most] = DOUBTS;
  return Math.min(most, Math.max(least, oddsOf(share) / oddsOf(USUALLY_UNREADABLE)));
}

/** Of the prints that can be read, as many are wrong as silent ones stand against those that are left. */
function oddsOf(share: number): number {
  return share / (1 - share);
}
