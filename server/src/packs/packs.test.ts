import type { ModelView, ProblemDocument, TapPage } from '@lucky-thread/contract';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { v7 as uuidv7 } from 'uuid';
import { jpegFrame } from '../testing/pictures';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import { modelBody, panelBody, problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterEach(() => server.forget());
afterAll(() => server.stop());

type Given = Answer<ModelView & ProblemDocument>;

async function packOf(modelId: string): Promise<Uint8Array> {
  const answer = await visitor.get(`/models/${modelId}/pack`);
  expect(answer.headers.get('content-type')).toBe('application/zip');
  return answer.bytes;
}

function take(zip: Uint8Array, id = uuidv7(), type = 'application/zip'): Promise<Given> {
  return visitor.send('PUT', `/models/${id}/pack`, new Uint8Array(zip), { type });
}

/** A pack with one of its files written otherwise. */
function changed(zip: Uint8Array, name: string, change: (text: string) => string): Uint8Array {
  const files = unzipSync(zip);
  return zipSync({ ...files, [name]: strToU8(change(strFromU8(files[name] ?? strToU8('')))) });
}

const HEAD = {
  base: 0,
  location: 'Under "the" dash; left,\nbelow',
  steps: ['=1+1', 'Öffnen'],
  notes: '@note',
};

/** A vehicle with a place of every kind, photos and pins. */
async function everyKind(): Promise<string> {
  const id = uuidv7();
  const model = { ...modelBody(), trims: ['Base', 'Plus'], use: '+ferry', keyType: 'push button' };
  await visitor.put(`/models/${id}`, model);
  const put = (place: string, body: object) =>
    visitor.put(`/models/${id}/places/${place}`, { ...HEAD, ...body });
  await put('dash', { ...panelBody(), notes: '-1', zone: 'dash', side: 'left', seconds: 40 });
  await put('plug', {
    kind: 'connector',
    name: 'Plug',
    wires: [{ name: '1', column: 0, row: 1, colour: 'BU/PK', seenColour: 'GY', gaugeMm2: 0.5 }],
  });
  await put('radio', {
    kind: 'loom',
    name: 'Radio',
    wires: [
      { name: 'W1', tapedWith: 'W2', alsoFeeds: 'clock' },
      { name: 'W2', gaugeMeasured: true },
    ],
  });
  await put('relay', { kind: 'relaySocket', name: 'Relay', terminals: ['30', '87'] });
  await put('bar', { kind: 'stud', name: 'Bar', points: [{ name: 'B1', threadMm: 6 }] });
  await put('pillar', { kind: 'groundPoint', name: 'Pillar', points: [{ name: 'G1' }] });
  const photoId = uuidv7();
  const jpeg = { type: 'image/jpeg' };
  for (const photo of [photoId, uuidv7()])
    await visitor.send('PUT', `/models/${id}/places/dash/photos/${photo}`, jpegFrame(40, 30), jpeg);
  const pins = [
    { sourceId: 'dash/F1', x: 0.125, y: 1 },
    { sourceId: 'radio/W1', x: 0, y: 0.3 },
  ];
  await visitor.put(`/photos/${photoId}`, { base: 1, caption: '=behind', pins });
  return id;
}

/** A model with a tap point that was probed and proven. */
async function withLog(): Promise<ModelView> {
  const job = await visitor.job();
  await visitor.probe(job.id, 'dash/F5', ['off', 'acc', 'run', 'crank', 'justOff', 'a', 'b']);
  const plan = [{ feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2 }];
  await visitor.change(job.id, { plan });
  await visitor.prove(job.id);
  const { status } = await visitor.put(`/jobs/${job.id}/taps/${uuidv7()}`, {
    feedId: 'switched',
    fuseA: 2,
    awg: 18,
    note: '=behind, the "flap"',
  });
  expect(status).toBe(200);
  return visitor.model('Longboat');
}

describe('a model as a file', () => {
  it('comes back unchanged, place by place, with its photos and pins', async () => {
    const before = (await visitor.get<ModelView>(`/models/${await everyKind()}`)).body;
    const after = (await take(await packOf(before.id))).body;
    const plain = ({ photos, id: _id, ...model }: ModelView) => ({
      ...model,
      places: model.places.map(({ version: _version, ...place }) => place),
      photos: photos.map(({ placeId, caption, width, height, pins }) => ({
        ...{ placeId, caption, width, height, pins },
      })),
    });
    expect(before.places).toHaveLength(6);
    expect(plain(after)).toEqual(plain(before));
    const picture = await visitor.get(`/photos/${after.photos[0]?.id}`);
    expect(Buffer.from(picture.bytes).equals(jpegFrame(40, 30))).toBe(true);
    expect(await packOf(after.id)).toEqual(await packOf(before.id));
  });

  it('brings its log along; what its makers probed was probed by somebody else', async () => {
    const demo = await withLog();
    const { id, simulated } = (await take(await packOf(demo.id))).body;
    expect(simulated).toBe(false);
    const taps = async (of: string) =>
      (await visitor.get<TapPage>(`/models/${of}/taps`)).body.taps.map((tap) => ({
        source: tap.sourceId,
        function: tap.function,
        side: tap.supplyContact,
        readings: tap.readings,
        note: tap.note,
        fuseA: tap.fuseA,
        grade: tap.grade === 'probed' ? 'probedByOther' : tap.grade,
      }));
    expect((await taps(demo.id)).some((tap) => tap.readings.length > 0)).toBe(true);
    expect(await taps(id)).toEqual(await taps(demo.id));
    const views = (await visitor.get<TapPage>(`/models/${id}/taps`)).body.taps;
    expect(views.map((tap) => tap.grade)).not.toContain('probed');
    // Packed once more it says the same, but for who took it in and when.
    const again = (await take(await packOf(id))).body;
    expect(await taps(again.id)).toEqual(await taps(id));
  });

  it('describes its tables as a data package', async () => {
    const files = unzipSync(await packOf((await visitor.model('Longboat')).id));
    const described = JSON.parse(strFromU8(files['datapackage.json'] as Uint8Array)) as {
      resources: { path: string; schema: { fields: { name: string }[] } }[];
    };
    for (const { path, schema } of described.resources) {
      const [head] = strFromU8(files[path] as Uint8Array).split('\r\n');
      expect(head?.replace('\uFEFF', '')).toBe(schema.fields.map((field) => field.name).join(','));
    }
    expect(described.resources).toHaveLength(7);
  });

  it('runs nothing in a spreadsheet', async () => {
    const files = unzipSync(await packOf(await everyKind()));
    for (const [name, bytes] of Object.entries(files))
      if (name.endsWith('.csv')) expect(strFromU8(bytes)).not.toMatch(/(^|,|\r\n)"?[=+@]/m);
  });
});

describe('a file with a slip', () => {
  let zip: Uint8Array;
  beforeAll(async () => {
    zip = await packOf(await everyKind());
  });

  it.each<[string, string, (text: string) => string]>([
    ['sources.csv, row 2, column rating_a', 'sources.csv', (text) => text.replace(',10,', ',ten,')],
    ['sources.csv, row 2', 'sources.csv', (text) => text.replace(',10,', ',400,')],
    ['sources.csv, row 2, column family', 'sources.csv', (text) => text.replace('mini', 'glass')],
    ['sources.csv, row 2, column kind', 'sources.csv', (text) => text.replace('slot', 'stud')],
    ['sources.csv, row 3, column place', 'sources.csv', (text) => text.replace('plug,', 'plum,')],
    ['sources.csv, row 4', 'sources.csv', (text) => text.replace(',W2,clock', ',W7,clock')],
    ['sources.csv, row 1', 'sources.csv', (text) => text.replace('legend', 'lesson')],
    ['places.csv, row 2, column id', 'places.csv', (text) => text.replace('dash,', 'Dash 1,')],
    ['places.csv, row 3, column id', 'places.csv', (text) => text.replace('\nplug,', '\ndash,')],
    ['places.csv, row 2, column seconds', 'places.csv', (text) => text.replace(',40,', ',4.5,')],
    ['model.csv, row 2, column year_to', 'model.csv', (text) => text.replace('2022', '2011')],
    ['model.csv, row 2, column make', 'model.csv', (text) => text.replace('Tern', '')],
    ['model.csv', 'model.csv', (text) => text + (text.split('\r\n')[1] ?? '')],
    ['photo_pins.csv, row 2, column x', 'photo_pins.csv', (text) => text.replace('0.125', '12')],
    ['photos.csv, row 4, column file', 'photos.csv', (text) => `${text}photos/9.jpg,dash,\r\n`],
    ['tap_points.csv, row 2', 'tap_points.csv', (text) => `${text}"never closed`],
    ['tap_readings.csv', 'tap_readings.csv', () => '\uFFFE'],
  ])('at %s is refused, and nothing of it is kept', async (path, name, change) => {
    const id = uuidv7();
    expect(changed(zip, name, change)).not.toEqual(zip);
    const answer = await take(changed(zip, name, change), id);
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)[0]).toContain(path);
    expect((await visitor.get(`/models/${id}`)).status).toBe(404);
  });

  it('in a reading or a tap point of it is named too', async () => {
    const logged = await packOf((await withLog()).id);
    const paths = async (name: string, from: RegExp, to: string) =>
      problemPaths(await take(changed(logged, name, (text) => text.replace(from, to))));
    expect(await paths('tap_points.csv', /,dash\/F\w+,/, ',dash/F99,')).toEqual([
      'tap_points.csv, row 2, column source',
    ]);
    expect(await paths('tap_readings.csv', /\n1,/, '\n99,')).toEqual([
      'tap_readings.csv, row 2, column tap_point',
    ]);
    expect(await paths('tap_readings.csv', /eter,[\d.-]+,/, 'eter,,')).toEqual([
      'tap_readings.csv, row 2, column volts',
    ]);
  });

  it.each([
    ['no zip', strToU8('hello')],
    ['an empty zip', zipSync({})],
    ['one that unpacks to far more', zipSync({ 'model.csv': new Uint8Array(13 * 2 ** 20) })],
  ])('that is %s is refused', async (_what, bytes) => {
    expect((await take(bytes)).status).toBe(422);
  });

  it('under the name of another kind, or an id that is taken, is refused', async () => {
    const id = await everyKind();
    expect((await take(zip, uuidv7(), 'text/csv')).status).toBe(415);
    expect((await take(zip, id)).status).toBe(409);
    expect((await visitor.get(`/models/${uuidv7()}/pack`)).status).toBe(404);
  });
});
