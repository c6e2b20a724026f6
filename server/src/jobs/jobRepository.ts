import type { SQL } from 'drizzle-orm';
import { and, desc, eq, ilike, not, or, sql } from 'drizzle-orm';
import type {
  CreateJobRequest,
  JobFilter,
  JobPage,
  JobSummary,
  JobView,
} from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobFeeds, jobs, models, users } from '../db/schema';
import { cursorOf } from '../http/cursor';
import { Unreadable } from '../http/stored';
import { JOB_COLUMNS, SUMMARY_COLUMNS } from './jobColumns';
import { jobSummary, jobView } from './jobView';

/** Jobs in one page. */
export const JOBS_A_PAGE = 50;

/**
 * One page of a shop's jobs, last touched first. A job that can't be read is named instead of shown: it must not take the
 * others with it.
 *
 * @param after moment and id that the page before ended with
 * @param filter which of them; all when left out
 */
export async function pageOfJobs(
  db: Database,
  { shopId, userId }: Pick<Actor, 'shopId' | 'userId'>,
  after: readonly string[] | undefined,
  filter: JobFilter = {},
): Promise<JobPage> {
  const [touched = '', id = ''] = after ?? [];
  const before = sql`(${jobs.updatedAt}, ${jobs.id}) < (${touched}::timestamptz, ${id}::uuid)`;
  const rows = await db
    .select(SUMMARY_COLUMNS)
    .from(jobs)
    .innerJoin(models, eq(jobs.modelId, models.id))
    .where(
      and(
        eq(jobs.shopId, shopId),
        after === undefined ? undefined : before,
        ...conditions(filter, userId),
      ),
    )
    .orderBy(desc(jobs.updatedAt), desc(jobs.id))
    .limit(JOBS_A_PAGE + 1);
  const shown = rows.slice(0, JOBS_A_PAGE);
  const found: JobSummary[] = [];
  const unreadable: string[] = [];
  for (const row of shown)
    try {
      found.push(jobSummary(row));
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      unreadable.push(row.job.id);
    }
  const last = shown.at(-1);
  const more = rows.length > JOBS_A_PAGE && last !== undefined;
  return { jobs: found, unreadable, next: more ? cursorOf([last.touched, last.job.id]) : null };
}

function conditions({ view, phase, q }: JobFilter, userId: string): (SQL | undefined)[] {
  const like = `%${(q ?? '').trim().replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
  return [
    view === 'mine' ? eq(jobs.createdBy, userId) : undefined,
    view === 'today'
      ? sql`(${jobs.updatedAt} >= date_trunc('day', now()) or ${jobs.day} = current_date)`
      : undefined,
    view === 'waiting'
      ? sql`(cardinality(${jobs.deferred}) > 0 or ${jobs.waitsFor} is not null)`
      : undefined,
    view === 'open' ? not(SUMMARY_COLUMNS.done) : undefined,
    phase === undefined ? undefined : eq(jobs.phase, phase),
    q === undefined
      ? undefined
      : or(
          ilike(jobs.deviceName, like),
          ilike(sql`${models.make} || ' ' || ${models.model} || ' ' || ${models.generation}`, like),
        ),
  ];
}

/**
 * One job of a shop; undefined when it has none of that id.
 *
 * @throws Unreadable when what is stored is no job.
 */
export async function findJob(
  db: Database,
  shopId: string,
  id: string,
): Promise<JobView | undefined> {
  const [row] = await db
    .select(JOB_COLUMNS)
    .from(jobs)
    .innerJoin(models, eq(jobs.modelId, models.id))
    .innerJoin(users, eq(jobs.createdBy, users.id))
    .where(and(eq(jobs.id, id), eq(jobs.shopId, shopId)));
  return row === undefined ? undefined : jobView(row);
}

/** Stores a new job with its feeds; false when the id is there already. */
export async function insertJob(
  db: Database,
  actor: Actor,
  id: string,
  { vehicle, device }: CreateJobRequest,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const inserted = await tx
      .insert(jobs)
      .values({
        id,
        shopId: actor.shopId,
        modelId: vehicle.modelId,
        year: vehicle.year,
        trim: vehicle.trim,
        market: vehicle.market,
        steering: vehicle.steering,
        noTrace: vehicle.noTrace ?? null,
        vin: vehicle.vin ?? null,
        deviceName: device.name,
        deviceFamily: device.family ?? null,
        deviceSetUp: device.setUp ?? null,
        deviceFittedWith: device.fittedWith ?? null,
        phase: 'find',
        version: 1,
        createdBy: actor.userId,
      })
      .onConflictDoNothing()
      .returning({ id: jobs.id });
    if (inserted.length === 0) return false;
    await tx
      .insert(jobFeeds)
      .values(device.feeds.map((feed, position) => ({ ...feed, jobId: id, position })));
    return true;
  });
}
