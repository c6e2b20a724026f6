import { scryptSync } from 'node:crypto';
import pg from 'pg';
import type { SessionView } from '@lucky-thread/contract';
import type { TestServer } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';
import { hashPassword, passwordMatches, unmatchedHash } from './passwords';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

describe('sessions', () => {
  it('offers the demo accounts to whoever is not signed in', async () => {
    const nobody = await server.visitor('nobody');
    const { status, body } = await nobody.get<SessionView>('/session');
    expect(status).toBe(200);
    expect(body.user).toBeNull();
    expect(body.demoAccounts.map((one) => one.login)).toEqual(['installer', 'lead']);
  });

  it('signs in with the right password only, and out again', async () => {
    const visitor = await server.visitor('nobody');
    expect((await visitor.post('/session', { login: 'installer', password: 'wrong' })).status).toBe(
      401,
    );
    expect((await visitor.post('/session', { login: 'nobody', password: 'wrong' })).status).toBe(
      401,
    );
    const right = { login: 'Installer ', password: 'pull-the-right-thread' };
    expect((await visitor.post<SessionView>('/session', right)).body.user?.role).toBe('installer');
    expect((await visitor.get('/jobs')).status).toBe(200);
    expect((await visitor.delete('/session')).status).toBe(204);
    expect((await visitor.get('/jobs')).status).toBe(401);
  });

  it.each([
    ['GET', '/jobs'],
    ['GET', '/models'],
    ['GET', '/devices'],
    ['PUT', '/jobs/01890a5d-ac96-774b-bcce-b302099a8057'],
    ['POST', '/jobs/01890a5d-ac96-774b-bcce-b302099a8057/meter'],
    ['GET', '/nowhere'],
  ])('keeps %s %s to those signed in', async (method, path) => {
    const nobody = await server.visitor('nobody');
    const answer = await nobody.send(method, path);
    expect(answer.status).toBe(401);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
  });

  it('is stored before the answer’s head is out, so that nobody who goes on at once is turned away', async () => {
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    // Storing takes its time; only that can be seen from outside.
    await client.query(`
      create function slowly() returns trigger language plpgsql as
        'begin perform pg_sleep(0.3); return new; end';
      create trigger slowly before insert on session for each row execute function slowly()`);
    try {
      // Its body is never read: what follows comes as soon as the head is there.
      const entered = await fetch(`${server.base}/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ login: 'installer', password: 'pull-the-right-thread' }),
      });
      const cookie = entered.headers.getSetCookie()[0]?.split(';')[0] ?? '';
      expect((await fetch(`${server.base}/jobs`, { headers: { cookie } })).status).toBe(200);
    } finally {
      await client.query('drop function slowly cascade');
      await client.end();
    }
  });

  it('outlives a restart of the server', async () => {
    const visitor = await server.visitor();
    await server.restart();
    expect((await visitor.get('/jobs')).status).toBe(200);
  });

  it('names what is missing at sign-in', async () => {
    const nobody = await server.visitor('nobody');
    expect((await nobody.post('/session', { login: 'x' })).status).toBe(422);
  });
});

describe('passwords', () => {
  it('are salted: the same one hashes differently each time, and both match', async () => {
    const [one, two] = await Promise.all([hashPassword('thread'), hashPassword('thread')]);
    expect(one).not.toBe(two);
    expect(await passwordMatches('thread', one)).toBe(true);
    expect(await passwordMatches('threat', two)).toBe(false);
    for (const odd of [
      'plain',
      'scrypt$',
      'scrypt$99$8$1$a$b',
      'scrypt$14$8$x$a$b',
      'scrypt$14$8$5$a',
    ])
      expect(await passwordMatches('thread', odd)).toBe(false);
  });

  it('of nobody are compared at the same cost, and never match', async () => {
    const [real, nobody] = [await hashPassword('thread'), unmatchedHash()];
    const costAndLengths = (hash: string): (string | number)[] =>
      hash.split('$').map((part, at) => (at < 4 ? part : part.length));
    expect(costAndLengths(nobody)).toEqual(costAndLengths(real));
    expect(nobody).not.toBe(unmatchedHash());
    expect(await passwordMatches('', nobody)).toBe(false);
  });

  it('match hashes from before their cost was written into them', async () => {
    const salt = Buffer.alloc(16, 7);
    const key = scryptSync('thread', salt, 32, { N: 2 ** 16, r: 8, p: 2, maxmem: 2 ** 28 });
    const before = `scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`;
    expect(await passwordMatches('thread', before)).toBe(true);
    expect(await passwordMatches('threat', before)).toBe(false);
  });
});
