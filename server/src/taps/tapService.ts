import { orientationFrom, screenSlot } from '@lucky-thread/core/choose';
import { loggedClaim } from '@lucky-thread/core/evidence';
import type { Reading } from '@lucky-thread/core/identify';
import { describeValue, judge } from '@lucky-thread/core/identify';
import { PROOF_KINDS } from '@lucky-thread/core/prove';
import type { Slot } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, placeOf } from '@lucky-thread/core/vehicle';
import { toCoreReading, toTapClaim } from '@lucky-thread/contract';
import type { JobView, LogTapRequest, MatrixCell, TapPointView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { listReadings } from '../readings/readingRepository';
import { findModel } from '../vehicles/modelRepository';
import { insertTapPoint, listTapPoints } from './tapRepository';

/**
 * Writes a proven tap into the model's log. Function, supply side and matrix are worked out here from the job's
 * readings, not taken from the client; sending it again changes nothing.
 *
 * @throws Problem 422 naming what is missing: a proof, the function's look-alikes, the supply side, or a circuit that
 * must not be tapped.
 */
export async function logTap(
  db: Database,
  actor: Actor,
  ids: { readonly jobId: string; readonly tapId: string },
  request: LogTapRequest,
): Promise<TapPointView> {
  const job = await getJob(db, actor, ids.jobId);
  const model = await findModel(db, actor.shopId, job.vehicle.modelId);
  const taps = await listTapPoints(db, actor.shopId, job.vehicle.modelId);
  const again = taps.find((tap) => tap.id === ids.tapId);
  if (again !== undefined) return again;

  const slot = chosenSlot(job, request, model?.panels.flatMap((panel) => panel.slots) ?? []);
  const own = (await listReadings(db, job.id)).filter(
    (reading) => reading.sourceId === slot.id && reading.withdrawnAt === null,
  );
  const found = findings(slot, own.map(toCoreReading), taps, job);
  const inserted = await insertTapPoint(db, {
    id: ids.tapId,
    shopId: actor.shopId,
    modelId: job.vehicle.modelId,
    jobId: job.id,
    feedId: request.feedId,
    slotId: slot.id,
    ...found,
    yearFrom: job.vehicle.year,
    yearTo: job.vehicle.year,
    trim: job.vehicle.trim,
    market: job.vehicle.market,
    grade: 'probed',
    fuseA: request.fuseA,
    awg: request.awg,
    note: notedFor(slot, reasonIn(job, request), request.note ?? ''),
    loggedBy: actor.userId,
  });
  const stored = (await listTapPoints(db, actor.shopId, job.vehicle.modelId)).find(
    (tap) => tap.id === ids.tapId,
  );
  if (!inserted || stored === undefined) throw conflict('Another tap point has it.');
  return stored;
}

/** A slot whose legend can't be read may be anything, one whose legend warns was taken for a reason: the log says so. */
function notedFor(slot: Slot, reason: string | undefined, note: string): string {
  const { class: safety, reason: warning } = screenSlot(slot);
  const cautions = [
    ...(safety === 'unknown'
      ? ['Caution: no legend that can be read, ask for the handbook’s entry.']
      : []),
    ...(safety === 'caution' ? [`Caution: ${warning ?? 'its legend warns'}`] : []),
    ...(reason === undefined ? [] : [`Taken because: ${reason}.`]),
  ];
  return [...cautions, note].join(' ').trim();
}

function reasonIn(job: JobView, request: LogTapRequest): string | undefined {
  return job.plan.find((one) => one.feedId === request.feedId)?.reason?.replace(/\.$/, '');
}

function chosenSlot(job: JobView, request: LogTapRequest, slots: readonly Slot[]): Slot {
  const planned = job.plan.find((one) => one.feedId === request.feedId);
  const slot = slots.find((one) => one.id === planned?.slotId);
  if (slot === undefined)
    throw invalid([{ path: 'feedId', message: 'no slot is chosen for this feed' }]);
  const screening = screenSlot(slot);
  if (screening.class === 'block')
    throw invalid([{ path: 'feedId', message: screening.reason ?? 'must not be tapped' }]);
  if (screening.class === 'caution' && planned?.reason === undefined)
    throw invalid([
      {
        path: 'reason',
        message: `say in the plan why it was taken. ${screening.reason ?? ''}`.trim(),
      },
    ]);
  const missing = PROOF_KINDS.filter((kind) => !request.proofs.some((one) => one.kind === kind));
  if (missing.length > 0)
    throw invalid([{ path: 'proofs', message: `still to be shown: ${missing.join(', ')}` }]);
  return slot;
}

function findings(
  slot: Slot,
  readings: readonly Reading[],
  taps: readonly TapPointView[],
  job: JobView,
): Pick<TapPointView, 'function' | 'supplyContact'> & { matrix: MatrixCell[] } {
  const others = taps.filter((tap) => tap.jobId !== job.id);
  const logged = loggedClaim(slot.id, others.map(toTapClaim), job.vehicle);
  const verdict = judge(
    { id: slot.id, name: slot.position, legend: slot.legend, fitted: true, tappable: true, logged },
    readings,
  );
  if (verdict.function === undefined)
    throw invalid([
      {
        path: 'function',
        message: `${verdict.headline}. Still to be seen: ${verdict.missing.map((one) => PLACE_WORDS[one.place]).join(', ') || 'a reading'}`,
      },
    ]);
  const contacts = readings.flatMap((one) =>
    one.contact === undefined ? [] : [{ ...one, contact: one.contact }],
  );
  const orientation = orientationFrom(contacts);
  const supply =
    orientation.kind === 'found'
      ? orientation.supply
      : others.find((tap) => tap.slotId === slot.id)?.supplyContact;
  if (supply === undefined)
    throw invalid([{ path: 'supplyContact', message: 'the supply side has not been found' }]);
  const matrix = verdict.stitch.map((cell) => ({
    ...cell,
    values: readings
      .filter((one) => one.contact === undefined && placeOf(one.state) === cell.place)
      .map((one) => describeValue(one.value)),
  }));
  return { function: verdict.function, supplyContact: supply, matrix };
}
