import type { HarnessWireInput, JobView, PutWiresRequest } from '@lucky-thread/contract';
import { eq } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobWires, jobs } from '../db/schema';
import { invalid, stale } from '../http/problem';
import { applyOnce } from './commands';
import { getJob } from './jobService';

/**
 * Lays out a job's bunch of cut wires.
 *
 * @throws Problem 422 for a wire that is taped with none of them; 409 with the job as it is when it was changed meanwhile.
 */
export async function putWires(
  db: Database,
  actor: Actor,
  jobId: string,
  request: PutWiresRequest,
): Promise<JobView> {
  checkMates(request.wires);
  const command = { at: { jobId, kind: 'wires', subject: 'wires' }, head: request } as const;
  return applyOnce(db, actor, command, async (tx) => {
    const [job] = await tx
      .select({ version: jobs.wiresCommandId })
      .from(jobs)
      .where(eq(jobs.id, jobId));
    if ((job?.version ?? null) !== request.base) throw stale(await getJob(tx, actor, jobId));
    await tx.delete(jobWires).where(eq(jobWires.jobId, jobId));
    const rows = request.wires.map((wire, position) => ({ ...wire, jobId, position }));
    if (rows.length > 0) await tx.insert(jobWires).values(rows);
    await tx.update(jobs).set({ wiresCommandId: request.command }).where(eq(jobs.id, jobId));
  });
}

/** Two wires are taped to each other, or not at all. */
function checkMates(wires: readonly HarnessWireInput[]): void {
  const ids = new Set(wires.map((wire) => wire.id));
  const problems = wires.flatMap(({ id, tapedWith }, index) =>
    tapedWith === undefined || (ids.has(tapedWith) && tapedWith !== id)
      ? []
      : [{ path: `wires.${index}.tapedWith`, message: `there is no other wire ${tapedWith}` }],
  );
  if (problems.length > 0) throw invalid(problems);
}
