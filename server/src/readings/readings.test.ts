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

describe('readings of cut wires', () => {
  const wires = [
    { id: 'harness/W1', name: 'W1', colour: 'YE' },
    { id: 'harness/W2', name: 'W2', colour: 'YE/BK', tapedWith: 'harness/W1' },
  ];
  const pop = { ...readingBody('harness/W1'), volts: undefined, instrument: 'pop' };

  it('are kept with what was seen', async () => {
    const job = await visitor.job();
    await visitor.change(job.id, { harness: wires });
    const path = (): string => `/jobs/${job.id}/readings/${uuidv7()}`;
    const body = { ...pop, otherId: 'harness/W2', cone: 'out', speaker: 'rear left' };
    expect((await visitor.put(path(), body)).status).toBe(200);
    const ohms = {
      ...readingBody('harness/W1'),
      instrument: 'ohmmeter',
      volts: undefined,
      ohms: 0.4,
    };
    expect((await visitor.put(path(), ohms)).status).toBe(200);
    expect(await stored(job.id)).toMatchObject([
      { instrument: 'pop', otherId: 'harness/W2', cone: 'out', speaker: 'rear left' },
      { instrument: 'ohmmeter', ohms: 0.4, volts: null },
    ]);
  });

  it('need a wire that the model or the job has, and a second one for a pop', async () => {
    const job = await visitor.job();
    const path = `/jobs/${job.id}/readings/${uuidv7()}`;
    expect(problemPaths(await visitor.put(path, readingBody('harness/Z1')))).toEqual(['sourceId']);
    expect(problemPaths(await visitor.put(path, { ...pop, cone: 'out' }))).toEqual(['otherId']);
    // The radio's own bunch is the model's.
    expect((await visitor.put(path, readingBody('harness/W1'))).status).toBe(200);
  });

  it('want wires with ids, colours and mates that there are', async () => {
    const job = await visitor.job();
    const send = (harness: object[]) => visitor.change(job.id, { harness });
    expect((await send([{ id: 'W1', name: 'W1' }])).status).toBe(422);
    expect((await send([{ id: 'harness/W1', name: 'W1', colour: 'MAUVE' }])).status).toBe(422);
    const mate = await send([{ id: 'harness/W1', name: 'W1', tapedWith: 'harness/W9' }]);
    expect(problemPaths(mate)).toEqual(['wires.0.tapedWith']);
  });

  it('leave a check for later on the job', async () => {
    const job = await visitor.job();
    const answer = await visitor.change(job.id, { deferred: ['asleep'] });
    expect(answer.body).toMatchObject({ deferred: ['asleep'], version: 2 });
    const bad = await visitor.change(job.id, { deferred: ['dancing'] });
    expect(bad.status).toBe(404);
  });
});
