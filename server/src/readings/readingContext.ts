import type { ReadingRequest } from '@lucky-thread/contract';
import type { CircuitFunction, VehicleFacts } from '@lucky-thread/core/vehicle';
import { LEAD_POINT, LEAD_SPOTS } from '@lucky-thread/core/vehicle';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobs } from '../db/schema';
import { newestClaims } from '../taps/tapRepository';

/** What a new reading is held against. */
export interface ReadingContext {
  /** What is known of the car that a reading was taken on. */
  readonly car: VehicleFacts;
  /** Which of the ids that the reading names are sources of the model or wires of the job. */
  readonly known: readonly string[];
  /** Readings that the job has, withdrawn ones too. */
  readonly readings: number;
  /** The newest claims of other jobs at the place that was touched. */
  readonly claims: readonly { readonly id: string; readonly function: CircuitFunction }[];
}

/**
 * Everything that a new reading is held against, in one statement: readings come by the dozen while somebody lies in a
 * footwell. Undefined when the shop has no such job.
 */
export async function readingContext(
  db: Database,
  actor: Actor,
  jobId: string,
  { sourceId, otherId }: Pick<ReadingRequest, 'sourceId' | 'otherId'>,
): Promise<ReadingContext | undefined> {
  const claims = newestClaims({
    modelId: sql`jobs.model_id`,
    shopId: sql`jobs.shop_id`,
    jobId: sql`jobs.id`,
    sourceId: sql`${sourceId}`,
  });
  // Columns are named in full: a statement on one table has them bare, and inside a list they would be another table's.
  const named = sql.param(otherId === undefined ? [sourceId] : [sourceId, otherId]);
  const [row] = await db
    .select({
      car: { year: jobs.year, trim: jobs.trim, market: jobs.market },
      known: sql<string[]>`array(
        select id from sources where model_id = jobs.model_id and id = any(${named}::text[])
        union select id from job_wires where job_id = jobs.id and id = any(${named}::text[])
        union select point from feed_plans, unnest(array[${sql.join(
          LEAD_SPOTS.map((spot) => sql`${LEAD_POINT + spot}`),
          sql`, `,
        )}]) as spot,
          lateral (select spot || ':' || feed_id || ':' || source_id as point) as named
          where job_id = jobs.id and source_id is not null and point = any(${named}::text[])
        union select source_id from job_slots where job_id = jobs.id and source_id = any(${named}::text[]))`,
      readings: sql<number>`(select count(*)::int from readings where job_id = jobs.id)`,
      claims: sql<{ id: string; function: CircuitFunction }[]>`(
        select coalesce(json_agg(json_build_object('id', claim.id, 'function', claim.function)
          order by claim.logged_at, claim.id), '[]') from (${claims}) as claim)`,
    })
    .from(jobs)
    .where(and(eq(jobs.id, jobId), eq(jobs.shopId, actor.shopId)));
  return row;
}
