import type { JobPage, JobView, ProblemDocument } from '@lucky-thread/contract';
import pg from 'pg';
import type { TestServer, Visitor } from '../testing/testServer';
import { commandHead, problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let lead: Visitor;
let own: JobView;
let theirs: JobView;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  lead = await server.visitor('lead');
  own = await visitor.job('Longboat');
  theirs = await lead.job('Fairway');
  await lead.change(theirs.id, { deferred: ['asleep'], phase: 'size' });
});
afterAll(() => server.stop());

async function listed(query: string): Promise<string[]> {
  const { status, body } = await visitor.get<JobPage>(`/jobs?${query}`);
  expect(status).toBe(200);
  return body.jobs.map((job) => job.id);
}

describe('a list of jobs', () => {
  it.each([
    ['', ['theirs', 'own']],
    ['view=all', ['theirs', 'own']],
    ['view=mine', ['own']],
    ['view=today', ['theirs', 'own']],
    ['view=waiting', ['theirs']],
    ['view=open', ['theirs', 'own']],
    ['phase=size', ['theirs']],
    ['phase=log', []],
    ['q=longb', ['own']],
    ['q=pellan%20fairway', ['theirs']],
    ['q=DASHCAM', ['theirs', 'own']],
    ['q=%25', []],
    ['view=mine&q=fairway', []],
  ])('cut down by “%s” has %j', async (query, wanted) => {
    const ids = { own: own.id, theirs: theirs.id };
    expect(await listed(query)).toEqual(wanted.map((one) => ids[one as 'own' | 'theirs']));
  });

  it('has among those that wait what waits for a part; what holds a job up is said in words', async () => {
    const say = (waitsFor: string | null, reopened: string | null) =>
      visitor.put<JobView>(`/jobs/${own.id}/standing`, { ...commandHead(), waitsFor, reopened });
    const { body } = await say('the grommet', 'it rattles');
    expect(body).toMatchObject({ waitsFor: 'the grommet', reopened: 'it rattles' });
    expect(await listed('view=waiting')).toEqual([own.id, theirs.id]);
    const blank = await visitor.put<ProblemDocument>(`/jobs/${own.id}/standing`, {
      ...commandHead(),
      waitsFor: '  ',
      reopened: 'x'.repeat(81),
    });
    expect(problemPaths(blank)).toEqual(['waitsFor', 'reopened']);
    await say(null, null);
    expect(await listed('view=waiting')).toEqual([theirs.id]);
  });

  it('knows for which day a job is; left out, it stays', async () => {
    const say = (more: object) =>
      visitor.put<JobView & ProblemDocument>(`/jobs/${own.id}/standing`, {
        ...commandHead(),
        ...{ waitsFor: null, reopened: null },
        ...more,
      });
    expect((await say({ day: '2027-02-28' })).body.day).toBe('2027-02-28');
    expect((await say({})).body.day).toBe('2027-02-28');
    for (const day of ['2027-02-29', '2027-2-8', '28.2.2027', '2027-02-28T10:00:00Z', 5])
      expect(problemPaths(await say({ day }))).toEqual(['day']);
    const { body } = await visitor.get<JobPage>('/jobs?view=all');
    expect(body.jobs.find(({ id }) => id === own.id)?.day).toBe('2027-02-28');
    expect((await say({ day: null })).body.day).toBeNull();
  });

  it('lists what is for today under today, though nobody has touched it since', async () => {
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    const touched = (day: string) =>
      client.query(
        `update jobs set updated_at = '2020-01-01', day = ${day} where id = '${theirs.id}'`,
      );
    await touched('null');
    expect(await listed('view=today')).not.toContain(theirs.id);
    await touched('current_date');
    expect(await listed('view=today')).toContain(theirs.id);
    await client.end();
  });

  it('says what is no way to cut it down', async () => {
    const paths = async (query: string) =>
      problemPaths(await visitor.get<ProblemDocument>(`/jobs?${query}`));
    expect(await paths('view=theirs')).toEqual(['view']);
    expect(await paths('phase=lunch')).toEqual(['phase']);
    expect(await paths(`q=${'a'.repeat(61)}`)).toEqual(['q']);
    expect(await paths('order=down')).toEqual(['order']);
    expect(await paths('q=a&q=b')).toEqual(['q']);
  });
});
