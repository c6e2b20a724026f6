import { FeedPlanInput, modelName } from '@lucky-thread/contract';
import type {
  ClosingFound,
  FeedInput,
  HarnessWireInput,
  JobSummary,
  JobView,
  SlotSeen,
  StepDone,
} from '@lucky-thread/contract';
import type { jobs, models } from '../db/schema';
import { Unreadable, readable } from '../http/stored';
import type { ProofJson } from './jobColumns';

/** What every view of a job needs. */
interface SummaryRow {
  readonly job: typeof jobs.$inferSelect;
  readonly model: Pick<
    typeof models.$inferSelect,
    'make' | 'model' | 'generation' | 'yearFrom' | 'yearTo'
  >;
}

/** A job's row with what hangs on it. */
export interface JobRow extends SummaryRow {
  /** Feeds of the device in order. */
  readonly feeds: readonly FeedInput[];
  /** Their plans; a feed without one has none yet. */
  readonly plan: readonly FeedPlanInput[];
  /** Version of each plan, by feed id. */
  readonly planVersions: Readonly<Record<string, string>>;
  /** Proofs given, oldest first. */
  readonly proofs: readonly ProofJson[];
  /** Wires of the cut harness. */
  readonly wires: readonly HarnessWireInput[];
  /** What was seen at slots of this car, beside the model. */
  readonly seen: readonly SlotSeen[];
  /** Steps of the work that are done. */
  readonly steps: readonly StepDone[];
  /** What was found before the hand-over. */
  readonly closing: readonly ClosingFound[];
  /** Feeds with a tap point in the log. */
  readonly loggedFeedIds: readonly string[];
  /** Name of the person who began it. */
  readonly createdBy: string;
}

/** A job's row as lists need it. */
export interface JobSummaryRow extends SummaryRow {
  /** Whether every feed that needs a tap point has one. */
  readonly done: boolean;
}

/**
 * What a list shows of a job.
 *
 * @throws Unreadable when it could not be made into rows.
 */
export function jobSummary({ job, model, done }: JobSummaryRow): JobSummary {
  return { ...headOf({ job, model }), year: job.year, deviceName: job.deviceName, done };
}

/**
 * A stored job as the client sees it.
 *
 * @throws Unreadable when it could not be made into rows.
 */
export function jobView(row: JobRow): JobView {
  const { job, model } = row;
  const outside = job.year < model.yearFrom || job.year > model.yearTo;
  return {
    ...headOf(row),
    vehicle: {
      modelId: job.modelId,
      year: job.year,
      trim: job.trim,
      market: job.market,
      steering: job.steering,
      ...(job.noTrace === null ? {} : { noTrace: job.noTrace }),
      ...(job.vin === null ? {} : { vin: job.vin }),
    },
    device: {
      name: job.deviceName,
      ...(job.deviceFamily === null ? {} : { family: job.deviceFamily }),
      ...(job.deviceSetUp === null ? {} : { setUp: job.deviceSetUp }),
      ...(job.deviceFittedWith === null ? {} : { fittedWith: job.deviceFittedWith }),
      feeds: [...row.feeds],
    },
    plan: row.plan.map((one) => readable(FeedPlanInput, one, 'The job')),
    planVersions: row.planVersions,
    proofs: row.proofs.map((one) => ({ ...one, shownAt: new Date(one.shownAt).toISOString() })),
    harness: row.wires,
    seen: row.seen,
    route: job.route,
    steps: row.steps.map((one) => ({ ...one, at: new Date(one.at).toISOString() })),
    closing: row.closing.map((one) => ({ ...one, at: new Date(one.at).toISOString() })),
    wiresVersion: job.wiresCommandId,
    version: job.version,
    createdAt: job.createdAt.toISOString(),
    createdBy: row.createdBy,
    loggedFeedIds: row.loggedFeedIds,
    warnings: outside
      ? [
          `Model year ${job.year} is outside ${model.yearFrom}–${model.yearTo}: a car of the same name may be of another generation, with its fuse box elsewhere.`,
        ]
      : [],
  };
}

function headOf({ job, model }: SummaryRow) {
  // The name that the migration to rows left on a job that it could not read.
  if (job.deviceName === '') throw new Unreadable('The job', 'device');
  return {
    id: job.id,
    vehicleName: modelName(model),
    phase: job.phase,
    deferred: job.deferred,
    waitsFor: job.waitsFor,
    reopened: job.reopened,
    day: job.day,
    updatedAt: job.updatedAt.toISOString(),
  };
}
