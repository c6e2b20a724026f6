import type { JobView, ModelView, ShopSettings, TapPointView } from '@lucky-thread/contract';

/** A job with everything that is worked out from it. */
export interface JobContext {
  /** The job itself. */
  readonly job: JobView;
  /** The model of its car. */
  readonly model: ModelView;
  /** What others logged on the model, the newest of each slot, and what this job logged. */
  readonly taps: readonly TapPointView[];
  /** How the shop works. */
  readonly settings: ShopSettings;
}

/** The tap point of another job at a slot; undefined without any. */
export function tapOfOthers(
  { job, taps }: Pick<JobContext, 'taps'> & { readonly job: Pick<JobView, 'id'> },
  sourceId: string,
): TapPointView | undefined {
  return taps.find((tap) => tap.sourceId === sourceId && tap.jobId !== job.id);
}
