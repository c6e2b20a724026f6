import type { SpeakerPlace } from '../vehicle';
import { SPEAKER_PLACES } from '../vehicle';

/** What was heard of two speakers together: fuller as they are wired, or fuller with one of them swapped. */
export type Heard = 'asWired' | 'swapped';

/** One comparison: two speakers alone, by balance and fader. */
export interface PhaseTest {
  /** The one that all are held against. */
  readonly against: SpeakerPlace;
  /** The one that is listened to. */
  readonly speaker: SpeakerPlace;
  /** What to do, in one sentence. */
  readonly how: string;
}

/** What the comparisons come to. */
export type PhaseVerdict =
  | { readonly kind: 'open'; readonly next: PhaseTest }
  | { readonly kind: 'right' }
  /** Plus and minus of these are the other way round, at the joint. */
  | {
      readonly kind: 'swap';
      readonly speakers: readonly SpeakerPlace[];
      /** Half of them against the other half: the ear can't tell which half is right, a cell can. */
      readonly eitherHalf: boolean;
    };

/** What a speaker sounds like that is wired the wrong way round. Common practice. */
export const REVERSED_SOUND =
  'thin bass that comes back when one speaker is turned off, and voices beside the car instead of before it.';

/** The whole car at once, before any two are compared. Common practice. */
export const WHOLE_CAR =
  'Balance and fader to the middle, one voice with a deep bass, in mono. Bass full and the voice in the middle: done.';

/** The comparisons in the order of work: front against front first, then each other speaker against the first. */
export function phaseTests(speakers: readonly SpeakerPlace[]): readonly PhaseTest[] {
  const [against, ...others] = SPEAKER_PLACES.filter((one) => speakers.includes(one));
  if (against === undefined) return [];
  return others.map((speaker) => ({
    against,
    speaker,
    how: `${raised(against)} and ${speaker} alone, by balance and fader: listen, swap plus and minus of ${speaker}, listen again, swap back.`,
  }));
}

/**
 * Which speakers are the wrong way round. Each is with the first one or against it; the fewer of the two are reversed, for
 * whoever wires by one rule errs seldom.
 *
 * @param heard what each comparison with the first speaker came to
 * @param coneSeen the first one's cone was seen to move out with plus on plus, so that it is right itself
 */
export function phaseVerdict(
  speakers: readonly SpeakerPlace[],
  heard: Partial<Record<SpeakerPlace, Heard>>,
  coneSeen = false,
): PhaseVerdict {
  const tests = phaseTests(speakers);
  const next = tests.find(({ speaker }) => heard[speaker] === undefined);
  if (next !== undefined) return { kind: 'open', next };
  const [against] = SPEAKER_PLACES.filter((one) => speakers.includes(one));
  const opposed = tests.flatMap(({ speaker }) => (heard[speaker] === 'swapped' ? [speaker] : []));
  if (opposed.length === 0 || against === undefined) return { kind: 'right' };
  const agreed = [
    against,
    ...tests.flatMap(({ speaker }) => (opposed.includes(speaker) ? [] : [speaker])),
  ];
  const isOdd = !coneSeen && agreed.length < opposed.length;
  return {
    kind: 'swap',
    speakers: isOdd ? agreed : opposed,
    eitherHalf: !coneSeen && agreed.length === opposed.length,
  };
}

function raised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
