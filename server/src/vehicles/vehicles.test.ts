import type { DeviceView, ModelSummary, ModelView, ProblemDocument } from '@lucky-thread/contract';
import { readLabel } from '@lucky-thread/core/identify';
import { panelsOf, slotsOf } from '@lucky-thread/work';
import type { TestServer, Visitor } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let models: readonly ModelSummary[];
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  models = (await visitor.get<ModelSummary[]>('/models')).body;
});
afterAll(() => server.stop());

const view = async (summary: ModelSummary): Promise<ModelView> =>
  (await visitor.get<ModelView>(`/models/${summary.id}`)).body;

describe('vehicle models', () => {
  it('are listed, and shown one by one with their panels', async () => {
    expect(models.length).toBeGreaterThanOrEqual(5);
    for (const summary of models) {
      const model = await view(summary);
      expect(model.id).toBe(summary.id);
      expect(slotsOf(model).length).toBeGreaterThan(0);
    }
  });

  it('have slots with an id of their own, two contacts by landmark, and a place in the grid', async () => {
    for (const summary of models) {
      const panels = panelsOf(await view(summary));
      const slots = panels.flatMap((panel) => panel.slots);
      expect(new Set(slots.map((slot) => slot.id)).size).toBe(slots.length);
      for (const panel of panels)
        for (const slot of panel.slots) {
          expect(slot.contacts.map(({ id }) => id).sort()).toEqual(['a', 'b']);
          expect(slot.contacts[0].landmark).not.toBe(slot.contacts[1].landmark);
          expect(slot.column).toBeLessThan(panel.columns);
          expect(slot.row).toBeLessThan(panel.rows);
        }
    }
  });

  it('name dangerous circuits on every car, and never all of their circuits', async () => {
    for (const summary of models) {
      const slots = slotsOf(await view(summary));
      const blocked = slots.filter((slot) => readLabel(slot.legend).safety === 'block').length;
      expect(blocked).toBeGreaterThan(0);
      expect(blocked).toBeLessThan(slots.length / 2);
    }
  });

  it('never give away what is behind their slots: that is for probes to find', async () => {
    for (const summary of models) {
      const { text } = await visitor.get(`/models/${summary.id}`);
      for (const word of ['supplyContact', 'accessoryContact', 'runCrankContact', 'loadOhm'])
        expect(text).not.toContain(word);
    }
  });

  it('that are not there are 404, and what is no id is refused by name', async () => {
    const unknown = '01890a5d-ac96-774b-bcce-b302099a8057';
    const missing = await visitor.get<ProblemDocument>(`/models/${unknown}`);
    expect(missing.status).toBe(404);
    expect(missing.body.title).toMatch(/vehicle model/i);
    const wrong = await visitor.get<ProblemDocument>('/models/seven');
    expect(wrong.status).toBeGreaterThanOrEqual(400);
    expect(wrong.status).toBeLessThan(500);
  });

  it('are for the shop’s people only', async () => {
    const nobody = await server.visitor('nobody');
    expect((await nobody.get('/models')).status).toBe(401);
    expect((await nobody.get(`/models/${models[0]?.id ?? ''}`)).status).toBe(401);
    expect((await nobody.get('/devices')).status).toBe(401);
  });
});

describe('the catalogue of devices', () => {
  it('has what the shop fits, each with feeds that can be sized', async () => {
    const { body } = await visitor.get<DeviceView[]>('/devices');
    const names = body.map((device) => device.name).join();
    for (const kind of [/dashcam/i, /head unit/i, /socket/i, /remote starter/i])
      expect(names).toMatch(kind);
    for (const device of body) {
      expect(device.feeds.length).toBeGreaterThan(0);
      for (const feed of device.feeds) expect(feed.currentA).toBeGreaterThanOrEqual(0);
    }
  });
});
