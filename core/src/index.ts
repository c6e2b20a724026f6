/** The small interface that drives a whole session with plain objects, for scripts outside; see README.md. */
export { rankSets } from './choose';
export { advise, newAdviser } from './identify';
export type {
  FindAdvice,
  FindSession,
  Need,
  NextAction,
  Reading,
  ProbeSource,
  Verdict,
} from './identify';
export { adviseHarness } from './identify/harness';
export type { HarnessAdvice, HarnessSession, HarnessWire } from './identify/harness';
export { PARKED, nextState, stateAt } from './vehicle';
export type { VehicleState } from './vehicle';
