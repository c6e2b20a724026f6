import type { JobView, ModelView, ProblemDocument } from '@lucky-thread/contract';
import { seenBy, slotsOf } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import {
  commandHead,
  jobBody,
  modelBody,
  panelBody,
  problemPaths,
  readingBody,
  startTestServer,
} from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let modelId: string;
let jobId: string;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
beforeEach(async () => {
  modelId = uuidv7();
  jobId = uuidv7();
  await visitor.put(`/models/${modelId}`, modelBody());
  await visitor.put(`/jobs/${jobId}`, jobBody(modelId));
});
afterAll(() => server.stop());

type Given = Answer<JobView & ProblemDocument>;
const ACC = { legend: 'ACC', ratingA: 10 };
function see(
  position: string,
  more: {
    readonly place?: string;
    readonly marks?: object;
    readonly holds?: string;
    readonly job?: string;
    readonly head?: object;
  } = {},
): Promise<Given> {
  const { place = 'panel', marks = ACC, holds = 'model', job = jobId, head = commandHead() } = more;
  return visitor.put(`/jobs/${job}/slots/${place}/${position}`, { ...head, marks, holds });
}
const model = async (): Promise<ModelView> =>
  (await visitor.get<ModelView>(`/models/${modelId}`)).body;
const jobNow = async (): Promise<JobView> => (await visitor.get<JobView>(`/jobs/${jobId}`)).body;

describe('a slot that nobody had entered', () => {
  it('becomes the model’s with its panel, and is read at once', async () => {
    const { body } = await see('F31');
    expect(body.seen).toEqual([{ placeId: 'panel', position: 'F31', ...ACC }]);
    expect((await see('F32', { marks: {} })).status).toBe(200);
    const entered = await model();
    expect(entered.places).toMatchObject([{ id: 'panel', kind: 'fusePanel', version: 2 }]);
    expect(
      slotsOf(entered).map(({ position, column, row, ratingA }) => [
        position,
        column,
        row,
        ratingA,
      ]),
    ).toEqual([
      ['F31', 0, 0, 10],
      ['F32', 1, 0, undefined],
    ]);
    const reading = await visitor.put(
      `/jobs/${jobId}/readings/${uuidv7()}`,
      readingBody('panel/F31'),
    );
    expect(reading.status).toBe(200);
    // What the app draws before it has asked anew is what the server has.
    expect(seenBy(entered, await jobNow()).places).toEqual(entered.places);
  });

  it('is drawn alike by whoever has not asked anew', async () => {
    await visitor.put(`/models/${modelId}/places/dash`, panelBody());
    const before = await model();
    await see('F9', { place: 'dash' });
    await see('F10', { place: 'dash', marks: { ratingA: 5 } });
    const places = (shown: { readonly places: ModelView['places'] }) =>
      shown.places.map(({ version: _version, ...place }) => place);
    const drawn = seenBy(before, await jobNow());
    expect(places(drawn)).toEqual(places(await model()));
  });

  it('is entered once, however often it is sent, and by two jobs in one panel', async () => {
    const head = commandHead();
    await Promise.all([see('F1', { head }), see('F1', { head }), see('F1', { head })]);
    const other = uuidv7();
    await visitor.put(`/jobs/${other}`, jobBody(modelId));
    await Promise.all([see('F2'), see('F3', { job: other }), see('F4'), see('F5', { job: other })]);
    const slots = slotsOf(await model());
    expect(slots).toHaveLength(5);
    expect(new Set(slots.map(({ column, row }) => `${column}/${row}`)).size).toBe(5);
  });

  it('is no slot of a simulated car, of a loom, or under no name', async () => {
    const demo = await visitor.job();
    const strange = await see('F99', { job: demo.id, place: 'dash' });
    expect(problemPaths(strange)).toEqual(['position']);
    expect(problemPaths(await see('F99', { place: 'Harness' }))).toEqual(['place id']);
    expect(problemPaths(await see(encodeURIComponent('F/9')))).toEqual(['position']);
    expect(problemPaths(await see('F1', { marks: { ratingA: 0 } }))).toEqual(['marks.ratingA']);
    expect(problemPaths(await see('F1', { holds: 'everyone' }))).toEqual(['holds']);
    const { look: _look, slots: _slots, ...head } = panelBody();
    const loom = { ...head, kind: 'loom', wires: [{ name: 'W1' }] };
    await visitor.put(`/models/${modelId}/places/kick`, loom);
    expect(problemPaths(await see('W1', { place: 'kick' }))).toEqual(['placeId']);
    expect(problemPaths(await see('W2', { place: 'kick' }))).toEqual(['placeId']);
    expect((await jobNow()).seen).toEqual([]);
  });
});

describe('a slot that differs from what was entered', () => {
  beforeEach(() => visitor.put(`/models/${modelId}/places/dash`, panelBody()));
  const entered = async () => slotsOf(await model())[0];

  it('differs for this car alone, or is put right for all', async () => {
    const dash = { place: 'dash', marks: { legend: 'IG1', ratingA: 15 } };
    await see('F1', { ...dash, holds: 'car' });
    expect(await entered()).toMatchObject({ legend: 'ACC', ratingA: 10 });
    const own = seenBy(await model(), await jobNow());
    expect(slotsOf(own)[0]).toMatchObject({ legend: 'IG1', ratingA: 15 });
    await see('F1', { ...dash, holds: 'model' });
    expect(await entered()).toMatchObject({ legend: 'IG1', ratingA: 15 });
    expect((await model()).places[0]?.version).toBe(2);
    expect((await jobNow()).seen).toHaveLength(1);
  });

  it('differs from this year on: the model is parted, and the job goes with the later part', async () => {
    await see('F1', { place: 'dash', marks: { legend: 'ACC', ratingA: 15 }, holds: 'years' });
    const { body: job } = await visitor.get<JobView>(`/jobs/${jobId}`);
    const later = job.vehicle.modelId;
    expect(later).not.toBe(modelId);
    const read = async (id: string) => (await visitor.get<ModelView>(`/models/${id}`)).body;
    expect(slotsOf(await read(later))).toMatchObject([{ ratingA: 15 }]);
    expect(slotsOf(await read(modelId))).toMatchObject([{ ratingA: 10 }]);
    expect([(await read(modelId)).yearTo, (await read(later)).yearFrom]).toEqual([2019, 2020]);
    // Once more of the same year: it is the later part's own by now.
    await see('F1', { place: 'dash', marks: { legend: 'ACC', ratingA: 20 }, holds: 'years' });
    expect((await visitor.get<JobView>(`/jobs/${jobId}`)).body.vehicle.modelId).toBe(later);
    expect(slotsOf(await read(later))).toMatchObject([{ ratingA: 20 }]);
  });

  it('is judged by what this car has: a slot that turns out a restraint is never planned', async () => {
    const plan = () =>
      visitor.change<JobView & ProblemDocument>(jobId, {
        plan: [{ feedId: 'memory', sourceId: 'dash/F1', oneWayM: 1 }],
      });
    expect((await plan()).status).toBe(200);
    await see('F1', { place: 'dash', marks: { legend: 'A/BAG', ratingA: 10 }, holds: 'car' });
    expect(problemPaths(await plan())).toEqual(['plan.sourceId']);
  });
});
