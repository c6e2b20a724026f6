import type { Posterior } from '../belief/posterior';
import { givenBy } from './triggers';
import type { SpeakerPlace } from '../../vehicle';

/** Ends of a speaker, by the role of the device's lead that drives it. */
const ENDS = { speakerPlus: 'plus', speakerMinus: 'minus' } as const;

/** Whether a role is a speaker's lead: its wire is found by trying two together, in no state of the car. */
export function isSpeakerLead(role: string): role is keyof typeof ENDS {
  return role in ENDS;
}

/** A bunch has about so many speaker leads, of which a wire nobody has tried may be any. Common practice: four speakers. */
const LEADS = 8;

/**
 * Chance that a circuit is the lead that is asked for, by entry of `HYPOTHESES` and "none of these" last: once a pop has told
 * which speaker and which end of it a wire is, it is that one and no other.
 */
export function servingLead({
  role,
  speaker,
}: {
  readonly role: string;
  readonly speaker?: SpeakerPlace;
}): (given: Posterior) => Float64Array {
  const whole = givenBy(isSpeakerLead(role) ? role : 'speakerPlus');
  const oneOfThem = whole.map((chance) => chance / LEADS);
  const none = whole.map(() => 0);
  const end = isSpeakerLead(role) ? ENDS[role] : undefined;
  return ({ popped }) => {
    if (popped === undefined) return oneOfThem;
    return popped.speaker === speaker && popped.end === end ? whole : none;
  };
}
