import type { JobView, ProblemDocument } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { commandHead, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let outside: pg.Client;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  outside = new pg.Client({ connectionString: server.databaseUrl });
  await outside.connect();
});
afterAll(async () => {
  await outside.end();
  await server.stop();
});

/** Ends every connection of the server in the middle of what it does. */
async function cutConnections(): Promise<number> {
  const { rowCount } = await outside.query(
    `select pg_terminate_backend(pid) from pg_stat_activity
     where datname = current_database() and pid <> pg_backend_pid()`,
  );
  return rowCount ?? 0;
}

/** Holds the row of a job until the work is done. */
async function whileLocked<T>(jobId: string, work: () => Promise<T>): Promise<T> {
  await outside.query('begin');
  await outside.query('select * from jobs where id = $1 for update', [jobId]);
  try {
    return await work();
  } finally {
    await outside.query('rollback');
  }
}

/** Waits until somebody waits for a lock. */
async function someoneWaits(): Promise<void> {
  for (;;) {
    const { rows } = await outside.query<{ waiting: string }>(
      `select count(*) as waiting from pg_stat_activity
       where datname = current_database() and wait_event_type = 'Lock'`,
    );
    if (Number(rows[0]?.waiting) > 0) return;
  }
}

describe('a database that goes away', () => {
  it('in the middle of a transaction: 503, nothing half-written, and the next request is served', async () => {
    const job = await visitor.job();
    const id = uuidv7();
    const path = `/jobs/${job.id}/readings/${id}`;
    // The reading's key waits for the job's row inside its transaction.
    const answer = await whileLocked(job.id, async () => {
      const sent = visitor.put<ProblemDocument>(path, readingBody('dash/F5'));
      await someoneWaits();
      expect(await cutConnections()).toBeGreaterThan(0);
      return sent;
    });
    expect(answer.status).toBe(503);
    expect(answer.body.type).toBe('database-unavailable');
    expect((await visitor.get(`/jobs/${job.id}/readings`)).body).toEqual([]);
    expect((await visitor.put(path, readingBody('dash/F5'))).status).toBe(200);
  });

  it('again and again while a hundred write: each is stored once or told that it was not', async () => {
    const job = await visitor.job();
    const ids = Array.from({ length: 100 }, () => uuidv7());
    let cuts = 0;
    let open = true;
    const cutting = (async () => {
      while (open) cuts += await cutConnections();
    })();
    const first = await Promise.all(
      ids.map((id) => visitor.put(`/jobs/${job.id}/readings/${id}`, readingBody('dash/F5'))),
    );
    open = false;
    await cutting;
    expect(cuts).toBeGreaterThan(0);
    for (const answer of first) expect([200, 503]).toContain(answer.status);
    const stored = async (): Promise<string[]> =>
      (await visitor.get<{ id: string }[]>(`/jobs/${job.id}/readings`)).body.map((one) => one.id);
    const acknowledged = ids.filter((_, index) => first[index]?.status === 200);
    expect(await stored()).toEqual(expect.arrayContaining(acknowledged));
    for (const id of ids)
      await visitor.put(`/jobs/${job.id}/readings/${id}`, readingBody('dash/F5'));
    expect((await stored()).sort()).toEqual([...ids].sort());
  });
});

it('a locked row holds up those who want it, and nobody else', async () => {
  const job = await visitor.job();
  const other = await visitor.job();
  await whileLocked(job.id, async () => {
    const waiting = Promise.all(
      Array.from({ length: 8 }, () =>
        visitor.put<ProblemDocument>(`/jobs/${job.id}/phase`, {
          ...commandHead(),
          phase: 'choose',
        }),
      ),
    );
    await someoneWaits();
    const asked = performance.now();
    expect((await visitor.get('/health')).status).toBe(200);
    expect(performance.now() - asked).toBeLessThan(1000);
    for (const answer of await waiting) {
      expect(answer.status).toBe(503);
      expect(answer.headers.get('retry-after')).toBe('2');
    }
  });
  expect((await visitor.get<JobView>(`/jobs/${job.id}`)).body.version).toBe(1);
  expect((await visitor.get(`/jobs/${other.id}`)).status).toBe(200);
});
