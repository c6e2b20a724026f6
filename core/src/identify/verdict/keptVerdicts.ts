import type { VehicleState } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import type { ProbeSource } from '../reading/source';
import type { Belief } from '../belief/sourcePrior';
import type { Verdict } from './verdict';

/** What a verdict follows from. */
export interface Grounds {
  readonly source: ProbeSource;
  readonly belief: Belief;
  /** The source's own readings. */
  readonly own: readonly Reading[];
}

/** Gives the verdict on some grounds, worked out only when they are not those of the last one on the source. */
export type VerdictKeeper = (grounds: Grounds, workOut: () => Verdict) => Verdict;

/** Keeps the last verdict on each source: after a new reading only one of them changes. */
export function keptVerdicts(): VerdictKeeper {
  const kept = new Map<string, Grounds & { readonly verdict: Verdict }>();
  return (grounds, workOut) => {
    const { id } = grounds.source;
    const last = kept.get(id);
    if (last !== undefined && isSame(last, grounds)) return last.verdict;
    const verdict = workOut();
    kept.set(id, { ...grounds, verdict });
    return verdict;
  };
}

function isSame(last: Grounds, now: Grounds): boolean {
  return (
    last.belief === now.belief &&
    last.source.legend === now.source.legend &&
    last.source.handbook === now.source.handbook &&
    last.source.kind === now.source.kind &&
    // What the log claims is told by a fresh belief each time; without a claim beliefs are shared.
    last.source.logged === now.source.logged &&
    last.own.length === now.own.length &&
    last.own.every((reading, index) => isSameReading(reading, now.own[index]))
  );
}

function isSameReading(last: Reading, now: Reading | undefined): boolean {
  if (last === now) return true;
  return (
    now !== undefined &&
    last.id === now.id &&
    last.contact === now.contact &&
    last.clip === now.clip &&
    last.otherId === now.otherId &&
    isAlike(last.value, now.value) &&
    isAlike(last.state, now.state)
  );
}

/** Whether two flat records hold the same. */
function isAlike<T extends ReadingValue | VehicleState>(last: T, now: T): boolean {
  if (last === now) return true;
  const keys = Object.keys(last) as (keyof T)[];
  return (
    keys.length === Object.keys(now).length && keys.every((key) => Object.is(last[key], now[key]))
  );
}
