import type { ModelView, ProblemDocument, SearchAnswer, TapPage } from '@lucky-thread/contract';
import { sourcesOf } from '@lucky-thread/work';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { modelBody, panelBody, problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

async function found(typed: string): Promise<SearchAnswer> {
  const { status, body } = await visitor.get<SearchAnswer>(
    `/search?q=${encodeURIComponent(typed)}`,
  );
  expect(status).toBe(200);
  return body;
}
const modelsFor = async (typed: string) => (await found(typed)).models.map((one) => one.model);

describe('a model', () => {
  it.each([
    ['longboat', 'Longboat'],
    ['LONGB', 'Longboat'],
    ['Longbaot', 'Longboat'],
    ['lonboat', 'Longboat'],
    ['skerick longboat', 'Longboat'],
    ['longboat 2018', 'Longboat'],
    ['library', 'Longboat'],
    ['pilot saloon', 'Fairway'],
    ['camper', 'Fulmar'],
    ['fulmer', 'Fulmar'],
  ])('is found by “%s”', async (typed, model) => {
    expect((await modelsFor(typed))[0]).toBe(model);
  });

  it.each(['longboat 1990', 'xyzzy', 'ong', 'rr def', '  ', 'longboat xyzzy', '%', '_', '\\'])(
    'is not found by “%s”',
    async (typed) => {
      expect(await modelsFor(typed)).toEqual([]);
    },
  );

  it('of another shop is not found, nor are its slots', async () => {
    const id = uuidv7();
    await visitor.put(`/models/${id}`, { ...modelBody(), model: 'Kittiwake' });
    await visitor.put(`/models/${id}/places/dash`, panelBody());
    expect(await modelsFor('kittiwake')).toEqual(['Kittiwake']);
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    const shop = uuidv7();
    await client.query('insert into shops (id, name) values ($1, $2)', [shop, 'Another']);
    await client.query('update models set shop_id = $1 where id = $2', [shop, id]);
    await client.end();
    expect(await modelsFor('kittiwake')).toEqual([]);
    expect((await found('acc')).sources.some((one) => one.modelId === id)).toBe(false);
  });
});

describe('a slot', () => {
  it('is found by a part of its legend, with its model and place', async () => {
    const { sources } = await found('rr def');
    expect(sources).toContainEqual({
      modelId: (await visitor.model('Longboat')).id,
      modelName: 'Skerrick Longboat II',
      sourceId: 'dash/F9',
      name: 'F9',
      legend: 'RR DEF',
      placeName: 'Dash panel',
    });
    expect((await found('r')).sources).toEqual([]);
    expect((await found('%%')).sources).toEqual([]);
  });

  it('is not searched for by a novel', async () => {
    const answer = await visitor.get<ProblemDocument>(`/search?q=${'a'.repeat(81)}`);
    expect(problemPaths(answer)).toEqual(['q']);
    expect((await visitor.get('/search')).status).toBe(422);
  });
});

describe('a model that is like another', () => {
  it('has its places, and its tap points as asserted, without readings, proofs or jobs', async () => {
    const sister = await visitor.model('Longboat');
    const job = await visitor.job();
    await visitor.probe(job.id, 'dash/F5', ['off', 'acc', 'run', 'crank', 'justOff', 'a', 'b']);
    await visitor.change(job.id, {
      plan: [{ feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2 }],
    });
    await visitor.prove(job.id);
    const logged = await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, {
      feedId: 'switched',
      fuseA: 2,
      awg: 18,
    });
    expect(logged.status).toBe(200);
    const id = uuidv7();
    const body = { ...modelBody(), make: 'Skerrick', model: 'Longboat', like: sister.id };
    expect((await visitor.put<ModelView>(`/models/${id}`, body)).status).toBe(200);
    expect((await visitor.put<ModelView>(`/models/${id}`, body)).status).toBe(200);
    const { body: made } = await visitor.get<ModelView>(`/models/${id}`);
    expect(made.simulated).toBe(false);
    expect(sourcesOf(made).map((one) => one.id)).toEqual(sourcesOf(sister).map((one) => one.id));
    const { taps } = (await visitor.get<TapPage>(`/models/${id}/taps`)).body;
    expect(
      taps.map((tap) => [tap.sourceId, tap.function, tap.grade, tap.jobId, tap.readings]),
    ).toEqual([['dash/F5', 'accessory', 'asserted', null, []]]);
  });

  it('must be like one of the shop’s', async () => {
    const id = uuidv7();
    const strange = await visitor.put(`/models/${id}`, { ...modelBody(), like: uuidv7() });
    expect(strange.status).toBe(404);
    expect((await visitor.get(`/models/${id}`)).status).toBe(404);
    expect(problemPaths(await visitor.put(`/models/${id}`, { ...modelBody(), like: 'x' }))).toEqual(
      ['like'],
    );
  });
});
