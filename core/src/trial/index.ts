export { careful, labelFirst, sweep } from './byHand';
export type { Choice } from './byHand';
export { followPlan, planSteps } from './byPlan';
export {
  followHarnessPlan,
  harnessByHand,
  harnessTrial,
  isFullyRight,
  planHarnessSteps,
  roleOfTruth,
} from './harnessTrial';
export type { HarnessEffort, HarnessFound, HarnessTrial } from './harnessTrial';
export { logWithLies } from './logWithLies';
export type { LogQuality } from './logWithLies';
export { NO_SCORE, addScores, scoreOf } from './score';
export type { Score } from './score';
export { LEGEND_SECONDS, sourcesOf, trialCar } from './trialCar';
export type { Effort, TrialCar } from './trialCar';
export { SIGNALS, bunchOf, searchBunch } from './signalTrial';
export type { Signal } from './signalTrial';
export {
  lockKindFound,
  needsFor,
  scoreBunch,
  searchSignals,
  searchSteps,
  secondsByHand,
} from './bunchTrial';
export type { BunchScore, BunchSearch } from './bunchTrial';
export { RADIO_LEADS, radioSteps, scoreRadio, searchRadio } from './radioTrial';
export type { LeadScore, RadioSearch } from './radioTrial';
export { outcomeOf, searchFault, setFault } from './faultTrial';
export type { FaultSearch, SetFault } from './faultTrial';
export { bunchBench } from './bunchBench';
export type { BunchBench, BunchHarm, BunchInstrument } from './bunchBench';
export { JOINT_CHOICES, choiceOf, jointFor, jointOutcome } from './joints';
export type { JoinedLead, JointChoice, JointOutcome } from './joints';
