import type { Verdict } from '../identify';
import { readOnce } from '../identify/legend/readLabel';
import type { CircuitFunction, Joinable, Slot } from '../vehicle';
import { isConductor } from '../vehicle';

/** A fuse that may feed a wire, terminal or stud. */
export interface Feeder {
  readonly slot: Slot;
  /** Why it is thought of. */
  readonly because: string;
}

/** A signal’s fuse is live before its switch is: what feeds what is switched on the way. Common practice. */
const FED_BY: Partial<Record<CircuitFunction, readonly CircuitFunction[]>> = {
  reverse: ['ignitionRun', 'ignitionRunCrank'],
  stopLamp: ['constant'],
  lamps: ['lamps', 'constant'],
  dimmedIllumination: ['lamps', 'constant'],
  turnHazard: ['constant', 'ignitionRun'],
  starter: ['constant', 'starter'],
};
/** From this chance on a fuse is worth pulling. */
const LEAST_SHARE = 0.3;

/** As many are worth trying; after that one traces the wire. */
const MOST = 4;

/**
 * Fuses that may feed a wire, terminal or stud, the likeliest first: live when it is live, or where its switch gets its feed, and harmless to pull. One at a
 * time is pulled while it is live; at its own it goes dead. Never one that must not be touched.
 */
export function feedersOf(
  source: Joinable,
  given: {
    readonly slots: readonly Slot[];
    readonly verdicts: ReadonlyMap<string, Verdict>;
  },
): Feeder[] {
  const { slots, verdicts } = given;
  const is = verdicts.get(source.id)?.function;
  if (is === undefined) return [];
  const fed = FED_BY[is] ?? [is];
  const hangs = isConductor(source) ? words(source.alsoFeeds) : [];
  return slots
    .flatMap((slot): (Feeder & { readonly worth: number })[] => {
      if (slot.ratingA === undefined) return [];
      const label = readOnce(slot);
      const verdict = verdicts.get(slot.id);
      const share = fed.reduce((sum, name) => sum + (verdict?.posterior.functions[name] ?? 0), 0);
      if (label.safety === 'block' || share < LEAST_SHARE) return [];
      const speaks = words(`${slot.legend ?? ''} ${label.meaning ?? ''}`);
      const named = hangs.some((word) => speaks.includes(word));
      const because = [
        ...(named ? ['its legend names what hangs on it'] : []),
        verdict?.status === 'resolved'
          ? 'live when it must be'
          : 'likely by its legend, not read yet',
      ];
      return [
        {
          slot,
          because: because.join(', '),
          worth: (named ? 2 : 0) + share - (label.safety === 'free' ? 0 : 0.5),
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
