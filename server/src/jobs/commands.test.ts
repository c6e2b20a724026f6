import type { JobView, ProblemDocument } from '@lucky-thread/contract';
import { screenSlot } from '@lucky-thread/core/choose';
import { slotsOf, sourcesOf } from '@lucky-thread/work';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import {
  commandHead,
  jobBody,
  problemPaths,
  readingBody,
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

const F3 = { feedId: 'memory', sourceId: 'dash/F3', oneWayM: 3 };

function plan(
  by: Visitor,
  body: object,
  feedId = 'memory',
): Promise<Answer<JobView & ProblemDocument>> {
  return by.put(`/jobs/${job.id}/feeds/${feedId}/plan`, body);
}

async function now(): Promise<JobView> {
  return (await visitor.get<JobView>(`/jobs/${job.id}`)).body;
}

async function rows(table: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const { rows: found } = await client.query<Record<string, unknown>>(
    `select * from ${table} where job_id = $1`,
    [job.id],
  );
  await client.end();
  return found;
}

describe('a change to a job', () => {
  it('is done once, however often and at the same moment it is sent', async () => {
    const body = { ...commandHead(), base: null, plan: F3 };
    const answers = await Promise.all(Array.from({ length: 6 }, () => plan(visitor, body)));
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200, 200, 200, 200]);
    expect(await now()).toMatchObject({
      plan: [F3],
      planVersions: { memory: body.command },
      version: 2,
    });
    expect(await rows('commands')).toMatchObject([
      { id: body.command, kind: 'plan', subject: 'memory' },
    ]);
  });

  it('that was made on what somebody else has changed is refused, with the job as it is', async () => {
    const first = { ...commandHead(), base: null, plan: F3 };
    expect((await plan(lead, first)).status).toBe(200);
    const late = { ...commandHead(), base: null, plan: { ...F3, sourceId: 'dash/F4' } };
    const answer = await plan(visitor, late);
    expect(answer.status).toBe(409);
    expect(answer.body).toMatchObject({ type: 'stale', current: { plan: [F3] } });
    // Nothing of it was kept: made again on what is there now, it goes through under the same id.
    const again = await plan(visitor, { ...late, base: first.command });
    expect(again.body.plan).toMatchObject([{ sourceId: 'dash/F4' }]);
  });

  it('lets one of many through that were made on the same', async () => {
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => plan(visitor, { ...commandHead(), base: null, plan: F3 })),
    );
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(1);
    expect(answers.filter((answer) => answer.status === 409)).toHaveLength(7);
  });

  it('of one feed leaves the others alone, and does not make them stale', async () => {
    await plan(visitor, { ...commandHead(), base: null, plan: F3 });
    const other = { feedId: 'switched', sourceId: 'dash/F5' };
    const answer = await plan(lead, { ...commandHead(), base: null, plan: other }, 'switched');
    expect(answer.body.plan).toEqual([F3, other]);
  });

  it('lets lock and unlock lie on one wire, which goes by its ohms, and nothing else beside them', async () => {
    const { modelId } = job.vehicle;
    const feeds = ['lock', 'unlock', 'door'].map((role) => ({
      ...{ id: role, name: role, role, currentA: 0.25 },
    }));
    const made = await visitor.put<JobView>(`/jobs/${uuidv7()}`, {
      ...jobBody(modelId),
      device: { name: 'Keyless entry', feeds },
    });
    job = made.body;
    const at = (feedId: string): Promise<Answer<JobView & ProblemDocument>> =>
      plan(
        visitor,
        { ...commandHead(), base: null, plan: { feedId, sourceId: 'dash/F3' } },
        feedId,
      );
    expect((await at('lock')).status).toBe(200);
    expect((await at('unlock')).body.plan.map((one) => one.sourceId)).toEqual([
      'dash/F3',
      'dash/F3',
    ]);
    const third = await at('door');
    expect(third.status).toBe(422);
    expect(problemPaths(third)).toEqual(['plan.sourceId']);
  });

  it('keeps its id: another change under it is refused', async () => {
    const head = commandHead();
    await plan(visitor, { ...head, base: null, plan: F3 });
    const other = { feedId: 'switched', sourceId: 'dash/F5' };
    const answer = await plan(visitor, { ...head, base: null, plan: other }, 'switched');
    expect(answer.status).toBe(409);
    expect(answer.body.type).toBe('conflict');
    const elsewhere = await visitor.job();
    const phase = { ...head, phase: 'choose' };
    expect((await visitor.put(`/jobs/${elsewhere.id}/phase`, phase)).status).toBe(409);
  });
});

describe('a feed’s plan', () => {
  it('is for a feed of the device, at a source that no other feed has', async () => {
    const head = () => ({ ...commandHead(), base: null });
    expect(problemPaths(await plan(visitor, { ...head(), plan: F3 }, 'sun'))).toEqual(['feedId']);
    expect(problemPaths(await plan(visitor, { ...head(), plan: F3 }, 'switched'))).toEqual([
      'plan.feedId',
    ]);
    await plan(visitor, { ...head(), plan: F3 });
    const same = { ...F3, feedId: 'switched' };
    expect(problemPaths(await plan(visitor, { ...head(), plan: same }, 'switched'))).toEqual([
      'plan.sourceId',
    ]);
  });

  it('taken back frees its source and keeps its version', async () => {
    const first = { ...commandHead(), base: null, plan: F3 };
    await plan(visitor, first);
    const back = { ...commandHead(), base: first.command, plan: null };
    const answer = await plan(visitor, back);
    expect(answer.body).toMatchObject({ plan: [], planVersions: { memory: back.command } });
    const other = { ...F3, feedId: 'switched' };
    const freed = await plan(visitor, { ...commandHead(), base: null, plan: other }, 'switched');
    expect(freed.status).toBe(200);
  });

  it('at another source takes the proofs with it, at the same one it keeps them', async () => {
    await visitor.change(job.id, { plan: [{ ...F3, proofs: ['live', 'dead'] }] });
    const longer = await visitor.change(job.id, { plan: [{ ...F3, oneWayM: 4 }] });
    expect(longer.body.proofs.map((one) => one.kind)).toEqual(['live', 'dead']);
    const moved = await visitor.change(job.id, { plan: [{ ...F3, sourceId: 'dash/F4' }] });
    expect(moved.body.proofs).toEqual([]);
    // They are taken back, not forgotten.
    expect(await rows('proofs')).toHaveLength(2);
  });
});

describe('a closing proof', () => {
  const show = (id: string, body: object = {}): Promise<Answer<JobView & ProblemDocument>> =>
    visitor.put(`/jobs/${job.id}/proofs/${id}`, {
      feedId: 'memory',
      kind: 'live',
      at: '2026-05-04T10:00:00.000Z',
      readingIds: [],
      ...body,
    });

  it('names its readings, who showed it and when', async () => {
    await visitor.change(job.id, { plan: [F3] });
    const reading = uuidv7();
    await visitor.put(`/jobs/${job.id}/readings/${reading}`, readingBody('dash/F3'));
    const id = uuidv7();
    const { body } = await show(id, { readingIds: [reading] });
    expect(body.proofs).toEqual([
      {
        id,
        feedId: 'memory',
        kind: 'live',
        shownBy: 'Installer',
        shownAt: '2026-05-04T10:00:00.000Z',
        readingIds: [reading],
      },
    ]);
  });

  it('is refused for a feed without a source, and on readings that the job has not or that were withdrawn', async () => {
    expect(problemPaths(await show(uuidv7()))).toEqual(['feedId']);
    await visitor.change(job.id, { plan: [F3] });
    const id = uuidv7();
    expect(problemPaths(await show(id, { readingIds: [uuidv7()] }))).toEqual(['readingIds']);
    const reading = uuidv7();
    const path = `/jobs/${job.id}/readings/${reading}`;
    await visitor.put(path, readingBody('dash/F3'));
    await visitor.put(`${path}/withdrawal`);
    expect((await show(id, { readingIds: [reading] })).status).toBe(409);
    expect((await now()).proofs).toEqual([]);
  });

  it('stands once, can be taken back, and shown again', async () => {
    await visitor.change(job.id, { plan: [F3] });
    const [first, second, third] = [uuidv7(), uuidv7(), uuidv7()];
    await show(first);
    await show(first);
    await show(second);
    expect((await now()).proofs.map((one) => one.id)).toEqual([first]);
    const { version } = await now();
    await visitor.put(`/jobs/${job.id}/proofs/${first}/withdrawal`);
    await visitor.put(`/jobs/${job.id}/proofs/${first}/withdrawal`);
    // Every change makes the job newer, once: by that the app tells an old answer from a new one.
    expect(await now()).toMatchObject({ proofs: [], version: version + 1 });
    await show(third);
    expect((await now()).proofs.map((one) => one.id)).toEqual([third]);
    expect((await visitor.put(`/jobs/${job.id}/proofs/${uuidv7()}/withdrawal`)).status).toBe(404);
  });
});

describe('what is reached and what is left', () => {
  it('comes out the same in whatever order it is sent', async () => {
    for (const phase of ['choose', 'build', 'size'])
      await visitor.put(`/jobs/${job.id}/phase`, { ...commandHead(), phase });
    expect((await now()).phase).toBe('build');
    const left = (place: string, is: boolean) =>
      visitor.put(`/jobs/${job.id}/deferred/${place}`, { ...commandHead(), left: is });
    await Promise.all([left('crank', true), left('asleep', true), left('crank', true)]);
    expect([...(await now()).deferred].sort()).toEqual(['asleep', 'crank']);
    await left('asleep', false);
    expect((await now()).deferred).toEqual(['crank']);
    expect((await left('dancing', true)).status).toBe(404);
  });
});

describe('the bunch of wires', () => {
  it('has a version of its own', async () => {
    const first = { ...commandHead(), base: null, wires: [{ id: 'harness/X1', name: 'X1' }] };
    const put = (body: object) =>
      visitor.put<JobView & ProblemDocument>(`/jobs/${job.id}/wires`, body);
    expect((await put(first)).body).toMatchObject({ wiresVersion: first.command });
    const late = await put({ ...commandHead(), base: null, wires: [] });
    expect(late.body).toMatchObject({ type: 'stale', current: { harness: first.wires } });
    // A plan made meanwhile does not make it stale.
    await visitor.change(job.id, { plan: [F3] });
    expect((await put({ ...commandHead(), base: first.command, wires: [] })).status).toBe(200);
  });
});

describe('the fuse of the car that feeds a wire', () => {
  it('is kept with the plan; what a fuse feeds that must be left alone is left alone too', async () => {
    const model = await visitor.model('Longboat');
    const slots = slotsOf(model);
    const never = slots.find((slot) => screenSlot(slot).class === 'block');
    const free = slots.find((slot) => screenSlot(slot).class === 'free');
    const wire = sourcesOf(model).find((source) => source.kind === 'wire');
    const at = (fedBy: string | undefined) =>
      plan(visitor, {
        ...commandHead(),
        base: null,
        plan: { feedId: 'memory', sourceId: wire?.id, fedBy, feedFuseA: 10 },
      });
    const refused = await at(never?.id);
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toMatch(/must not be tapped/);
    expect((await at(free?.id)).body.plan).toMatchObject([{ fedBy: free?.id, feedFuseA: 10 }]);
  });
});
