import type { ModelView, PlaceInput, ProblemDocument } from '@lucky-thread/contract';
import { inputOf } from '@lucky-thread/contract/places';
import { sourcesOf } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import {
  jobBody,
  modelBody,
  panelBody,
  problemPaths,
  startTestServer,
} from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let lead: Visitor;
let id: string;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  lead = await server.visitor('lead');
});
beforeEach(async () => {
  id = uuidv7();
  await visitor.put(`/models/${id}`, modelBody());
});
afterAll(() => server.stop());

type Given = Answer<ModelView & ProblemDocument>;
const put = (place: string, body: object, by = visitor): Promise<Given> =>
  by.put(`/models/${id}/places/${place}`, body);
const head = (kind: string) => {
  const { look: _look, slots: _slots, ...shared } = panelBody();
  return { ...shared, kind, name: `A ${kind}` };
};

/** A place of every kind, each with all that its sources can say. */
const PLACES = {
  dash: {
    ...panelBody(),
    fasteners: ['2 knobs'],
    tools: ['trim tool'],
    seconds: 30,
    zone: 'dash',
    side: 'driver',
    slots: [
      ...panelBody().slots,
      {
        position: 'M1',
        column: 3,
        row: 2,
        ratingA: 60,
        look: { ...panelBody().look, family: 'maxi', lie: 'wide', clearance: 'tight' },
      },
    ],
  },
  radio: {
    ...head('connector'),
    keying: 'grey, two tabs above',
    harness: 'body harness',
    wires: [
      { name: '1', column: 0, row: 0, colour: 'BK' },
      { name: '2', column: 1, row: 0, colour: 'PK', seenColour: 'WH', gaugeMm2: 0.75 },
      { name: '4', column: 1, row: 1, tapedWith: '1', gaugeMm2: 1.5, gaugeMeasured: true },
    ],
  },
  kick: {
    ...head('loom'),
    harness: 'roof harness',
    wires: [{ name: 'W1', colour: 'RD/YE', alsoFeeds: 'clock' }],
  },
  lighter: { ...head('socketOutlet'), wires: [{ name: '1', colour: 'RD' }, { name: '2' }] },
  relay: { ...head('relaySocket'), terminals: ['30', '85', '86', '87', '87a'] },
  battery: { ...head('stud'), points: [{ name: 'B1', threadMm: 8 }, { name: 'B2' }] },
  ground: { ...head('groundPoint'), points: [{ name: 'G1', threadMm: 6 }] },
};

describe('a place of every kind', () => {
  it('is there as it was entered, and entering it again changes nothing', async () => {
    for (const [place, body] of Object.entries(PLACES))
      expect((await put(place, body)).status).toBe(200);
    const { body: model } = await visitor.get<ModelView>(`/models/${id}`);
    expect(model.places.map((place) => place.id)).toEqual(Object.keys(PLACES));
    for (const place of model.places) {
      const sent = PLACES[place.id as keyof typeof PLACES] as object as PlaceInput;
      const { base, ...again } = inputOf(place);
      expect(again).toEqual({ fasteners: [], tools: [], ...sent, base: undefined });
      expect(base).toBe(1);
      const { body: same } = await put(place.id, sent);
      expect(same.places.find((one) => one.id === place.id)?.version).toBe(1);
    }
    expect(sourcesOf(model).map((source) => source.kind)).toEqual(
      expect.arrayContaining(['slot', 'cavity', 'wire', 'relayTerminal', 'stud', 'ground']),
    );
  });

  it.each([
    ['kind', 'radio', { kind: 'drawer' }],
    ['wires', 'radio', { wires: [] }],
    ['wires', 'radio', { wires: [PLACES.kick.wires[0], PLACES.kick.wires[0]].map(inCavity) }],
    ['wires.0.column', 'radio', { wires: [{ ...PLACES.kick.wires[0], row: 0 }] }],
    ['wires.0.colour', 'kick', { wires: [{ name: 'W1', colour: 'BX' }] }],
    ['wires.0.gaugeMm2', 'kick', { wires: [{ name: 'W1', gaugeMm2: 0 }] }],
    ['wires.0.tapedWith', 'kick', { wires: [{ name: 'W1', tapedWith: 'W9' }] }],
    ['wires.0.tapedWith', 'kick', { wires: [{ name: 'W1', tapedWith: 'W1' }] }],
    ['wires.0.column', 'kick', { wires: [{ name: 'W1', column: 0 }] }],
    ['terminals', 'relay', { terminals: ['88'] }],
    ['terminals', 'relay', { terminals: [] }],
    ['points.0.threadMm', 'battery', { points: [{ name: 'B1', threadMm: 80 }] }],
    ['keying', 'radio', { keying: '' }],
    ['harness', 'kick', { harness: 'x'.repeat(61) }],
    ['keying', 'kick', { keying: 'two tabs' }],
    ['location', 'ground', { location: ' ' }],
    ['seconds', 'ground', { seconds: 1.5 }],
    ['base', 'ground', { base: -1 }],
    ['zone', 'ground', { zone: 'attic' }],
  ] as const)('is refused with a slip at %s of %s', async (path, place, slip) => {
    expect(problemPaths(await put(place, { ...PLACES[place], ...slip }))).toEqual([path]);
    expect((await visitor.get<ModelView>(`/models/${id}`)).body.places).toEqual([]);
  });

  function inCavity(wire: object | undefined) {
    return { ...wire, column: 0, row: 0 };
  }
});

describe('a place that two people change', () => {
  it('refuses the second, and hands on what the first made of it', async () => {
    await put('kick', PLACES.kick);
    const wires = [{ name: 'W1', colour: 'GN' }];
    expect((await put('kick', { ...PLACES.kick, base: 1, wires }, lead)).status).toBe(200);
    const late = await put('kick', { ...PLACES.kick, base: 1, name: 'Mine' });
    expect([late.status, late.body.type]).toEqual([409, 'stale']);
    expect(late.body.current).toMatchObject({
      places: [{ version: 2, sources: [{ colour: 'GN' }] }],
    });
    expect((await put('kick', { ...PLACES.kick, base: 2, name: 'Mine' })).status).toBe(200);
  });

  it('at the very same moment is one of theirs, whole', async () => {
    await put('kick', PLACES.kick);
    const colours = ['GN', 'BU', 'VT', 'GY'];
    const answers = await Promise.all(
      colours.map((colour) =>
        put('kick', { ...PLACES.kick, base: 1, wires: [{ name: 'W1', colour }] }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409]);
    const [place] = (await visitor.get<ModelView>(`/models/${id}`)).body.places;
    expect(place?.version).toBe(2);
  });
});

describe('a place that is taken away', () => {
  const drop = (place: string): Promise<Given> => visitor.delete(`/models/${id}/places/${place}`);

  it('is gone with its sources, and is no loss when it is gone already', async () => {
    await put('radio', PLACES.radio);
    await put('kick', PLACES.kick);
    expect((await drop('radio')).body.places.map((place) => place.id)).toEqual(['kick']);
    expect((await drop('radio')).status).toBe(200);
    expect((await put('radio', PLACES.radio)).status).toBe(200);
  });

  it('stays while a job has read there', async () => {
    await put('kick', PLACES.kick);
    const jobId = uuidv7();
    await visitor.put(`/jobs/${jobId}`, jobBody(id));
    await visitor.change(jobId, { harness: [{ id: 'kick/W1', name: 'W1', colour: 'RD/YE' }] });
    await visitor.change(jobId, { plan: [{ feedId: 'memory', sourceId: 'kick/W1', oneWayM: 1 }] });
    const answer = await drop('kick');
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/kick\/W1 cannot be left out/);
  });

  it('of a simulated car, or of another shop’s, stays', async () => {
    const demo = await visitor.model('Longboat');
    const answer = await visitor.delete<ProblemDocument>(`/models/${demo.id}/places/dash`);
    expect(answer.status).toBe(422);
    expect((await visitor.delete(`/models/${uuidv7()}/places/dash`)).status).toBe(404);
  });
});
