import { screenSlot, whyNeverTapped } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import { advise, isSpeakerLead } from '@lucky-thread/core/identify';
import type { Place, Source } from '@lucky-thread/core/vehicle';
import { PARKED, isConductor } from '@lucky-thread/core/vehicle';
import { DEFAULT_SETTINGS, toCoreReading } from '@lucky-thread/contract';
import type { JobView, LogTapRequest, ShopSettings, TapPointView } from '@lucky-thread/contract';
import {
  BUNCH_PLACE,
  feedProofsOf,
  feedSizeOf,
  findSessionOf,
  handOverLeft,
  logFindingsOf,
  missingProofs,
  seenBy,
  speakerWiresOf,
  tappedFeeds,
} from '@lucky-thread/work';
import type { TappedFeed } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { conflict, invalid } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { getJob } from '../jobs/jobService';
import { listReadings } from '../readings/readingRepository';
import { findShop } from '../shop/shopRepository';
import { findPlaces, keepWire } from '../vehicles/placeRepository';
import { checkPrint } from './printCheck';
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

  checkHandOver(job);
  const found = (await findPlaces(db, actor.shopId, job.vehicle.modelId)) ?? { places: [] };
  const { places } = seenBy(found, job);
  const settings = (await findShop(db, actor.shopId))?.settings ?? DEFAULT_SETTINGS;
  const taps = await tapsForJob(db, scope);
  // In the order of taking, as the app has them: of two readings at one place the newest counts, whenever it arrived.
  const counting = (await listReadings(db, job.id))
    .filter((one) => one.withdrawnAt === null)
    .sort((left, right) => left.takenAt.localeCompare(right.takenAt));
  const taken = counting.map(toCoreReading);
  const source = sourceOf({ job, places, settings }, taken, request);
  const {
    readings,
    function: is,
    supplyContact,
  } = findings({ job, places, taps, source, settings }, taken, request);
  const tap: NewTapPoint = {
    id: ids.tapId,
    shopId: actor.shopId,
    modelId: job.vehicle.modelId,
    jobId: job.id,
    feedId: request.feedId,
    sourceId: source.id,
    function: is,
    supplyContact,
    yearFrom: job.vehicle.year,
    yearTo: job.vehicle.year,
    trim: job.vehicle.trim,
    market: job.vehicle.market,
    grade: 'probed',
    fuseA: request.fuseA ?? null,
    awg: request.awg ?? null,
    note: notedFor(source, reasonIn(job, request), request.note ?? ''),
    loggedBy: actor.userId,
  };
  await db.transaction(async (tx) => {
    await rememberWire(tx, job, source);
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
    sameContent([stored.feedId, stored.fuseA, stored.awg], [feedId, fuseA ?? null, awg ?? null]) &&
    // Cautions stand before what the installer wrote.
    stored.note.endsWith((request.note ?? '').trim());
  // Whose tap point it is, is not told: it may be another job's.
  if (!same) throw conflict('Another tap point has it.');
  return stored;
}

/**
 * A device that can hurt or fail unseen is tried before anything of it counts as proven.
 *
 * @throws Problem 422 naming the tests that are open, or did not come to what they must.
 */
function checkHandOver(job: JobView): void {
  const left = handOverLeft(job);
  if (left.length > 0)
    throw invalid(
      left.map(({ item, test }) => ({
        path: `closing.${item}`,
        message: `before the hand-over: ${test.what} ${test.must}`,
      })),
    );
}

/**
 * Where a feed is joined: a speaker's lead to the wire that a pop has shown, with nothing added; any other where the plan has
 * it, by the fuse and the wire that come out here.
 *
 * @throws Problem 422 naming what is missing or differs.
 */
function sourceOf(
  of: {
    readonly job: JobView;
    readonly places: readonly Place[];
    readonly settings: ShopSettings;
  },
  readings: readonly Reading[],
  request: LogTapRequest,
): Source {
  const feed = of.job.device.feeds.find(({ id }) => id === request.feedId);
  if (feed === undefined || !isSpeakerLead(feed.role)) {
    const tapped = chosenSource(of, request);
    checkSize(tapped, of.settings, request);
    return tapped.source;
  }
  if (request.fuseA !== undefined || request.awg !== undefined)
    throw invalid([{ path: 'fuseA', message: 'a speaker’s lead has neither fuse nor added wire' }]);
  const wire = speakerWiresOf({ job: of.job, model: of }, readings).get(feed.id);
  if (wire === undefined)
    throw invalid([{ path: 'feedId', message: 'no pop has shown this speaker’s wire' }]);
  if (!wire.proved)
    throw invalid([
      { path: 'feedId', message: 'nobody saw the cone move: plus and minus are a guess' },
    ]);
  return wire.source;
}

/**
 * Fuse and wire, worked out here from the plan as the sizing sheet does.
 *
 * @throws Problem 422 when nothing fits, the length is missing, or something else comes out.
 */
function checkSize(tapped: TappedFeed, settings: ShopSettings, request: LogTapRequest): void {
  const size = feedSizeOf(tapped, settings);
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
function notedFor(source: Source, reason: string | undefined, note: string): string {
  const cautions = [
    ...cautionsOf(source),
    ...(reason === undefined ? [] : [`Taken because: ${reason}.`]),
  ];
  return [...cautions, note].join(' ').trim();
}

function cautionsOf(source: Source): string[] {
  if (source.kind !== 'slot') return [];
  const { class: safety, reason: warning } = screenSlot(source);
  if (safety === 'unknown')
    return ['Caution: no legend that can be read, ask for the handbook’s entry.'];
  return safety === 'caution' ? [`Caution: ${warning ?? 'its legend warns'}`] : [];
}

function reasonIn(job: JobView, request: Pick<LogTapRequest, 'feedId'>): string | undefined {
  return job.plan.find((one) => one.feedId === request.feedId)?.reason?.replace(/\.$/, '');
}

/**
 * The source that a feed was planned for, that may be taken.
 *
 * @throws Problem 422 when there is none, when it must not be tapped, or when a reason is missing.
 */
function chosenSource(
  of: { readonly job: JobView; readonly places: readonly Place[] },
  request: LogTapRequest,
): TappedFeed {
  const tapped = tappedFeeds({ job: of.job, model: of }).find(
    ({ feed }) => feed.id === request.feedId,
  );
  if (tapped === undefined)
    throw invalid([{ path: 'feedId', message: 'no source is chosen for this feed' }]);
  const { feed, source, plan } = tapped;
  const never = whyNeverTapped(source, feed.role);
  if (never !== undefined) throw invalid([{ path: 'feedId', message: never }]);
  const screening = source.kind === 'slot' ? screenSlot(source) : undefined;
  if (screening !== undefined && screening.class !== 'free' && plan.reason === undefined)
    throw invalid([
      {
        path: 'reason',
        message: `say in the plan why it was taken. ${screening.reason ?? ''}`.trim(),
      },
    ]);
  return tapped;
}

/** A wire that only this job knew becomes the model's, so that the log can speak of it. */
async function rememberWire(db: Database, job: JobView, source: Source): Promise<void> {
  const isOwn =
    source.id.startsWith(`${BUNCH_PLACE}/`) && job.harness.some((wire) => wire.id === source.id);
  if (isOwn && isConductor(source)) await keepWire(db, job.vehicle.modelId, source);
}

/** What the readings say of a source: the very judgement that the app shows, on the same session. */
function findings(
  of: {
    readonly job: JobView;
    readonly places: readonly Place[];
    readonly taps: readonly TapPointView[];
    readonly source: Source;
    readonly settings: ShopSettings;
  },
  readings: readonly Reading[],
  { feedId }: Pick<LogTapRequest, 'feedId'>,
): Pick<TapPointView, 'function' | 'supplyContact' | 'readings'> {
  const { job, places, taps, settings, source } = of;
  const model = { places };
  const session = findSessionOf({ job, model, taps }, readings, { state: PARKED });
  const { verdicts } = advise(session);
  const verdict = verdicts.find((one) => one.sourceId === source.id);
  if (verdict !== undefined) checkPrint(source, verdict, reasonIn(job, { feedId }));
  const found = logFindingsOf({ job, taps }, source, { verdict, readings });
  if (!found.ok) throw invalid([found.problem]);
  const proofs = feedProofsOf({ context: { job, model, settings }, readings, verdicts });
  const open = proofs
    .filter((one) => one.tapped.feed.id === feedId)
    .flatMap((one) => missingProofs(one));
  if (open.length > 0)
    throw invalid([
      { path: 'proofs', message: `still to be shown: ${[...new Set(open)].join(', ')}` },
    ]);
  return found;
}
