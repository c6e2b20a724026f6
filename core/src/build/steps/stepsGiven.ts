import type { Schools } from '../../choose';
import type { Guide } from './guides';
import type { Passage } from '../body/bodyGraph';
import type { PlannedTap } from './plannedTap';

/** A lead of the job, as the order of work needs it. */
export interface StepLead {
  /** How and where it is joined. */
  readonly tap: PlannedTap;
  /** Place of its source. */
  readonly place: string;
  /** How one gets at that place. */
  readonly access: readonly string[];
  /** To get at its place, s. */
  readonly accessS: number;
  /** What that takes; undefined for bare hands. */
  readonly accessTool: string | undefined;
  /** Where it runs; empty while nobody knows. */
  readonly passages: readonly Passage[];
  /** What others have noted at this very source. */
  readonly notes?: readonly string[];
  /** What slides onto it before its joint is made. */
  readonly slideOn: readonly string[];
}

/** What the order of work is made from. */
export interface StepsGiven {
  /** The leads of the job. */
  readonly leads: readonly StepLead[];
  readonly device: {
    readonly name: string;
    /** Where it is mounted, e.g. "windscreen, top". */
    readonly mount: string;
    readonly cautions: readonly string[];
    /** It can crank the engine by itself. */
    readonly starts: boolean;
    /** It burns fuel for heat. */
    readonly heats?: boolean;
    /** It feeds speakers. */
    readonly sounds?: boolean;
    /** The car must be given back as it was. */
    readonly noTrace?: boolean;
  };
  /** Spots of the body by the names that steps have for places; left out while nobody knows. */
  readonly spots?: ReadonlyMap<string, string> | undefined;
  /** How thick the leads are that lie together in a passage, by its id, mm; undefined while nobody knows. */
  readonly bundles?: ReadonlyMap<string, number> | undefined;
  readonly ground: { readonly place: string; readonly ring: string | undefined };
  /** The shop’s school. */
  readonly battery: Schools['battery'];
  /** How the device is set up, by which guide; undefined where there is nothing to set. */
  readonly setUp?:
    | {
        readonly guide: string;
        /** The one that was in the box; undefined while nobody has looked. */
        readonly inBox?: Guide | undefined;
        readonly dated?: string | undefined;
        readonly steps: readonly {
          readonly say: string;
          readonly seconds?: number | undefined;
          readonly answer?: string | undefined;
        }[];
      }
    | undefined;
  /** What the log and the handbook warn of on this model, at the place that each belongs to. */
  readonly notes: readonly { readonly place: string; readonly text: string }[];
}
