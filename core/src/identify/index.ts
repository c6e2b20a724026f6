export { advise, newAdviser } from './advise';
export type { FindAdvice, FindSession } from './advise';
export type { Contradiction } from './contradictions';
export type { Fence } from './fence';
export { SURE, fills, isCandidate } from './field';
export type { Until } from './field';
export { LEXICON } from './lexicon';
export type { LexiconEntry, SafetyClass } from './lexicon';
export { LOOK_ALIKES } from './lookAlikes';
export type { LookAlike } from './lookAlikes';
export { NEED_ROLES, meetsProbability, requirementsOf } from './needs';
export type { Need, NeedRole, Requirement } from './needs';
export type { NextAction, Visit } from './nextTest';
export { posterior } from './posterior';
export type { Posterior } from './posterior';
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
export { labelReader, readLabel, readWritten } from './readLabel';
export type { FunctionPrior, LabelReading, Written } from './readLabel';
export type { LoggedClaim, Source } from './source';
export { sharesOf } from './signatures';
export { sourcePrior } from './sourcePrior';
export type { Belief } from './sourcePrior';
export { describeStitch, stitchOf } from './stitch';
export type { Stitch, StitchMark } from './stitch';
export { judge } from './verdict';
export type { Verdict, VerdictStatus } from './verdict';
export { WORK_SECONDS, changeSeconds } from './workCosts';
