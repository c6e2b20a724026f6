import type { JobView, ProblemDocument } from '@lucky-thread/contract';
import { LACKING } from '@lucky-thread/core/prove';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { commandHead, jobBody, problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const LOG = { feedId: 'switched', fuseA: 2, awg: 18 };

/** A stereo on the accessory slot, its lead read and everything tried. */
async function stereo(): Promise<JobView> {
  const model = await visitor.model('Longboat');
  const body = jobBody(model.id);
  const { body: made } = await visitor.put<JobView>(`/jobs/${uuidv7()}`, {
    ...body,
    device: { ...body.device, family: 'radio' },
  });
  await visitor.probe(made.id, 'dash/F5', ['off', 'acc', 'run', 'crank', 'justOff', 'a', 'b']);
  await visitor.change(made.id, {
    plan: [{ feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2 }],
  });
  await visitor.prove(made.id);
  return made;
}

function note(job: JobView, id: string, value: number | undefined) {
  const body = { ...commandHead(), done: value !== undefined, value: value ?? null };
  return visitor.put<JobView>(`/jobs/${job.id}/closing/hand-over:${id}`, body);
}

function log(job: JobView) {
  return visitor.put<ProblemDocument>(`/jobs/${job.id}/taps/${uuidv7()}`, LOG);
}

it('logs nothing of a stereo whose cone moved the wrong way, and says which', async () => {
  const job = await stereo();
  await note(job, 'cone-rear-left', 0);
  const answer = await log(job);
  expect(answer.status).toBe(422);
  expect(problemPaths(answer)).toEqual(['closing.hand-over:cone-rear-left']);
  expect(answer.body.detail).toMatch(/1\.5 V cell on the pair for rear left/);
  await note(job, 'cone-rear-left', 1);
  expect((await log(job)).status).toBe(200);
});

it('wants a song where a pair has no speaker right behind it', async () => {
  const job = await stereo();
  await note(job, 'speaker-rear-left', LACKING);
  expect(problemPaths(await log(job))).toEqual(['closing.hand-over:phase']);
  await note(job, 'phase', 1);
  expect((await log(job)).status).toBe(200);
});

it('takes a figure that was taken back, or that is beyond its limit, for open', async () => {
  const job = await stereo();
  await note(job, 'memory', 724);
  await note(job, 'speaker-front-right', undefined);
  expect(problemPaths(await log(job))).toEqual([
    'closing.hand-over:speaker-front-right',
    'closing.hand-over:memory',
  ]);
});
