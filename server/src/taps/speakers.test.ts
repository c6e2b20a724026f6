import type {
  JobView,
  ProblemDocument,
  ImportResult,
  TapPage,
  TapPointView,
} from '@lucky-thread/contract';
import { leadOf } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { jobBody, problemPaths, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const FRONT_LEFT = [
  { id: 'fl+', name: 'Front left +', role: 'speakerPlus', speaker: 'front left', currentA: 2 },
  { id: 'fl-', name: 'Front left −', role: 'speakerMinus', speaker: 'front left', currentA: 2 },
];
const BLUE = 'harness/X1';
const STRIPED = 'harness/X2';

/** A job of a radio with both ends of one speaker, its two cut wires read dead with the key on. */
async function radioJob(feeds: readonly object[] = FRONT_LEFT): Promise<JobView> {
  const model = await visitor.model('Longboat');
  const body = jobBody(model.id);
  const device = { name: 'Radio', feeds: [...body.device.feeds, ...feeds] };
  const made = await visitor.put<JobView>(`/jobs/${uuidv7()}`, { ...body, device });
  expect(made.status).toBe(200);
  const harness = [
    { id: BLUE, name: 'X1', colour: 'BU' },
    { id: STRIPED, name: 'X2', colour: 'BU/BK', tapedWith: BLUE },
  ];
  const { body: job } = await visitor.change(made.body.id, { harness });
  for (const id of [BLUE, STRIPED])
    await visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, readingBody(id, 0.01));
  return job;
}

function pop(job: JobView, cone: string, [plus, minus] = [BLUE, STRIPED]) {
  const { state, takenAt } = readingBody(BLUE) as { state: object; takenAt: string };
  return visitor.put(`/jobs/${job.id}/readings/${uuidv7()}`, {
    ...{ sourceId: plus, otherId: minus, state, takenAt, instrument: 'pop', cone },
    ...(cone === 'none' ? {} : { speaker: 'front left' }),
  });
}

function log<T = TapPointView>(job: JobView, request: object) {
  return visitor.put<T>(`/jobs/${job.id}/taps/${uuidv7()}`, request);
}

it('keeps which speaker a lead drives, and asks for it', async () => {
  const job = await radioJob();
  expect(job.device.feeds.find(({ id }) => id === 'fl+')?.speaker).toBe('front left');
  const model = await visitor.model('Longboat');
  const body = jobBody(model.id);
  const made = (feed: object) =>
    visitor.put<ProblemDocument>(`/jobs/${uuidv7()}`, {
      ...body,
      device: { name: 'Radio', feeds: [feed] },
    });
  const { speaker: _left, ...unsaid } = FRONT_LEFT[0] ?? { speaker: '' };
  expect(problemPaths(await made(unsaid))).toEqual(['device.feeds.0.speaker']);
  const attic = await made({ ...FRONT_LEFT[0], speaker: 'attic' });
  expect(problemPaths(attic)).toEqual(['device.feeds.0.speaker']);
  const supply = await made({ ...body.device.feeds[0], speaker: 'front left' });
  expect(problemPaths(supply)).toEqual(['device.feeds.0.speaker']);
});

it('logs both ends as the pop has shown them, with neither fuse nor wire', async () => {
  const job = await radioJob();
  await pop(job, 'in');
  const [plus, minus] = [
    await log(job, { feedId: 'fl+', note: '' }),
    await log(job, { feedId: 'fl-', note: 'door card off' }),
  ];
  expect(plus.status).toBe(200);
  // The cone moved in with plus on the blue one: the striped one is the speaker's plus.
  expect(plus.body).toMatchObject({
    ...{ sourceId: STRIPED, function: 'speaker', fuseA: null, awg: null, supplyContact: null },
  });
  expect(minus.body).toMatchObject({ sourceId: BLUE, note: 'door card off' });
  expect(leadOf(plus.body)).toEqual({ speaker: 'front left', end: 'plus' });
  expect(leadOf(minus.body)).toEqual({ speaker: 'front left', end: 'minus' });
  const again = await visitor.get<JobView>(`/jobs/${job.id}`);
  expect(again.body.loggedFeedIds).toEqual(expect.arrayContaining(['fl+', 'fl-']));
});

it('goes out as CSV with empty cells for what was not added, and comes back', async () => {
  const job = await radioJob();
  await pop(job, 'out');
  await log(job, { feedId: 'fl+' });
  const path = `/models/${job.vehicle.modelId}/taps.csv`;
  const { text } = await visitor.get(path);
  expect(text).toMatch(/harness\/X1,speaker,,2020,2020,[^,]*,[^,]*,probed,,,/);
  const csv = { type: 'text/csv' };
  const back = await visitor.send<ImportResult>('POST', path, text, csv);
  expect(back.body).toMatchObject({ added: 0, changed: 0 });
  const other = text.replace(',speaker,', ',accessory,');
  const refused = await visitor.send<ProblemDocument>('POST', path, other, csv);
  expect(problemPaths(refused)).toEqual(
    expect.arrayContaining([expect.stringMatching(/column fuse_a/)]),
  );
});

it('is confirmed by a pop on another car of the model', async () => {
  const job = await radioJob();
  await pop(job, 'out');
  const { body: tap } = await log(job, { feedId: 'fl-' });
  const next = await radioJob();
  await pop(next, 'out', [STRIPED, BLUE]);
  const { body: page } = await visitor.get<TapPage>(`/models/${tap.modelId}/taps`);
  expect(page.taps.find(({ id }) => id === tap.id)?.confirmedJobs).toBe(1);
});

describe('is refused', () => {
  it('without a pop, or with one whose cone nobody saw', async () => {
    const job = await radioJob();
    const silent = await log<ProblemDocument>(job, { feedId: 'fl+' });
    expect([silent.status, problemPaths(silent)]).toEqual([422, ['feedId']]);
    await pop(job, 'unseen');
    const unseen = await log<ProblemDocument>(job, { feedId: 'fl+' });
    expect(unseen.body.detail).toMatch(/nobody saw the cone/);
  });

  it('with a fuse, and planned like a supply', async () => {
    const job = await radioJob();
    await pop(job, 'out');
    const fused = await log<ProblemDocument>(job, { feedId: 'fl+', fuseA: 2, awg: 18 });
    expect(problemPaths(fused)).toEqual(['fuseA']);
    const plan = [{ feedId: 'fl+', sourceId: BLUE }];
    const planned = await visitor.change<ProblemDocument>(job.id, { plan });
    expect(problemPaths(planned)).toEqual(['feedId']);
  });

  it('for a supply that leaves its fuse out', async () => {
    const job = await visitor.job();
    await visitor.change(job.id, {
      plan: [{ feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2 }],
    });
    const answer = await log<ProblemDocument>(job, { feedId: 'switched' });
    expect(problemPaths(answer)).toEqual(['fuseA', 'awg']);
  });
});

it('lets the sound of an amplifier be taken from a twisted pair, and nothing else', async () => {
  const amplified = { id: 'in', name: 'Input', role: 'amplified', currentA: 0.01 };
  const job = await radioJob([amplified]);
  const planned = (feedId: string) =>
    visitor.change<ProblemDocument>(job.id, { plan: [{ feedId, sourceId: STRIPED }] });
  expect((await planned('in')).status).toBe(200);
  expect(problemPaths(await planned('switched'))).toEqual(['plan.sourceId']);
});
