import { v7 as uuidv7 } from 'uuid';
import { FINE, PHONE, Visitor } from './lib/browser';
import { signIn } from './lib/flow';
import { pageTasks } from './lib/trace';
import { Sender } from './lib/sender';

/** Twelve leads to three places of the Fairway; the two heavy ones go over relays. */
const LEADS = [
  ['knee/2', 'constant', 12],
  ['knee/9', 'constant', 12],
  ['knee/1', 'switched', 1.5],
  ['knee/3', 'switched', 1.5],
  ['knee/7', 'illumination', 0.5],
  ['knee/14', 'switched', 1.5],
  ['knee/8', 'switched', 1.5],
  ['knee/12', 'switched', 1.5],
  ['boot/R1', 'constant', 1.5],
  ['boot/R2', 'constant', 1.5],
  ['harness/W1', 'switched', 1],
  ['harness/W2', 'switched', 1],
] as const;
const MOUNTS = ['dash.middle', 'screenTop', 'rearTop', 'dash.middle', 'screenTop'] as const;
const STEPS = 5;
/** From a touch until everything is drawn, with some to spare, ms. */
const WATCHED_MS = 1500;
const FRAME_MS = 1000 / 60;

/** Counts what is drawn from here on: the time between frames and tasks that hold the page up for more than 50 ms. */
const WATCH = `
  window.gaps = []; window.tasks = [];
  if (window.watched === undefined) {
    window.watched = true;
    let last = performance.now();
    const frame = () => {
      const now = performance.now();
      window.gaps.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map((one) => one.duration)))
      .observe({ entryTypes: ['longtask'] });
  }`;

/** A worker that is as busy as the one that works the job out, and nothing drawn: what this machine loses anyhow. */
const BUSY = `
  const code = 'const until = performance.now() + 400; const kept = [];' +
    'while (performance.now() < until) kept.push({ a: [Math.random()] }); postMessage(0)';
  new Worker(URL.createObjectURL(new Blob([code])));`;

/** Counts the frames that Build loses when the device of the largest job moves, and when a step is done. */
export async function countFrames(base: string): Promise<void> {
  const visitor = await Visitor.open(base, PHONE, FINE);
  try {
    await signIn(visitor);
    const jobId = await largestJob(visitor);
    await visitor.go(`/jobs/${jobId}/build`);
    await visitor.see('diagram-scroll');
    await visitor.touch('route-more');
    await watched(visitor, () => Promise.resolve());
    await report('nothing but a busy worker', MOUNTS.length, () =>
      watched(visitor, () => visitor.driver.executeScript(BUSY)),
    );
    const mounts = [...MOUNTS];
    await report('the device is moved', MOUNTS.length, () =>
      watched(visitor, () => touchFromWithin(visitor, `mount-${mounts.shift() ?? ''}`)),
    );
    const tasks = await pageTasks(visitor, async () => {
      for (const spot of MOUNTS) {
        await touchFromWithin(visitor, `mount-${spot}`);
        await visitor.driver.sleep(WATCHED_MS);
      }
    });
    const longest = tasks.slice(0, 3).map((one) => one.toFixed(1));
    console.log(
      `  the page’s own thread then: longest tasks ${longest.join(', ')} ms of processor`,
    );
    await report('a step is done', STEPS, () =>
      watched(visitor, () => touchFromWithin(visitor, 'step-done')),
    );
  } finally {
    await visitor.close();
  }
}

/** A touch that the page gives itself: what a driver does to find where to touch would hold frames up too. */
function touchFromWithin(visitor: Visitor, id: string): Promise<unknown> {
  return visitor.driver.executeScript(
    'setTimeout((id) => document.querySelector(`[data-testid="${id}"]`).click(), 200, arguments[0])',
    id,
  );
}

/** What was seen while one thing was done. */
interface Watched {
  readonly gaps: readonly number[];
  readonly tasks: readonly number[];
}

async function watched(visitor: Visitor, act: () => Promise<unknown>): Promise<Watched> {
  await visitor.driver.executeScript(WATCH);
  await act();
  await visitor.driver.sleep(WATCHED_MS);
  return visitor.driver.executeScript<Watched>('return { gaps: window.gaps, tasks: window.tasks }');
}

async function report(what: string, times: number, once: () => Promise<Watched>): Promise<void> {
  const seen: Watched[] = [];
  for (let time = 0; time < times; time += 1) seen.push(await once());
  const gaps = seen.flatMap((one) => one.gaps);
  const lost = gaps.reduce((sum, gap) => sum + Math.max(0, Math.round(gap / FRAME_MS) - 1), 0);
  const held = seen.flatMap((one) => one.tasks).length;
  console.log(
    `${what}, ${times} times: ${lost} of ${gaps.length + lost} frames lost, longest gap ${Math.max(...gaps).toFixed(0)} ms, ${held} tasks over 50 ms`,
  );
}

/** A job as large as they come, with everything chosen. */
async function largestJob(visitor: Visitor): Promise<string> {
  const sender = Sender.of(visitor);
  const models = await sender.get<{ id: string; model: string }[]>('/models');
  const modelId = models.find(({ model }) => model === 'Fairway')?.id;
  const jobId = uuidv7();
  const feeds = LEADS.map(([, role, currentA], index) => ({
    ...{ id: `lead${index}`, name: `Lead ${index + 1}`, role, currentA },
  }));
  await sender.put(`/jobs/${jobId}`, {
    vehicle: { modelId, year: 2022, trim: 'Base', market: 'Islands', steering: 'left' },
    device: {
      ...{ name: 'Twelve leads', family: 'remoteStart' },
      feeds: [...feeds, { id: 'ground', name: 'Ground', role: 'ground', currentA: 10 }],
    },
  });
  for (const [index, [sourceId]] of LEADS.entries()) {
    const feedId = `lead${index}`;
    await sender.put(`/jobs/${jobId}/feeds/${feedId}/plan`, {
      ...{ command: uuidv7(), at: new Date().toISOString(), base: null },
      plan: { feedId, sourceId },
    });
  }
  return jobId;
}
