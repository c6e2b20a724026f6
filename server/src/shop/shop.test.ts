import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { ProblemDocument, ShopView } from '@lucky-thread/contract';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const SOLDER = {
  ...DEFAULT_SETTINGS,
  schools: { ...DEFAULT_SETTINGS.schools, joining: 'solder and shrink' },
};

describe('the shop', () => {
  it('starts with the usual ways, keeps a change, and refuses one made from an old version', async () => {
    const { body } = await visitor.get<ShopView>('/shop');
    expect(body).toMatchObject({ settings: DEFAULT_SETTINGS, version: 1 });
    const change = { version: 1, settings: SOLDER };
    const changed = await visitor.put<ShopView>('/shop', change);
    expect(changed.body).toMatchObject({ settings: SOLDER, version: 2 });
    await server.restart();
    expect((await visitor.get<ShopView>('/shop')).body.settings).toEqual(SOLDER);
    // Without an answer it is sent again, and is no other change.
    expect(await visitor.put<ShopView>('/shop', change)).toMatchObject({
      status: 200,
      body: { settings: SOLDER, version: 2 },
    });
    const other = { version: 1, settings: DEFAULT_SETTINGS };
    const late = await visitor.put<ProblemDocument>('/shop', other);
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ type: 'stale', current: { version: 2 } });
  });

  it('refuses settings that can not be, naming each field', async () => {
    const settings = {
      schools: { ...DEFAULT_SETTINGS.schools, joining: 'twist and tape' },
      sizing: { ...DEFAULT_SETTINGS.sizing, dropLimitPercent: 300 },
      van: { only: true, conductors: ['0 mm²'], fusesA: [500] },
    };
    const answer = await visitor.put<ProblemDocument>('/shop', { version: 2, settings });
    expect(answer.status).toBe(422);
    expect(problemPaths(answer).sort()).toEqual([
      'settings.schools.joining',
      'settings.sizing.dropLimitPercent',
      'settings.van.conductors',
      'settings.van.fusesA',
    ]);
  });

  it('shows nothing to strangers', async () => {
    const nobody = await server.visitor('nobody');
    expect((await nobody.get('/shop')).status).toBe(401);
  });
});
