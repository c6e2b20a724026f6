import type { Need, Verdict } from '../identify';
import { fills, meetsProbability } from '../identify';
import type { Slot } from '../vehicle';
import { CONTINUOUS_SHARE } from '../size';
import { screenSlot, tapFit } from './screen';

/** A slot that is considered for a feed. */
export interface Candidate {
  readonly slotId: string;
  /** Probability that its function meets the feed's need. */
  readonly meets: number;
  /** Whether the identification is done with it; an unfinished one may be chosen only with a warning. */
  readonly sure: boolean;
  readonly score: number;
  /** One sentence that explains its place. */
  readonly because: string;
  readonly cautions: readonly string[];
}

/** A slot that may not serve, with the reason. */
export interface Blocked {
  readonly slotId: string;
  readonly reason: string;
}

/** What candidates are ranked from. */
export interface RankInput {
  readonly slots: readonly Slot[];
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly need: Need;
  /** Current of the feed at 12 V, A. */
  readonly currentA: number;
  /** Slots with a verified tap point for this function in the model's log. */
  readonly loggedSlotIds: ReadonlySet<string>;
}

/** What each property is worth in the ranking, against a certainty between 0 and 1. */
const WORTH = {
  sure: 0.5,
  logged: 0.15,
  unknownLabel: -0.2,
  caution: -0.7,
  tight: -0.1,
  headroom: 0.1,
};
/** Below this a slot is not worth showing. */
const SHOWN = 0.15;

/** Slots that could serve a feed, best first, and those that must not, with reasons. Deterministic: ties by position. */
export function rankCandidates(input: RankInput): {
  readonly candidates: readonly Candidate[];
  readonly blocked: readonly Blocked[];
} {
  const candidates: Candidate[] = [];
  const blocked: Blocked[] = [];
  for (const slot of input.slots) {
    const screening = screenSlot(slot);
    if (screening.class === 'block') {
      blocked.push({ slotId: slot.id, reason: screening.reason ?? 'Blocked.' });
      continue;
    }
    const candidate = weigh(slot, input);
    if (candidate !== undefined) candidates.push(candidate);
  }
  candidates.sort(
    (left, right) => right.score - left.score || left.slotId.localeCompare(right.slotId),
  );
  return { candidates, blocked };
}

function weigh(slot: Slot, input: RankInput): Candidate | undefined {
  const verdict = input.verdicts.get(slot.id);
  const fit = tapFit(slot);
  if (verdict === undefined || !fit.fits || slot.ratingA === undefined) return undefined;
  const meets = meetsProbability(input.need, verdict.posterior);
  if (meets < SHOWN) return undefined;

  const screening = screenSlot(slot);
  const sure = fills(input.need, verdict);
  const logged = input.loggedSlotIds.has(slot.id);
  const room = slot.ratingA * CONTINUOUS_SHARE >= input.currentA;
  const cautions = [
    ...(screening.reason === undefined ? [] : [screening.reason]),
    ...(sure ? [] : [`Not proven: ${verdict.headline}.`]),
    ...(room ? [] : [`The slot’s ${slot.ratingA} A leave no room for the load.`]),
    ...verdict.contradictions.map((one) => one.explanation),
  ];
  const score =
    meets +
    (sure ? WORTH.sure : 0) +
    (logged ? WORTH.logged : 0) +
    (screening.class === 'unknown' ? WORTH.unknownLabel : 0) +
    (screening.class === 'caution' ? WORTH.caution : 0) +
    (slot.clearance === 'tight' ? WORTH.tight : 0) +
    (room ? WORTH.headroom : -1);
  const because = [
    sure ? 'Proven by readings' : `${Math.round(100 * meets)} % by what is known`,
    ...(logged ? ['in the log of this model'] : []),
    `${slot.ratingA} A slot`,
    fit.note.replace(/\.$/, '').toLowerCase(),
  ].join(', ');
  return { slotId: slot.id, meets, sure, score, because: `${because}.`, cautions };
}
