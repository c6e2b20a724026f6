import { screenSlot } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { PROOF_KINDS } from '@lucky-thread/core/prove';
import type { Place, Slot } from '@lucky-thread/core/vehicle';
import { PARKED } from '@lucky-thread/core/vehicle';
import { DEFAULT_SETTINGS, toCoreReading } from '@lucky-thread/contract';
import type { JobView, LogTapRequest, TapPointView } from '@lucky-thread/contract';
import { feedSizeOf, findSessionOf, logFindingsOf, slotsOf, tappedFeeds } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { getJob } from '../jobs/jobService';
import { listReadings } from '../readings/readingRepository';
import { findShop } from '../shop/shopRepository';
import { findPlaces } from '../vehicles/placeRepository';
import type { NewTapPoint } from './tapRepository';
import { findTap, insertTapPoints, insertTapReadings, tapsForJob } from './tapRepository';

/**
 * Writes a proven tap into the model's log. Function, supply side, matrix, fuse and wire are worked out here from the
 * job's readings and plan, not taken from the client; sending it again changes nothing.
 *
 * @throws Problem 422 naming what is missing: a proof, the function's look-alikes, the supply side, or a circuit that
 * must not be tapped; 409 for an id that stands for another tap point, or a feed that was logged already.
 */
export async function logTap(
  db: Database,
  actor: Actor,
  ids: { readonly jobId: string; readonly tapId: string },
  request: LogTapRequest,
): Promise<TapPointView> {
  const job = await getJob(db, actor, ids.jobId);
  const scope = { shopId: actor.shopId, modelId: job.vehicle.modelId, jobId: job.id };
  const again = await findTap(db, scope, { id: ids.tapId });
  if (again !== undefined) return sameTap(again, job, request);

  const { places } = (await findPlaces(db, actor.shopId, job.vehicle.modelId)) ?? { places: [] };
  const slot = chosenSlot(job, request, slotsOf({ places }));
  await checkSize(db, actor, { job, places }, request);
  const taps = await tapsForJob(db, scope);
  const counting = (await listReadings(db, job.id)).filter((one) => one.withdrawnAt === null);
  const {
    readings,
    function: is,
    supplyContact,
  } = findings({ job, places, taps, slot }, counting.map(toCoreReading));
  const tap: NewTapPoint = {
    id: ids.tapId,
    shopId: actor.shopId,
    modelId: job.vehicle.modelId,
    jobId: job.id,
    feedId: request.feedId,
    sourceId: slot.id,
    function: is,
    supplyContact,
    yearFrom: job.vehicle.year,
    yearTo: job.vehicle.year,
    trim: job.vehicle.trim,
    market: job.vehicle.market,
    grade: 'probed',
    fuseA: request.fuseA,
    awg: request.awg,
    note: notedFor(slot, reasonIn(job, request), request.note ?? ''),
    loggedBy: actor.userId,
  };
  await db.transaction(async (tx) => {
    const fresh = await insertTapPoints(tx, [tap]);
    if (fresh.has(tap.id)) await insertTapReadings(tx, tap.id, readings);
  });
  // Somebody may have been faster, with this id or with another one for the same feed.
  const stored = await findTap(db, scope, { id: ids.tapId });
  if (stored !== undefined) return sameTap(stored, job, request);
  const other = await findTap(db, scope, { feedId: request.feedId });
  throw conflict(
    other === undefined
      ? 'Another tap point has it.'
      : 'This feed’s tap point is in the log already.',
    other,
  );
}

/**
 * A tap point that is there already, if it is the one that is sent.
 *
 * @throws Problem 409 when its id stands for another one.
 */
function sameTap(stored: TapPointView, job: JobView, request: LogTapRequest): TapPointView {
  const { feedId, fuseA, awg } = request;
  const same =
    stored.jobId === job.id &&
    sameContent([stored.feedId, stored.fuseA, stored.awg], [feedId, fuseA, awg]) &&
    // Cautions stand before what the installer wrote.
    stored.note.endsWith((request.note ?? '').trim());
  // Whose tap point it is, is not told: it may be another job's.
  if (!same) throw conflict('Another tap point has it.');
  return stored;
}

/**
 * Fuse and wire, worked out here from the plan as the sizing sheet does.
 *
 * @throws Problem 422 when nothing fits, the length is missing, or something else comes out.
 */
async function checkSize(
  db: Database,
  actor: Actor,
  of: { readonly job: JobView; readonly places: readonly Place[] },
  request: LogTapRequest,
): Promise<void> {
  const settings = (await findShop(db, actor.shopId))?.settings ?? DEFAULT_SETTINGS;
  const tapped = tappedFeeds({ job: of.job, model: of }).find(
    ({ feed }) => feed.id === request.feedId,
  );
  const size = tapped === undefined ? undefined : feedSizeOf(tapped, settings);
  if (size === undefined)
    throw invalid([{ path: 'fuseA', message: 'give the length of the lead in the plan first' }]);
  if (!size.ok) throw invalid([{ path: 'fuseA', message: `${size.failed.text} ${size.relax}` }]);
  const problems = [
    ...(size.fuseA === request.fuseA
      ? []
      : [{ path: 'fuseA', message: `the plan works out to a ${size.fuseA} A fuse` }]),
    ...(size.awg === request.awg
      ? []
      : [{ path: 'awg', message: `the plan works out to ${size.awg} AWG` }]),
  ];
  if (problems.length > 0) throw invalid(problems);
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
  const slot = slots.find((one) => one.id === planned?.sourceId);
  if (slot === undefined)
    throw invalid([{ path: 'feedId', message: 'no slot is chosen for this feed' }]);
  const screening = screenSlot(slot);
  if (screening.class === 'block')
    throw invalid([{ path: 'feedId', message: screening.reason ?? 'must not be tapped' }]);
  if (screening.class !== 'free' && planned?.reason === undefined)
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

/** What the readings say of a slot: the very judgement that the app shows, on the same session. */
function findings(
  of: {
    readonly job: JobView;
    readonly places: readonly Place[];
    readonly taps: readonly TapPointView[];
    readonly slot: Slot;
  },
  readings: readonly Reading[],
): Pick<TapPointView, 'function' | 'supplyContact' | 'readings'> {
  const { job, places, taps, slot } = of;
  const session = findSessionOf({ job, model: { places }, taps }, readings, { state: PARKED });
  const verdict = advise(session).verdicts.find((one) => one.sourceId === slot.id);
  const found = logFindingsOf({ job, taps }, slot, { verdict, readings });
  if (!found.ok) throw invalid([found.problem]);
  return found;
}
