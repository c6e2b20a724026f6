import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { JobView, MatrixCell, ModelView, ReadingView } from '@lucky-thread/contract';
import { matrixOf } from '@lucky-thread/contract';
import { panelsOf, wiresAt } from '@lucky-thread/work';
import { getTableColumns, getTableName } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { findJob, pageOfJobs } from '../jobs/jobRepository';
import { listReadings } from '../readings/readingRepository';
import { tapsForJob } from '../taps/tapRepository';
import { clusterUrl } from '../testing/testServer';
import { findModel } from '../vehicles/modelRepository';
import type { OpenDatabase } from './database';
import { migrateDatabase, openDatabase } from './database';
import * as schema from './schema';

const FIXTURES = path.join(__dirname, 'fixtures');
const MIGRATIONS = path.join(__dirname, '../../drizzle');
/** The last migration before jobs and models became rows. */
const BEFORE = 4;

/** Answers of the server as it was, on the database that the fixture is a dump of. */
interface Answers {
  readonly jobs: Readonly<Record<string, OldJob>>;
  readonly taps: Readonly<Record<string, readonly OldTap[]>>;
  readonly readings: Readonly<Record<string, readonly ReadingView[]>>;
  readonly models: Readonly<Record<string, OldModel>>;
  readonly unreadable: readonly string[];
}
type OldJob = {
  readonly plan: readonly {
    readonly feedId: string;
    readonly slotId: string;
    readonly proofs?: readonly string[];
  }[];
};
type OldTap = { readonly id: string; readonly slotId: string; readonly matrix: MatrixCell[] };
type OldModel = Pick<ModelView, 'id' | 'make'> & {
  readonly panels: readonly object[];
  readonly bunch: readonly object[];
  readonly handbook: readonly { readonly slotId: string }[];
};

const OLD = JSON.parse(readFileSync(path.join(FIXTURES, 'before-rows.json'), 'utf8')) as Answers;

let database: OpenDatabase;
let url: URL;
let shopId: string;

async function run(statements: string, connectionString = url.href): Promise<pg.QueryResult> {
  const client = new pg.Client({ connectionString });
  await client.connect();
  try {
    return await client.query(statements);
  } finally {
    await client.end();
  }
}

/** The migrations up to one of them. */
function migrationsUntil(last: number): string {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-migrations-'));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const journal = path.join(folder, 'meta/_journal.json');
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as {
    entries: { idx: number }[];
  };
  writeFileSync(
    journal,
    JSON.stringify({ ...rest, entries: entries.filter(({ idx }) => idx <= last) }),
  );
  return folder;
}

beforeAll(async () => {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await run(`create database ${name}`, clusterUrl());
  url = new URL(clusterUrl());
  url.pathname = `/${name}`;
  const folder = migrationsUntil(BEFORE);
  const pool = new pg.Pool({ connectionString: url.href, max: 1 });
  await migrate(drizzle(pool), { migrationsFolder: folder });
  await pool.end();
  rmSync(folder, { recursive: true });
  await run(readFileSync(path.join(FIXTURES, 'before-rows.sql'), 'utf8'));
  await migrateDatabase(url.href);
  database = openDatabase(url.href);
  shopId = ((await run('select id from shops')).rows as { id: string }[])[0]?.id ?? '';
});
afterAll(async () => {
  await database.close();
  await run(`drop database ${url.pathname.slice(1)} with (force)`, clusterUrl());
});

/** An old answer with the names that things have now. */
function renamed<T extends { readonly slotId: string }>({ slotId, ...rest }: T) {
  return { ...rest, sourceId: slotId };
}

/** A column’s name in the database, as the driver writes it. */
const snake = (key: string): string =>
  key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

const byFeed = (left: { feedId: string }, right: { feedId: string }): number =>
  left.feedId.localeCompare(right.feedId);

describe('a filled database of the version before', () => {
  it.each(Object.keys(OLD.jobs))('answers about job %s as it did', async (id) => {
    const { plan, ...before } = OLD.jobs[id] as OldJob;
    const { plan: now, ...after } = (await findJob(database.db, shopId, id)) ?? { plan: [] };
    const { planVersions, wiresVersion, proofs, seen, closing, ...said } = after as JobView;
    const { waitsFor, reopened, day, route, steps, ...rest } = said;
    expect(rest).toEqual(before);
    // Nothing has been changed by a command yet.
    expect([planVersions, wiresVersion, seen, closing]).toEqual([{}, null, [], []]);
    expect([waitsFor, reopened, day, route, steps]).toEqual([null, null, null, null, []]);
    const shown = (feedId: string) =>
      proofs.filter((one) => one.feedId === feedId).map((one) => one.kind);
    const planned = plan.map(renamed).sort(byFeed);
    expect([...now].sort(byFeed)).toEqual(planned.map(({ proofs: _shown, ...one }) => one));
    expect(planned.map((one) => shown(one.feedId))).toEqual(planned.map((one) => one.proofs ?? []));
  });

  it.each(Object.keys(OLD.readings))('has the readings of job %s', async (id) => {
    expect(await listReadings(database.db, id)).toEqual(OLD.readings[id]);
  });

  it.each(Object.keys(OLD.taps))('has what the log says to job %s, value by value', async (id) => {
    const modelId = (await findJob(database.db, shopId, id))?.vehicle.modelId ?? '';
    const now = await tapsForJob(database.db, { shopId, modelId, jobId: id });
    const before = OLD.taps[id] ?? [];
    expect(now.map((tap) => tap.id)).toEqual(before.map((tap) => tap.id));
    for (const [index, tap] of now.entries()) {
      const { readings: _readings, ...rest } = tap;
      const { matrix, ...old } = renamed(before[index] as OldTap);
      expect(rest).toEqual(old);
      const sorted = (cells: readonly MatrixCell[]) =>
        cells
          // A few millivolts below zero were printed with a sign that a number has not.
          .map((cell) => ({
            ...cell,
            values: cell.values.map((one) => one.replace('-0.00', '0.00')),
          }))
          .sort((left, right) => left.place.localeCompare(right.place));
      expect(sorted(matrixOf(tap))).toEqual(sorted(matrix));
    }
  });

  it.each(Object.keys(OLD.models))('has the places of model %s, slot by slot', async (id) => {
    const now = await findModel(database.db, shopId, id);
    if (now === undefined) throw new Error(`model ${id} is gone`);
    const { panels, bunch, handbook, ...before } = OLD.models[id] as OldModel;
    expect(now).toMatchObject(before);
    expect(panelsOf(now)).toMatchObject(panels);
    expect(now.places.flatMap(wiresAt)).toEqual(bunch);
    expect(now.handbook).toEqual(handbook.map(renamed));
  });

  it('keeps jobs that it cannot read, names them, and has what was stored of them', async () => {
    expect(OLD.unreadable).toHaveLength(2);
    const page = await pageOfJobs(database.db, { shopId, userId: shopId }, undefined);
    expect([...page.unreadable].sort()).toEqual([...OLD.unreadable].sort());
    const { rows } = await run('select job_id, device, plan from unreadable_jobs');
    const kept = rows as { job_id: string; device: object; plan: object }[];
    expect(kept.map((row) => row.job_id).sort()).toEqual([...OLD.unreadable].sort());
    expect(kept.map((row) => JSON.stringify(row.device)).join()).toContain('"feeds":[[]]');
    expect(kept.map((row) => JSON.stringify(row.plan)).join()).toContain('[[]]');
  });

  it('says on which car later readings spoke', async () => {
    const { rows } = await run('select year, trim, market from tap_observations');
    expect(rows).toEqual([
      { year: 2019, trim: 'Long', market: '' },
      { year: 2019, trim: 'Long', market: '' },
    ]);
  });

  it('has the columns that the code describes, no more and no fewer', async () => {
    const { rows } = await run(
      `select table_name, column_name from information_schema.columns where table_schema = 'public'`,
    );
    const found = (rows as { table_name: string; column_name: string }[]).map(
      (row) => `${row.table_name}.${row.column_name}`,
    );
    const described = Object.values(schema).flatMap((table) =>
      Object.keys(getTableColumns(table)).map((key) => `${getTableName(table)}.${snake(key)}`),
    );
    expect(found.sort()).toEqual(described.sort());
  });
});
