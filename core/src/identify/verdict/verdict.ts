import type { Posterior } from '../belief/posterior';
import type { LookAlike } from '../circuit/lookAlikes';
import type { LoggedClaim } from '../reading/source';
import type { Stitch } from '../reading/stitch';
import type { CircuitFunction } from '../../vehicle';
import type { Contradiction } from './contradictions';
import type { Fence } from './fence';

/** How far a verdict goes. Only `resolved` names a function. */
export type VerdictStatus = 'unread' | 'open' | 'unresolved' | 'resolved' | 'contradicted';

/** What a source is, how sure, from which readings, and what is still open. */
export interface Verdict {
  readonly sourceId: string;
  /** How far it goes. */
  readonly status: VerdictStatus;
  /** The function, once nothing that looks like it is left open. */
  readonly function: CircuitFunction | undefined;
  /** The likeliest function so far, named or not. */
  readonly leading: CircuitFunction;
  /** Probability of `leading`. */
  readonly certainty: number;
  /** One line in plain words. */
  readonly headline: string;
  /** Functions with more than a trace of probability, likeliest first. */
  readonly ranked: readonly { readonly function: CircuitFunction; readonly probability: number }[];
  /** Places still to be seen before `leading` may be named. */
  readonly missing: readonly LookAlike[];
  /** Readings that `leading` expects, and those it does not, by id. */
  readonly support: readonly string[];
  /** Ids of readings that `leading` does not expect. */
  readonly against: readonly string[];
  /** Places where its readings disagree. */
  readonly contradictions: readonly Contradiction[];
  /** What was seen, place by place. */
  readonly stitch: Stitch;
  /** Probabilities of every function and hypothesis. */
  readonly posterior: Posterior;
  /** Why to stop here, and which instrument not to use; undefined when it may be probed. */
  readonly fence: Fence | undefined;
  /** What the model's log claims of it. */
  readonly claim: LoggedClaim | undefined;
  /** A live reading here agrees with what the log claims, and the claim can be trusted. */
  readonly confirmsLog: boolean;
}
