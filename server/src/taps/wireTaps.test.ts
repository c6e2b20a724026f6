import type { JobView, ProblemDocument, TapPage, TapPointView } from '@lucky-thread/contract';
import { leadPointId, stateAt } from '@lucky-thread/core/vehicle';
import { jobSourcesOf, sourcesOf } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
beforeEach(() => server.forget());
afterAll(() => server.stop());

const LOG = { feedId: 'switched', fuseA: 2, awg: 18, note: 'behind the flap' };

describe('a tap point at a wire', () => {
  const WIRE = 'harness/X7';

  /** A job that has laid a wire open, read it in every state, and planned its supply there. */
  async function splicedJob(): Promise<JobView> {
    const job = await visitor.job();
    const harness = [{ id: WIRE, name: 'X7', colour: 'BU/PK' }];
    const plan = [{ feedId: 'switched', sourceId: WIRE, oneWayM: 2 }];
    const laid = await visitor.change(job.id, { harness, plan });
    expect(laid.status).toBe(200);
    const seen = [
      ['off', 0.01],
      ['acc', 12.2],
      ['run', 12.4],
      ['crank', 0.2],
      ['justOff', 0.01],
      ['asleep', 0.01],
    ] as const;
    for (const [place, volts] of seen)
      await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, {
        ...readingBody(WIRE, volts),
        state: stateAt(place),
      });
    return laid.body;
  }

  /** Reads the added lead, as its closing proofs ask. */
  async function proveSplice(job: JobView): Promise<void> {
    for (const [spot, place, volts] of [
      ['end', 'run', 12.2],
      ['end', 'acc', 12.1],
      ['end', 'off', 0.01],
      ['end', 'lamps', 0.01],
      ['original', 'run', 12.4],
      ['ground', 'run', 0.03],
    ] as const)
      await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, {
        ...readingBody(leadPointId(spot, 'switched', WIRE), volts),
        state: stateAt(place),
      });
  }

  it('needs no way round, has no supply side, and becomes the model’s wire', async () => {
    const job = await splicedJob();
    const url = `/jobs/${job.id}/taps/${uuidv7()}`;
    const short = await visitor.put(url, LOG);
    expect(problemPaths(short)).toEqual(['proofs']);
    await proveSplice(job);
    const answer = await visitor.put<TapPointView>(url, LOG);
    expect(answer.status).toBe(200);
    expect(answer.body).toMatchObject({
      sourceId: WIRE,
      function: 'accessory',
      supplyContact: null,
      supplyLandmark: null,
      note: 'behind the flap',
    });
    const model = await visitor.model('Longboat');
    expect(sourcesOf(model).find((source) => source.id === WIRE)).toEqual({
      kind: 'wire',
      id: WIRE,
      name: 'X7',
      colour: 'BU/PK',
    });
    // The next job on the model has it among its sources, though it has laid nothing open.
    const next = await visitor.job();
    const { body: taps } = await visitor.get<TapPointView[]>(`/jobs/${next.id}/taps`);
    const known = jobSourcesOf({ job: next, model, taps }).map(({ source }) => source.id);
    expect(known).toContain(WIRE);
    expect(known).not.toContain('harness/W2');
    await visitor.put(`/jobs/${next.id}/readings/${uuidv7()}`, readingBody(WIRE, 12.4));
    const { body } = await visitor.get<TapPage>(`/models/${model.id}/taps`);
    expect(body.taps.find((tap) => tap.sourceId === WIRE)?.confirmedJobs).toBe(1);
  });

  it('goes out as CSV without a side, and comes back', async () => {
    const job = await splicedJob();
    await proveSplice(job);
    await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    const path = `/models/${job.vehicle.modelId}/taps.csv`;
    const { text } = await visitor.get(path);
    expect(text).toMatch(/harness\/X7,accessory,,2020/);
    const csv = { type: 'text/csv' };
    expect((await visitor.send('POST', path, text, csv)).body).toMatchObject({ unchanged: 1 });
    const sided = text.replace('accessory,,2020', 'accessory,a,2020');
    const refused = await visitor.send<ProblemDocument>('POST', path, sided, csv);
    expect(problemPaths(refused)).toEqual(['row 2, column supply_contact']);
  });

  it('is never one of a twisted pair', async () => {
    const job = await visitor.job();
    const harness = [
      { id: WIRE, name: 'X7' },
      { id: 'harness/X8', name: 'X8', tapedWith: WIRE },
    ];
    const plan = [{ feedId: 'switched', sourceId: 'harness/X8' }];
    const answer = await visitor.change<ProblemDocument>(job.id, { harness, plan });
    expect(problemPaths(answer)).toEqual(['plan.sourceId']);
    expect(answer.body.detail).toMatch(/twisted/);
  });

  it('is not logged once it was seen to be one of a twisted pair, though it was planned before', async () => {
    const job = await visitor.job();
    const harness = [
      { id: WIRE, name: 'X7' },
      { id: 'harness/X8', name: 'X8' },
    ];
    const plan = [{ feedId: 'switched', sourceId: 'harness/X8' }];
    expect((await visitor.change(job.id, { harness, plan })).status).toBe(200);
    const taped = [harness[0] as object, { ...harness[1], tapedWith: WIRE }];
    expect((await visitor.change(job.id, { harness: taped })).status).toBe(200);
    const answer = await visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
    expect(problemPaths(answer)).toEqual(['feedId']);
    expect(answer.body.detail).toMatch(/twisted/);
  });
});
