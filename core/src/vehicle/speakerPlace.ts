/** Where a car has its speakers, in the words that installers say. */
export const SPEAKER_PLACES = [
  'front left',
  'front right',
  'rear left',
  'rear right',
  'left tweeter',
  'right tweeter',
  'centre',
] as const;
/** One of them. */
export type SpeakerPlace = (typeof SPEAKER_PLACES)[number];
