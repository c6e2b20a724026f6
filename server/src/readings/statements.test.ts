import type { JobView, ReadingView } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { statementsOf } from '../testing/statements';
import type { TestServer, Visitor } from '../testing/testServer';
import { readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let job: JobView;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  job = await visitor.job();
});
afterAll(() => server.stop());

const path = (id: string) => `/jobs/${job.id}/readings/${id}`;

describe('a reading', () => {
  it('costs three statements: session with its person, what it is held against, and itself', async () => {
    await visitor.put(path(uuidv7()), readingBody('dash/F5'));
    const sent = await statementsOf(() => visitor.put(path(uuidv7()), readingBody('dash/F5')));
    expect(sent).toHaveLength(3);
    expect(sent[2]).toMatch(/insert into "readings"/);
  });

  it('answers as it is stored, the first time and the next', async () => {
    const id = uuidv7();
    const first = await visitor.put<ReadingView>(path(id), readingBody('dash/F5'));
    const again = await visitor.put<ReadingView>(path(id), readingBody('dash/F5'));
    expect(first.status).toBe(200);
    expect(again.body).toEqual(first.body);
    const stored = (await visitor.get<ReadingView[]>(`/jobs/${job.id}/readings`)).body;
    expect(stored.find((one) => one.id === id)).toEqual(first.body);
    expect(first.body.takenBy).not.toBe('');
  });
});

describe('a session', () => {
  it('is put off once an hour, not with every request, and its cookie with it', async () => {
    const cookies = async () => (await visitor.get(`/jobs/${job.id}`)).headers.getSetCookie();
    const saves = async () =>
      (await statementsOf(() => visitor.get(`/jobs/${job.id}`))).filter((text) =>
        /insert into "?session|update "?session/i.test(text),
      );
    expect(await saves()).toEqual([]);
    expect(await cookies()).toEqual([]);
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    const hourAgo = () =>
      client.query(
        `update session set sess = jsonb_set(sess::jsonb, '{renewedAt}', '1')::json, expire = now() + interval '1 hour'`,
      );
    await hourAgo();
    expect(await saves()).toHaveLength(1);
    await hourAgo();
    const [cookie = ''] = await cookies();
    const until = Date.parse(/Expires=([^;]*)/.exec(cookie)?.[1] ?? '');
    expect(until - Date.now()).toBeGreaterThan(6 * 24 * 3600 * 1000);
    const { rows } = await client.query<{ far: boolean; sess: object }>(
      `select expire > now() + interval '6 days' as far, sess from session order by expire desc limit 1`,
    );
    await client.end();
    expect(rows[0]?.far).toBe(true);
    // Whom it belongs to is read with it, and their password's hash with them: neither is stored in it.
    expect(Object.keys(rows[0]?.sess ?? {}).sort()).toEqual([
      'cookie',
      'passwordMark',
      'renewedAt',
      'userId',
    ]);
  });

  it('lets nobody in after its end', async () => {
    const late = await server.visitor();
    expect((await late.get('/jobs')).status).toBe(200);
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    await client.query(`update session set expire = now() - interval '1 second'`);
    await client.end();
    expect((await late.get('/jobs')).status).toBe(401);
  });
});
