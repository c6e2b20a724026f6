import type { JobPage, JobView, ProblemDocument } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { jobBody, problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

describe('jobs', () => {
  it('makes one row of a job that is sent twice', async () => {
    const model = await visitor.model('Longboat');
    const id = uuidv7();
    const first = await visitor.put<JobView>(`/jobs/${id}`, jobBody(model.id));
    const again = await visitor.put<JobView>(`/jobs/${id}`, jobBody(model.id));
    expect(again.body).toEqual(first.body);
    const { body } = await visitor.get<JobPage>('/jobs');
    expect(body.jobs.filter((job) => job.id === id)).toHaveLength(1);
  });

  it('keeps phase and plan over a restart of the server', async () => {
    const job = await visitor.job();
    const plan = [{ feedId: 'memory', sourceId: 'dash/F3', oneWayM: 3 }];
    await visitor.change(job.id, { phase: 'choose', plan });
    await server.restart();
    const { body } = await visitor.get<JobView>(`/jobs/${job.id}`);
    expect(body).toMatchObject({ phase: 'choose', plan, version: 3, createdBy: 'Installer' });
  });

  it('takes a year outside the model’s range with a warning', async () => {
    const model = await visitor.model('Longboat');
    const body = jobBody(model.id) as { vehicle: object };
    const late = { ...body, vehicle: { ...body.vehicle, year: 2024 } };
    const answer = await visitor.put<JobView>(`/jobs/${uuidv7()}`, late);
    expect(answer.status).toBe(200);
    expect(answer.body.warnings.join()).toMatch(/2024 is outside 2015–2021/);
  });

  it.each(['1M8GDM9AXKP04278O', '1M8GDM9A1KP042788'])('refuses the VIN %s', async (vin) => {
    const model = await visitor.model('Longboat');
    const body = jobBody(model.id) as { vehicle: object };
    const answer = await visitor.put(`/jobs/${uuidv7()}`, {
      ...body,
      vehicle: { ...body.vehicle, vin },
    });
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toEqual(['vehicle.vin']);
  });

  it.each([
    ['dash/F1', 'must not be tapped'],
    ['dash/F99', 'no source'],
  ])('refuses %s in a plan: %s', async (sourceId, reason) => {
    const job = await visitor.job();
    const plan = [{ feedId: 'memory', sourceId }];
    const answer = await visitor.change<ProblemDocument>(job.id, { plan });
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toContain(reason);
    expect((await visitor.get<JobView>(`/jobs/${job.id}`)).body.version).toBe(1);
  });

  it.each([
    ['/jobs/not-an-id', 422],
    [`/jobs/${uuidv7()}`, 404],
    ['/nowhere', 404],
  ])('answers %s with %d and a problem document', async (path, status) => {
    const answer = await visitor.get<ProblemDocument>(path);
    expect(answer.status).toBe(status);
    expect(answer.body.status).toBe(status);
  });

  it('answers broken JSON with 400, not with a crash', async () => {
    const answer = await visitor.send('PUT', `/jobs/${uuidv7()}`, '{"vehicle":');
    expect(answer.status).toBe(400);
  });
});

it('never lets the simulated car out of the server', async () => {
  const model = await visitor.model('Longboat');
  expect(JSON.stringify(model)).not.toMatch(/supply"|loadOhm|batterySaver/);
  expect(model.simulated).toBe(true);
});
