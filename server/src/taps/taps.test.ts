import type {
  ImportResult,
  JobView,
  ProblemDocument,
  ReadingView,
  TapPage,
  TapPointView,
} from '@lucky-thread/contract';
import { matrixOf } from '@lucky-thread/contract';
import { screenSlot } from '@lucky-thread/core/choose';
import { leadPointId } from '@lucky-thread/core/vehicle';
import { slotsOf } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { jobBody, problemPaths, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
beforeEach(() => server.forget());
afterAll(() => server.stop());

const LOG = { feedId: 'switched', fuseA: 2, awg: 18, note: 'behind the flap' };
const ACCESSORY_PLACES = ['off', 'acc', 'run', 'crank', 'justOff'] as const;

async function jobWith(
  sourceId: string,
  places: Parameters<Visitor['probe']>[2],
): Promise<JobView> {
  const job = await visitor.job();
  await visitor.probe(job.id, sourceId, places);
  const plan = [{ feedId: 'switched', sourceId, oneWayM: 2 }];
  const { body } = await visitor.change(job.id, { plan });
  await visitor.prove(job.id);
  return body;
}

async function taps(modelId: string): Promise<TapPointView[]> {
  return [...(await visitor.get<TapPage>(`/models/${modelId}/taps`)).body.taps];
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
    expect(matrixOf(tap).find((cell) => cell.place === 'crank')?.mark).toBe('low');
    expect(matrixOf(tap).find((cell) => cell.place === 'run')?.values).toHaveLength(1);
    expect((await visitor.get<JobView>(`/jobs/${job.id}`)).body.loggedFeedIds).toEqual([
      'switched',
    ]);
  });

  it('notes the caution of a slot whose legend can’t be read', async () => {
    const job = await visitor.job('Drover');
    const model = await visitor.model('Drover');
    const sourceId = slotsOf(model).find((slot) => slot.legend === undefined)?.id ?? '';
    await visitor.change(job.id, { plan: [{ feedId: 'memory', sourceId, oneWayM: 2 }] });
    const bare = await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, {
      ...LOG,
      feedId: 'memory',
    });
    expect(problemPaths(bare)).toEqual(['reason']);
    const reason = 'the handbook says clock';
    await visitor.change(job.id, { plan: [{ feedId: 'memory', sourceId, oneWayM: 2, reason }] });
    await visitor.probe(job.id, sourceId, ['off', 'run', 'asleep', 'a', 'b']);
    await visitor.prove(job.id);
    const { body } = await visitor.put<TapPointView>(`/jobs/${job.id}/taps/${uuidv7()}`, {
      ...LOG,
      feedId: 'memory',
    });
    expect(body).toMatchObject({ function: 'constant', sourceId });
    expect(body.note).toMatch(
      /^Caution: no legend.*handbook’s entry\. Taken because: the handbook says clock\. behind the flap$/,
    );
  });

  it('takes a slot whose legend warns only with a reason, which goes into the log', async () => {
    const model = await visitor.model('Longboat');
    const sourceId = slotsOf(model).find(
      (slot) => screenSlot(slot).class === 'caution' && slot.ratingA !== undefined,
    )?.id;
    // Live in run alone: what wants accessory would not be proved there.
    const supply = { id: 'switched', name: 'Supply', role: 'switched', currentA: 0.6 };
    const { body: job } = await visitor.put<JobView>(`/jobs/${uuidv7()}`, {
      ...jobBody(model.id),
      device: { name: 'Lamp', feeds: [supply] },
    });
    const plan = { feedId: 'switched', sourceId, oneWayM: 2 };
    await visitor.change(job.id, { plan: [plan] });
    const url = `/jobs/${job.id}/taps/${uuidv7()}`;
    const refused = await visitor.put<ProblemDocument>(url, LOG);
    expect(refused.status).toBe(422);
    expect(problemPaths(refused)).toEqual(['reason']);
    await visitor.change(job.id, { plan: [{ ...plan, reason: 'nothing else in reach.' }] });
    await visitor.probe(job.id, sourceId ?? '', ['asleep', ...ACCESSORY_PLACES, 'a', 'b']);
    await visitor.prove(job.id);
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

  it('keeps its id to itself: other contents, another feed or another job get 409', async () => {
    const { job, tap } = await loggedTap();
    const other = await visitor.job();
    for (const [jobId, body] of [
      [job.id, { ...LOG, note: 'elsewhere' }],
      [job.id, { ...LOG, fuseA: 3 }],
      [job.id, { ...LOG, feedId: 'memory' }],
      [other.id, LOG],
    ] as const) {
      const answer = await visitor.put<ProblemDocument>(`/jobs/${jobId}/taps/${tap.id}`, body);
      expect(answer.status).toBe(409);
      expect(answer.text).not.toContain('behind the flap');
    }
  });

  it('is there once per job and feed, and doubles at the same moment answer alike', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const id = uuidv7();
    const doubles = await Promise.all(
      Array.from({ length: 6 }, () => visitor.put<TapPointView>(`/jobs/${job.id}/taps/${id}`, LOG)),
    );
    expect(doubles.map((one) => one.status)).toEqual([200, 200, 200, 200, 200, 200]);
    for (const one of doubles) expect(one.body).toEqual(doubles[0]?.body);
    const others = await Promise.all(
      Array.from({ length: 5 }, () =>
        visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG),
      ),
    );
    expect(others.map((one) => one.status)).toEqual([409, 409, 409, 409, 409]);
    expect(others[0]?.body.current).toMatchObject({ id });
    expect(await taps(job.vehicle.modelId)).toHaveLength(1);
  });

  it('is sized here: a fuse or wire that the plan does not give is refused', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const put = (body: object) => visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, body);
    expect(problemPaths(await put({ ...LOG, fuseA: 30 }))).toEqual(['fuseA']);
    expect(problemPaths(await put({ ...LOG, awg: 22 }))).toEqual(['awg']);
    const plan = [{ feedId: 'switched', sourceId: 'dash/F5' }];
    await visitor.change(job.id, { plan });
    expect(problemPaths(await put(LOG))).toEqual(['fuseA']);
  });

  it('refuses while a look-alike is untested, and says which', async () => {
    const job = await jobWith('dash/F5', ['off', 'acc', 'run', 'justOff', 'a', 'b']);
    const answer = await visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/cranking/);
  });

  it('counts no reading that was taken back', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const { body: readings } = await visitor.get<ReadingView[]>(`/jobs/${job.id}/readings`);
    const cranking = readings.find(
      ({ sourceId, state }) => sourceId === 'dash/F5' && state.key === 'crank',
    );
    await visitor.put(`/jobs/${job.id}/readings/${cranking?.id ?? ''}/withdrawal`);
    const answer = await visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/cranking/);
  });

  it('refuses while the supply side is unknown', async () => {
    const job = await jobWith('dash/F5', ACCESSORY_PLACES);
    const answer = await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(problemPaths(answer)).toEqual(['supplyContact']);
  });

  it('refuses without every reading that proves it, whatever was ticked, and after one that failed', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const path = `/jobs/${job.id}/taps/${uuidv7()}`;
    const at = (volts: number, seconds: number) => ({
      ...readingBody(leadPointId('endOriginalOut', 'switched', 'dash/F5'), volts),
      takenAt: new Date(2026, 4, 4, 2, 0, seconds).toISOString(),
    });
    const failed = `/jobs/${job.id}/readings/${uuidv7()}`;
    await visitor.put(failed, at(0.02, 1));
    await visitor.put(`/jobs/${job.id}/proofs/${uuidv7()}`, {
      ...{ feedId: 'switched', kind: 'orientation', readingIds: [] },
      at: new Date(2026, 4, 4).toISOString(),
    });
    const short = await visitor.put<ProblemDocument>(path, LOG);
    expect(problemPaths(short)).toEqual(['proofs']);
    expect(short.body.errors?.[0]?.message).toBe('still to be shown: orientation');
    // The tap turned round and read again; one from before that only arrives now, as from a phone without signal.
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, at(12.3, 3));
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, at(0.02, 2));
    expect((await visitor.put(path, LOG)).status).toBe(200);
  });

  it('takes readings of added leads only where the job has joined them', async () => {
    const job = await jobWith('dash/F5', [...ACCESSORY_PLACES, 'a', 'b']);
    const put = async (point: string): Promise<number> =>
      (await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody(point))).status;
    expect(await put(leadPointId('end', 'switched', 'dash/F5'))).toBe(200);
    expect(await put(leadPointId('end', 'switched', 'dash/F3'))).toBe(422);
    expect(await put(leadPointId('end', 'memory', 'dash/F5'))).toBe(422);
    expect(await put('lead:elsewhere:switched:dash/F5')).toBe(422);
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

  it('shows a job the claims of others, without its own readings counted for them', async () => {
    const { tap } = await loggedTap();
    const next = await visitor.job();
    await visitor.put(`/jobs/${next.id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.3));
    const seenBy = async (jobId: string): Promise<TapPointView[]> =>
      (await visitor.get<TapPointView[]>(`/jobs/${jobId}/taps`)).body;
    expect(await seenBy(next.id)).toMatchObject([{ id: tap.id, confirmedJobs: 0 }]);
    const third = await visitor.job();
    expect(await seenBy(third.id)).toMatchObject([{ id: tap.id, confirmedJobs: 1 }]);
    // However often a job says it, it is one job that says it.
    await visitor.put(`/jobs/${next.id}/readings/${uuidv7()}`, readingBody('dash/F5', 12.2));
    const [twice] = await seenBy(third.id);
    expect([twice?.confirmedJobs, twice?.observations.length]).toEqual([1, 2]);
  });

  it('does not let a job confirm itself', async () => {
    const { job, tap } = await loggedTap();
    await visitor.probe(job.id, 'dash/F5', ['run']);
    expect((await taps(tap.modelId))[0]?.observations).toEqual([]);
  });
});

describe('CSV', () => {
  const importCsv = (modelId: string, csv: string) =>
    visitor.send<ImportResult & ProblemDocument>('POST', `/models/${modelId}/taps.csv`, csv, {
      type: 'text/csv',
    });

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
    // A blank line counts, as a spreadsheet counts it.
    expect(problemPaths(answer)).toEqual(['row 5, column source', 'row 5, column function']);
    expect(await taps(tap.modelId)).toHaveLength(1);
  });

  it.each([
    ['source', 'dash/F5', 'dash/F99', 'column source'],
    ['a blocked slot', 'dash/F5', 'dash/F1', 'column source'],
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
});
