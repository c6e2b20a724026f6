import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { CreateJobRequest, JobView, Phase } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobs, models, tapPoints, users } from '../db/schema';

/** The shop's jobs, last touched first. */
export async function listJobs(db: Database, shopId: string): Promise<JobView[]> {
  const rows = await select(db).where(eq(jobs.shopId, shopId)).orderBy(desc(jobs.updatedAt));
  return withLogged(db, rows);
}

/** One job; undefined when the shop has none of that id. */
export async function findJob(
  db: Database,
  shopId: string,
  id: string,
): Promise<JobView | undefined> {
  const rows = await select(db).where(and(eq(jobs.id, id), eq(jobs.shopId, shopId)));
  return (await withLogged(db, rows))[0];
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

/** Changes a job if it is still at `version`; false when it has moved on. */
export async function updateJob(
  db: Database,
  id: string,
  version: number,
  change: Partial<Pick<typeof jobs.$inferInsert, 'phase' | 'plan' | 'harness' | 'deferred'>>,
): Promise<boolean> {
  const updated = await db
    .update(jobs)
    .set({ ...change, version: version + 1, updatedAt: sql`now()` })
    .where(and(eq(jobs.id, id), eq(jobs.version, version)))
    .returning({ id: jobs.id });
  return updated.length === 1;
}

function select(db: Database) {
  return db
    .select({ job: jobs, model: models, createdBy: users.name })
    .from(jobs)
    .innerJoin(models, eq(jobs.modelId, models.id))
    .innerJoin(users, eq(jobs.createdBy, users.id))
    .$dynamic();
}

type Row = Awaited<ReturnType<typeof select>>[number];

async function withLogged(db: Database, rows: readonly Row[]): Promise<JobView[]> {
  if (rows.length === 0) return [];
  const taps = await db
    .select({ jobId: tapPoints.jobId, feedId: tapPoints.feedId })
    .from(tapPoints)
    .where(
      inArray(
        tapPoints.jobId,
        rows.map((row) => row.job.id),
      ),
    );
  return rows.map((row) =>
    view(
      row,
      taps.filter((tap) => tap.jobId === row.job.id).flatMap((tap) => tap.feedId ?? []),
    ),
  );
}

function view({ job, model, createdBy }: Row, loggedFeedIds: string[]): JobView {
  const { year } = job.vehicle;
  const outside = year < model.yearFrom || year > model.yearTo;
  return {
    id: job.id,
    vehicle: job.vehicle,
    vehicleName: `${model.make} ${model.model} ${model.generation}`,
    device: job.device,
    phase: job.phase as Phase,
    plan: job.plan,
    harness: job.harness,
    deferred: job.deferred,
    version: job.version,
    createdAt: job.createdAt.toISOString(),
    updatedAt: job.updatedAt.toISOString(),
    createdBy,
    loggedFeedIds,
    warnings: outside
      ? [
          `Model year ${year} is outside ${model.yearFrom}–${model.yearTo}: a car of the same name may be of another generation, with its fuse box elsewhere.`,
        ]
      : [],
  };
}
