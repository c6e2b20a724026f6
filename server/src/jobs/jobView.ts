import {
  CreateJobRequest,
  HarnessWireInput,
  PHASES,
  UpdateJobRequest,
  FeedPlanInput,
} from '@lucky-thread/contract';
import type { JobView } from '@lucky-thread/contract';
import type { jobs, models } from '../db/schema';
import { Unreadable, readable } from '../http/stored';

/** A job's row with what its view needs of its model. */
export interface JobRow {
  readonly job: typeof jobs.$inferSelect;
  readonly model: Pick<
    typeof models.$inferSelect,
    'make' | 'model' | 'generation' | 'yearFrom' | 'yearTo'
  >;
  readonly createdBy: string;
}

/**
 * A stored job as the client sees it.
 *
 * @throws Unreadable when what is stored is no job.
 */
export function jobView(row: JobRow, loggedFeedIds: readonly string[]): JobView {
  const { job, model } = row;
  const { vehicle, device } = readable(
    CreateJobRequest,
    { vehicle: job.vehicle, device: job.device },
    'The job',
  );
  const { year } = vehicle;
  const outside = year < model.yearFrom || year > model.yearTo;
  return {
    id: job.id,
    vehicle,
    vehicleName: `${model.make} ${model.model} ${model.generation}`,
    device,
    phase: phaseOf(job.phase),
    plan: listOf(FeedPlanInput, job.plan, 'plan'),
    harness: listOf(HarnessWireInput, job.harness, 'harness'),
    deferred:
      readable(UpdateJobRequest, { version: 1, deferred: job.deferred }, 'The job').deferred ?? [],
    version: job.version,
    createdAt: job.createdAt.toISOString(),
    updatedAt: job.updatedAt.toISOString(),
    createdBy: row.createdBy,
    loggedFeedIds,
    warnings: outside
      ? [
          `Model year ${year} is outside ${model.yearFrom}–${model.yearTo}: a car of the same name may be of another generation, with its fuse box elsewhere.`,
        ]
      : [],
  };
}

function phaseOf(stored: string): JobView['phase'] {
  const phase = PHASES.find((one) => one === stored);
  if (phase === undefined) throw new Unreadable('The job', 'phase');
  return phase;
}

function listOf<T extends object>(type: new () => T, stored: unknown, path: string): T[] {
  if (!Array.isArray(stored)) throw new Unreadable('The job', path);
  return stored.map((one) => readable(type, one, 'The job'));
}
