import type {
  DeviceView,
  DevicesBroughtIn,
  JobView,
  ProblemDocument,
} from '@lucky-thread/contract';
import { DEVICE_FILE, MOST_DEVICES } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const fileOf = (name: string, more: object = {}) => ({
  ...{ kind: DEVICE_FILE, version: 1, note: 'From the shop next door.' },
  device: {
    name,
    options: [{ id: 'amp', name: 'Factory amplifier' }],
    feeds: [
      { id: 'memory', name: 'Constant', role: 'constant', currentA: 7 },
      {
        ...{ id: 'lock', name: 'Lock', role: 'lock', currentA: 0.2, direction: 'out' },
        ...{ optional: true, leftOff: 'The locks stay as they are.', onlyWithout: 'amp' },
      },
    ],
    ...more,
  },
});
const namesOf = async (): Promise<string[]> =>
  (await visitor.get<DeviceView[]>('/devices')).body.map(({ name }) => name);

/** Puts so many devices into the way of others, past the interface: one by one they take seconds. Answers how to take them out. */
async function fill(devices: number): Promise<() => Promise<void>> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const { rows } = await client.query<{ id: string }>(
    `insert into devices (id, shop_id, note, device, position)
     select gen_random_uuid(), shop_id, 'In the way', device, position + nth
     from (select * from devices order by position desc limit 1) last, generate_series(1, $1::int) nth
     returning id`,
    [devices],
  );
  return async () => {
    await client.query('delete from devices where id = any($1)', [rows.map(({ id }) => id)]);
    await client.end();
  };
}

describe('the catalogue of devices', () => {
  it('keeps a new one at its end, puts a changed one in its place, and gives one up', async () => {
    const before = await namesOf();
    const id = uuidv7();
    const kept = await visitor.put<DeviceView>(`/devices/${id}`, fileOf('Set'));
    expect(kept.body).toEqual({ id, note: 'From the shop next door.', ...fileOf('Set').device });
    expect(await namesOf()).toEqual([...before, 'Set']);
    await visitor.put(`/devices/${uuidv7()}`, fileOf('After it'));
    await visitor.put(`/devices/${id}`, fileOf('Set, second edition'));
    await server.restart();
    expect(await namesOf()).toEqual([...before, 'Set, second edition', 'After it']);
    expect((await visitor.delete(`/devices/${id}`)).status).toBe(204);
    expect((await visitor.delete(`/devices/${id}`)).status).toBe(404);
    expect(await namesOf()).toEqual([...before, 'After it']);
  });

  it.each<[string, object, string]>([
    ['an option that it does not have', { options: [] }, 'device.feeds'],
    [
      'a direction that is none',
      { feeds: [{ ...fileOf('').device.feeds[0], direction: 'up' }] },
      'device.feeds.0.direction',
    ],
  ])('names %s in a file, and keeps nothing of it', async (_, slip, path) => {
    const before = await namesOf();
    const answer = await visitor.put<ProblemDocument>(`/devices/${uuidv7()}`, fileOf('Set', slip));
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toEqual([path]);
    expect(await namesOf()).toEqual(before);
  });

  it('holds so many and no more, also when several are kept at once', async () => {
    const room = 5;
    const empty = await fill(MOST_DEVICES - room - (await namesOf()).length);
    const ids = Array.from({ length: room + 3 }, () => uuidv7());
    const answers = await Promise.all(
      ids.map((id) => visitor.put(`/devices/${id}`, fileOf('One of many'))),
    );
    const count = (status: number): number =>
      answers.filter((answer) => answer.status === status).length;
    expect([count(200), count(422)]).toEqual([room, 3]);
    const [full] = answers.filter((answer) => answer.status === 422);
    expect(full?.text).toContain(`holds ${MOST_DEVICES} devices`);
    for (const id of ids) await visitor.delete(`/devices/${id}`);
    await empty();
  });

  it('brings in what ships and was not there, once, and lets what was kept stand', async () => {
    const all = (await visitor.get<DeviceView[]>('/devices')).body;
    const [first, second] = all;
    await visitor.delete(`/devices/${first?.id ?? ''}`);
    await visitor.put(`/devices/${second?.id ?? ''}`, fileOf(second?.name ?? ''));
    const bringIn = () => visitor.post<DevicesBroughtIn>('/devices/shipped', {});
    const twice = await Promise.all([bringIn(), bringIn()]);
    expect(twice.map(({ body }) => body.added).sort()).toEqual([[], [first?.name]]);
    const now = (await visitor.get<DeviceView[]>('/devices')).body;
    expect(now.at(-1)).toEqual({ ...first, id: expect.any(String) });
    expect(now.find(({ id }) => id === second?.id)?.feeds).toEqual(fileOf('').device.feeds);
    expect(now).toHaveLength(all.length);
  });

  it('brings in nothing where there is no room for all of it', async () => {
    const before = (await visitor.get<DeviceView[]>('/devices')).body;
    await visitor.delete(`/devices/${before[0]?.id ?? ''}`);
    await visitor.delete(`/devices/${before[1]?.id ?? ''}`);
    const empty = await fill(MOST_DEVICES - before.length + 1);
    const refused = await visitor.post<ProblemDocument>('/devices/shipped', {});
    expect([refused.status, problemPaths(refused)]).toEqual([422, ['device']]);
    expect(await namesOf()).toHaveLength(MOST_DEVICES - 1);
    await empty();
    await visitor.post('/devices/shipped', {});
    expect((await namesOf()).sort()).toEqual(before.map(({ name }) => name).sort());
  });

  it('goes into a job with its direction, what it does without, and what was chosen', async () => {
    const model = await visitor.model('Longboat');
    const { options: _asked, ...device } = fileOf('Set').device;
    const feeds = device.feeds.map((feed) => {
      const { onlyWithout: _option, ...rest } = { onlyWithout: '', ...feed };
      return rest;
    });
    const body = {
      vehicle: {
        modelId: model.id,
        year: 2020,
        trim: 'Standard',
        market: 'Islands',
        steering: 'right',
      },
      device: { ...device, feeds, fittedWith: ['No camera'] },
    };
    const id = uuidv7();
    await visitor.put(`/jobs/${id}`, body);
    expect((await visitor.get<JobView>(`/jobs/${id}`)).body.device).toEqual(body.device);
  });
});
