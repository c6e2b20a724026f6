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
  /** Address below `/api`. */
  readonly path: string;
  /** What is sent as JSON. */
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
  /** What it changes. */
  readonly body: Body;
}

/** What each kind of command carries. */
export interface Bodies {
  /** A feed's plan; null takes it back. */
  readonly plan: {
    readonly feedId: string;
    readonly plan: FeedPlanInput | null;
  };
  /** The wires of the cut harness as a whole. */
  readonly wires: { readonly wires: readonly HarnessWireInput[] };
  /** What was seen at a slot of this car. */
  readonly slot: {
    readonly placeId: string;
    readonly position: string;
    readonly marks: SeeSlotRequest['marks'];
    readonly holds: SeenScope;
  };
  /** Where the job stands. */
  readonly phase: { readonly phase: Phase };
  /** A place that is put off, or taken up again. */
  readonly defer: { readonly place: StitchPlace; readonly left: boolean };
  /** What the job waits for, and on which day it is. */
  readonly standing: Pick<StandingRequest, 'waitsFor' | 'reopened' | 'day'>;
  /** Where the leads run. */
  readonly route: Pick<PutRouteRequest, 'route'>;
  /** A step of the work that is done, or not any more. */
  readonly step: { readonly stepId: string } & Pick<StepRequest, 'done' | 'reason'>;
  /** What was found before the hand-over. */
  readonly closing: { readonly item: string } & Pick<ClosingRequest, 'done' | 'value'>;
  /** A proof with the readings that it names. */
  readonly proof: Omit<ShowProofRequest, 'at'>;
  /** A proof that no longer counts. */
  readonly proofWithdrawal: { readonly proofId: string };
}

/** A change to a job. */
export type JobChangeBody = {
  [Kind in keyof Bodies]: { readonly kind: Kind; readonly body: Bodies[Kind] };
}[keyof Bodies];
