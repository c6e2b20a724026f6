import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { followHarnessPlan, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
});
afterAll(async () => {
  await visitor.close();
  await application.stop();
});

async function noFaults(): Promise<void> {
  expect(await seriousFaults(visitor)).toEqual([]);
}

it('tells a whole bunch of cut wires apart by the plan', async () => {
  await visitor.resize(PHONE);
  const jobId = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('tool-harness');
  await visitor.touch('known-bunch');
  await visitor.see('wires');
  await noFaults();
  await followHarnessPlan(visitor);
  await visitor.textIs('next', /Every wire (is told apart|has a place)/);
  const text = await visitor.text('wires');
  expect(text).toMatch(/constant \(30\)/);
  expect(text).toMatch(/Speaker rear left \+/);
  expect(text).toMatch(/Ground/);
  await noFaults();
  await visitor.go(`/jobs/${jobId}/harness`);
  await visitor.textIs('next', /Every wire (is told apart|has a place)/);
});

it('takes wires by colour and stripe, and the last one away again', async () => {
  await visitor.resize(WIDE);
  const jobId = await startJob(visitor, 'Petrel', 'Dashcam');
  await visitor.jump(`/jobs/${jobId}/harness`);
  await visitor.touch('base-BU');
  await visitor.touch('stripe-PK');
  await visitor.touch('add-wire');
  await visitor.textIs('wires', /W1 BU\/PK/);
  await visitor.touch('taped');
  await visitor.touch('add-wire');
  await visitor.textIs('wires', /W2 BU/);
  await visitor.touch('drop-wire');
  await visitor.until(
    'the second wire is gone',
    async () => !/W2/.test(await visitor.text('wires')),
  );
  await visitor.type('typed-wires', 'gr/sw, W/B');
  await visitor.touch('colour-system-german');
  await visitor.textIs('wire-editor', /no colour in german/);
  await visitor.type('typed-wires', 'gr/sw, light green');
  await visitor.textIs('wire-editor', /light green" is no colour in german/);
  await visitor.type('typed-wires', 'gr/sw, hgn');
  await visitor.touch('add-typed');
  await visitor.textIs('wires', /W2 GY\/BK[\s\S]*W3 LGN/);
  await noFaults();
});

it('keeps what the handbook says, and lets it go', async () => {
  await visitor.resize(PHONE);
  const jobId = await startJob(visitor, 'Longboat', 'Dashcam');
  const words = 'Heated blanket';
  await visitor.touch('slot-dash/F9');
  await visitor.touch('handbook-open');
  await visitor.type('handbook-entry', words);
  await visitor.touch('handbook-keep');
  await visitor.textIs('handbook-known', new RegExp(words));
  await visitor.jump('/shop');
  await visitor.textIs('glossary', new RegExp(words));
  await noFaults();
  await visitor.type('glossary-sought', words);
  const [entry] = await visitor.driver.findElements({ css: '[data-testid^="drop-"]' });
  const id = (await entry?.getAttribute('data-testid')) ?? 'drop-none';
  await visitor.touch(id);
  await visitor.textIs(id, /Really take it out/);
  await visitor.touch(id);
  await visitor.textIs('glossary', /Nothing has “Heated blanket/);
  await visitor.jump(`/jobs/${jobId}/find`);
  await visitor.touch('slot-dash/F9');
  await visitor.until(
    'the slot has forgotten it',
    async () => !(await visitor.has('handbook-known')),
  );
  await noFaults();
});

it('takes what the handbook says without a signal, and sends it by itself when there is one again', async () => {
  await visitor.resize(PHONE);
  const jobId = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('slot-dash/F9');
  await visitor.touch('handbook-open');
  await visitor.offline(true);
  await visitor.type('handbook-entry', 'Seat heater');
  await visitor.touch('handbook-keep');
  await visitor.textIs('handbook-known', /Seat heater \(Installer/);
  await visitor.textIs('unsaved', /1 entry is not saved yet: kept on this device/);
  await noFaults();
  await visitor.offline(false);
  await visitor.until('it is saved', async () => !(await visitor.has('unsaved')));
  await visitor.go(`/jobs/${jobId}/find`);
  await visitor.touch('slot-dash/F9');
  await visitor.textIs('handbook-known', /Seat heater \(Installer/);
});

it('says when the meter drops, and loses nothing', async () => {
  await visitor.resize(PHONE);
  await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-sim');
  await visitor.see('reading-saved');
  await application.kill();
  await visitor.textIs('pad', /Meter connection lost/);
  await visitor.touch('pad-sim');
  await visitor.textIs('pad-problem', /not connected/);
  await visitor.touch('pad-dark');
  await visitor.see('reading-unsaved');
  await application.start();
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-sim');
  await visitor.until('all three are saved', async () => (await saved()) === 3);
});

async function saved(): Promise<number> {
  return visitor.driver.executeScript<number>(
    `return document.querySelectorAll('[data-testid="reading-saved"]').length`,
  );
}

it('checks tester and legend, and remembers on the job what was left for later', async () => {
  await visitor.resize(PHONE);
  await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('tool-instruments');
  await visitor.type('check-battery', '11.6');
  await visitor.textIs('instrument-check', /flat/);
  await visitor.touch('tool-legend');
  await visitor.type('legend-row-0', '10 25 10 7.5 15 10');
  await visitor.textIs('legend-outcome', /As printed/);
  await visitor.touch('tool-plan');
  await noFaults();
  await visitor.driver.executeScript(
    `[...document.querySelectorAll('[role=button]')].find((one) => /No cranking/.test(one.textContent)).click()`,
  );
  await visitor.touch('back');
  await visitor.textIs('job-reminder', /Left for later: cranking/);
});

it('practises on the bench and hears what was missed', async () => {
  await visitor.resize(PHONE);
  await visitor.jump('/');
  await visitor.touch('nav-Bench');
  await noFaults();
  await visitor.touch('start-practice');
  await visitor.touch('slot-F5');
  await visitor.touch('touch-meter');
  await visitor.textIs('last-reading', /F5: .*V/);
  await visitor.touch('pull');
  await visitor.touch('fit-b');
  await visitor.textIs('slot-bench', /Original fuse carries/);
  await visitor.touch('use-memory');
  await noFaults();
  await visitor.touch('finish');
  await visitor.textIs('practice-report', /never read asleep/);
  await visitor.textIs('practice-report', /You pulled F5 STOP/);
  await visitor.textIs('plan-time', /The plan: \d+ s/);
  await noFaults();
  await visitor.touch('levels');
  await visitor.touch('level-faded');
  await visitor.touch('start-practice');
  await visitor.touch('wire-W1');
  await visitor.touch('touch-meter');
  await visitor.touch('name-leftOver');
  await visitor.touch('help');
  await visitor.see('next');
  await noFaults();
  await visitor.touch('finish');
  await visitor.textIs('practice-report', /wires named rightly/);
  await visitor.touch('levels');
  await visitor.touch('level-locks');
  await visitor.touch('start-practice');
  await visitor.touch('slot-W1');
  await visitor.touch('touch-meter');
  await visitor.touch('take-lock');
  await visitor.touch('joint-lock-itself');
  await noFaults();
  await visitor.touch('finish');
  await visitor.textIs('practice-report', /leads found their wire/);
  await visitor.textIs('plan-time', /The plan: \d+ s/);
  await noFaults();
  await visitor.touch('levels');
  await visitor.touch('level-fault');
  await visitor.touch('start-practice');
  await visitor.see('complaint');
  await visitor.touch('help');
  await noFaults();
  await visitor.touch('finish');
  await visitor.textIs('practice-report', /that was a guess/);
});
