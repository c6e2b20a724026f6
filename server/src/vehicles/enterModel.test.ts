import type { ModelSummary, ModelView, ProblemDocument } from '@lucky-thread/contract';
import { slotsOf } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import {
  jobBody,
  modelBody,
  panelBody,
  problemPaths,
  readingBody,
  startTestServer,
} from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const slot = (position: string, column: number, more: object = {}) => ({
  position,
  column,
  row: 0,
  ratingA: 10,
  legend: 'ACC',
  ...more,
});
const MODEL = modelBody();
const PANEL = {
  ...panelBody(),
  slots: [slot('F1', 0), slot('F2', 1, { legend: undefined, ratingA: undefined })],
};

type Given = Answer<ModelView & ProblemDocument>;
const enter = (id: string, body: object = MODEL): Promise<Given> =>
  visitor.put(`/models/${id}`, body);
const panel = (id: string, body: object = PANEL, place = 'dash'): Promise<Given> =>
  visitor.put(`/models/${id}/places/${place}`, body);

describe('a model that the shop enters', () => {
  it('is there once, with its panel, and takes a job and readings at once', async () => {
    const id = uuidv7();
    expect((await enter(id)).status).toBe(200);
    expect((await enter(id)).status).toBe(200);
    const { body } = await panel(id);
    expect(body).toMatchObject({ make: 'Tern', simulated: false, tapPointCount: 0 });
    expect(slotsOf(body)).toMatchObject([
      { id: 'dash/F1', legend: 'ACC', ratingA: 10, contacts: [{ landmark: 'door side' }, {}] },
      { id: 'dash/F2' },
    ]);
    expect(slotsOf(body)[1]?.ratingA).toBeUndefined();
    const listed = (await visitor.get<ModelSummary[]>('/models')).body;
    expect(listed.filter((one) => one.id === id)).toHaveLength(1);
    const jobId = uuidv7();
    expect((await visitor.put(`/jobs/${jobId}`, jobBody(id))).status).toBe(200);
    const reading = await visitor.put(
      `/jobs/${jobId}/readings/${uuidv7()}`,
      readingBody('dash/F1'),
    );
    expect(reading.status).toBe(200);
  });

  it('keeps its id to itself, and has years in their order', async () => {
    const id = uuidv7();
    await enter(id);
    expect((await enter(id, { ...MODEL, model: 'Gannet' })).status).toBe(409);
    const turned = await enter(uuidv7(), { ...MODEL, yearTo: 2010 });
    expect(problemPaths(turned)).toEqual(['yearTo']);
    const nowhere = await enter(uuidv7(), { ...MODEL, steering: [] });
    expect(problemPaths(nowhere)).toEqual(['steering']);
    expect(problemPaths(await enter(uuidv7(), { ...MODEL, make: '  ' }))).toEqual(['make']);
  });
});

describe('a panel', () => {
  it('is put right slot by slot, and two may stand beside each other', async () => {
    const id = uuidv7();
    await enter(id);
    await panel(id);
    await panel(id, { ...PANEL, name: 'Boot panel' }, 'boot');
    const righted = {
      ...PANEL,
      base: 1,
      slots: [slot('F1', 0, { legend: 'IG1', ratingA: 15 }), slot('F3', 1)],
    };
    const { body } = await panel(id, righted);
    expect(body.places.map((place) => place.name)).toEqual(['Dash panel', 'Boot panel']);
    expect(slotsOf(body).map(({ id: slotId, legend }) => [slotId, legend])).toEqual([
      ['dash/F1', 'IG1'],
      ['dash/F3', 'ACC'],
      ['boot/F1', 'ACC'],
      ['boot/F2', undefined],
    ]);
  });

  it('loses no slot that readings speak of, and keeps everything then', async () => {
    const id = uuidv7();
    await enter(id);
    await panel(id);
    const jobId = uuidv7();
    await visitor.put(`/jobs/${jobId}`, jobBody(id));
    await visitor.put(`/jobs/${jobId}/readings/${uuidv7()}`, readingBody('dash/F2'));
    const answer = await panel(id, { ...PANEL, base: 1, name: 'Renamed', slots: [slot('F1', 0)] });
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/dash\/F2 cannot be left out/);
    expect((await visitor.get<ModelView>(`/models/${id}`)).body.places[0]?.name).toBe('Dash panel');
  });

  it.each([
    ['slots', { slots: [slot('F1', 0), slot('F1', 1)] }],
    ['slots', { slots: [] }],
    // More than any car has: 300 of them are a slip, or an attack.
    ['slots', { slots: Array.from({ length: 300 }, (_, at) => slot(`F${at}`, at % 50)) }],
    ['slots.0.legend', { slots: [slot('F1', 0, { legend: 'X'.repeat(200) })] }],
    ['slots.0.ratingA', { slots: [slot('F1', 0, { ratingA: 0 })] }],
    ['slots.0.position', { slots: [slot('F/1', 0)] }],
    ['look.family', { look: { ...PANEL.look, family: 'glass' } }],
    ['name', { name: '' }],
  ])('is refused with a slip at %s', async (path, slip) => {
    const id = uuidv7();
    await enter(id);
    expect(problemPaths(await panel(id, { ...PANEL, ...slip }))).toEqual([path]);
  });

  it('of a simulated car, of the bunch of wires, or under no id, is refused', async () => {
    const demo = await visitor.model('Longboat');
    expect(problemPaths(await panel(demo.id))).toEqual(['place id']);
    const id = uuidv7();
    await enter(id);
    for (const place of ['harness', 'Dash', 'a b'])
      expect((await panel(id, PANEL, encodeURIComponent(place))).status).toBe(422);
    expect((await panel(uuidv7())).status).toBe(404);
  });
});
