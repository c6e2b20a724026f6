import type { CircuitFunction, StitchPlace } from '../../vehicle';

/** Which speaker's lead a log says that a wire is. */
export interface LoggedLead {
  /** The speaker, in the installer's words. */
  readonly speaker: string;
  /** Which end of it. */
  readonly end: 'plus' | 'minus';
}

/** What the model's log already claims about a source, weighed for this vehicle. */
export interface LoggedClaim {
  readonly tapPointId: string;
  /** What the log says it is. */
  readonly function: CircuitFunction;
  /** How probable the claim is for this vehicle, 0 to 1. */
  readonly probability: number;
  /** Places the log's reading matrix has seen. */
  readonly seen: readonly StitchPlace[];
  /** Of a speaker's lead: which it was; left out: not told. */
  readonly lead?: LoggedLead | undefined;
}

/**
 * From here up a reading or two confirm a claim, and most of what it saw need not be seen again. Logs hold lies: a
 * claim below this is a prior like a legend, and its source is read wherever look-alikes pass for it.
 */
export const TRUSTED_CLAIM = 0.97;

/** One wire of a cut bunch as it can be seen. */
export interface CutWire {
  /** Colour as seen, IEC 60757 codes such as `BU/PK`; undefined when it can't be told. */
  readonly colour: string | undefined;
  /** Wire that it is taped or twisted with. */
  readonly tapedWith: string | undefined;
  /** Which speaker's lead the model's log says that it is; left out: nothing is logged. */
  readonly lead?: LoggedLead | undefined;
}

/** A place that could feed a device, as the identification sees it: nothing of the truth, only what is printed and logged. */
export interface ProbeSource {
  readonly id: string;
  /** Name used in instructions, e.g. "F12". */
  readonly name: string;
  /** As printed at it; undefined when nothing is. */
  readonly legend: string | undefined;
  /** What the handbook says of it, typed in; null: looked up, and nothing found. Left out: nobody has looked. */
  readonly handbook?: string | null | undefined;
  /** Fuse fitted; an empty position can be probed at its contacts only. */
  readonly fitted: boolean;
  /** Whether any tap fits; a source that can't be tapped is not worth a test. */
  readonly tappable: boolean;
  /** What the model’s log says of it; undefined when nothing. */
  readonly logged: LoggedClaim | undefined;
  /**
   * A fuse slot; a single wire, which can have functions that slots never have; or a point of supply: a terminal or a stud,
   * which is fed, grounded or dead and nothing else. Left out: a slot.
   */
  readonly kind?: 'slot' | 'wire' | 'point';
  /** Functions that a wire's bunch is searched for besides supplies; left out: none. */
  readonly sought?: readonly CircuitFunction[] | undefined;
  /** Rating of the fuse found, A; left out: not known. */
  readonly ratingA?: number | undefined;
  /** How a wire of a cut bunch looks: only there may 9 V be touched to it. Left out: it is not cut, or no wire. */
  readonly cut?: CutWire | undefined;
  /** Work to get at its place, s; left out: it lies open. */
  readonly reachS?: number | undefined;
}

/** Whether a legend may stand at it: only slots have one. */
export function canHaveLegend({ kind = 'slot' }: Pick<ProbeSource, 'kind'>): boolean {
  return kind === 'slot';
}
