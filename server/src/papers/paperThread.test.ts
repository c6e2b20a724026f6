import { mkdtempSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { pathToFileURL } from 'node:url';
import { eq } from 'drizzle-orm';
import { openDatabase } from '../db/database';
import { users } from '../db/schema';
import { startTestServer } from '../testing/testServer';
import { contextOf, countingReadings } from './jobContext';
import type { PaperOrder } from './makePaper';
import { makePaper } from './makePaper';
import { paperThread } from './paperThread';

/** The job sheet of a job whose feeds are all chosen. */
async function orderOfAJob(): Promise<PaperOrder> {
  const server = await startTestServer();
  const database = openDatabase(server.databaseUrl);
  try {
    const visitor = await server.visitor();
    const job = await visitor.job();
    await visitor.change(job.id, {
      plan: [
        { feedId: 'memory', sourceId: 'dash/F3', oneWayM: 3 },
        { feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2.5 },
      ],
    });
    const [user] = await database.db.select().from(users).where(eq(users.login, 'installer'));
    if (user === undefined) throw new Error('the demo has no installer');
    const actor = { userId: user.id, shopId: user.shopId, name: user.name };
    return {
      kind: 'job',
      context: await contextOf(database.db, actor, job.id),
      readings: await countingReadings(database.db, job.id),
      units: 'metric',
      sheet: 'A4',
      record: 'http://127.0.0.1/jobs/1',
    };
  } finally {
    await database.close();
    await server.stop();
  }
}

/** For how long this thread was busy with something, ms. */
async function busy(work: () => Promise<Uint8Array>): Promise<{ ms: number; bytes: number }> {
  const before = performance.eventLoopUtilization();
  const { length } = await work();
  return { ms: performance.eventLoopUtilization(before).active, bytes: length };
}

describe('a thread of papers, as it is built', () => {
  it('makes what would be made here, and leaves this thread to others meanwhile', async () => {
    const order = await orderOfAJob();
    const thread = paperThread(pathToFileURL(process.env.PAPER_WORKER_FILE ?? 'not built'));
    try {
      // Loaded first, so that only the making is compared.
      await makePaper(order);
      await thread.makePaper(order);
      const here = await busy(() => makePaper(order));
      const there = await busy(() => thread.makePaper(order));
      // When it was made stands in it, and with it a mark, both of one length.
      expect(Math.abs(there.bytes - here.bytes)).toBeLessThan(here.bytes / 100);
      expect(there.ms).toBeLessThan(here.ms / 3);
    } finally {
      await thread.close();
    }
  });
});

/** A file of a thread that does what is told in a line. */
function doing(line: string): URL {
  const file = path.join(mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-paper-')), 'worker.mjs');
  writeFileSync(file, `export default ${line};`);
  return pathToFileURL(file);
}
/** What no thread of these tests looks at. */
const ANY = { kind: 'job' } as PaperOrder;
const BUSY = { document: { status: 503, type: 'busy' } };

describe('a thread of papers', () => {
  it('gives up what takes too long, and begins anew with the next', async () => {
    const thread = paperThread(
      doing("({ kind }) => (kind === 'taps' ? new Uint8Array(3) : new Promise(() => {}))"),
      1000,
    );
    const [endless, next] = [thread.makePaper(ANY), thread.makePaper({ ...ANY, kind: 'taps' })];
    await expect(endless).rejects.toMatchObject(BUSY);
    expect(await next).toHaveLength(3);
    await thread.close();
  });

  it('lets only so many wait', async () => {
    const thread = paperThread(doing('() => new Promise(() => {})'));
    const told = Array.from({ length: 60 }, () =>
      thread.makePaper(ANY).catch((error: unknown) => error),
    );
    expect(await Promise.race(told)).toMatchObject(BUSY);
    await thread.close();
    const busyOnes = (await Promise.all(told)).filter(
      (one) => (one as Partial<typeof BUSY>).document?.status === 503,
    );
    expect(busyOnes).toHaveLength(60 - 40 - 1);
  });

  it('ends without the server where it fails', async () => {
    const thread = paperThread(
      doing("({ kind }) => (kind === 'taps' ? new Uint8Array(3) : process.exit(1))"),
    );
    await expect(thread.makePaper(ANY)).rejects.toThrow(/exit/i);
    expect(await thread.makePaper({ ...ANY, kind: 'taps' })).toHaveLength(3);
    await thread.close();
  });
});
