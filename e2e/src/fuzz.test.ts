import { PHASES } from '@lucky-thread/contract';
import { runFuzz } from './fuzz/runFuzz';
import type { FuzzReport } from './fuzz/runFuzz';
import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { PHONE, Visitor } from './lib/browser';
import { signIn } from './lib/flow';

/** A short run; `npm run fuzz` sends thirty thousand. */
const REQUESTS = 400;
const SEED = 20261126;
/** Jobs of the run whose screens are looked at. */
const JOBS_LOOKED_AT = 1;

let application: Application;
let report: FuzzReport;
beforeAll(async () => {
  application = await startApplication();
  report = await runFuzz(application, { requests: REQUESTS, seed: SEED });
}, 120_000);
afterAll(() => application.stop());

describe('malformed requests', () => {
  it('are refused, each with its answer, and none ends the server or fails in it', () => {
    expect(report.failures).toEqual([]);
    expect([...report.statuses.keys()].filter((status) => status >= 500)).toEqual([]);
    // Both kinds are there: else the run would show nothing.
    expect(report.statuses.get(200)).toBeGreaterThan(REQUESTS / 10);
    expect(report.statuses.get(422)).toBeGreaterThan(REQUESTS / 10);
  });

  it('leave nothing half-written, nothing unacknowledged and nothing lost', () => {
    expect(report.halfWrites).toEqual([]);
  });

  it('leave every screen of what they stored to be seen', async () => {
    const visitor = await Visitor.open(application.base, PHONE);
    try {
      await signIn(visitor);
      await visitor.go('/');
      await visitor.see('jobs');
      expect(await visitor.has('could-not-show')).toBe(false);
      expect(report.jobIds.length).toBeGreaterThan(JOBS_LOOKED_AT);
      for (const id of report.jobIds.slice(0, JOBS_LOOKED_AT))
        for (const phase of [...PHASES, 'harness'] as const) {
          await visitor.jump(`/jobs/${id}/${phase}`);
          await visitor.see('job-vehicle');
          expect(`${phase}: ${String(await visitor.has('could-not-show'))}`).toBe(
            `${phase}: false`,
          );
        }
    } finally {
      await visitor.close();
    }
  }, 240_000);
});
