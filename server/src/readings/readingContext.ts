import type { JobView, ReadingRequest } from '@lucky-thread/contract';
import type { CircuitFunction, Panel } from '@lucky-thread/core/vehicle';
import { slotsOf } from '@lucky-thread/work';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobs, models, users } from '../db/schema';
import { JOB_COLUMNS } from '../jobs/jobRepository';
import { jobView } from '../jobs/jobView';
import { newestClaims } from '../taps/tapRepository';

/** What a new reading is held against. */
export interface ReadingContext {
  readonly job: JobView;
  /** Slots of the model and wires of the job. */
  readonly known: ReadonlySet<string>;
  /** Readings that the job has, withdrawn ones too. */
  readonly readings: number;
  /** The newest claims of other jobs at the place that was touched. */
  readonly claims: readonly { readonly id: string; readonly function: CircuitFunction }[];
}

/**
 * Everything that a new reading is held against, in one statement: readings come by the dozen while somebody lies in a
 * footwell. Undefined when the shop has no such job.
 *
 * @throws Unreadable when what is stored is no job.
 */
export async function readingContext(
  db: Database,
  actor: Actor,
  jobId: string,
  request: Pick<ReadingRequest, 'sourceId'>,
): Promise<ReadingContext | undefined> {
  const claims = newestClaims({
    modelId: sql`${jobs.modelId}`,
    shopId: sql`${jobs.shopId}`,
    jobId: sql`${jobs.id}`,
    slotId: sql`${request.sourceId}`,
  });
  const [row] = await db
    .select({
      ...JOB_COLUMNS,
      panels: models.panels,
      readings: sql<number>`(select count(*)::int from readings where job_id = ${jobs.id})`,
      claims: sql<{ id: string; function: CircuitFunction }[]>`(
        select coalesce(json_agg(json_build_object('id', claim.id, 'function', claim.function)
          order by claim.logged_at, claim.id), '[]') from (${claims}) as claim)`,
    })
    .from(jobs)
    .innerJoin(models, eq(jobs.modelId, models.id))
    .innerJoin(users, eq(jobs.createdBy, users.id))
    .where(and(eq(jobs.id, jobId), eq(jobs.shopId, actor.shopId)));
  if (row === undefined) return undefined;
  const job = jobView(row, []);
  const slots = slotsOf({ panels: row.panels as Panel[] }).map((slot) => slot.id);
  const known = new Set([...slots, ...job.harness.map((wire) => wire.id)]);
  return { job, known, readings: row.readings, claims: row.claims };
}
