export { LEAST_OHM, MOST_SPEAKERS, arrangementsOf, speakerLoad } from './speakerLoad';
export type { Arrangement, Branches } from './speakerLoad';
export { REVERSED_SOUND, WHOLE_CAR, phaseTests, phaseVerdict } from './phase';
export type { Heard, PhaseTest, PhaseVerdict } from './phase';
export { POWER_HALF, SPEAKER_HALF, seenFromTheWheel } from './radioPlug';
export type { PlugCavity } from './radioPlug';
