import type {
  ClosingRequest,
  DeferRequest,
  JobView,
  PutRouteRequest,
  ReachPhaseRequest,
  StandingRequest,
  StepRequest,
} from '@lucky-thread/contract';
import { PHASES } from '@lucky-thread/contract';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobClosing, jobSteps, jobs } from '../db/schema';
import { applyOnce } from './commands';

/** Notes a phase that was reached. Whoever got further keeps it: two of these come out the same in any order. */
export async function reachPhase(
  db: Database,
  actor: Actor,
  jobId: string,
  request: ReachPhaseRequest,
): Promise<JobView> {
  const command = { at: { jobId, kind: 'phase', subject: 'phase' }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const [job] = await tx.select({ phase: jobs.phase }).from(jobs).where(eq(jobs.id, jobId));
    if (job !== undefined && PHASES.indexOf(job.phase) < PHASES.indexOf(request.phase))
      await tx.update(jobs).set({ phase: request.phase }).where(eq(jobs.id, jobId));
  });
}

/** Says what holds a job up, whether it was opened again and for which day it is. Who says so last is right. */
export async function putStanding(
  db: Database,
  actor: Actor,
  jobId: string,
  request: StandingRequest,
): Promise<JobView> {
  const command = { at: { jobId, kind: 'standing', subject: 'standing' }, head: request } as const;
  const { waitsFor, reopened, day } = request;
  return applyOnce(db, actor, command, async (tx) => {
    await tx
      .update(jobs)
      .set({ waitsFor, reopened, ...(day === undefined ? {} : { day }) })
      .where(eq(jobs.id, jobId));
  });
}

/** Says where the device sits and what its route is to be good at. Who says so last is right. */
export async function putRoute(
  db: Database,
  actor: Actor,
  jobId: string,
  request: PutRouteRequest,
): Promise<JobView> {
  const command = { at: { jobId, kind: 'route', subject: 'route' }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    await tx.update(jobs).set({ route: request.route }).where(eq(jobs.id, jobId));
  });
}

/** Notes a step of the work as done or passed over, or takes that back; said twice by two people it stands once. */
export async function noteStep(
  db: Database,
  actor: Actor,
  { jobId, stepId }: { readonly jobId: string; readonly stepId: string },
  request: StepRequest,
): Promise<JobView> {
  const command = { at: { jobId, kind: 'step', subject: stepId }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const standing = and(
      eq(jobSteps.jobId, jobId),
      eq(jobSteps.stepId, stepId),
      isNull(jobSteps.undoneAt),
    );
    if (!request.done) {
      await tx
        .update(jobSteps)
        .set({ undoneAt: sql`now()` })
        .where(standing);
      return;
    }
    await tx
      .insert(jobSteps)
      .values({
        ...{ id: request.command, jobId, stepId, reason: request.reason },
        ...{ doneBy: actor.userId, doneAt: new Date(request.at) },
      })
      // Somebody else did it meanwhile: once is enough.
      .onConflictDoNothing();
  });
}

/** Notes what was found or tried before the hand-over, or takes it back. Who says so last is right. */
export async function noteClosing(
  db: Database,
  actor: Actor,
  { jobId, item }: { readonly jobId: string; readonly item: string },
  request: ClosingRequest,
): Promise<JobView> {
  const command = { at: { jobId, kind: 'closing', subject: item }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    if (!request.done) {
      await tx
        .delete(jobClosing)
        .where(and(eq(jobClosing.jobId, jobId), eq(jobClosing.item, item)));
      return;
    }
    const found = { value: request.value, by: actor.userId, at: new Date(request.at) };
    await tx
      .insert(jobClosing)
      .values({ jobId, item, ...found })
      .onConflictDoUpdate({ target: [jobClosing.jobId, jobClosing.item], set: found });
  });
}

/** Leaves a check for later, or takes it up again; the others stay as they are. */
export async function deferCheck(
  db: Database,
  actor: Actor,
  at: { readonly jobId: string; readonly place: StitchPlace },
  request: DeferRequest,
): Promise<JobView> {
  const { jobId, place } = at;
  const command = { at: { jobId, kind: 'defer', subject: place }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const others = sql`array_remove(${jobs.deferred}, ${place})`;
    await tx
      .update(jobs)
      .set({ deferred: request.left ? sql`array_append(${others}, ${place})` : others })
      .where(eq(jobs.id, jobId));
  });
}
