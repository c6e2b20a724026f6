import type {
  ClosingRequest,
  FeedPlanInput,
  HarnessWireInput,
  JobView,
  Phase,
  PutRouteRequest,
  SeeSlotRequest,
  SeenScope,
  ShowProofRequest,
  StandingRequest,
  StepRequest,
} from '@lucky-thread/contract';
import type { StitchPlace } from '@lucky-thread/core/vehicle';

/** Where a command goes: the path below the job, and what is sent. */
export interface Sent {
  readonly path: string;
  readonly body?: object;
}

/** What every kind of command on a job knows of itself. */
export interface CommandKind<Body> {
  /** The job with the command done, before the server has it; done twice it is the same. */
  readonly apply: (job: JobView, command: Made<Body>) => JobView;
  /** The version that it is made on, where what it changes has one. */
  readonly base?: (job: JobView, body: Body) => string | null;
  /** How it is sent. */
  readonly sent: (command: Made<Body>) => Sent;
  /** What it means that somebody else was faster; undefined where that cannot be. */
  readonly stale: string | undefined;
}

/** A command as it was made: the change, its id, and when. */
export interface Made<Body> {
  /** Id of the command, and its place in the order of making. */
  readonly key: string;
  /** When, ISO 8601. */
  readonly at: string;
  /** The last change before it of what it changes; null where there was none, or where none matters. */
  readonly base: string | null;
  readonly body: Body;
}

/** What each kind of command carries. */
export interface Bodies {
  readonly plan: {
    readonly feedId: string;
    readonly plan: FeedPlanInput | null;
  };
  readonly wires: { readonly wires: readonly HarnessWireInput[] };
  readonly slot: {
    readonly placeId: string;
    readonly position: string;
    readonly marks: SeeSlotRequest['marks'];
    readonly holds: SeenScope;
  };
  readonly phase: { readonly phase: Phase };
  readonly defer: { readonly place: StitchPlace; readonly left: boolean };
  readonly standing: Pick<StandingRequest, 'waitsFor' | 'reopened' | 'day'>;
  readonly route: Pick<PutRouteRequest, 'route'>;
  readonly step: { readonly stepId: string } & Pick<StepRequest, 'done' | 'reason'>;
  readonly closing: { readonly item: string } & Pick<ClosingRequest, 'done' | 'value'>;
  readonly proof: Omit<ShowProofRequest, 'at'>;
  readonly proofWithdrawal: { readonly proofId: string };
}

/** A change to a job. */
export type JobChangeBody = {
  [Kind in keyof Bodies]: { readonly kind: Kind; readonly body: Bodies[Kind] };
}[keyof Bodies];
