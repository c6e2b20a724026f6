import { isSpeakerLead } from '@lucky-thread/core/identify/needs';
import { SPEAKER_PLACES } from '@lucky-thread/core/vehicle';
import { ValidateBy } from 'class-validator';

/** A speaker's lead says which speaker it drives, and no other lead does. */
export function SpeakerOf(): PropertyDecorator {
  return ValidateBy({
    name: 'speakerOf',
    validator: {
      validate: (speaker: unknown, args) =>
        isLead(args?.object)
          ? SPEAKER_PLACES.some((one) => one === speaker)
          : speaker === undefined,
      defaultMessage: (args) =>
        isLead(args?.object)
          ? `say which speaker it drives: ${SPEAKER_PLACES.join(', ')}`
          : 'only a speaker’s lead drives a speaker',
    },
  });
}

function isLead(of: object | undefined): boolean {
  const { role } = (of ?? {}) as { readonly role?: unknown };
  return typeof role === 'string' && isSpeakerLead(role);
}
