import pg from 'pg';
import type { ProblemDocument } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { TestServer } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';
import { hashPassword } from './passwords';
import { waitFor } from './signInGuard';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(() => query('truncate sign_in_tries'));
afterAll(() => server.stop());

async function query(text: string, values: unknown[] = []): Promise<pg.QueryResult> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  try {
    return await client.query(text, values);
  } finally {
    await client.end();
  }
}

const RIGHT = { login: 'installer', password: 'pull-the-right-thread' };
const WRONG = { login: 'installer', password: 'wrong' };

/** The statuses of tries one after the other. */
async function tries(count: number, body: object = WRONG): Promise<number[]> {
  const nobody = await server.visitor('nobody');
  const statuses: number[] = [];
  for (let number = 0; number < count; number += 1)
    statuses.push((await nobody.post('/session', body)).status);
  return statuses;
}

describe('guessing passwords', () => {
  it('gets five looks and one more, and then waits, whatever the password', async () => {
    expect(await tries(8)).toEqual([401, 401, 401, 401, 401, 401, 429, 429]);
    const nobody = await server.visitor('nobody');
    const answer = await nobody.post<ProblemDocument>('/session', RIGHT);
    expect(answer.status).toBe(429);
    expect(answer.body.detail).toMatch(/^Try again in \d+ s\.$/);
  });

  it('at once gets hardly any', async () => {
    const nobody = await server.visitor('nobody');
    const answers = await Promise.all(
      Array.from({ length: 40 }, () => nobody.post('/session', WRONG)),
    );
    const statuses = answers.map((answer) => answer.status);
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(6);
    expect(statuses.filter((status) => ![401, 429].includes(status))).toEqual([]);
  });

  it('is not begun anew by a restart', async () => {
    await tries(8);
    await server.restart();
    expect(await tries(1, RIGHT)).toEqual([429]);
  });

  it('of one account leaves the others alone', async () => {
    await tries(8);
    expect(await tries(1, { login: 'lead', password: 'prove-it-once' })).toEqual([200]);
  });

  it('waits twice as long each time, up to a quarter of an hour', () => {
    expect([0, 1, 2, 3].map(waitFor)).toEqual([2, 4, 8, 16]);
    expect(waitFor(100)).toBe(900);
  });

  it('is forgotten once the password was right', async () => {
    for (let round = 0; round < 3; round += 1) {
      expect(await tries(3)).toEqual([401, 401, 401]);
      expect(await tries(1, RIGHT)).toEqual([200]);
    }
  });
});

describe('a session', () => {
  const settings = { version: 1, settings: DEFAULT_SETTINGS };

  it('ends when the password is changed', async () => {
    const visitor = await server.visitor('lead');
    const { rows } = await query(`select password_hash from users where login = 'lead'`);
    const before = (rows[0] as { password_hash: string }).password_hash;
    await query(`update users set password_hash = $1 where login = 'lead'`, [
      await hashPassword('another one'),
    ]);
    expect((await visitor.put('/shop', settings)).status).toBe(401);
    expect((await visitor.get<{ user: null }>('/session')).body.user).toBeNull();
    await query(`update users set password_hash = $1 where login = 'lead'`, [before]);
  });

  it('ends with its user', async () => {
    const visitor = await server.visitor('lead');
    await query(`update users set id = gen_random_uuid() where login = 'lead'`);
    expect((await visitor.put('/shop', settings)).status).toBe(401);
    expect((await visitor.get('/jobs')).status).toBe(401);
  });

  it('takes no work of somebody else', async () => {
    const visitor = await server.visitor();
    const send = (by: string) =>
      visitor.send('GET', '/jobs', undefined, { headers: { 'made-by': by } });
    const { body } = await visitor.get<{ user: { id: string } }>('/session');
    expect((await send(body.user.id)).status).toBe(200);
    const answer = await send('01890a5d-ac96-774b-bcce-b302099a8057');
    expect(answer.status).toBe(409);
    expect((answer.body as ProblemDocument).type).toBe('other-user');
  });
});
