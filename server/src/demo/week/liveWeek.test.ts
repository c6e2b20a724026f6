import type { JobPage, ModelSummary, TapPage } from '@lucky-thread/contract';
import pg from 'pg';
import { openDatabase } from '../../db/database';
import type { OpenDatabase } from '../../db/database';
import type { TestServer, Visitor } from '../../testing/testServer';
import { startTestServer } from '../../testing/testServer';
import { liveWeek } from './liveWeek';

const NOW = new Date('2026-05-06T15:00:00.000Z');

let server: TestServer;
let visitor: Visitor;
let database: OpenDatabase;
/** Looks on from outside. */
let client: pg.Client;
/** How a first try ended, and what it left. */
let brokenOff: { readonly ended: string; readonly jobs: number };
beforeAll(async () => {
  server = await startTestServer();
  database = openDatabase(server.databaseUrl);
  visitor = await server.visitor();
  client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const broken = liveWeek(database.db, NOW).then(
    () => 'done',
    () => 'broken off',
  );
  await cutOff();
  brokenOff = { ended: await broken, jobs: await count('select count(*) n from jobs') };
  await liveWeek(database.db, NOW);
}, 120_000);
afterAll(async () => {
  await client.end();
  await database.close();
  await server.stop();
});

/** Cuts the connection over which the work is done, as soon as a job has its first readings. */
async function cutOff(): Promise<void> {
  const deadline = Date.now() + 60_000;
  while (Date.now() < deadline) {
    const cut = await count(
      `select count(pg_terminate_backend(pid)) n from pg_stat_activity
       where datname = current_database() and pid <> pg_backend_pid() and query like '%insert into "readings"%'`,
    );
    if (cut > 0) return;
  }
  throw new Error('no reading was ever written');
}

async function count(statement: string): Promise<number> {
  const { rows } = await client.query<{ n: string }>(statement);
  return Number(rows[0]?.n);
}

it('has a fleet, a year of jobs in every phase, and a log that several people wrote over years', async () => {
  const models = (await visitor.get<ModelSummary[]>('/models')).body;
  expect(models.length).toBeGreaterThanOrEqual(10);
  const page = (await visitor.get<JobPage>('/jobs')).body;
  expect(page.jobs.length).toBeGreaterThanOrEqual(25);
  expect(new Set(page.jobs.map((job) => job.phase))).toEqual(
    new Set(['find', 'choose', 'size', 'build', 'prove', 'log']),
  );
  expect(page.jobs.some((job) => job.deferred.includes('asleep'))).toBe(true);
  // One waits for a part, one was opened again, one read a tap point otherwise than the log has it.
  expect(page.jobs.filter((job) => job.waitsFor !== null)).toHaveLength(1);
  const again = page.jobs.filter((job) => job.reopened !== null);
  expect(again.map((job) => job.done)).toEqual([false]);
  expect(
    await count("select count(*) n from tap_observations where kind = 'contradicted'"),
  ).toBeGreaterThan(0);
  expect(await count('select count(*) n from tap_points')).toBeGreaterThanOrEqual(60);
  expect(await count('select count(distinct logged_by) n from tap_points')).toBe(3);
  expect(await count('select count(distinct year_from) n from tap_points')).toBeGreaterThan(5);
  expect(await count('select count(*) n from tap_observations')).toBeGreaterThan(0);
  // Last touched first, over more than a year.
  const touched = page.jobs.map((job) => job.updatedAt);
  expect(touched).toEqual([...touched].sort().reverse());
  expect(touched.at(-1)?.slice(0, 4)).toBe('2025');
});

it('has two revisions of one model that differ in what feeds a slot', async () => {
  const { body } = await visitor.get<ModelSummary[]>('/models');
  const functionOf = async (generation: string) => {
    const id =
      body.find((one) => one.model === 'Packet' && one.generation === generation)?.id ?? '';
    const { taps } = (await visitor.get<TapPage>(`/models/${id}/taps`)).body;
    return new Set(taps.map((tap) => `${tap.sourceId} ${tap.function}`));
  };
  const [first, second] = [await functionOf('I'), await functionOf('II')];
  expect(first).toContain('dash/F2 accessory');
  expect(second).not.toContain('dash/F2 accessory');
});

it('is there as a whole or not at all: what was broken off left nothing, and was done anew', () => {
  expect(brokenOff).toEqual({ ended: 'broken off', jobs: 0 });
});

it('is written once: a shop that works keeps its own', async () => {
  const before = await count('select count(*) n from jobs');
  await liveWeek(database.db, NOW);
  expect(await count('select count(*) n from jobs')).toBe(before);
});
