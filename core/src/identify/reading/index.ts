export {
  CONES,
  GLOWS,
  MAX_READING_OHM,
  MAX_READING_V,
  describeValue,
  isPlain,
  senseOf,
} from './reading';
export type { Cone, Glow, Reading, ReadingValue, Sense } from './reading';
export type { LoggedClaim, LoggedLead, ProbeSource } from './source';
export { describeStitch, stitchOf } from './stitch';
export type { Stitch, StitchMark } from './stitch';
