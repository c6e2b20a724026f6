import type { CircuitFunction } from '../../../vehicle';

/** How far a circuit may be used: `block` never, `caution` with a reason, `free` when its function fits. */
export type SafetyClass = 'block' | 'caution' | 'free' | 'unknown';

/** Relative weights over functions that a label suggests; what is missing weighs little. */
export type FunctionWeights = Partial<Record<CircuitFunction, number>>;

/** What one circuit is called on fuse legends. */
export interface LexiconEntry {
  /** Spellings, upper case without punctuation. */
  readonly terms: readonly string[];
  /** What the circuit is, in plain words. */
  readonly meaning: string;
  /** How safe it is to tap. */
  readonly safety: Exclude<SafetyClass, 'unknown'>;
  /** Why it is blocked or cautious; shown to the installer. */
  readonly reason: string | undefined;
  /** How likely it is to have each function, against the others. */
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
/** Windows, mirrors, seats under one fuse. */
export const COMFORT: FunctionWeights = {
  constant: 4,
  timedConstant: 1,
  retainedAccessory: 2,
  ignitionRun: 2.5,
  accessory: 0.5,
};
/** May be anything. */
export const UNSURE: FunctionWeights = {
  constant: 1,
  timedConstant: 0.5,
  accessory: 1,
  retainedAccessory: 0.5,
  ignitionRun: 1,
  ignitionRunCrank: 1,
};

/** Terms that are never used; spellings divided by `|`. */
export function block(
  terms: string,
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms: termsOf(terms), meaning, safety: 'block', reason, weights };
}

/** Terms used only with a reason. */
export function caution(
  terms: string,
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms: termsOf(terms), meaning, safety: 'caution', reason, weights };
}

/** Terms that may serve where their function fits. */
export function free(terms: string, meaning: string, weights: FunctionWeights): LexiconEntry {
  return { terms: termsOf(terms), meaning, safety: 'free', reason: undefined, weights };
}

function termsOf(list: string): readonly string[] {
  return list.split('|').map((term) => term.trim());
}
