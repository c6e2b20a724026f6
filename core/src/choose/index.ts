export { orientationFrom, tapCurrents } from './orientation';
export type { ContactReading, Orientation, TapCurrents } from './orientation';
export { rankCandidates } from './rankCandidates';
export type { Blocked, Candidate, RankInput } from './rankCandidates';
export { screenSlot, tapFit } from './screen';
export type { Screening } from './screen';
