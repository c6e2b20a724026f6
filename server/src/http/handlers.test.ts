import type { AddressInfo } from 'node:net';
import express from 'express';
import type { ProblemDocument } from '@lucky-thread/contract';
import { SignInRequest } from '@lucky-thread/contract';
import { checked, idIn, problemHandler, unknownRoute } from './handlers';
import { Problem, notFound } from './problem';

/** What a client gets when a route throws. */
async function answerTo(error: unknown): Promise<{ status: number; body: ProblemDocument }> {
  const app = express();
  app.get('/', () => {
    throw error;
  });
  app.use(unknownRoute);
  app.use(problemHandler);
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  const response = await fetch(`http://127.0.0.1:${port}/`);
  const body = (await response.json()) as ProblemDocument;
  server.closeAllConnections();
  server.close();
  return { status: response.status, body };
}

describe('problemHandler', () => {
  let logged: jest.SpyInstance;
  beforeEach(() => {
    logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  });
  afterEach(() => logged.mockRestore());

  it('tells a problem as it is', async () => {
    expect(await answerTo(notFound('Job'))).toMatchObject({
      status: 404,
      body: { title: 'Job not found' },
    });
    expect(logged).not.toHaveBeenCalled();
  });

  it('tells nothing of the unexpected, but logs it', async () => {
    const { status, body } = await answerTo(new Error('password of the database is 1234'));
    expect(status).toBe(500);
    expect(JSON.stringify(body)).not.toContain('1234');
    // The log says where it came from, in one line and without what was in the query.
    const [line] = (logged.mock.calls[0] ?? []) as [string];
    expect(JSON.parse(line)).toMatchObject({ status: 500, method: 'GET', route: '/' });
    expect(line).not.toContain('1234');
    expect(line.length).toBeLessThan(3000);
  });

  it.each(['ECONNREFUSED', 'ECONNRESET', '57P01'])(
    'answers 503 when the database is gone (%s)',
    async (code) => {
      const cause = Object.assign(new Error('gone'), { code });
      const wrapped = new Error('Failed query', { cause });
      expect(await answerTo(wrapped)).toMatchObject({
        status: 503,
        body: { type: 'database-unavailable' },
      });
    },
  );

  it('keeps a body parser’s own status', async () => {
    const tooLarge = Object.assign(new Error('too large'), { status: 413 });
    expect((await answerTo(tooLarge)).status).toBe(413);
  });
});

describe('checked', () => {
  it('gives the value, or throws every problem by its path', () => {
    expect(checked(SignInRequest, { login: 'a', password: 'b' }).login).toBe('a');
    expect(() => checked(SignInRequest, {})).toThrow(Problem);
  });
});

describe('idIn', () => {
  it('takes a UUID of version 7 alone', () => {
    expect(idIn('01890A5D-AC96-774B-BCCE-B302099A8057', 'job')).toBe(
      '01890a5d-ac96-774b-bcce-b302099a8057',
    );
    for (const id of ['1', undefined, '550e8400-e29b-41d4-a716-446655440000', ['a']])
      expect(() => idIn(id, 'job')).toThrow(Problem);
  });
});
