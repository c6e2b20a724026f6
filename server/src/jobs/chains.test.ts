import type { JobView, ProblemDocument } from '@lucky-thread/contract';
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

const [W1, W2, W3, W4] = ['harness/X1', 'harness/X2', 'harness/X3', 'harness/X4'] as const;

/** A job whose device takes a constant twice and gives an ignition twice, with four wires laid open, the last ones twisted. */
async function started(): Promise<JobView> {
  const model = await visitor.model('Longboat');
  const { body: made } = await visitor.put<JobView>(`/jobs/${uuidv7()}`, {
    ...jobBody(model.id),
    device: {
      name: 'Starter',
      feeds: [
        { id: 'c1', name: 'Feed 1', role: 'constant', currentA: 5 },
        { id: 'c2', name: 'Feed 2', role: 'constant', currentA: 5 },
        { id: 'i1', name: 'Ignition 1', role: 'switched', currentA: 5, direction: 'out' },
        { id: 'i2', name: 'Ignition 2', role: 'switched', currentA: 5, direction: 'out' },
      ],
    },
  });
  const harness = [
    { id: W1, name: 'X1' },
    { id: W2, name: 'X2' },
    { id: W3, name: 'X3' },
    { id: W4, name: 'X4', tapedWith: W3 },
  ];
  return (await visitor.change(made.id, { harness })).body;
}

function plan<T = JobView>(job: JobView, feedId: string, sourceId: string, more: object = {}) {
  return visitor.change<T>(job.id, { plan: [{ feedId, sourceId, ...more }] });
}

it('lets two leads that take the same meet at a wire, and not in a slot', async () => {
  const job = await started();
  expect((await plan(job, 'c1', W1)).status).toBe(200);
  const met = await plan(job, 'c2', W1);
  expect(met.status).toBe(200);
  expect(met.body.plan.map(({ sourceId }) => sourceId)).toEqual([W1, W1]);
  expect(problemPaths(await plan(job, 'i1', W1))).toEqual(['plan.sourceId']);
  expect((await plan(job, 'c1', 'dash/F5')).status).toBe(200);
  expect(problemPaths(await plan(job, 'c2', 'dash/F5'))).toEqual(['plan.sourceId']);
});

it('lets no two leads that give meet', async () => {
  const job = await started();
  await plan(job, 'i1', W1);
  expect(problemPaths(await plan(job, 'i2', W1))).toEqual(['plan.sourceId']);
});

it('keeps the wires that a lead goes on to, in their order, and from other feeds', async () => {
  const job = await started();
  const chained = await plan(job, 'i1', W1, { alsoAt: [W2] });
  expect(chained.body.plan).toEqual([{ feedId: 'i1', sourceId: W1, alsoAt: [W2] }]);
  const other = await plan<ProblemDocument>(job, 'i2', W2);
  expect(problemPaths(other)).toEqual(['plan.sourceId']);
  expect(other.body.detail).toMatch(/i1 has it/);
  await plan(job, 'c1', 'dash/F5');
  expect(problemPaths(await plan(job, 'i1', W1, { alsoAt: [] }))).toEqual([]);
  expect((await plan(job, 'i2', W2)).status).toBe(200);
  expect(problemPaths(await plan(job, 'i1', W1, { alsoAt: [W2] }))).toEqual(['plan.alsoAt']);
});

it('refuses a chain from a lead that takes, to what is no wire of the job, and to a twisted one', async () => {
  const job = await started();
  expect(problemPaths(await plan(job, 'c1', W1, { alsoAt: [W2] }))).toEqual(['plan.alsoAt']);
  for (const next of [W1, W3, 'harness/X9', 'dash/F5'])
    expect([next, problemPaths(await plan(job, 'i1', W1, { alsoAt: [next] }))]).toEqual([
      next,
      ['plan.alsoAt'],
    ]);
  const twice = await plan(job, 'i1', W1, { alsoAt: [W2, W2] });
  expect(problemPaths(twice)).toEqual(['plan.alsoAt']);
});
