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

/** A file of a thread that runs some lines; `tell` answers, and `order` is what it was asked for. */
function running(lines: string): URL {
  const file = path.join(mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-paper-')), 'worker.mjs');
  writeFileSync(
    file,
    `import { parentPort } from 'node:worker_threads';
     const tell = (answer) => parentPort.postMessage(answer);
     ${lines}`,
  );
  return pathToFileURL(file);
}

/** A thread that makes labels, and does something else with anything else. */
const but = (otherwise: string): URL =>
  running(
    `parentPort.on('message', ({ kind }) => {
       if (kind === 'labels') tell({ paper: new Uint8Array(3) });
       else ${otherwise};
     });`,
  );

/** What no thread of these tests looks at. */
const ANY = { kind: 'job' } as PaperOrder;
const LABELS = { kind: 'labels' } as PaperOrder;
const BUSY = { document: { status: 503, type: 'busy' } };
/** An error of another thread is none of this sandbox's own. */
const said = (message: RegExp) => ({ message: expect.stringMatching(message) as string });

describe('a thread of papers', () => {
  it('gives up what takes too long, and makes the next', async () => {
    const thread = paperThread(but('for (;;);'), 1000);
    const [endless, next] = [thread.makePaper(ANY), thread.makePaper(LABELS)];
    await expect(endless).rejects.toMatchObject(BUSY);
    expect(await next).toHaveLength(3);
    await thread.close();
  });

  it('takes what a thread says that was given up already for nobody’s paper', async () => {
    const thread = paperThread(
      but('setTimeout(() => tell({ paper: new Uint8Array(9) }), 600)'),
      500,
    );
    await thread.makePaper(LABELS);
    const [late, next] = [thread.makePaper(ANY), thread.makePaper(LABELS)];
    await new Promise((resolve) => setImmediate(resolve));
    // While this thread is busy both come about: the paper is too late, and it is there.
    const until = performance.now() + 1500;
    while (performance.now() < until);
    await expect(late).rejects.toMatchObject(BUSY);
    expect(await next).toHaveLength(3);
    await thread.close();
  });

  it('lets only so many wait, and leaves none of them without an answer when it ends', async () => {
    const thread = paperThread(but('undefined'));
    const answers = Array.from({ length: 60 }, () =>
      thread.makePaper(ANY).catch((error: unknown) => error),
    );
    expect(await Promise.race(answers)).toMatchObject(BUSY);
    await thread.close();
    const all = await Promise.all(answers);
    const busyOnes = all.filter((one) => (one as Partial<typeof BUSY>).document?.status === 503);
    expect(busyOnes).toHaveLength(60 - 40 - 1);
    await expect(thread.makePaper(LABELS)).rejects.toMatchObject(said(/was ended/));
  });

  it.each([
    ['cannot make one', "tell({ error: new Error('no ink') })", /no ink/],
    ['fails', "throw new Error('on fire')", /on fire/],
    ['ends itself', 'process.exit(3)', /ended with 3/],
    ['wants all memory', 'for (const all = []; ; ) all.push(new Array(1e6).fill(0.5))', /memory/],
  ])('says so where it %s, and makes the next', async (_what, otherwise, message) => {
    const thread = paperThread(but(otherwise));
    await expect(thread.makePaper(ANY)).rejects.toMatchObject(said(message));
    expect(await thread.makePaper(LABELS)).toHaveLength(3);
    await thread.close();
  });

  it.each([
    ['is not there', pathToFileURL('/nowhere/worker.mjs'), /Cannot find module/],
    ['fails at its start', running("throw new Error('no paper')"), /no paper/],
  ])('says so each time where its file %s', async (_what, file, message) => {
    const thread = paperThread(file);
    for (const order of [ANY, LABELS])
      await expect(thread.makePaper(order)).rejects.toMatchObject(said(message));
    await thread.close();
  });
});
