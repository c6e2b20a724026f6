import type { CommandHead, JobView } from '@lucky-thread/contract';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { commands, jobs } from '../db/schema';
import { conflict, notFound } from '../http/problem';
import { findJob } from './jobRepository';

/** What a change is about, for the record and for telling two with one id apart. */
export interface CommandAt {
  /** The job that it changes. */
  readonly jobId: string;
  /** What kind of change it is. */
  readonly kind:
    | 'plan'
    | 'wires'
    | 'slot'
    | 'phase'
    | 'defer'
    | 'standing'
    | 'route'
    | 'step'
    | 'closing'
    | 'proof'
    | 'withdrawProof';
  /** What of the job it changes: a feed, a slot, a step; empty for the job as a whole. */
  readonly subject: string;
}

/**
 * Applies a change to a job once, all of it or nothing, and answers the job as it is then. A change that has been
 * applied already, by its id, is only answered.
 *
 * @param work the change itself, in one transaction with the record of it
 * @throws Problem 404 when the shop has no such job; 409 when the id stands for another change; what `work` throws.
 */
export async function applyOnce(
  db: Database,
  actor: Actor,
  { at, head }: { readonly at: CommandAt; readonly head: CommandHead },
  work: (tx: Database) => Promise<void>,
): Promise<JobView> {
  const { jobId, kind, subject } = at;
  await db.transaction(async (tx) => {
    // The job is held until the end: changes to one job come one after the other.
    const [held] = await tx
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), eq(jobs.shopId, actor.shopId)))
      .for('update');
    if (held === undefined) throw notFound('Job');
    const fresh = await tx
      .insert(commands)
      .values({
        id: head.command,
        jobId,
        kind,
        subject,
        by: actor.userId,
        at: new Date(head.at),
      })
      .onConflictDoNothing()
      .returning({ id: commands.id });
    if (fresh.length === 0) return checkSame(tx, at, head.command);
    await work(tx);
    await tx
      .update(jobs)
      .set({ version: sql`${jobs.version} + 1`, updatedAt: sql`now()` })
      .where(eq(jobs.id, jobId));
  });
  return (await findJob(db, actor.shopId, jobId)) as JobView;
}

async function checkSame(db: Database, at: CommandAt, id: string): Promise<void> {
  const [known] = await db.select().from(commands).where(eq(commands.id, id));
  const same = known?.jobId === at.jobId && known.kind === at.kind && known.subject === at.subject;
  if (!same) throw conflict('Another change has it.');
}
