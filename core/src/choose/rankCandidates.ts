import type { LabelReading, Verdict } from '../identify';
import { readOnce } from '../identify/legend/readLabel';
import { fills } from '../identify/need/fills';
import { meetsProbability } from '../identify/need/needs';
import { chooseFuse } from '../size';
import type { Slot } from '../vehicle';
import type { Blocked, Candidate, RankInput, Ranking, Unfit } from './candidate';
import { FEEDS_THE_CAR } from './candidate';
import type { Headroom } from './headroom';
import { headroom, originalLoad } from './headroom';
import type { HolderFit } from './holders';
import { holderFor, holderLimitA } from './holders';
import { weighWire } from './rankWires';
import { isAgainstItsPrint, whyOnlyWithReason } from './screen';

/** What each property is worth in the ranking, against a certainty between 0 and 1. */
const WORTH = {
  sure: 0.5,
  logged: 0.15,
  // Unknown is not harmless: never before a legend that is only cautious.
  unknownLabel: -0.8,
  caution: -0.7,
  tight: -0.1,
  substitute: -0.05,
  headroom: { ok: 0.1, measure: -0.25 },
} as const;
/** Below this a slot is not worth showing. */
const SHOWN = 0.15;
/** Slots and wires that could serve a feed, best first, and those that must not, with reasons. Deterministic: ties by position. */
export function rankCandidates(input: RankInput): Ranking {
  const candidates: Candidate[] = [];
  const blocked: Blocked[] = [];
  const unfit: Unfit[] = [];
  const weighed: (Candidate | Unfit | undefined)[] = [];
  for (const slot of input.slots) {
    const label = readOnce(slot);
    if (label.safety === 'block') {
      blocked.push({ sourceId: slot.id, reason: label.reason ?? 'Blocked.' });
      continue;
    }
    weighed.push(weigh(slot, label, input));
  }
  for (const wire of input.wires ?? []) {
    weighed.push(weighWire(wire, input));
  }
  for (const one of weighed) {
    if (one === undefined) continue;
    const so = spared(input, one);
    if ('constraint' in so) unfit.push(so);
    else candidates.push(so);
  }
  candidates.sort(
    (left, right) => right.score - left.score || left.sourceId.localeCompare(right.sourceId),
  );
  return { candidates, blocked, unfit };
}

/** What would serve, but for the damage that is known there. */
function spared(input: RankInput, weighed: Candidate | Unfit): Candidate | Unfit {
  const damage = input.damage?.[weighed.sourceId];
  if (damage === undefined) return weighed;
  const { sourceId } = weighed;
  return { sourceId, constraint: `Known damage here: ${damage}`, wayOut: 'Take another source.' };
}

function weigh(slot: Slot, label: LabelReading, input: RankInput): Candidate | Unfit | undefined {
  const verdict = input.verdicts.get(slot.id);
  if (verdict === undefined || slot.ratingA === undefined) return undefined;
  const meets = meetsProbability(input.need, verdict.posterior);
  if (meets < SHOWN) return undefined;
  if (input.kind === 'given') return { sourceId: slot.id, ...FEEDS_THE_CAR };
  const fit = holderFor({ slot });
  if (!fit.fits) return { sourceId: slot.id, constraint: fit.note, wayOut: fit.wayOut };
  const { ratingA, family } = slot;
  const room = roomOf({ ratingA, family }, label, input, slot.id);
  if (room.verdict === 'refused')
    return { sourceId: slot.id, constraint: room.text, wayOut: room.wayOut ?? '' };
  const fuse = chooseFuse({
    currentA: input.currentA,
    inrush: input.inrush,
    slot: { family, ratingA, holderA: holderLimitA({ slot }) },
  });
  if (!fuse.ok) return { sourceId: slot.id, constraint: fuse.failed.text, wayOut: fuse.relax };
  return candidateOf({ slot, label, input, verdict, meets, fit, room });
}

function roomOf(
  slot: { readonly family: Slot['family']; readonly ratingA: number },
  label: LabelReading,
  input: RankInput,
  sourceId: string,
): Headroom {
  const original = originalLoad({
    ratingA: slot.ratingA,
    measuredA: input.measuredA?.[sourceId],
    meaning: label.entries.length === 1 ? label.meaning : undefined,
  });
  return headroom(slot, original, input.currentA, input.sharedA?.[sourceId]);
}

function candidateOf(known: {
  readonly slot: Slot;
  readonly label: LabelReading;
  readonly input: RankInput;
  readonly verdict: Verdict;
  readonly meets: number;
  readonly fit: Extract<HolderFit, { fits: true }>;
  readonly room: Headroom;
}): Candidate {
  const { slot, label, input, verdict, meets, fit, room } = known;
  const sure = fills(input.need, verdict);
  const logged = input.loggedSourceIds.has(slot.id);
  // A legend that can't be read, or that its readings speak against, is no more harmless than one that warns.
  const wantsReason = whyOnlyWithReason(label, verdict);
  const isUnknown = label.safety === 'unknown' || isAgainstItsPrint(label, verdict);
  const cautions = [
    ...(wantsReason === undefined ? [] : [wantsReason]),
    ...(sure ? [] : [`Not proven: ${verdict.headline}.`]),
    ...(room.verdict === 'measure' ? [`${room.text} ${room.wayOut ?? ''}`.trim()] : []),
    ...(fit.substitute === undefined ? [] : [fit.substitute]),
    ...verdict.contradictions.map((one) => one.explanation),
  ];
  const score =
    meets +
    (sure ? WORTH.sure : 0) +
    (logged ? WORTH.logged : 0) +
    (isUnknown ? WORTH.unknownLabel : 0) +
    (label.safety === 'caution' ? WORTH.caution : 0) +
    (slot.clearance === 'tight' ? WORTH.tight : 0) +
    (fit.substitute === undefined ? 0 : WORTH.substitute) +
    WORTH.headroom[room.verdict === 'ok' ? 'ok' : 'measure'];
  const because = [
    sure ? 'Proven by readings' : `${Math.round(100 * meets)} % by what is known`,
    ...(logged ? ['in the log of this model'] : []),
    `${slot.ratingA ?? 0} A slot`,
    fit.note.replace(/\.$/, '').replace(/^T/, 't'),
  ].join(', ');
  return {
    sourceId: slot.id,
    meets,
    sure,
    score,
    because: `${because}.`,
    cautions,
    wantsReason,
    headroom: room,
    fit,
  };
}
