import type { JobPage, ProblemDocument, ReadingView, ShopView } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { jobBody, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

async function query(text: string, values: unknown[]): Promise<void> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  try {
    await client.query(text, values);
  } finally {
    await client.end();
  }
}

describe('a stored job that no request could store today', () => {
  it('is named, and the others are listed', async () => {
    const good = await visitor.job();
    const bad = await visitor.job();
    // As the migration to rows leaves a job that it could not read.
    await query(`update jobs set device_name = '' where id = $1`, [bad.id]);
    const { body } = await visitor.get<JobPage>('/jobs');
    expect(body.jobs.map((job) => job.id)).toContain(good.id);
    expect(body.unreadable).toContain(bad.id);
    const alone = await visitor.get<ProblemDocument>(`/jobs/${bad.id}`);
    expect(alone.status).toBe(422);
    expect(alone.body.type).toBe('unreadable');
    expect(alone.body.detail).toContain('Nothing was deleted');
  });

  it('with a way of sizing that is none is named when it is opened', async () => {
    const job = await visitor.job();
    const plan = [{ feedId: 'memory', sourceId: 'dash/F3', sizing: { ambientC: 30 } }];
    await visitor.change(job.id, { plan });
    await query(`update feed_plans set sizing = '[]' where job_id = $1`, [job.id]);
    expect((await visitor.get<ProblemDocument>(`/jobs/${job.id}`)).body.type).toBe('unreadable');
  });

  it.each([
    ['jobs', `phase = 'dancing'`],
    ['jobs', `deferred = '{dancing}'`],
    ['jobs', `model_id = gen_random_uuid()`],
    ['jobs', `version = 0`],
    ['job_feeds', `role = 'dancing'`],
    ['feed_plans', `one_way_m = -1`],
    ['feed_plans', `feed_id = 'no such feed'`],
    ['proofs', `kind = 'dancing'`],
    ['places', `kind = 'dancing'`],
    ['sources', `place_id = 'nowhere'`],
    ['sources', `family = null`],
    ['tap_points', `source_id = 'nowhere'`],
  ])('cannot come about: %s with %s is refused by the database', async (table, change) => {
    const job = await visitor.job();
    const plan = [{ feedId: 'memory', sourceId: 'dash/F3', proofs: ['live'] }];
    await visitor.change(job.id, { plan });
    await query(
      `insert into tap_points (id, shop_id, model_id, source_id, function, supply_contact, year_from, year_to, trim,
         market, grade, fuse_a, awg, note, logged_by)
       select gen_random_uuid(), shop_id, model_id, 'dash/F3', 'constant', 'a', 2020, 2020, '', '', 'probed', 2, 18, '',
         created_by from jobs where id = $1`,
      [job.id],
    );
    await expect(query(`update ${table} set ${change}`, [])).rejects.toThrow(/violates/);
  });

  it('does not keep readings and settings beside it from being read', async () => {
    const job = await visitor.job();
    const id = uuidv7();
    await visitor.put(`/jobs/${job.id}/readings/${id}`, readingBody('dash/F5'));
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody('dash/F6'));
    await query(`update readings set state = '[]' where id = $1`, [id]);
    await query(`update shops set settings = '{"sizing": []}'`, []);
    const { body } = await visitor.get<ReadingView[]>(`/jobs/${job.id}/readings`);
    expect(body.map((one) => one.sourceId)).toEqual(['dash/F6']);
    const shop = await visitor.get<ShopView>('/shop');
    expect(shop.body.settings).toEqual(DEFAULT_SETTINGS);
  });
});

describe('an id', () => {
  it('of a job stands for what it was first sent with', async () => {
    const model = await visitor.model('Longboat');
    const body = jobBody(model.id) as { vehicle: object; device: object };
    const id = uuidv7();
    expect((await visitor.put(`/jobs/${id}`, body)).status).toBe(200);
    for (const other of [
      { ...body, vehicle: { ...body.vehicle, year: 2019 } },
      { ...body, device: { ...body.device, name: 'Another' } },
    ]) {
      const answer = await visitor.put<ProblemDocument>(`/jobs/${id}`, other);
      expect(answer.status).toBe(409);
      expect(answer.body.current).toMatchObject({ id, ...body });
    }
    // The same fields in another order are the same.
    const turned = { device: body.device, vehicle: body.vehicle };
    expect((await visitor.put(`/jobs/${id}`, turned)).status).toBe(200);
  });

  it('of a reading stands for what it was first sent with', async () => {
    const job = await visitor.job();
    const path = `/jobs/${job.id}/readings/${uuidv7()}`;
    const body = readingBody('dash/F5') as { state: object };
    expect((await visitor.put(path, body)).status).toBe(200);
    for (const other of [
      readingBody('dash/F6'),
      readingBody('dash/F5', 0.1),
      { ...body, takenAt: '2026-05-04T10:00:01.000Z' },
      { ...body, state: { ...body.state, lamps: true } },
    ])
      expect((await visitor.put(path, other)).status).toBe(409);
    const later = { ...body, takenAt: '2026-05-04T12:00:00.000+02:00' };
    expect((await visitor.put(path, later)).status).toBe(200);
  });
});
