import type { ImportResult, JobView, ProblemDocument, TapPointView } from '@lucky-thread/contract';
import { screenSlot } from '@lucky-thread/core/choose';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, readingBody, startTestServer } from '../testing/testServer';
import { tapsFromCsv, tapsToCsv } from './tapCsv';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
beforeEach(() => server.forget());
afterAll(() => server.stop());

const PROOFS = ['live', 'dead', 'original', 'orientation'].map((kind) => ({ kind, passed: true }));
const LOG = { feedId: 'switched', proofs: PROOFS, fuseA: 2, awg: 18, note: 'behind the flap' };
const ACCESSORY_PLACES = ['off', 'acc', 'run', 'crank', 'justOff'] as const;

async function jobWith(slotId: string, places: Parameters<Visitor['probe']>[2]): Promise<JobView> {
  const job = await visitor.job();
  await visitor.probe(job.id, slotId, places);
  const plan = [{ feedId: 'switched', slotId }];
  return (await visitor.patch<JobView>(`/jobs/${job.id}`, { version: 1, plan })).body;
}

async function taps(modelId: string): Promise<TapPointView[]> {
  return (await visitor.get<TapPointView[]>(`/models/${modelId}/taps`)).body;
}

/** Logs the accessory slot F5 of a fresh job. */
async function loggedTap(): Promise<{ job: JobView; tap: TapPointView }> {
  const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
  const { body } = await visitor.put<TapPointView>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
  return { job, tap: body };
}

describe('logging a tap point', () => {
  it('works out function, supply side and matrix from the readings, and says who', async () => {
    const { job, tap } = await loggedTap();
    expect(tap).toMatchObject({
      function: 'accessory',
      supplyContact: 'a',
      supplyLandmark: 'upper contact',
      grade: 'probed',
      status: 'verified',
      loggedBy: 'Installer',
      note: 'behind the flap',
    });
    expect(tap.matrix.find((cell) => cell.place === 'crank')?.mark).toBe('low');
    expect(tap.matrix.find((cell) => cell.place === 'run')?.values).toHaveLength(1);
    expect((await visitor.get<JobView>(`/jobs/${job.id}`)).body.loggedFeedIds).toEqual([
      'switched',
    ]);
  });

  it('notes the caution of a slot whose legend can’t be read', async () => {
    const job = await visitor.job('Drover');
    const { panels } = await visitor.model('Drover');
    const slotId = panels[0]?.slots.find((slot) => slot.legend === undefined)?.id ?? '';
    await visitor.patch(`/jobs/${job.id}`, {
      version: 1,
      plan: [{ feedId: 'memory', slotId, oneWayM: 2 }],
    });
    await visitor.probe(job.id, slotId, ['off', 'run', 'asleep', 'a', 'b']);
    const { body } = await visitor.put<TapPointView>(`/jobs/${job.id}/taps/${uuidv7()}`, {
      ...LOG,
      feedId: 'memory',
    });
    expect(body).toMatchObject({ function: 'constant', slotId });
    expect(body.note).toMatch(/^Caution: no legend.*handbook’s entry\. behind the flap$/);
  });

  it('takes a slot whose legend warns only with a reason, which goes into the log', async () => {
    const { panels } = await visitor.model('Longboat');
    const slotId = panels
      .flatMap((panel) => panel.slots)
      .find((slot) => screenSlot(slot).class === 'caution' && slot.ratingA !== undefined)?.id;
    const job = await visitor.job();
    const plan = { feedId: 'switched', slotId };
    await visitor.patch(`/jobs/${job.id}`, { version: 1, plan: [plan] });
    const url = `/jobs/${job.id}/taps/${uuidv7()}`;
    const refused = await visitor.put<ProblemDocument>(url, LOG);
    expect(refused.status).toBe(422);
    expect(problemPaths(refused)).toEqual(['reason']);
    await visitor.patch(`/jobs/${job.id}`, {
      version: 2,
      plan: [{ ...plan, reason: 'nothing else in reach.' }],
    });
    await visitor.probe(job.id, slotId ?? '', ['asleep', ...ACCESSORY_PLACES, 'a', 'b']);
    const { body } = await visitor.put<TapPointView>(url, LOG);
    expect(body.note).toMatch(
      /^Caution: .*Taken because: nothing else in reach\. behind the flap$/,
    );
  });

  it('is done once, however often it is sent', async () => {
    const { job, tap } = await loggedTap();
    await visitor.put(`/jobs/${job.id}/taps/${tap.id}`, LOG);
    expect(await taps(tap.modelId)).toHaveLength(1);
  });

  it('refuses while a look-alike is untested, and says which', async () => {
    const job = await jobWith('dash/F5', ['off', 'acc', 'run', 'justOff', 'a', 'b']);
    const answer = await visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/cranking/);
  });

  it('refuses while the supply side is unknown', async () => {
    const job = await jobWith('dash/F5', ACCESSORY_PLACES);
    const answer = await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(problemPaths(answer)).toEqual(['supplyContact']);
  });

  it('refuses without all four closing proofs, each passed', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const path = `/jobs/${job.id}/taps/${uuidv7()}`;
    const short = await visitor.put(path, { ...LOG, proofs: PROOFS.slice(1) });
    expect(problemPaths(short)).toEqual(['proofs']);
    const failed = [{ kind: 'live', passed: false }, ...PROOFS.slice(1)];
    expect((await visitor.put(path, { ...LOG, proofs: failed })).status).toBe(422);
  });
});

describe('the log and the next job', () => {
  it('records what a later job’s readings say, and forgets a withdrawn one', async () => {
    const { tap } = await loggedTap();
    const next = await visitor.job();
    const dead = { ...readingBody('dash/F5', 0) };
    const path = `/jobs/${next.id}/readings/${uuidv7()}`;
    await visitor.put(path, dead);
    const [disputed] = await taps(tap.modelId);
    expect(disputed?.status).toBe('disputed');
    expect(disputed?.observations).toMatchObject([{ kind: 'contradicted', jobId: next.id }]);
    await visitor.put(`${path}/withdrawal`);
    expect((await taps(tap.modelId))[0]?.status).toBe('verified');
    await visitor.put(`/jobs/${next.id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.3));
    expect((await taps(tap.modelId))[0]?.observations).toMatchObject([{ kind: 'confirmed' }]);
  });

  it('does not let a job confirm itself', async () => {
    const { job, tap } = await loggedTap();
    await visitor.probe(job.id, 'dash/F5', ['run']);
    expect((await taps(tap.modelId))[0]?.observations).toEqual([]);
  });
});

describe('CSV', () => {
  const importCsv = (modelId: string, csv: string) =>
    visitor.send<ImportResult & ProblemDocument>(
      'POST',
      `/models/${modelId}/taps.csv`,
      csv,
      'text/csv',
    );

  it('comes back unchanged, then with a changed note', async () => {
    const { tap } = await loggedTap();
    const out = await visitor.get(`/models/${tap.modelId}/taps.csv`);
    expect(out.headers.get('content-type')).toContain('text/csv');
    expect((await importCsv(tap.modelId, out.text)).body).toEqual({
      added: 0,
      changed: 0,
      unchanged: 1,
    });
    const changed = out.text.replace('behind the flap', '"lift the flap, three clips"');
    expect((await importCsv(tap.modelId, changed)).body).toEqual({
      added: 0,
      changed: 1,
      unchanged: 0,
    });
    expect((await taps(tap.modelId))[0]?.note).toBe('lift the flap, three clips');
  });

  it('refuses bad rows with row, column and reason, and imports nothing', async () => {
    const { tap } = await loggedTap();
    const { text } = await visitor.get(`/models/${tap.modelId}/taps.csv`);
    const row = text.split('\r\n')[1] ?? '';
    const good = row.replace(tap.id, uuidv7());
    const bad = row.replace(tap.id, uuidv7()).replace('accessory', 'magic').replace('dash/F5', '');
    const answer = await importCsv(tap.modelId, [text, good, bad].join('\r\n'));
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toEqual(['row 4, column slot', 'row 4, column function']);
    expect(await taps(tap.modelId)).toHaveLength(1);
  });

  it.each([
    ['slot', 'dash/F5', 'dash/F99', 'column slot'],
    ['a blocked slot', 'dash/F5', 'dash/F1', 'column slot'],
    ['a known tap’s function', 'accessory', 'constant', 'column function'],
  ])('refuses to change %s', async (_what, from, to, path) => {
    const { tap } = await loggedTap();
    const { text } = await visitor.get(`/models/${tap.modelId}/taps.csv`);
    const answer = await importCsv(tap.modelId, text.replace(from, to));
    expect(answer.status).toBe(422);
    expect(problemPaths(answer).join()).toContain(path);
  });

  it('grades what comes from a file no better than probed elsewhere', async () => {
    const { tap } = await loggedTap();
    const { text } = await visitor.get(`/models/${tap.modelId}/taps.csv`);
    const other = text.replace(tap.id, uuidv7());
    expect((await importCsv(tap.modelId, other)).body.added).toBe(1);
    expect((await taps(tap.modelId)).map((one) => one.grade).sort()).toEqual([
      'probed',
      'probedByOther',
    ]);
  });

  it.each(['', 'id,slot\r\n1,2', '<html>'])(
    'refuses a file that is not one of ours (%p)',
    async (csv) => {
      const model = await visitor.model('Longboat');
      const answer = await importCsv(model.id, csv);
      expect([415, 422]).toContain(answer.status);
    },
  );

  it('keeps a note that a spreadsheet would take for a formula', () => {
    const tap = {
      note: '=1+1',
      id: uuidv7(),
      slotId: 's',
      function: 'constant',
      supplyContact: 'a',
      yearFrom: 2020,
      yearTo: 2020,
      trim: '',
      market: '',
      grade: 'probed',
      fuseA: 2,
      awg: 18,
      loggedBy: '',
      loggedAt: '',
    };
    const csv = tapsToCsv([tap as unknown as TapPointView]);
    expect(csv).toContain("'=1+1");
    const read = tapsFromCsv(csv);
    expect(read.ok && read.rows[0]?.note).toBe('=1+1');
  });
});
