import type { FeedPlanInput, JobView, ModelView, ReadingRequest } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS, fittedDevice } from '@lucky-thread/contract';
import type { BenchCar, BenchSupply, BenchVehicle } from '@lucky-thread/core/bench';
import { benchCar, meterReading, seededRandom } from '@lucky-thread/core/bench';
import { screenSlot, tapFit } from '@lucky-thread/core/choose';
import type { SlotSource, VehicleState } from '@lucky-thread/core/vehicle';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { SlotFeed } from '@lucky-thread/work';
import { feedSizeOf, slotFeeds, slotsOf, tappedFeeds } from '@lucky-thread/work';
import { and, eq, sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import type { Actor } from '../../auth/session';
import type { Database } from '../../db/database';
import { jobs, models, shops, users } from '../../db/schema';
import { createJob, getJob } from '../../jobs/jobService';
import { putPlan } from '../../jobs/planCommand';
import { deferCheck, noteClosing, putStanding, reachPhase } from '../../jobs/progressCommands';
import { handOverFindings } from '../../meter/handOverFindings';
import { provingReadings } from '../../meter/provingReadings';
import { listReadings } from '../../readings/readingRepository';
import { recordReading } from '../../readings/readingService';
import { tapsForJob } from '../../taps/tapRepository';
import { logTap } from '../../taps/tapService';
import { findBench, findModel } from '../../vehicles/modelRepository';
import { insertPlaces } from '../../vehicles/placeRepository';
import { DEVICE_CATALOGUE } from '../deviceCatalogue';
import { FLEET } from './fleet';
import type { WeekJob } from './jobsOfTheWeek';
import { WEEK } from './jobsOfTheWeek';

/**
 * Fills the demo shop with a fleet and a year of work, through the services that users use; once, on an empty shop. All of it is
 * there or nothing: whoever ends it half-way has it done at the next start.
 */
export async function liveWeek(database: Database, now: Date): Promise<void> {
  await database.transaction(async (db) => {
    const [shop] = await db.select({ id: shops.id }).from(shops).limit(1);
    const [job] = await db.select({ id: jobs.id }).from(jobs).limit(1);
    if (shop === undefined || job !== undefined) return;
    const actors = await actorsOf(db, shop.id);
    await addFleet(db, shop.id);
    for (const [at, entry] of WEEK.entries()) {
      const actor = actors.get(entry.by);
      if (actor !== undefined) await doJob(db, actor, entry, { random: seededRandom(at + 1), now });
    }
  });
}

/** The demo's own people, and two vans that nobody signs in as. */
async function actorsOf(db: Database, shopId: string): Promise<Map<string, Actor>> {
  const vans = ['Van 1', 'Van 2'].map((name) => ({
    id: uuidv7(),
    shopId,
    login: name.toLowerCase().replace(' ', ''),
    name,
    role: 'installer' as const,
    // No password has this for its hash.
    passwordHash: '',
  }));
  await db.insert(users).values(vans).onConflictDoNothing();
  const all = await db.select().from(users).where(eq(users.shopId, shopId));
  return new Map(all.map(({ id, name }) => [name, { userId: id, shopId, name }]));
}

async function addFleet(db: Database, shopId: string): Promise<void> {
  for (const { places, ...vehicle } of FLEET) {
    const [known] = await db
      .select({ id: models.id })
      .from(models)
      .where(
        and(
          eq(models.shopId, shopId),
          eq(models.model, vehicle.model),
          eq(models.generation, vehicle.generation),
        ),
      );
    if (known !== undefined) continue;
    const id = uuidv7();
    await db.insert(models).values({ id, shopId, ...vehicle });
    await insertPlaces(db, id, places);
  }
}

interface Doing {
  readonly random: () => number;
  readonly now: Date;
}

/** One job from its start to where it was left. */
async function doJob(db: Database, actor: Actor, entry: WeekJob, doing: Doing): Promise<void> {
  const found = await modelOf(db, actor, entry.vehicle);
  const at = new Date(doing.now.getTime() - entry.daysAgo * DAY_MS);
  const jobId = uuidv7();
  const { model, bench } = found;
  const job = await createJob(db, actor, jobId, {
    vehicle: {
      modelId: model.id,
      year: entry.year,
      trim: model.trims[0] ?? '',
      market: model.markets[0] ?? '',
      steering: model.steering[0] ?? 'left',
    },
    device: deviceOf(entry.device),
  });
  const car = benchCar(bench);
  const plans = plansFor(job, { model, bench, nth: entry.nth ?? 0 });
  const probe = { db, actor, jobId, at, car, random: doing.random };
  for (const { sourceId } of plans.slice(0, entry.until === 'find' ? 1 : undefined))
    await probeSource(probe, sourceId, entry.waitsFor);
  if (entry.waitsFor !== undefined)
    await deferCheck(db, actor, { jobId, place: entry.waitsFor }, { ...head(at), left: true });
  if (entry.contradicts !== undefined)
    await recordReading(
      db,
      actor,
      { jobId, readingId: uuidv7() },
      contradiction(entry.contradicts, at),
    );
  if (entry.until !== 'find') {
    for (const plan of plans)
      await putPlan(db, actor, { jobId, feedId: plan.feedId }, { ...head(at), base: null, plan });
    await reachPhase(db, actor, jobId, { ...head(at), phase: entry.until });
  }
  if (entry.until === 'log') {
    await proveLeads(probe, model, bench);
    for (const plan of plans) await logged(db, actor, { jobId, plan, entry, model });
  }
  if (entry.part !== undefined || entry.reopened !== undefined)
    await putStanding(db, actor, jobId, {
      ...head(at),
      waitsFor: entry.part ?? null,
      reopened: entry.reopened ?? null,
    });
  await db.execute(
    sql`update jobs set created_at = ${at.toISOString()}::timestamptz, updated_at = ${at.toISOString()}::timestamptz where id = ${jobId}`,
  );
  await db.execute(
    sql`update tap_points set logged_at = ${at.toISOString()}::timestamptz where job_id = ${jobId}`,
  );
}

/** A reading that does not go with the log. */
function contradiction(
  { sourceId, place, volts }: NonNullable<WeekJob['contradicts']>,
  at: Date,
): ReadingRequest {
  return {
    ...{ sourceId, volts, state: stateAt(place), instrument: 'meter' },
    takenAt: at.toISOString(),
  };
}

const DAY_MS = 24 * 3600 * 1000;

function head(at: Date): { readonly command: string; readonly at: string } {
  return { command: uuidv7(), at: at.toISOString() };
}

async function modelOf(
  db: Database,
  actor: Actor,
  name: string,
): Promise<{ readonly model: ModelView; readonly bench: BenchVehicle }> {
  const rows = await db
    .select({ id: models.id, model: models.model, generation: models.generation })
    .from(models)
    .where(eq(models.shopId, actor.shopId));
  const row =
    rows.find((one) => `${one.model} ${one.generation}` === name) ??
    rows.find((one) => one.model === name);
  const model = row === undefined ? undefined : await findModel(db, actor.shopId, row.id);
  const bench = row === undefined ? undefined : await findBench(db, actor.shopId, row.id);
  if (model === undefined || bench === undefined)
    throw new Error(`the demo has no simulated ${name}`);
  return { model, bench };
}

function deviceOf(name: string) {
  const device = DEVICE_CATALOGUE.find((one) => one.device.name === name)?.device;
  if (device === undefined) throw new Error(`the catalogue has no ${name}`);
  return fittedDevice(device, []);
}

/** Supplies that serve each role: those that hold in every state that a feed may ask for. */
const SUPPLIES: Partial<Record<SlotFeed['role'], readonly BenchSupply[]>> = {
  constant: ['battery'],
  switched: ['accessoryContact', 'accessoryContactHeld'],
  illumination: ['lampSwitch'],
  reverse: ['reverseSwitch'],
  brake: ['brakeSwitch'],
  starter: ['starterContact'],
};

/** Sources for each feed of a job: harmless, fed as wanted, large enough, no two the same. */
function plansFor(
  job: JobView,
  of: { readonly model: ModelView; readonly bench: BenchVehicle; readonly nth: number },
): FeedPlanInput[] {
  const used = new Set<string>();
  return slotFeeds({ job }).flatMap((feed) => {
    const fitting = slotsOf(of.model).filter(
      (slot) => !used.has(slot.id) && serves(slot, feed, of.bench),
    );
    const slot = fitting[of.nth % Math.max(1, fitting.length)];
    if (slot === undefined) return [];
    used.add(slot.id);
    return [
      {
        feedId: feed.id,
        sourceId: slot.id,
        oneWayM: 2 + (of.nth % 3),
        returnPath: 'body' as const,
      },
    ];
  });
}

/** A slot's own circuit and the feed together stay below what it is rated for. */
const HEADROOM = 0.5;

function serves(slot: SlotSource, feed: SlotFeed, bench: BenchVehicle): boolean {
  const circuit = bench.circuits.find((one) => one.slotId === slot.id);
  return (
    circuit !== undefined &&
    // Fed from both sides it has no supply side.
    circuit.backFeed === undefined &&
    (SUPPLIES[feed.role] ?? []).includes(circuit.supply) &&
    screenSlot(slot).class === 'free' &&
    tapFit(slot).fits &&
    feed.currentA <= HEADROOM * (slot.ratingA ?? 0)
  );
}

interface Probing {
  readonly db: Database;
  readonly actor: Actor;
  readonly jobId: string;
  readonly at: Date;
  readonly car: BenchCar;
  readonly random: () => number;
}

/** States in which everybody looks, and those of lamps. */
const LOOKS = ['off', 'acc', 'run', 'crank', 'justOff', 'asleep', 'lamps'] as const;

/** Reads a slot in every state but what is left for later, and both contacts of the empty slot. */
async function probeSource(of: Probing, sourceId: string, but: string | undefined): Promise<void> {
  for (const place of LOOKS) if (place !== but) await read(of, { sourceId, state: stateAt(place) });
  // With the lamps on as well: a slot that they feed shows its supply side then only.
  for (const contact of ['a', 'b'] as const)
    await read(of, { sourceId, state: { ...stateAt('run'), lamps: true }, contact });
}

/** Reads every added lead as its closing proofs ask. */
async function proveLeads(of: Probing, model: ModelView, bench: BenchVehicle): Promise<void> {
  const { db, actor, jobId, at, random } = of;
  const job = await getJob(db, actor, jobId);
  const taps = await tapsForJob(db, { shopId: actor.shopId, modelId: model.id, jobId });
  const readings = await listReadings(db, jobId);
  const given = { job, model, taps, readings, settings: DEFAULT_SETTINGS };
  for (const one of provingReadings(given, bench, random))
    await recordReading(
      db,
      actor,
      { jobId, readingId: uuidv7() },
      { ...one, instrument: 'meter', takenAt: at.toISOString() },
    );
  for (const { item, value } of handOverFindings(job))
    await noteClosing(...([db, actor, { jobId, item }] as const), {
      command: uuidv7(),
      at: at.toISOString(),
      done: true,
      value,
    });
}

async function read(
  { db, actor, jobId, at, car, random }: Probing,
  touch: { readonly sourceId: string; readonly state: VehicleState; readonly contact?: 'a' | 'b' },
): Promise<void> {
  const volts = meterReading(car, { pointId: touch.sourceId, ...touch }, random);
  await recordReading(
    db,
    actor,
    { jobId, readingId: uuidv7() },
    {
      ...touch,
      instrument: 'meter',
      volts: Math.round(volts * 100) / 100,
      takenAt: at.toISOString(),
    },
  );
}

async function logged(
  db: Database,
  actor: Actor,
  of: {
    readonly jobId: string;
    readonly plan: FeedPlanInput;
    readonly entry: WeekJob;
    readonly model: ModelView;
  },
): Promise<void> {
  const { jobId, plan, entry, model } = of;
  const job = await getJob(db, actor, jobId);
  const tapped = tappedFeeds({ job, model }).find(({ feed }) => feed.id === plan.feedId);
  const size = tapped === undefined ? undefined : feedSizeOf(tapped, DEFAULT_SETTINGS);
  if (size?.ok !== true) throw new Error(`nothing fits ${plan.feedId} of ${entry.vehicle}`);
  await logTap(
    db,
    actor,
    { jobId, tapId: uuidv7() },
    {
      feedId: plan.feedId,
      fuseA: size.fuseA,
      awg: size.awg,
      ...(entry.note === undefined ? {} : { note: entry.note }),
    },
  );
}
