import type { LabelReading, Verdict, Written } from '../identify';
import { readWritten } from '../identify/legend/readLabel';
import type { Joinable, Slot } from '../vehicle';
import { isConductor } from '../vehicle';

/** A fuse that may feed a wire, terminal or stud. */
export interface Feeder {
  readonly slot: Slot;
  /** Why it is thought of. */
  readonly because: string;
}

/** As many are worth trying; after that one traces the wire. */
const MOST = 4;

/**
 * Fuses that may feed a wire, terminal or stud, the likeliest first: live when it is live, and harmless to pull. One at a
 * time is pulled while it is live; at its own it goes dead. Never one that must not be touched.
 */
export function feedersOf(
  source: Joinable,
  given: {
    readonly slots: readonly Slot[];
    readonly verdicts: ReadonlyMap<string, Verdict>;
    readonly read?: (written: Written) => LabelReading;
  },
): Feeder[] {
  const { slots, verdicts, read = readWritten } = given;
  const is = verdicts.get(source.id)?.function;
  if (is === undefined) return [];
  const hangs = isConductor(source) ? words(source.alsoFeeds) : [];
  return slots
    .flatMap((slot): (Feeder & { readonly worth: number })[] => {
      if (slot.ratingA === undefined) return [];
      const label = read(slot);
      const same = verdicts.get(slot.id)?.function;
      if (label.safety === 'block' || (same !== undefined && same !== is)) return [];
      const speaks = words(`${slot.legend ?? ''} ${label.meaning ?? ''}`);
      const named = hangs.some((word) => speaks.includes(word));
      const because = [
        ...(named ? ['its legend names what hangs on it'] : []),
        same === undefined ? 'not read yet' : 'live in the same states',
      ];
      return [
        {
          slot,
          because: because.join(', '),
          worth:
            (named ? 2 : 0) + (same === undefined ? 0 : 1) - (label.safety === 'free' ? 0 : 0.5),
        },
      ];
    })
    .sort((left, right) => right.worth - left.worth)
    .slice(0, MOST)
    .map(({ slot, because }) => ({ slot, because }));
}

/** Words of three letters and more, small. */
function words(text: string | undefined): string[] {
  return (text ?? '').toLowerCase().match(/[\p{L}]{3,}/gu) ?? [];
}
