import type { CauseId } from './causes';

/** One thing that is looked at, with what it may show. */
export interface FaultCheck {
  /** What to do, in one sentence. */
  readonly say: string;
  readonly seconds: number;
  readonly caution?: string;
  /** What it may show, each in the words of its button. */
  readonly outcomes: readonly string[];
  /** Which outcome each cause gives, by its place; causes that are not named give the first. */
  readonly gives: Partial<Record<CauseId, number>>;
}

export const KEY_OFF = 'Key off before a fuse comes out or goes in.';
export const ENGINE =
  'In the open, never in a closed room; parking brake on, hands and leads clear of belts and fan.';
/** What a supply shows against the battery’s posts, which are read once with the same load on. */
export const SUPPLY = [
  'As at the battery',
  'Over 0.7 V less than at the battery',
  'Nothing',
  'Something, but the battery itself is under 12 V',
] as const;
export const CRANK =
  'Neutral or park, brake on, nobody near belts and fan, never in a closed room.';

/** A check without anything that can hurt. */
export function check(
  say: string,
  seconds: number,
  outcomes: readonly string[],
  gives: Partial<Record<CauseId, number>>,
): FaultCheck {
  return { say, seconds, outcomes, gives };
}

/** A check in which something can hurt. */
export function careful(caution: string, of: FaultCheck): FaultCheck {
  return { ...of, caution };
}
