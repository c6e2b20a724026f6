import type { ModelSummary, ModelView, ProblemDocument } from '@lucky-thread/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let modelId: string;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  const models = (await visitor.get<ModelSummary[]>('/models')).body;
  modelId = models.find(({ model }) => model === 'Longboat')?.id ?? '';
});
afterAll(() => server.stop());

const NOTE = { placeId: 'dash', kind: 'note', text: ' The flap sticks. ' };
const DAMAGE = { placeId: 'dash', sourceId: 'dash/F7', kind: 'bulletin', text: 'Contact melts.' };
const at = (id: string, model = modelId) => `/models/${model}/notes/${id}`;

it('keeps a note with who and when, once however often it is sent, and lets it go', async () => {
  const id = uuidv7();
  const first = await visitor.put<ModelView>(at(id), NOTE);
  const again = await visitor.put<ModelView>(at(id), NOTE);
  expect(again.body.notes).toEqual(first.body.notes);
  const [stored] = first.body.notes;
  expect(stored).toMatchObject({ id, placeId: 'dash', sourceId: null, text: 'The flap sticks.' });
  expect(stored?.by).not.toBe('');
  expect(Date.now() - Date.parse(stored?.at ?? '')).toBeLessThan(60_000);
  // The lead writes under an id that is taken: nothing is written over.
  const lead = await server.visitor('lead');
  expect((await lead.put<ProblemDocument>(at(id), DAMAGE)).status).toBe(409);
  const gone = await visitor.send<ModelView>('DELETE', at(id));
  expect(gone.body.notes).toEqual([]);
  expect((await visitor.send('DELETE', at(id))).status).toBe(404);
});

it.each([
  [{ ...NOTE, placeId: 'nowhere' }, 'placeId'],
  [{ ...DAMAGE, sourceId: 'dash/F999' }, 'sourceId'],
  [{ ...NOTE, kind: 'rumour' }, 'kind'],
  [{ ...NOTE, text: ' ' }, 'text'],
  [{ ...NOTE, text: 'x'.repeat(501) }, 'text'],
])('writes nothing of %j, and says where it is wrong', async (body, path) => {
  const answer = await visitor.put<ProblemDocument>(at(uuidv7()), body);
  expect(answer.status).toBe(422);
  expect(problemPaths(answer)).toContain(path);
  expect((await visitor.get<ModelView>(`/models/${modelId}`)).body.notes).toEqual([]);
});

it('tells nobody of another shop, and takes nothing from them', async () => {
  expect((await visitor.put(at(uuidv7(), uuidv7()), NOTE)).status).toBe(404);
  const nobody = await server.visitor('nobody');
  expect((await nobody.put(at(uuidv7()), NOTE)).status).toBe(401);
});

it('comes along to a model that is like this one', async () => {
  const id = uuidv7();
  await visitor.put(at(id), DAMAGE);
  const like = {
    ...{ make: 'Tern', model: 'Turnstone', generation: '', yearFrom: 2019, yearTo: 2021 },
    ...{ trims: [], markets: [], steering: ['left'], keyType: 'key', use: '', like: modelId },
  };
  const made = await visitor.put<ModelView>(`/models/${uuidv7()}`, like);
  expect(made.status).toBe(200);
  expect(made.body.notes).toMatchObject([{ ...DAMAGE }]);
  expect(made.body.notes[0]?.id).not.toBe(id);
  await visitor.send('DELETE', at(id));
});

it('goes with its source and its place', async () => {
  await visitor.put(at(uuidv7()), NOTE);
  await visitor.put(at(uuidv7()), DAMAGE);
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  await client.query('begin');
  await client.query(`delete from sources where model_id = $1 and id = 'dash/F7'`, [modelId]);
  const { rows } = await client.query<{ kind: string }>(
    'select kind from notes where model_id = $1',
    [modelId],
  );
  await client.query('rollback');
  await client.end();
  expect(rows).toEqual([{ kind: 'note' }]);
});
