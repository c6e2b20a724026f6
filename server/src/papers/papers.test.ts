import { inflateSync } from 'node:zlib';
import type { JobView, PickListView, ProblemDocument } from '@lucky-thread/contract';
import { PAPER_KINDS } from '@lucky-thread/work';
import { v7 as uuidv7 } from 'uuid';
import type { TestServer, Visitor } from '../testing/testServer';
import { problemPaths, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
let job: JobView;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  job = await visitor.job();
  await visitor.probe(job.id, 'dash/F3', ['off', 'run', 'asleep', 'a', 'b']);
  await visitor.change(job.id, {
    plan: [
      { feedId: 'memory', sourceId: 'dash/F3', oneWayM: 3 },
      { feedId: 'switched', sourceId: 'dash/F5', oneWayM: 2.5 },
    ],
  });
});
afterAll(() => server.stop());

/** The streams of a PDF that are text, unpacked. */
function unpacked(bytes: Uint8Array): string {
  const raw = Buffer.from(bytes);
  const parts: string[] = [];
  let at = 0;
  for (;;) {
    const start = raw.indexOf('stream\n', at);
    if (start < 0) break;
    const end = raw.indexOf('endstream', start);
    const packed = raw.subarray(start + 7, end);
    // Only deflated streams begin like this (RFC 1950).
    if (packed[0] === 0x78) parts.push(inflateSync(packed).toString('latin1'));
    at = end + 9;
  }
  return parts.join('\n');
}

describe('a paper of a job', () => {
  it.each(PAPER_KINDS)(
    '%s: is a PDF in our own faces, on the sheet that is asked for',
    async (kind) => {
      const path = `/jobs/${job.id}/papers/${kind}.pdf`;
      await visitor.get(path);
      const a4 = await visitor.get(path);
      expect(a4.status).toBe(200);
      expect(a4.headers.get('content-type')).toMatch(/application\/pdf/);
      expect(a4.text.startsWith('%PDF-1.')).toBe(true);
      expect(a4.text).toMatch(/AtkinsonHyperlegible|BarlowCondensed/);
      // ISO 216 A4 is 595.28 pt wide, US Letter 612 pt.
      expect(a4.text).toMatch(/MediaBox \[0 0 595\.28 841\.89\]/);
      const letter = await visitor.get(`${path}?sheet=LETTER&units=us`);
      expect(letter.text).toMatch(/MediaBox \[0 0 612 792\]/);
    },
  );

  it('keeps everything within the sheet', async () => {
    for (const kind of PAPER_KINDS) {
      const { bytes } = await visitor.get(`/jobs/${job.id}/papers/${kind}.pdf`);
      // Where text begins: the last two numbers of a text matrix.
      const begins = [...unpacked(bytes).matchAll(/1 0 0 1 ([\d.-]+) ([\d.-]+) Tm/g)];
      expect(begins.length).toBeGreaterThan(0);
      for (const [, x] of begins) {
        expect(Number(x)).toBeGreaterThanOrEqual(0);
        expect(Number(x)).toBeLessThan(595);
      }
    }
  });

  it('is refused while nothing is chosen, by another name, and on other sheets', async () => {
    const bare = await visitor.job();
    const early = await visitor.get<ProblemDocument>(`/jobs/${bare.id}/papers/job.pdf`);
    expect(problemPaths(early)).toEqual(['paper']);
    expect((await visitor.get(`/jobs/${bare.id}/papers/taps.pdf`)).status).toBe(200);
    expect((await visitor.get(`/jobs/${job.id}/papers/poem.pdf`)).status).toBe(404);
    const sheet = await visitor.get<ProblemDocument>(`/jobs/${job.id}/papers/job.pdf?sheet=A0`);
    expect(problemPaths(sheet)).toEqual(['sheet']);
    const units = await visitor.get<ProblemDocument>(`/jobs/${job.id}/papers/job.pdf?units=ells`);
    expect(problemPaths(units)).toEqual(['units']);
  });

  it('is not for strangers', async () => {
    const nobody = await server.visitor('nobody');
    expect((await nobody.get(`/jobs/${job.id}/papers/job.pdf`)).status).toBe(401);
  });
});

describe('the pick list of some jobs', () => {
  const list = (...ids: string[]) =>
    visitor.get<PickListView & ProblemDocument>(
      `/pick-list?${ids.map((id) => `job=${id}`).join('&')}`,
    );

  it('sums what they take, and names those that are not chosen yet', async () => {
    const open = await visitor.job();
    const one = (await list(job.id)).body;
    const fuses = one.parts.filter(({ what }) => / fuse \d/.test(what));
    expect(fuses.reduce((sum, { need }) => sum + need, 0)).toBe(2);
    expect(one.tools).toContain('meter');
    const both = (await list(job.id, open.id)).body;
    expect(both.parts).toEqual(one.parts);
    expect(both.open).toEqual([open.id]);
  });

  it('wants ids of jobs of the shop, each once, and not too many', async () => {
    expect(problemPaths(await list())).toEqual(['jobs']);
    expect(problemPaths(await list('x'))).toEqual(['jobs']);
    expect(problemPaths(await list(job.id, job.id))).toEqual(['jobs']);
    expect((await list(uuidv7())).status).toBe(404);
    const many = Array.from({ length: 21 }, () => uuidv7());
    expect(problemPaths(await list(...many))).toEqual(['jobs']);
  });
});
