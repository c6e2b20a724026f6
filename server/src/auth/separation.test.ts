import { once } from 'node:events';
import type {
  DeviceView,
  GlossaryEntryView,
  JobPage,
  ModelSummary,
  TapPage,
} from '@lucky-thread/contract';
import { DEFAULT_SETTINGS, DEVICE_FILE } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import WebSocket from 'ws';
import type { TestServer, Visitor } from '../testing/testServer';
import {
  commandHead,
  jobBody,
  modelBody,
  panelBody,
  readingBody,
  startTestServer,
} from '../testing/testServer';
import { hashPassword } from './passwords';

let server: TestServer;
let own: Visitor;
let stranger: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  own = await server.visitor();
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const shopId = uuidv7();
  await client.query('insert into shops (id, name) values ($1, $2)', [shopId, 'Another shop']);
  await client.query(
    'insert into users (id, shop_id, login, name, role, password_hash) values ($1, $2, $3, $4, $5, $6)',
    [uuidv7(), shopId, 'other', 'Other', 'lead', await hashPassword('another password')],
  );
  await client.end();
  stranger = await server.visitor('nobody');
  await stranger.post('/session', { login: 'other', password: 'another password' });
});
afterAll(() => server.stop());

const DEVICE_OF_A_STRANGER = {
  ...{ kind: DEVICE_FILE, version: 1, note: 'Not yours.' },
  device: { name: 'Set', feeds: [{ id: 'a', name: 'A', role: 'constant', currentA: 1 }] },
};

describe('another shop', () => {
  it('has lists of its own', async () => {
    await own.job();
    expect((await stranger.get<JobPage>('/jobs')).body).toEqual({
      jobs: [],
      unreadable: [],
      next: null,
    });
    expect((await stranger.get<ModelSummary[]>('/models')).body).toEqual([]);
    expect((await stranger.get('/devices')).body).toEqual([]);
    expect((await stranger.get('/glossary')).body).toEqual([]);
  });

  it('can neither see nor change what belongs to the first, by any route', async () => {
    const model = await own.model('Longboat');
    const job = await own.job();
    const readingId = uuidv7();
    const reading = `/jobs/${job.id}/readings/${readingId}`;
    await own.put(reading, readingBody('dash/F5'));
    await own.put(`/models/${model.id}/handbook/dash%2FF5`, { entry: 'Radio' });
    const [looked] = (await own.get<GlossaryEntryView[]>('/glossary')).body;
    const before = (await own.get(`/jobs/${job.id}`)).text;
    const [device] = (await own.get<DeviceView[]>('/devices')).body;
    const csv = `id,slot\n${uuidv7()},dash/F5`;
    const answers = await Promise.all([
      stranger.get(`/models/${model.id}`),
      stranger.put(`/models/${model.id}`, modelBody()),
      stranger.put(`/models/${model.id}/places/dash`, panelBody()),
      stranger.put(`/models/${model.id}/handbook/dash%2FF5`, { entry: 'Radio' }),
      stranger.delete(`/glossary/${looked?.id ?? ''}`),
      stranger.put(`/devices/${device?.id ?? ''}`, DEVICE_OF_A_STRANGER),
      stranger.delete(`/devices/${device?.id ?? ''}`),
      stranger.get(`/models/${model.id}/taps.csv`),
      stranger.send('POST', `/models/${model.id}/taps.csv`, csv, { type: 'text/csv' }),
      stranger.get(`/jobs/${job.id}`),
      stranger.put(`/jobs/${job.id}`, jobBody(model.id)),
      stranger.put(`/jobs/${uuidv7()}`, jobBody(model.id)),
      stranger.put(`/jobs/${job.id}/phase`, { ...commandHead(), phase: 'choose' }),
      stranger.put(`/jobs/${job.id}/wires`, { ...commandHead(), base: null, wires: [] }),
      stranger.put(`/jobs/${job.id}/closing/drain-before`, {
        ...commandHead(),
        done: true,
        value: 0.03,
      }),
      stranger.get(`/pick-list?job=${job.id}`),
      stranger.put(`/jobs/${job.id}/deferred/crank`, { ...commandHead(), left: true }),
      stranger.put(`/jobs/${job.id}/feeds/memory/plan`, {
        ...commandHead(),
        base: null,
        plan: null,
      }),
      stranger.put(`/jobs/${job.id}/proofs/${uuidv7()}`, {
        feedId: 'memory',
        kind: 'live',
        at: '2026-05-04T10:00:00.000Z',
        readingIds: [],
      }),
      stranger.put(`/jobs/${job.id}/proofs/${uuidv7()}/withdrawal`),
      stranger.get(`/jobs/${job.id}/readings`),
      stranger.put(reading, readingBody('dash/F5')),
      stranger.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody('dash/F5')),
      stranger.put(`${reading}/withdrawal`),
      stranger.get(`/jobs/${job.id}/taps`),
      stranger.put(`/jobs/${job.id}/taps/${uuidv7()}`, {
        feedId: 'switched',
        fuseA: 2,
        awg: 18,
      }),
    ]);
    for (const answer of answers) {
      expect([404, 409, 422]).toContain(answer.status);
      expect(answer.text).not.toContain('Longboat');
    }
    expect((await stranger.get<TapPage>(`/models/${model.id}/taps`)).body.taps).toEqual([]);
    expect((await own.get(`/jobs/${job.id}`)).text).toBe(before);
    expect((await own.get('/glossary')).body).toEqual([looked]);
    expect((await own.get<DeviceView[]>('/devices')).body[0]).toEqual(device);
    expect((await own.get<unknown[]>(`/jobs/${job.id}/readings`)).body).toMatchObject([
      { id: readingId, withdrawnAt: null },
    ]);
  });

  it('has its own settings', async () => {
    const settings = { ...DEFAULT_SETTINGS, van: { ...DEFAULT_SETTINGS.van, only: true } };
    expect((await stranger.put('/shop', { version: 1, settings })).status).toBe(200);
    expect((await own.get<{ version: number }>('/shop')).body.version).toBe(1);
  });

  it('gets no meter of a job that is not its own', async () => {
    const job = await own.job();
    const url = `${server.base.replace('http', 'ws')}/jobs/${job.id}/meter`;
    const socket = new WebSocket(url, { headers: { cookie: stranger.cookieHeader } });
    const [error] = (await once(socket, 'error')) as [Error];
    expect(error.message).toMatch(/404/);
  });
});

describe('a page of elsewhere', () => {
  it('can’t use the session: its cookie goes to no other site, and no script reads it', async () => {
    const nobody = await server.visitor('nobody');
    const { headers } = await nobody.post('/session', {
      login: 'installer',
      password: 'pull-the-right-thread',
    });
    const [cookie = ''] = headers.getSetCookie();
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(cookie).toMatch(/HttpOnly/);
  });

  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'])(
    'can’t send a form of the type %s as JSON',
    async (type) => {
      const model = await own.model('Longboat');
      const id = uuidv7();
      const answer = await own.send('PUT', `/jobs/${id}`, JSON.stringify(jobBody(model.id)), {
        type,
      });
      expect(answer.status).toBe(422);
      expect((await own.get(`/jobs/${id}`)).status).toBe(404);
    },
  );
});
