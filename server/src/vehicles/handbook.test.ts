import type { GlossaryEntryView, ModelView, ProblemDocument } from '@lucky-thread/contract';
import { slotsOf } from '@lucky-thread/work';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let model: ModelView;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  const { id } = await visitor.model('Longboat');
  model = (await visitor.get<ModelView>(`/models/${id}`)).body;
});
afterAll(() => server.stop());

const enter = (sourceId: string, body: unknown, of: string = model.id) =>
  visitor.put<ModelView & ProblemDocument>(
    `/models/${of}/handbook/${encodeURIComponent(sourceId)}`,
    body,
  );
const slotOf = (view: ModelView, sourceId: string) =>
  slotsOf(view).find((slot) => slot.id === sourceId);

/** Another model of a make, with the first one's panels. */
async function sister(make: string): Promise<string> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const id = uuidv7();
  await client.query(
    `insert into models (id, shop_id, make, model, generation, year_from, year_to, trims, markets, steering, key_type, use)
     select $1, shop_id, $2, 'Sister', generation, year_from, year_to, trims, markets, steering, key_type, use
     from models where id = $3`,
    [id, make, model.id],
  );
  await client.query(
    `insert into places (model_id, id, position, kind, name, location)
     select $1, id, position, kind, name, location from places where model_id = $2`,
    [id, model.id],
  );
  await client.query(
    `insert into sources (model_id, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row,
       lie, landmark_a, landmark_b, clearance)
     select $1, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row, lie, landmark_a,
       landmark_b, clearance
     from sources where model_id = $2`,
    [id, model.id],
  );
  await client.end();
  return id;
}

describe('what the handbook says of a slot', () => {
  it('is kept with who and when, stands at the slot, and can be changed', async () => {
    const slot = slotsOf(model).find(({ legend }) => legend !== undefined);
    if (slot === undefined) throw new Error('the demo car prints nothing');
    expect(slot.handbook).toBeUndefined();
    const { status, body } = await enter(slot.id, { entry: '  Heated seats ' });
    expect(status).toBe(200);
    expect(slotOf(body, slot.id)?.handbook).toBe('Heated seats');
    const [entry] = body.handbook.filter(({ sourceId }) => sourceId === slot.id);
    expect(entry).toMatchObject({ entry: 'Heated seats', fromGlossary: false });
    expect(entry?.by).not.toBe('');
    expect(Date.now() - Date.parse(entry?.at ?? '')).toBeLessThan(60_000);
    const changed = await enter(slot.id, { entry: 'Rear window heater' });
    expect(slotOf(changed.body, slot.id)?.handbook).toBe('Rear window heater');
    expect(changed.body.handbook.filter(({ sourceId }) => sourceId === slot.id)).toHaveLength(1);
  });

  it('is known for the same legend on other models of the make, and on no other make', async () => {
    const slot = slotsOf(model).findLast(({ legend }) => legend !== undefined);
    if (slot === undefined) throw new Error('the demo car prints nothing');
    const [same, other] = [await sister(model.make), await sister('Another make')];
    await enter(slot.id, { entry: 'Sunroof' });
    const sameView = (await visitor.get<ModelView>(`/models/${same}`)).body;
    expect(slotOf(sameView, slot.id)?.handbook).toBe('Sunroof');
    expect(sameView.handbook.find(({ sourceId }) => sourceId === slot.id)?.fromGlossary).toBe(true);
    const otherView = (await visitor.get<ModelView>(`/models/${other}`)).body;
    expect(slotOf(otherView, slot.id)?.handbook).toBeUndefined();
  });

  it('is the newest of what was looked up for a legend, and the slot’s own before that', async () => {
    const slot = slotsOf(model).findLast(({ legend }) => legend !== undefined);
    if (slot === undefined) throw new Error('the demo car prints nothing');
    const [old, young, third] = [
      await sister('Newest make'),
      await sister('Newest make'),
      await sister('Newest make'),
    ];
    await enter(slot.id, { entry: 'Sunroof' }, old);
    await enter(slot.id, { entry: 'Heated seats' }, young);
    const entryOf = async (id: string) => {
      const { body } = await visitor.get<ModelView>(`/models/${id}`);
      return body.handbook.find(({ sourceId }) => sourceId === slot.id);
    };
    expect(await entryOf(third)).toMatchObject({ entry: 'Heated seats', fromGlossary: true });
    expect(await entryOf(old)).toMatchObject({ entry: 'Sunroof', fromGlossary: false });
    // What is entered again is the newest again.
    await enter(slot.id, { entry: 'Sunroof' }, old);
    expect(await entryOf(third)).toMatchObject({ entry: 'Sunroof', fromGlossary: true });
    // A slot that says something else has nothing of it.
    const { body } = await visitor.get<ModelView>(`/models/${third}`);
    expect(body.handbook.map(({ sourceId }) => sourceId)).toEqual(
      slotsOf(model)
        .filter(({ legend }) => legend?.trim().toUpperCase() === slot.legend?.trim().toUpperCase())
        .map(({ id }) => id),
    );
  });

  it('that lists nothing counts for this model alone', async () => {
    const slot = slotsOf(model).findLast(({ legend }) => legend !== undefined);
    if (slot === undefined) throw new Error('the demo car prints nothing');
    const third = await sister('Third make');
    await enter(slot.id, { entry: null }, third);
    const fourth = await sister('Third make');
    const view = async (id: string) => (await visitor.get<ModelView>(`/models/${id}`)).body;
    expect(slotOf(await view(third), slot.id)?.handbook).toBeNull();
    expect(slotOf(await view(fourth), slot.id)?.handbook).toBeUndefined();
  });

  it.each([
    ['no entry', {}],
    ['an empty one', { entry: '' }],
    ['blanks', { entry: '   ' }],
    ['a number', { entry: 7 }],
    ['a novel', { entry: 'x'.repeat(121) }],
  ])('is refused with %s', async (_, body) => {
    const slot = slotsOf(model)[0];
    const { status, body: problem } = await enter(slot?.id ?? '', body);
    expect(status).toBe(422);
    expect(JSON.stringify(problem)).toContain('entry');
  });

  it('is 404 at a slot or model that is not there', async () => {
    expect((await enter('dash/none', { entry: 'Radio' })).status).toBe(404);
    const slot = slotsOf(model)[0]?.id ?? '';
    expect((await enter(slot, { entry: 'Radio' }, uuidv7())).status).toBe(404);
  });
});

describe('the glossary', () => {
  it('lists what was looked up, newest first, and forgets what is taken out', async () => {
    const [first, second] = slotsOf(model);
    if (first === undefined || second === undefined) throw new Error('the demo car has two slots');
    await enter(first.id, { entry: 'Seat fan' });
    await enter(second.id, { entry: null });
    const list = async () => (await visitor.get<GlossaryEntryView[]>('/glossary')).body;
    const [newest, older] = await list();
    expect(newest).toMatchObject({ sourceId: second.id, entry: null, model: model.model });
    expect(older).toMatchObject({ sourceId: first.id, entry: 'Seat fan', make: model.make });
    expect(older?.by).not.toBe('');
    const length = (await list()).length;
    expect((await visitor.delete(`/glossary/${older?.id ?? ''}`)).status).toBe(204);
    expect(await list()).toHaveLength(length - 1);
    expect((await visitor.delete(`/glossary/${older?.id ?? ''}`)).status).toBe(404);
    const now = (await visitor.get<ModelView>(`/models/${model.id}`)).body;
    expect(slotOf(now, first.id)?.handbook).toBeUndefined();
  });

  it('has no entry of an id that is none', async () => {
    expect((await visitor.delete('/glossary/7')).status).toBe(422);
  });
});
