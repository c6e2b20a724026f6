import type { LabelReading, Need, Verdict, Written } from '../identify';
import type { Inrush } from '../size';
import type { Conductor, Slot } from '../vehicle';
import type { Headroom } from './headroom';
import type { HolderFit } from './holders';

/** A slot or wire that is considered for a feed. */
export interface Candidate {
  readonly sourceId: string;
  /** Probability that its function meets the feed's need. */
  readonly meets: number;
  /** Whether the identification is done with it; an unfinished one may be chosen only with a warning. */
  readonly sure: boolean;
  readonly score: number;
  /** One sentence that explains its place. */
  readonly because: string;
  readonly cautions: readonly string[];
  /** What its legend warns of: it may be chosen with a reason, which goes into the log; undefined when free. */
  readonly wantsReason: string | undefined;
  readonly headroom: Headroom;
  /** How a fuse tap goes in; undefined at a wire. */
  readonly fit: Extract<HolderFit, { fits: true }> | undefined;
}

/** A slot that may not serve, with the reason. */
export interface Blocked {
  readonly sourceId: string;
  readonly reason: string;
}

/** A slot that would serve but for one constraint, and the cheapest way out. */
export interface Unfit {
  readonly sourceId: string;
  readonly constraint: string;
  readonly wayOut: string;
}

/** What candidates are ranked from. */
export interface RankInput {
  readonly slots: readonly Slot[];
  /** Wires that lie open; none when left out. */
  readonly wires?: readonly Conductor[] | undefined;
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly need: Need;
  /** Current of the feed at 12 V, A. */
  readonly currentA: number;
  readonly inrush?: Inrush | undefined;
  /** Slots with a verified tap point for this function in the model's log. */
  readonly loggedSourceIds: ReadonlySet<string>;
  /** Original loads measured with a clamp, A by slot. */
  readonly measuredA?: Readonly<Record<string, number>> | undefined;
  /** What taps that are in a slot already feed, A by slot. */
  readonly sharedA?: Readonly<Record<string, number>> | undefined;
  /** Reads legends; pass one reader for several feeds so that each is read once. */
  readonly read?: ((written: Written) => LabelReading) | undefined;
}

/** Every slot in one of three lists: what could serve, what must not, and what fails on one constraint. */
export interface Ranking {
  readonly candidates: readonly Candidate[];
  readonly blocked: readonly Blocked[];
  readonly unfit: readonly Unfit[];
}
