import { screenSlot } from '@lucky-thread/core/choose';
import type { Slot, Source } from '@lucky-thread/core/vehicle';
import { titleOf } from '@lucky-thread/work';

/** A slot in one line: position, legend, rating. */
export function slotTitle(slot: Pick<Slot, 'position' | 'legend' | 'ratingA'>): string {
  return `${slot.position} ${slot.legend ?? 'no legend'} · ${slot.ratingA ?? '–'} A`;
}

/** A source in one line, as its verdict is headed. */
export function sourceTitle(source: Source): string {
  return source.kind === 'slot' ? slotTitle(source) : titleOf(source);
}

/** What the legend of a source warns of; undefined when of nothing, and where nothing is printed. */
export function warningOf(source: Source): string | undefined {
  return source.kind === 'slot' ? screenSlot(source).reason : undefined;
}
