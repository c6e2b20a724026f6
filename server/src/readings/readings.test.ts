import type { ReadingView } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

async function stored(jobId: string): Promise<ReadingView[]> {
  return (await visitor.get<ReadingView[]>(`/jobs/${jobId}/readings`)).body;
}

describe('readings', () => {
  it('are stored once, however often they are sent', async () => {
    const job = await visitor.job();
    const path = `/jobs/${job.id}/readings/${uuidv7()}`;
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => visitor.put(path, readingBody('dash/F5'))),
    );
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200, 200, 200]);
    expect(await stored(job.id)).toHaveLength(1);
  });

  it('outlive a server that is killed between two of them', async () => {
    const job = await visitor.job();
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.1));
    await server.restart();
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.2));
    expect((await stored(job.id)).map((reading) => reading.volts)).toEqual([12.1, 12.2]);
  });

  it.each(['twelve', -500, 1e9, undefined])('refuse %p as volts', async (volts) => {
    const job = await visitor.job();
    const answer = await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, {
      ...readingBody('dash/F5'),
      volts,
    });
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toContain('volts');
    expect(await stored(job.id)).toHaveLength(0);
  });

  it('refuse a slot that is gone', async () => {
    const job = await visitor.job();
    const answer = await visitor.put(
      `/jobs/${job.id}/readings/${uuidv7()}`,
      readingBody('dash/F99'),
    );
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toEqual(['sourceId']);
  });

  it('are withdrawn, not deleted, and once only', async () => {
    const job = await visitor.job();
    const path = `/jobs/${job.id}/readings/${uuidv7()}`;
    await visitor.put(path, readingBody('dash/F5'));
    const first = await visitor.put<ReadingView>(`${path}/withdrawal`);
    const second = await visitor.put<ReadingView>(`${path}/withdrawal`);
    expect(first.body.withdrawnAt).not.toBeNull();
    expect(second.body.withdrawnAt).toBe(first.body.withdrawnAt);
    expect(await stored(job.id)).toHaveLength(1);
    expect((await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}/withdrawal`)).status).toBe(404);
  });

  it('keep an id to the job that used it first', async () => {
    const [one, two] = [await visitor.job(), await visitor.job()];
    const id = uuidv7();
    await visitor.put(`/jobs/${one.id}/readings/${id}`, readingBody('dash/F5'));
    const answer = await visitor.put(`/jobs/${two.id}/readings/${id}`, readingBody('dash/F5'));
    expect(answer.status).toBe(409);
  });
});

describe('the simulated meter', () => {
  it('reads the simulated car in the state asked for', async () => {
    const job = await visitor.job();
    const at = async (body: object): Promise<number> => {
      const touch = { ...readingBody('dash/F5'), ...body } as { state: object };
      const { sourceId, state, contact } = touch as unknown as Record<string, unknown>;
      const answer = await visitor.post<{ volts: number }>(`/jobs/${job.id}/meter`, {
        sourceId,
        state,
        contact,
      });
      return answer.body.volts;
    };
    expect(await at({})).toBeGreaterThan(12);
    expect(await at({ contact: 'b' })).toBeLessThan(0.5);
    const off = {
      key: 'off',
      lamps: false,
      driverDoor: 'open',
      doorOpenedSinceKeyOff: true,
      asleep: false,
    };
    expect(await at({ state: off })).toBeLessThan(0.5);
  });

  it('does not know a slot that is not there', async () => {
    const job = await visitor.job();
    const { state } = readingBody('x') as { state: object };
    const answer = await visitor.post(`/jobs/${job.id}/meter`, { sourceId: 'x', state });
    expect(answer.status).toBe(422);
  });
});
