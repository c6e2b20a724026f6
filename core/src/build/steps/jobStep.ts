/** State of the car that a step needs, as far as the order of work goes. */
export type StepState = 'any' | 'off' | 'battery off';

/** One step of the work, with what must be done before it. */
export interface JobStep {
  /** Unique within the job, and the same when the plan is made anew, e.g. `fit:memory`. */
  readonly id: string;
  /** What to do, in one sentence. */
  readonly what: string;
  /** Where, e.g. "Dash panel"; steps at one place are done in one go. */
  readonly where: string;
  /** Spots of the body where that is, for its drawing; left out where nobody knows. */
  readonly spots?: readonly string[];
  /** The tool in hand; undefined for bare hands. */
  readonly tool: string | undefined;
  readonly state: StepState;
  /** How long it takes, s. */
  readonly seconds: number;
  /** What can hurt in this very step. */
  readonly cautions: readonly string[];
  /** A wait that runs by itself, s; undefined where nothing is waited for. */
  readonly waitS?: number | undefined;
  /** It can’t be passed over without a reason. */
  readonly hold: boolean;
  /** Steps that must be done before it. */
  readonly after: readonly string[];
}

/** What going from one step to another costs, s: another state of the car, another place, another tool. Our own choice. */
export const CHANGE_S = { state: 60, place: 20, tool: 5 } as const;

/** What it costs to go from one step to the next; nothing before the first. */
export function changeCost(from: JobStep | undefined, to: JobStep): number {
  if (from === undefined) return 0;
  return (
    (from.state === to.state || to.state === 'any' ? 0 : CHANGE_S.state) +
    (from.where === to.where ? 0 : CHANGE_S.place) +
    (from.tool === to.tool || to.tool === undefined ? 0 : CHANGE_S.tool)
  );
}
