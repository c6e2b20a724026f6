import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { CreateJobRequest, JobPage, JobView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobs, models, tapPoints, users } from '../db/schema';
import { cursorOf } from '../http/cursor';
import { Unreadable } from '../http/stored';
import type { JobRow } from './jobView';
import { jobView } from './jobView';

/** Jobs in one page. */
export const JOBS_A_PAGE = 50;

/**
 * One page of the shop's jobs, last touched first; an entry that can't be read is named and leaves the others alone.
 *
 * @param after time and id that the page before ended with
 */
export async function pageOfJobs(
  db: Database,
  shopId: string,
  after: readonly string[] | undefined,
): Promise<JobPage> {
  const [touched = '', id = ''] = after ?? [];
  const before = sql`(${jobs.updatedAt}, ${jobs.id}) < (${touched}::timestamptz, ${id}::uuid)`;
  const rows = await select(db)
    .where(and(eq(jobs.shopId, shopId), after === undefined ? undefined : before))
    .orderBy(desc(jobs.updatedAt), desc(jobs.id))
    .limit(JOBS_A_PAGE + 1);
  const shown = rows.slice(0, JOBS_A_PAGE);
  const logged = await loggedFeeds(db, shown);
  const found: JobView[] = [];
  const unreadable: string[] = [];
  for (const row of shown)
    try {
      found.push(jobView(row, logged.get(row.job.id) ?? []));
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      unreadable.push(row.job.id);
    }
  const last = shown.at(-1);
  const more = rows.length > JOBS_A_PAGE && last !== undefined;
  return { jobs: found, unreadable, next: more ? cursorOf([last.touched, last.job.id]) : null };
}

/**
 * One job; undefined when the shop has none of that id.
 *
 * @throws Unreadable when what is stored is no job.
 */
export async function findJob(
  db: Database,
  shopId: string,
  id: string,
): Promise<JobView | undefined> {
  const [row] = await select(db).where(and(eq(jobs.id, id), eq(jobs.shopId, shopId)));
  if (row === undefined) return undefined;
  return jobView(row, (await loggedFeeds(db, [row])).get(id) ?? []);
}

/** Stores a new job; false when the id is there already. */
export async function insertJob(
  db: Database,
  actor: Actor,
  id: string,
  request: CreateJobRequest,
): Promise<boolean> {
  const inserted = await db
    .insert(jobs)
    .values({
      id,
      shopId: actor.shopId,
      modelId: request.vehicle.modelId,
      vehicle: request.vehicle,
      device: request.device,
      phase: 'find',
      plan: [],
      version: 1,
      createdBy: actor.userId,
    })
    .onConflictDoNothing()
    .returning({ id: jobs.id });
  return inserted.length === 1;
}

/** Changes a shop's job if it is still at `version`; false when it has moved on. */
export async function updateJob(
  db: Database,
  at: { readonly id: string; readonly shopId: string; readonly version: number },
  change: Partial<Pick<typeof jobs.$inferInsert, 'phase' | 'plan' | 'harness' | 'deferred'>>,
): Promise<boolean> {
  const updated = await db
    .update(jobs)
    .set({ ...change, version: at.version + 1, updatedAt: sql`now()` })
    .where(and(eq(jobs.id, at.id), eq(jobs.shopId, at.shopId), eq(jobs.version, at.version)))
    .returning({ id: jobs.id });
  return updated.length === 1;
}

/** What a job's view is made of, from jobs with their model and maker. */
export const JOB_COLUMNS = {
  job: jobs,
  model: {
    make: models.make,
    model: models.model,
    generation: models.generation,
    yearFrom: models.yearFrom,
    yearTo: models.yearTo,
  },
  createdBy: users.name,
  // To the microsecond, as a page's end must name it.
  touched: sql<string>`${jobs.updatedAt}::text`,
};

function select(db: Database) {
  return db
    .select(JOB_COLUMNS)
    .from(jobs)
    .innerJoin(models, eq(jobs.modelId, models.id))
    .innerJoin(users, eq(jobs.createdBy, users.id))
    .$dynamic();
}

/** Feeds with a tap point in the log, by job. */
async function loggedFeeds(
  db: Database,
  rows: readonly Pick<JobRow, 'job'>[],
): Promise<Map<string, string[]>> {
  const byJob = new Map<string, string[]>();
  if (rows.length === 0) return byJob;
  const ids = rows.map((row) => row.job.id);
  const taps = await db
    .select({ jobId: tapPoints.jobId, feedId: tapPoints.feedId })
    .from(tapPoints)
    .where(and(inArray(tapPoints.jobId, ids), eq(tapPoints.retired, false)));
  for (const { jobId, feedId } of taps) {
    if (jobId === null || feedId === null) continue;
    const own = byJob.get(jobId);
    if (own === undefined) byJob.set(jobId, [feedId]);
    else own.push(feedId);
  }
  return byJob;
}
