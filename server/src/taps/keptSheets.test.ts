import { isDeepStrictEqual } from 'node:util';
import type { JobView, TapPage, TapPointView } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { openDatabase } from '../db/database';
import type { OpenDatabase } from '../db/database';
import { hashPassword } from '../auth/passwords';
import { statementsOf } from '../testing/statements';
import type { TestServer, Visitor } from '../testing/testServer';
import { readingBody, startTestServer } from '../testing/testServer';
import { pageOfTaps } from './tapRepository';

let server: TestServer;
let visitor: Visitor;
let database: OpenDatabase;
let client: pg.Client;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  database = openDatabase(server.databaseUrl);
  client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
});
afterAll(async () => {
  await client.end();
  await database.close();
  await server.stop();
});

const ACCESSORY_PLACES = ['off', 'acc', 'run', 'crank', 'justOff', 'a', 'b'] as const;

let job: JobView;
let tap: TapPointView;
/** The reading that speaks for the tap point. */
let readingId: string;
/** A tap point that a later job's reading confirms. */
beforeEach(async () => {
  await server.forget();
  job = await visitor.job();
  await visitor.probe(job.id, 'dash/F5', ACCESSORY_PLACES);
  await visitor.change(job.id, {
    plan: [{ feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2 }],
  });
  await visitor.prove(job.id);
  tap = (
    await visitor.put<TapPointView>(`/jobs/${job.id}/taps/${uuidv7()}`, {
      feedId: 'switched',
      fuseA: 2,
      awg: 18,
    })
  ).body;
  readingId = uuidv7();
  const later = await visitor.job();
  await visitor.put(`/jobs/${later.id}/readings/${readingId}`, readingBody('dash/F5', 12.3));
});

const sheetOf = async (of = tap.modelId) => (await visitor.get<TapPage>(`/models/${of}/taps`)).body;

/** The sheet as the rows have it now. */
async function asStored(): Promise<TapPage> {
  const { rows } = await client.query<{ shop_id: string }>(
    'select shop_id from models where id = $1',
    [tap.modelId],
  );
  return pageOfTaps(
    database.db,
    { shopId: rows[0]?.shop_id ?? '', modelId: tap.modelId },
    undefined,
  );
}

it('asks for nothing but the session while the log stays as it is', async () => {
  const first = await sheetOf();
  let again: TapPage | undefined;
  const sent = await statementsOf(async () => {
    again = await sheetOf();
  });
  expect(sent).toHaveLength(1);
  expect(sent[0]).toMatch(/from "session"/);
  expect(again).toEqual(first);
  expect(again).toEqual(await asStored());
  expect(again?.taps).toMatchObject([{ id: tap.id, confirmedJobs: 1 }]);
});

/** Everything that a sheet shows, and a change of it by hand in the database: no writer of ours is needed. One comes on top of the other. */
const CHANGES: readonly (readonly [string, string])[] = [
  ['a note', `update tap_points set note = 'elsewhere' where id = $1`],
  [
    'a tap point more',
    `insert into tap_points (id, shop_id, model_id, source_id, function, year_from, year_to, trim, market, grade, fuse_a, awg, note, logged_by)
     select gen_random_uuid(), shop_id, model_id, source_id, function, year_from, year_to, trim, market, grade, fuse_a, awg, note, logged_by
     from tap_points where id = $1`,
  ],
  [
    'what it was logged with',
    'update tap_readings set volts = 9.87 where tap_point_id = $1 and position = 0',
  ],
  [
    'what a later job saw',
    `update tap_observations set kind = 'contradicted' where tap_point_id = $1`,
  ],
  [
    'a reading is withdrawn',
    `update readings set withdrawn_at = now()
     where id in (select reading_id from tap_observations where tap_point_id = $1)`,
  ],
  [
    'who logged it is called otherwise',
    `update users set name = name || '!' where id = (select logged_by from tap_points where id = $1)`,
  ],
  [
    'what its contact lies towards',
    `update sources set landmark_a = 'tail side'
     where (model_id, id) = (select model_id, source_id from tap_points where id = $1)`,
  ],
  ['which contact is the supply', `update tap_points set supply_contact = 'b' where id = $1`],
  [
    'what its other contact lies towards',
    `update sources set landmark_b = 'nose side'
     where (model_id, id) = (select model_id, source_id from tap_points where id = $1)`,
  ],
  ['fewer readings', 'delete from tap_readings where tap_point_id = $1 and position = 1'],
  [
    'a reading counts again',
    `update readings set withdrawn_at = null
     where id in (select reading_id from tap_observations where tap_point_id = $1)`,
  ],
  ['it saw nothing', 'delete from tap_observations where tap_point_id = $1'],
  ['a tap point is retired', 'update tap_points set retired = true where id = $1'],
];

it('shows every change at once', async () => {
  for (const [what, statement] of CHANGES) {
    const before = await sheetOf();
    await sheetOf();
    const { rowCount } = await client.query(statement, [tap.id]);
    const after = await sheetOf();
    const told = {
      ...{ what, changed: (rowCount ?? 0) > 0, shown: !isDeepStrictEqual(after, before) },
      asStored: isDeepStrictEqual(after, await asStored()),
    };
    expect(told).toEqual({ what, changed: true, shown: true, asStored: true });
  }
});

it('shows what a whole log that was emptied leaves', async () => {
  await sheetOf();
  await client.query('truncate tap_observations');
  expect((await sheetOf()).taps).toMatchObject([{ confirmedJobs: 0 }]);
  await client.query('truncate tap_readings');
  expect((await sheetOf()).taps).toMatchObject([{ readings: [] }]);
  await client.query('truncate tap_points cascade');
  expect((await sheetOf()).taps).toEqual([]);
});

it('shows what people did through the interface, one after the other', async () => {
  const seen = async () => (await sheetOf()).taps[0];
  expect(await seen()).toMatchObject({ confirmedJobs: 1, contradictedJobs: 0 });
  const third = await visitor.job();
  const at = `/jobs/${third.id}/readings/${uuidv7()}`;
  await visitor.put(at, readingBody('dash/F5', 0));
  expect(await seen()).toMatchObject({ confirmedJobs: 1, contradictedJobs: 1 });
  await visitor.put(`${at}/withdrawal`);
  expect(await seen()).toMatchObject({ confirmedJobs: 1, contradictedJobs: 0 });
  const csv = (await visitor.get(`/models/${tap.modelId}/taps.csv`)).text;
  const changed = csv.replace(/,Installer,/, ',Installer,').replace(/(,2,18,)/, '$1moved');
  await visitor.send('POST', `/models/${tap.modelId}/taps.csv`, changed, { type: 'text/csv' });
  expect(await seen()).toMatchObject({ note: 'moved' });
});

it('shows a change only when it is done, and none that was taken back', async () => {
  const before = await sheetOf();
  const change = `update tap_points set note = 'half' where id = $1`;
  await client.query('begin');
  await client.query(change, [tap.id]);
  expect(await sheetOf()).toEqual(before);
  await client.query('rollback');
  expect(await sheetOf()).toEqual(before);
  await client.query('begin');
  await client.query(change, [tap.id]);
  await sheetOf();
  await client.query('commit');
  expect((await sheetOf()).taps).toMatchObject([{ note: 'half' }]);
});

it('shows another shop nothing, whose log may bear the same stamp', async () => {
  const shopId = uuidv7();
  await client.query(
    `insert into shops (id, name, log_stamp) select $1, 'Another shop', log_stamp from shops
     where id = (select shop_id from tap_points where id = $2)`,
    [shopId, tap.id],
  );
  await client.query(
    `insert into users (id, shop_id, login, name, role, password_hash) values ($1, $2, 'other', 'Other', 'lead', $3)`,
    [uuidv7(), shopId, await hashPassword('another password')],
  );
  const stranger = await server.visitor('nobody');
  await stranger.post('/session', { login: 'other', password: 'another password' });
  expect((await sheetOf()).taps).toHaveLength(1);
  const theirs = await stranger.get<TapPage>(`/models/${tap.modelId}/taps`);
  expect(theirs.body.taps).toEqual([]);
  expect((await sheetOf()).taps).toHaveLength(1);
});

it('holds nobody up while a change is not done', async () => {
  await client.query('begin');
  await client.query(`update tap_points set note = 'long' where id = $1`, [tap.id]);
  const { id } = await visitor.job();
  const path = `/jobs/${id}/readings/${uuidv7()}`;
  const answer = await visitor.put(path, readingBody('dash/F5', 12.2));
  await client.query('rollback');
  expect(answer.status).toBe(200);
  expect((await sheetOf()).taps).toMatchObject([{ confirmedJobs: 2 }]);
});

it('keeps each model’s and each page’s sheet apart', async () => {
  const other = await visitor.model('Petrel');
  const own = await sheetOf();
  const theirs = await sheetOf(other.id);
  expect(theirs.taps.map(({ modelId }) => modelId)).not.toContain(tap.modelId);
  expect(await sheetOf()).toEqual(own);
  const end = Buffer.from(JSON.stringify(['dash/F5', '2100-01-01 00:00:00+00', tap.id])).toString(
    'base64url',
  );
  const beyond = await visitor.get<TapPage>(`/models/${tap.modelId}/taps?after=${end}`);
  expect(beyond.body.taps).toEqual([]);
  expect(await sheetOf()).toEqual(own);
});

it('is never behind a write that was answered, however many come at once', async () => {
  const write = async (at: number) => {
    const { id } = await visitor.job();
    await visitor.put(`/jobs/${id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.1));
    // This write was answered: whoever asks from now on sees at least as many as were done.
    done += 1;
    const least = done;
    const { taps } = await sheetOf();
    return { at, least, seen: (taps[0]?.confirmedJobs ?? 0) - 1 };
  };
  let done = 0;
  const all = await Promise.all(Array.from({ length: 24 }, (_, at) => write(at)));
  for (const { least, seen } of all) expect(seen).toBeGreaterThanOrEqual(least);
  expect((await sheetOf()).taps).toMatchObject([{ confirmedJobs: 25 }]);
});
