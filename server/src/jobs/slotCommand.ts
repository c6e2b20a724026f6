import type { JobVehicleInput, JobView, SeeSlotRequest, SlotSeen } from '@lucky-thread/contract';
import { POSITION } from '@lucky-thread/core/vehicle';
import { seenId } from '@lucky-thread/work';
import { and, eq, sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { jobSlots, models, sources } from '../db/schema';
import { invalid } from '../http/problem';
import { addSlot, correctSlot } from '../vehicles/slotRepository';
import { splitWithin } from '../vehicles/splitModel';
import { placeIdProblem } from '../vehicles/modelService';
import { applyOnce } from './commands';
import { getJob } from './jobService';

/**
 * Notes what is printed and fitted at the slot in hand. A slot that nobody had entered becomes the model's; one that
 * differs from what was entered changes the model only when it is said to hold for every car, or for those of its year and
 * later: then the model is parted there, and the job goes with the later part.
 *
 * @throws Problem 422 for a position that is none, and a slot that a simulated car does not have.
 */
export async function seeSlot(
  db: Database,
  actor: Actor,
  at: { readonly jobId: string; readonly placeId: string; readonly position: string },
  request: SeeSlotRequest,
): Promise<JobView> {
  checkAddress(at);
  const { vehicle } = await getJob(db, actor, at.jobId);
  const sourceId = seenId(at);
  const command = { at: { ...at, kind: 'slot', subject: sourceId }, head: request } as const;
  const seen: SlotSeen = { ...request.marks, placeId: at.placeId, position: at.position };
  return applyOnce(db, actor, command, async (tx) => {
    // Two jobs at one model come one after the other.
    const [model] = await tx
      .select({ simulated: sql<boolean>`${models.bench} is not null` })
      .from(models)
      .where(eq(models.id, vehicle.modelId))
      .for('update');
    const [before] = await tx
      .select({ kind: sources.kind, legend: sources.legend, ratingA: sources.ratingA })
      .from(sources)
      .where(and(eq(sources.modelId, vehicle.modelId), eq(sources.id, sourceId)));
    if (before === undefined && model?.simulated === true)
      throw invalid([
        { path: 'position', message: 'a simulated car has the slots that it was made with' },
      ]);
    if (before !== undefined && before.kind !== 'slot')
      throw invalid([{ path: 'placeId', message: `${sourceId} is no fuse slot` }]);
    if (before === undefined) await addSlot(tx, vehicle.modelId, seen);
    else await correctModel(tx, actor, vehicle, { seen, holds: request.holds });
    await keepSeen(tx, { jobId: at.jobId, seen, request, before });
  });
}

/** Puts the model right as far as what was seen holds: for all of its years, or for those from this car's on. */
async function correctModel(
  tx: Database,
  actor: Actor,
  vehicle: Pick<JobVehicleInput, 'modelId' | 'year'>,
  { seen, holds }: { readonly seen: SlotSeen; readonly holds: SeeSlotRequest['holds'] },
): Promise<void> {
  if (holds === 'car') return;
  const { modelId, year } = vehicle;
  const [model] = await tx
    .select({ yearFrom: models.yearFrom, yearTo: models.yearTo, generation: models.generation })
    .from(models)
    .where(eq(models.id, modelId));
  const parts = model !== undefined && model.yearFrom < year && year <= model.yearTo;
  if (holds === 'model' || !parts) return correctSlot(tx, modelId, seen);
  const later = uuidv7();
  const { generation } = model;
  await splitWithin(tx, actor, later, { of: modelId, fromYear: year, generation });
  await correctSlot(tx, later, seen);
}

function checkAddress({ placeId, position }: Pick<SlotSeen, 'placeId' | 'position'>): void {
  const problem = placeIdProblem(placeId);
  if (problem !== undefined) throw invalid([problem]);
  if (!POSITION.test(position))
    throw invalid([{ path: 'position', message: 'a position is up to 12 letters or digits' }]);
}

async function keepSeen(
  db: Database,
  given: {
    readonly jobId: string;
    readonly seen: SlotSeen;
    readonly request: SeeSlotRequest;
    readonly before:
      | { readonly legend: string | null; readonly ratingA: number | null }
      | undefined;
  },
): Promise<void> {
  const { jobId, seen, request, before } = given;
  const row = {
    placeId: seen.placeId,
    position: seen.position,
    legend: seen.legend ?? null,
    ratingA: seen.ratingA ?? null,
    holds: request.holds,
    commandId: request.command,
  };
  await db
    .insert(jobSlots)
    .values({
      ...row,
      jobId,
      sourceId: seenId(seen),
      wasLegend: before?.legend ?? null,
      wasRatingA: before?.ratingA ?? null,
    })
    // What the model said first stays: the second look at a slot corrects the first.
    .onConflictDoUpdate({ target: [jobSlots.jobId, jobSlots.sourceId], set: row });
}
