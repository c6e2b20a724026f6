import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { chooseBest, findSupplySide, followPlan, showProofs, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
let jobId: string;
beforeAll(async () => {
  application = await startApplication();
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  jobId = await startJob(visitor, 'Longboat', 'Dashcam with parking mode');
  await followPlan(visitor);
  await chooseBest(visitor, ['memory', 'switched']);
  await findSupplySide(visitor, 'switched');
  await findSupplySide(visitor, 'memory');
  await visitor.touch('go-size');
});
afterAll(async () => {
  await visitor.close();
  await application.stop();
});

it('knows every length from the route, so that nothing has to be typed', async () => {
  await visitor.textIs('size-memory', /By the route \d/);
  // The tape is right, and teaches the model when it is told to.
  await visitor.type('length-memory', '4.5');
  await visitor.touch('teach-memory');
  await visitor.textIs('size-memory', /By the route 4\.[456]/);
  await visitor.touch('go-build');
  await visitor.textIs('route-sum', /m of lead in all · about \d+ min/);
  await visitor.textIs('laid-memory', /a tenth of slack, a loop at each end/);
  await visitor.textIs('parts', /low-profile|mini/);
  await visitor.textIs('tools', /crimper.*meter/);
});

it('lays the leads anew when the device sits elsewhere, and when a passage is found blocked', async () => {
  const before = await visitor.text('route-sum');
  await visitor.touch('route-more');
  await visitor.touch('mount-dash.middle');
  await visitor.until('the sum changes', async () => (await visitor.text('route-sum')) !== before);
  const between = await visitor.text('route-sum');
  await visitor.touch('passage-1');
  await visitor.touch('blocked-1');
  await visitor.until(
    'another way is taken',
    async () => (await visitor.text('route-sum')) !== between,
  );
  expect(await seriousFaults(visitor)).toEqual([]);
});

it('goes step by step under the thumb, and holds where it must not be passed over lightly', async () => {
  const first = await visitor.text('step-now');
  expect(first).toMatch(/Key off and out/);
  await visitor.touch('step-done');
  await visitor.until(
    'the next step is there',
    async () => (await visitor.text('step-now')) !== first,
  );
  // What is done somewhere is shown on the body.
  await visitor.see('step-place');
  // On to the proofs’ hold point.
  for (let step = 0; step < 40; step += 1) {
    const now = await visitor.text('step-now');
    if (/Prove every lead/.test(now)) break;
    await visitor.touch('step-done');
    await visitor.until(
      'the next step is there',
      async () => (await visitor.text('step-now')) !== now,
    );
  }
  await visitor.textIs('step-now', /Prove every lead/);
  await visitor.touch('step-pass');
  await visitor.see('step-reason');
  expect(await visitor.has('step-pass-reason')).toBe(true);
});

it('shows in a wiring diagram what is joined to what, and each line its why', async () => {
  await visitor.see('diagram-scroll');
  await visitor.textIs('diagram', /Dashcam with parking mode[\s\S]*F\d+/);
  await visitor.driver.executeScript(
    'document.querySelector("[data-testid^=\'wire-memory\']").dispatchEvent(new MouseEvent("click", { bubbles: true }))',
  );
  await visitor.textIs('diagram-why', /Parking supply/);
});

it('makes its papers without a signal', async () => {
  await visitor.textIs('papers-how', /with or without a signal/);
  // What is handed to the browser as a file is read instead of being stored.
  await visitor.driver.executeScript(
    `window.files = [];
     const make = URL.createObjectURL;
     URL.createObjectURL = (blob) => {
       blob.slice(0, 5).text().then((begin) => window.files.push(begin + ' ' + blob.size));
       return make.call(URL, blob);
     };`,
  );
  await visitor.offline(true);
  for (const [index, kind] of ['job', 'labels'].entries()) {
    await visitor.touch(`paper-${kind}`);
    await visitor.until('the paper is there', async () => {
      const files = await visitor.driver.executeScript<string[]>('return window.files');
      return files.length > index;
    });
  }
  const files = await visitor.driver.executeScript<string[]>('return window.files');
  await visitor.offline(false);
  for (const file of files) {
    expect(file).toMatch(/^%PDF- /);
    // With our own faces in it, not an empty sheet.
    expect(Number(file.split(' ')[1])).toBeGreaterThan(15_000);
  }
  expect(await visitor.has('paper-problem')).toBe(false);
});

it('gets the same papers of the server as it is built, the drawing among them', async () => {
  const begins = await visitor.driver.executeAsyncScript<string[]>(
    `const done = arguments[1];
     const paper = async (kind) => {
       const answer = await fetch('/api/jobs/' + arguments[0] + '/papers/' + kind + '.pdf');
       const file = await answer.blob();
       return answer.status + ' ' + (await file.slice(0, 5).text()) + ' ' + file.size;
     };
     Promise.all(['job', 'labels', 'taps'].map(paper)).then(done, (error) => done([String(error)]));`,
    jobId,
  );
  expect(begins).toHaveLength(3);
  for (const begin of begins) expect(begin).toMatch(/^200 %PDF- \d{5,}$/);
});

it('is taken up by the lead where the installer left off, from what is written', async () => {
  const lead = await Visitor.open(application.base, WIDE);
  try {
    await signIn(lead, 'lead');
    await lead.go(`/jobs/${jobId}/build`);
    await lead.textIs('step-now', /Prove every lead/);
    await lead.textIs('steps', /done, Installer/);
    expect(await seriousFaults(lead)).toEqual([]);
  } finally {
    await lead.close();
  }
});

it('says where to look when a lead shows too little, and counts nothing until it is right', async () => {
  await visitor.touch('go-prove');
  await visitor.see('check-how');
  await visitor.touch('prove-pad-dark');
  await visitor.textIs('check-failed', /Look at:[\s\S]*1\. Added fuse/);
  await visitor.touch('find-fault');
  // It goes on from the proof that failed, and says where on this car.
  await visitor.textIs('on-record', /Parking supply at F\d+/);
  await visitor.textIs('fault-here', /^Here: /);
  const asked = await visitor.text('fault-check');
  await visitor.touch('outcome-0');
  await visitor.until('it asks on', async () => (await visitor.text('fault-check')) !== asked);
  await visitor.textIs('suspects', /%/);
  await visitor.go(`/jobs/${jobId}/prove`);
  expect(await showProofs(visitor)).toBe(13);
  await visitor.type('drain-before', '0.03');
  await visitor.type('drain-after', '0.036');
  await visitor.textIs('drain-verdict', /6 mA added/);
  await visitor.touch('drain-note');
  // Said only when it is done; a page that is left before that has noted nothing.
  await visitor.textIs('drain-note', /Noted on the job/);
  await visitor.go(`/jobs/${jobId}/prove`);
  await visitor.textIs('drain-note', /Noted on the job/);
  await visitor.touch('go-log');
  await visitor.see('log-memory');
  await visitor.at(`/jobs/${jobId}/log`);
});

it('says what was done by a plan that has changed since', async () => {
  await visitor.jump(`/jobs/${jobId}/choose`);
  await visitor.see('feed-switched');
  const other = await visitor.driver.executeScript<string>(
    'return [...document.querySelectorAll("[data-testid=feed-switched] [role=radio][aria-checked=false]")][0].dataset.testid',
  );
  await visitor.touch(other);
  await visitor.jump(`/jobs/${jobId}/build`);
  await visitor.see('steps');
  await visitor.textIs('steps', /Done before the plan changed: (fit|fuse):switched@/);
});

/** A day of the calendar so many days from now. */
function dayAfter(days: number): string {
  const at = new Date(Date.now() + days * 86_400_000);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

it('sums what the jobs of a day take along', async () => {
  // For whichever day it is: tomorrow’s list has it, today’s is not even offered.
  await visitor.jump(`/jobs/${jobId}/vehicle`);
  await visitor.touch('day-ask');
  await visitor.touch(`day-${dayAfter(1)}`);
  await visitor.textIs('job-day', /For tomorrow/);
  await visitor.jump('/');
  await visitor.touch('go-pick');
  await visitor.touch(`pick-day-${dayAfter(1)}`);
  await visitor.textIs('picked', /2\s*mini blade fuse/);
  await visitor.textIs('picked-tools', /crimper’s red die.*meter/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch(`pick-${jobId}`);
  await visitor.until('nothing is left', async () => !(await visitor.has('picked')));
});
