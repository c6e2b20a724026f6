import type { PickListView } from '@lucky-thread/contract';
import { sumParts } from '@lucky-thread/core/build';
import { buildPlanOf, isWholeJob } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { contextOf, countingReadings } from './jobContext';

/**
 * What is taken along for some jobs together.
 *
 * @throws Problem 404 when the shop has not one of them.
 */
export async function pickList(
  db: Database,
  actor: Actor,
  jobIds: readonly string[],
): Promise<PickListView> {
  const plans = [];
  const open: string[] = [];
  for (const jobId of jobIds) {
    const context = await contextOf(db, actor, jobId);
    if (isWholeJob(context)) plans.push(buildPlanOf(context, await countingReadings(db, jobId)));
    else open.push(jobId);
  }
  return {
    parts: sumParts(plans.map(({ parts }) => parts)),
    tools: [...new Set(plans.flatMap(({ tools }) => tools))].sort(),
    open,
  };
}
