import type {
  JobPage,
  JobView,
  ProblemDocument,
  ReadingView,
  ShopView,
} from '@lucky-thread/contract';
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
  await client.query(text, values);
  await client.end();
}

describe('a stored job that no request could store today', () => {
  it.each([
    ['device', '[]'],
    ['device', '{"name":"x","feeds":[[]]}'],
    ['device', '"x"'],
    ['vehicle', '[]'],
    ['plan', '{}'],
    ['plan', '[[]]'],
    ['harness', '[1]'],
    ['deferred', '["dancing"]'],
    ['phase', 'dancing'],
  ])('with %s %s is named, and the others are listed', async (column, value) => {
    const good = await visitor.job();
    const bad = await visitor.job();
    await query(`update jobs set ${column} = $2 where id = $1`, [bad.id, value]);
    const { body } = await visitor.get<JobPage>('/jobs');
    expect(body.jobs.map((job) => job.id)).toContain(good.id);
    expect(body.unreadable).toContain(bad.id);
    const alone = await visitor.get<ProblemDocument>(`/jobs/${bad.id}`);
    expect(alone.status).toBe(422);
    expect(alone.body.type).toBe('unreadable');
    expect(alone.body.detail).toContain('Nothing was deleted');
  });

  it('is read where an older version left null for what is left out', async () => {
    const job = await visitor.job();
    await query(`update jobs set vehicle = vehicle || '{"vin": null}' where id = $1`, [job.id]);
    expect((await visitor.get<JobView>(`/jobs/${job.id}`)).body.vehicle).toEqual(job.vehicle);
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
