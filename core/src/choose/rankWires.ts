import { fills } from '../identify/need/fills';
import { meetsProbability } from '../identify/need/needs';
import type { Verdict } from '../identify';
import type { Conductor, Joinable } from '../vehicle';
import { describeWireColour, isConductor, markOf, nameOf, parseWireColour } from '../vehicle';
import type { Candidate, RankInput, Unfit } from './candidate';
import { FEEDS_THE_CAR } from './candidate';
import type { LoadKind } from './joinRoom';
import { joinRoom } from './joinRoom';
import { screenSlot } from './screen';

/** What each property of a wire is worth in the ranking, against a certainty between 0 and 1; a slot leaves the wire whole. */
const WORTH = {
  sure: 0.5,
  logged: 0.15,
  splice: -0.3,
  // Nothing is cut, but the car’s own fuse may be far away.
  point: -0.1,
  headroom: { ok: 0.1, measure: -0.25 },
} as const;
/** Below this a wire is not worth showing. */
const SHOWN = 0.15;

/**
 * A wire, a relay socket's terminal or a stud for a feed: a candidate once its readings prove it, for no legend speaks for it; what would serve but for one
 * thing, with the way out; undefined when it is something else.
 */
export function weighWire(wire: Joinable, input: RankInput): Candidate | Unfit | undefined {
  const verdict = input.verdicts.get(wire.id);
  if (verdict === undefined) return undefined;
  const meets = meetsProbability(input.need, verdict.posterior);
  if (meets < SHOWN) return undefined;
  const unfit = whyNot(wire, verdict, input);
  if (unfit !== undefined) return { sourceId: wire.id, ...unfit };
  const feedFuseA = input.feedFuseA?.[wire.id];
  const room = joinRoom(wire, input.currentA, {
    kind: input.kind,
    measuredA: input.measuredA?.[wire.id],
    sharedA: input.sharedA?.[wire.id],
    feedFuseA,
  });
  if (room.verdict === 'refused')
    return { sourceId: wire.id, constraint: room.text, wayOut: room.wayOut ?? '' };
  const isLogged = input.loggedSourceIds.has(wire.id);
  return {
    sourceId: wire.id,
    meets,
    sure: true,
    score:
      meets +
      WORTH.sure +
      (isConductor(wire) ? WORTH.splice : WORTH.point) +
      (isLogged ? WORTH.logged : 0) +
      WORTH.headroom[room.verdict],
    because: `Proven by readings${isLogged ? ', in the log of this model' : ''}, ${joinWords(wire)}${KIND_WORDS[input.kind ?? 'beside']}.`,
    cautions: [
      ...(isConductor(wire)
        ? ['Colours differ between years and trims: this very wire was read, not its colour.']
        : [
            'Live without the key: its lead gets a fuse of its own within 45 cm (18 in), or nothing.',
          ]),
      ...(feedFuseA === undefined && input.kind !== 'given'
        ? ['Which fuse of the car feeds it is not known yet: the added load must fit under it too.']
        : []),
      ...(room.verdict === 'measure' ? [`${room.text} ${room.wayOut ?? ''}`.trim()] : []),
      ...(!isConductor(wire) || wire.alsoFeeds === undefined
        ? []
        : [`It also feeds ${wire.alsoFeeds}.`]),
      ...verdict.contradictions.map((one) => one.explanation),
    ],
    wantsReason: undefined,
    headroom: room,
    fit: undefined,
  };
}

function whyNot(
  wire: Joinable,
  verdict: Verdict,
  input: RankInput,
): Pick<Unfit, 'constraint' | 'wayOut'> | undefined {
  if (input.kind === 'given' && !isConductor(wire)) return FEEDS_THE_CAR;
  if (verdict.fence !== undefined)
    return { constraint: verdict.fence.reason, wayOut: verdict.fence.instruction };
  const feeder = input.slots.find((slot) => slot.id === input.fedBy?.[wire.id]);
  const screening = feeder === undefined ? undefined : screenSlot(feeder);
  if (feeder !== undefined && screening?.class === 'block')
    return {
      constraint: `It is fed by ${feeder.position} ${feeder.legend ?? ''}: ${screening.reason ?? ''}`,
      wayOut: 'Take another source: what that fuse feeds is left alone.',
    };
  if (input.noTrace === true && isConductor(wire))
    return {
      constraint: 'The job must leave no trace; a splice touches the car’s wire.',
      wayOut: 'Take a slot.',
    };
  if (isConductor(wire) && wire.tapedWith !== undefined && input.need.role !== 'amplified')
    return {
      constraint: 'It is taped or twisted with another: a pair is a data line or a speaker’s.',
      wayOut: 'Take a single wire.',
    };
  if (!fills(input.need, verdict))
    return {
      constraint: `Not proven: ${verdict.headline}. No legend speaks for a wire.`,
      wayOut: 'Read it in the states that are left, then it may serve.',
    };
  return undefined;
}

/** What a lead means for the wire, where it is no load beside its own. */
const KIND_WORDS: Record<LoadKind, string> = {
  beside: '',
  inKeysPlace: '; it carries this in the key’s place, not beside it',
  given: '; the device gives current here, it takes none',
};

/** How a lead is joined to it, in a word. */
function joinWords(source: Joinable): string {
  if (isConductor(source)) return `spliced: ${colourOf(source)}`;
  return source.kind === 'stud'
    ? `a ring on stud ${nameOf(source)}`
    : `a spade in terminal ${source.terminal} of the socket`;
}

/** The colour of a wire in words, as it was seen. */
function colourOf(wire: Conductor): string {
  const mark = markOf(wire);
  return mark === undefined ? 'colour not noted' : describeWireColour(parseWireColour(mark));
}
