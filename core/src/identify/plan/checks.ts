import type { StitchPlace, VehicleState } from '../../vehicle';
import type { FindScope } from '../need/findScope';

/** One place where a source is still to be read for a need. */
export interface Check {
  /** Where the source is to be read. */
  readonly place: StitchPlace;
  /** Share of the doubt that the expected reading takes away, 0 to 1. */
  readonly gain: number;
  /** The outcome that speaks for the source; left out where none does in particular. */
  readonly expectLive?: boolean;
}

/** What is left to read at a source for a need, what that takes, and what it leaves open. */
export interface Checks {
  /** What is still to be read before it may serve. */
  readonly checks: readonly Check[];
  /** Expected seconds until it is settled, given up at the first reading that speaks against it. */
  readonly seconds: number;
  /** Chance that it is safety-critical even if every check comes out as hoped, 0 to 1. */
  readonly danger: number;
}

/** What the plan has to go by besides the readings. */
export interface Circumstances {
  /** Where the car stands now. */
  readonly state: VehicleState;
  /** Places the installer can't or won't bring the car to now. */
  readonly cannot: readonly StitchPlace[];
  /** A filament lamp is at hand beside the meter. */
  readonly lamp: boolean;
  /** Sources are followed as far as their checks go, also where these are not expected to settle them. */
  readonly evenUnsettled?: boolean;
}

/** Everything besides need and verdict that checks follow from. */
export type Given = Circumstances & { readonly until: FindScope['until'] };
