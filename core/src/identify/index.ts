export { advise, newAdviser } from './advise';
export type { FindAdvice, FindSession } from './advise';
export type { Contradiction } from './verdict/contradictions';
export type { Fence } from './verdict/fence';
export { isCandidate } from './need/findScope';
export { fills } from './need/fills';
export { SURE } from './need/thresholds';
export type { Until } from './need/findScope';
export { LEXICON } from './legend/lexicon';
export type { LexiconEntry, SafetyClass } from './legend/lexicon';
export { LOOK_ALIKES } from './circuit/lookAlikes';
export type { LookAlike } from './circuit/lookAlikes';
export {
  NEED_ROLES,
  isSpeakerLead,
  meetsProbability,
  requirementsOf,
  soughtBy,
} from './need/needs';
export type { Need, NeedRole } from './need/needs';
export type { Requirement } from './need/serving';
export { TRIGGER_ROLES, isShared, isTrigger, mayShareWire, placesOfTrigger } from './need/triggers';
export type { TriggerRole } from './need/triggers';
export type { NextAction, Visit } from './plan/nextAction';
export { workedBy } from './signals/workedBy';
export { ROLE_WORDS } from './need/roleWords';
export { isAt, poppedAs } from './belief/pairEvidence';
export type { Popped } from './belief/pairEvidence';
export { posterior } from './belief/posterior';
export type { Posterior } from './belief/posterior';
export { readLabel, readOnce, readWritten } from './legend/readLabel';
export type { FunctionPrior, LabelReading, Written } from './legend/readLabel';
export { sharesOf } from './circuit/hypotheses';
export { sourcePrior } from './belief/sourcePrior';
export type { Belief } from './belief/sourcePrior';
export {
  CONES,
  GLOWS,
  MAX_READING_OHM,
  MAX_READING_V,
  describeStitch,
  describeValue,
  isPlain,
  senseOf,
  stitchOf,
} from './reading';
export type {
  Cone,
  Glow,
  LoggedClaim,
  LoggedLead,
  ProbeSource,
  Reading,
  ReadingValue,
  Sense,
  Stitch,
  StitchMark,
} from './reading';
export { judgeSource as judge } from './judgeSource';
export type { Verdict, VerdictStatus } from './verdict/verdict';
export { WORK_SECONDS, changeSeconds } from './visit/workCosts';
export { visitState } from './visit/visitState';
