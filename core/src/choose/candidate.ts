import type { Need, Verdict } from '../identify';
import type { Inrush } from '../size';
import type { Joinable, Slot } from '../vehicle';
import type { Headroom } from './headroom';
import type { HolderFit } from './holders';
import type { LoadKind } from './joinRoom';

/** A slot or wire that is considered for a feed. */
export interface Candidate {
  readonly sourceId: string;
  /** Probability that its function meets the feed's need. */
  readonly meets: number;
  /** Whether the identification is done with it; an unfinished one may be chosen only with a warning. */
  readonly sure: boolean;
  /** Worth for the feed; more is better, comparable within one feed only. */
  readonly score: number;
  /** One sentence that explains its place. */
  readonly because: string;
  /** What to mind, most important first. */
  readonly cautions: readonly string[];
  /** What its legend warns of: it may be chosen with a reason, which goes into the log; undefined when free. */
  readonly wantsReason: string | undefined;
  /** Whether the source carries both loads. */
  readonly headroom: Headroom;
  /** How a fuse tap goes in; undefined at a wire. */
  readonly fit: Extract<HolderFit, { fits: true }> | undefined;
}

/** A slot that may not serve, with the reason. */
export interface Blocked {
  readonly sourceId: string;
  /** Why it must stay untouched. */
  readonly reason: string;
}

/** A slot that would serve but for one constraint, and the cheapest way out. */
export interface Unfit {
  readonly sourceId: string;
  /** The one thing that keeps it from serving. */
  readonly constraint: string;
  /** The cheapest way round that. */
  readonly wayOut: string;
}

/** Why a lead that gives current to the car goes to no slot and no terminal. Common practice. */
export const FEEDS_THE_CAR: Pick<Unfit, 'constraint' | 'wayOut'> = {
  constraint:
    'The device gives current to the car here: from a fuse’s place it would feed the rest of the circuit backwards through one fuse.',
  wayOut: 'Join it to the wire behind the key or the switch.',
};

/** What candidates are ranked from. */
export interface RankInput {
  /** All slots of the model. */
  readonly slots: readonly Slot[];
  /** Wires that lie open, terminals and studs; none when left out. */
  readonly wires?: readonly Joinable[] | undefined;
  /** Nothing may stay behind, so that no wire is touched; may when left out. */
  readonly noTrace?: boolean | undefined;
  /** What each source is taken for, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** What the feed asks of its source. */
  readonly need: Need;
  /** Current of the feed at 12 V, A. */
  readonly currentA: number;
  /** What the lead means for a wire that it is joined to; a load beside its own when left out. */
  readonly kind?: LoadKind | undefined;
  /** What flows at switching on; undefined when nobody knows. */
  readonly inrush?: Inrush | undefined;
  /** Slots with a verified tap point for this function in the model's log. */
  readonly loggedSourceIds: ReadonlySet<string>;
  /** Original loads measured with a clamp, A by slot. */
  readonly measuredA?: Readonly<Record<string, number>> | undefined;
  /** What taps that are in a slot already feed, A by slot. */
  readonly sharedA?: Readonly<Record<string, number>> | undefined;
  /** Fuses of the car that feed wires, terminals and studs, A by source; left out where nobody has found it. */
  readonly feedFuseA?: Readonly<Record<string, number>> | undefined;
  /** The slots that those fuses are in, by source. */
  readonly fedBy?: Readonly<Record<string, string>> | undefined;
  /** Damage that is known at sources of this model, in words, by source: nothing is joined there (H14). */
  readonly damage?: Readonly<Record<string, string>> | undefined;
}

/** Every slot in one of three lists: what could serve, what must not, and what fails on one constraint. */
export interface Ranking {
  /** What could serve, best first. */
  readonly candidates: readonly Candidate[];
  /** What must not, whatever its readings say. */
  readonly blocked: readonly Blocked[];
  /** What would, but for one thing. */
  readonly unfit: readonly Unfit[];
}
