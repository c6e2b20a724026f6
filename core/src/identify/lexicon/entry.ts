import type { CircuitFunction } from '../../vehicle';

/** How far a circuit may be used: `block` never, `caution` with a reason, `free` when its function fits. */
export type SafetyClass = 'block' | 'caution' | 'free' | 'unknown';

/** Relative weights over functions that a label suggests; what is missing weighs little. */
export type FunctionWeights = Partial<Record<CircuitFunction, number>>;

/** One term found on fuse legends. */
export interface LexiconEntry {
  /** Spellings, upper case without punctuation. */
  readonly terms: readonly string[];
  readonly meaning: string;
  readonly safety: Exclude<SafetyClass, 'unknown'>;
  /** Why it is blocked or cautious; shown to the installer. */
  readonly reason: string | undefined;
  readonly weights: FunctionWeights;
}

/** Live always. */
export const CONSTANT: FunctionWeights = { constant: 8, timedConstant: 2 };
/** Accessory contact. */
export const ACCESSORY: FunctionWeights = {
  accessory: 7,
  retainedAccessory: 1.5,
  ignitionRun: 1,
  ignitionRunCrank: 0.5,
  constant: 0.7,
};
/** Sockets: constant in one car, switched in the next. */
export const SOCKET: FunctionWeights = {
  accessory: 5,
  constant: 2,
  timedConstant: 0.7,
  retainedAccessory: 1,
  ignitionRun: 1,
  ignitionRunCrank: 0.4,
};
/** A radio has a constant and a switched feed. */
export const RADIO: FunctionWeights = {
  constant: 4,
  timedConstant: 1,
  accessory: 4,
  retainedAccessory: 1.5,
  ignitionRun: 0.5,
};
/** Ignition, through cranking or not. */
export const IGNITION: FunctionWeights = {
  ignitionRun: 4.5,
  ignitionRunCrank: 5.5,
  accessory: 0.7,
};
/** Heavy consumers are relieved while cranking (contact X of the ignition switch); common practice. */
export const RUN: FunctionWeights = { ignitionRun: 8, ignitionRunCrank: 1, accessory: 1 };
/** Instruments have to show while cranking; common practice. */
export const GAUGES: FunctionWeights = { ignitionRunCrank: 6, ignitionRun: 2.5, accessory: 0.5 };
/** Starter contact. */
export const STARTER: FunctionWeights = { starter: 8, constant: 1 };
/** With the lamps. */
export const LAMPS: FunctionWeights = { lamps: 9, constant: 0.5 };
/** Courtesy lamps: constant, often timed. */
export const COURTESY: FunctionWeights = { constant: 5, timedConstant: 4 };
/** May be anything. */
export const UNSURE: FunctionWeights = {
  constant: 1,
  timedConstant: 0.5,
  accessory: 1,
  retainedAccessory: 0.5,
  ignitionRun: 1,
  ignitionRunCrank: 1,
};

/** A term that is never used. */
export function block(
  terms: readonly string[],
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms, meaning, safety: 'block', reason, weights };
}

/** A term used only with a reason. */
export function caution(
  terms: readonly string[],
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms, meaning, safety: 'caution', reason, weights };
}

/** A term that may serve where its function fits. */
export function free(
  terms: readonly string[],
  meaning: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms, meaning, safety: 'free', reason: undefined, weights };
}
