import type { JobPage, JobView, ProblemDocument } from '@lucky-thread/contract';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, startTestServer } from '../testing/testServer';

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
