import type { JobView, ModelView, ProblemDocument } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import {
  commandHead,
  jobBody,
  modelBody,
  problemPaths,
  startTestServer,
} from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let lead: Visitor;
let job: JobView;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  lead = await server.visitor('lead');
});
beforeEach(async () => {
  job = await visitor.job();
});
afterAll(() => server.stop());

async function now(): Promise<JobView> {
  return (await visitor.get<JobView>(`/jobs/${job.id}`)).body;
}

describe('steps of the work', () => {
  const step = (
    by: Visitor,
    stepId: string,
    body: object,
  ): Promise<Answer<JobView & ProblemDocument>> =>
    by.put(`/jobs/${job.id}/steps/${encodeURIComponent(stepId)}`, { ...commandHead(), ...body });
  const DONE = { done: true, reason: null };

  it('are taken up by somebody else where one left off, each with who and when', async () => {
    await step(visitor, 'off', DONE);
    await step(lead, 'fit:memory@F3', DONE);
    expect((await now()).steps).toMatchObject([
      { stepId: 'off', by: 'Installer', reason: null },
      { stepId: 'fit:memory@F3', by: 'Lead', reason: null },
    ]);
  });

  it('stand once however many say so, and again after they were taken back', async () => {
    await Promise.all([step(visitor, 'off', DONE), step(lead, 'off', DONE)]);
    expect((await now()).steps).toHaveLength(1);
    await step(visitor, 'off', { done: false, reason: null });
    expect((await now()).steps).toEqual([]);
    await step(lead, 'off', DONE);
    expect((await now()).steps).toMatchObject([{ by: 'Lead' }]);
  });

  it('are done once under one id, and keep the reason for which they were passed over', async () => {
    const body = { ...commandHead(), done: true, reason: 'the owner has it' };
    for (let time = 0; time < 3; time += 1)
      await visitor.put(`/jobs/${job.id}/steps/airbags`, body);
    const { steps, version } = await now();
    expect(steps).toMatchObject([{ stepId: 'airbags', reason: 'the owner has it' }]);
    expect(version).toBe(job.version + 1);
  });

  it('want a name without blanks and a reason that says something', async () => {
    expect((await step(visitor, 'two words', DONE)).status).toBe(404);
    expect((await step(visitor, 'x'.repeat(81), DONE)).status).toBe(404);
    // A character that the database can't store, found by malformed requests.
    expect((await step(visitor, 'off\u0000', DONE)).status).toBe(404);
    const short = await step(visitor, 'off', { done: true, reason: 'no' });
    expect(problemPaths(short)).toEqual(['reason']);
    expect((await step(visitor, 'off', { done: 'yes', reason: null })).status).toBe(422);
    expect((await now()).steps).toEqual([]);
  });
});

describe('what is found before the hand-over', () => {
  const note = (who: Visitor, item: string, body: object) =>
    who.put<JobView & ProblemDocument>(`/jobs/${job.id}/closing/${encodeURIComponent(item)}`, {
      ...commandHead(),
      ...body,
    });

  it('stands once, says who found it, and the last who says so is right', async () => {
    await note(visitor, 'drain-before', { done: true, value: 0.03 });
    await note(visitor, 'hand-over:hood', { done: true, value: null });
    await note(lead, 'drain-before', { done: true, value: 0.028 });
    expect((await now()).closing).toMatchObject([
      { item: 'drain-before', value: 0.028, by: 'Lead' },
      { item: 'hand-over:hood', value: null, by: 'Installer' },
    ]);
  });

  it('is gone when it is taken back', async () => {
    await note(visitor, 'hand-over:hood', { done: true, value: null });
    await note(lead, 'hand-over:hood', { done: false, value: null });
    expect((await now()).closing).toEqual([]);
  });

  it('wants an item by its name and a number that can be', async () => {
    expect((await note(visitor, 'two words', { done: true, value: null })).status).toBe(404);
    expect(
      (await note(visitor, `drop-off:${'x'.repeat(46)}`, { done: true, value: 1 })).status,
    ).toBe(404);
    expect((await note(visitor, 'drop-off:a\u0000', { done: true, value: 1 })).status).toBe(404);
    const wild = await note(visitor, 'drain-before', { done: true, value: 1e9 });
    expect(problemPaths(wild)).toEqual(['value']);
    expect((await now()).closing).toEqual([]);
  });
});

describe('the set-up of a device', () => {
  const make = (setUp: object): Promise<Answer<JobView & ProblemDocument>> =>
    visitor.put(`/jobs/${uuidv7()}`, {
      ...jobBody(job.vehicle.modelId),
      device: {
        name: 'Starter',
        feeds: [{ id: 'a', name: 'A', role: 'constant', currentA: 1 }],
        setUp,
      },
    });

  it('comes along with the job, guide and date as they are printed', async () => {
    const setUp = { guide: '3.2', dated: '2025-02', steps: [{ say: 'Hold it.', seconds: 10 }] };
    expect((await make(setUp)).body.device.setUp).toEqual(setUp);
    expect(job.device.setUp).toBeUndefined();
  });

  it('says which guide it follows, and has steps with times that can be', async () => {
    expect(problemPaths(await make({ guide: '', steps: [] })).sort()).toEqual([
      'device.setUp.guide',
      'device.setUp.steps',
    ]);
    const slip = { guide: '1', steps: [{ say: 'Hold it.', seconds: 9999 }] };
    expect(problemPaths(await make(slip))).toEqual(['device.setUp.steps.0.seconds']);
  });
});

describe('the route of a job', () => {
  const put = (route: object | null): Promise<Answer<JobView & ProblemDocument>> =>
    visitor.put(`/jobs/${job.id}/route`, { ...commandHead(), route });

  it('is kept, changed and taken back', async () => {
    expect(job.route).toBeNull();
    await put({ mount: 'screenTop', aim: 'short' });
    expect((await now()).route).toEqual({ mount: 'screenTop', aim: 'short' });
    await put(null);
    expect((await now()).route).toBeNull();
  });

  it('has no other aims than there are', async () => {
    expect(problemPaths(await put({ aim: 'pretty' }))).toEqual(['route.aim']);
    expect(problemPaths(await put({ mount: 3 }))).toEqual(['route.mount']);
  });
});

describe('the body of a model', () => {
  const put = (id: string, body: object): Promise<Answer<ModelView & ProblemDocument>> =>
    visitor.put(`/models/${id}/body`, body);

  it('is said once for every job of the model, and comes along to one that is like it', async () => {
    const { modelId } = job.vehicle;
    const body = {
      ...{ style: 'estate', lengthM: 4.7 },
      passages: [
        { id: 'kick.left sill.left sill', lengthM: 1.2 },
        { id: 'a b c', blocked: true },
      ],
    };
    expect((await put(modelId, body)).body.body).toEqual(body);
    const like = uuidv7();
    await visitor.put(`/models/${like}`, { ...modelBody(), like: modelId });
    expect((await visitor.get<ModelView>(`/models/${like}`)).body.body).toEqual(body);
    const fresh = uuidv7();
    await visitor.put(`/models/${fresh}`, { ...modelBody(), model: 'Whimbrel' });
    expect((await visitor.get<ModelView>(`/models/${fresh}`)).body.body).toBeNull();
  });

  it('is refused with what is wrong, row by row, and nothing of it is kept', async () => {
    const { modelId } = job.vehicle;
    const before = (await visitor.get<ModelView>(`/models/${modelId}`)).body.body;
    const answer = await put(modelId, {
      ...{ style: 'spaceship', widthM: 0 },
      passages: [{ id: 'x y', lengthM: 99 }],
    });
    expect(answer.status).toBe(422);
    expect(problemPaths(answer).sort()).toEqual(['passages.0.lengthM', 'style', 'widthM']);
    const twice = await put(modelId, { style: 'van', passages: [{ id: 'x y' }, { id: 'x y' }] });
    expect(problemPaths(twice)).toEqual(['passages']);
    expect((await visitor.get<ModelView>(`/models/${modelId}`)).body.body).toEqual(before);
  });

  it('of another shop is not there', async () => {
    expect((await put(uuidv7(), { style: 'van', passages: [] })).status).toBe(404);
  });
});
