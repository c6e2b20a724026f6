import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { followPlan, showProofs, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

/** What the kick panel's plug carries, by cavity. */
const SIGNALS = [
  ['lock', '1'],
  ['unlock', '2'],
  ['door', '3'],
] as const;

/** So many steps are done when the first installer is called away. */
const HALF_WAY = 12;

it('finds lock, unlock and door in the bunch at the kick panel, and says how each lead is joined', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  const job = await startJob(visitor, 'Drover', 'Keyless entry for the locks');
  await visitor.touch('lay-open-kick-plug');
  await visitor.see('wire-strip');
  expect(await followPlan(visitor, HALF_WAY)).toBe(HALF_WAY);
  expect(await seriousFaults(visitor)).toEqual([]);

  // Called away: the lead takes the car over, on another device, from what is written.
  await visitor.close();
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor, 'lead');
  await visitor.go(`/jobs/${job}/find`);
  await visitor.see('wire-strip');
  expect(await visitor.has('lay-open-kick-plug')).toBe(false);
  await followPlan(visitor);
  await visitor.resize(PHONE);
  await visitor.touch('go-choose');
  await visitor.see('feed-memory');
  const constant = await visitor.driver.executeScript<string>(
    'return document.querySelector("[data-testid=feed-memory] [role=radio]").dataset.testid',
  );
  await visitor.touch(constant);
  for (const [feed, cavity] of SIGNALS)
    await visitor.touch(`candidate-${feed}-kick-plug/${cavity}`);
  await visitor.touch('go-size');
  for (const feed of ['memory', ...SIGNALS.map(([name]) => name)])
    await visitor.type(`length-${feed}`, '1.5');
  await visitor.touch('go-build');
  await visitor.textIs('signal-lock', /cut each/);
  await visitor.textIs('signal-unlock', /cut each/);
  await visitor.textIs('signal-door', /Set the lead to ground: jumper/);
  expect(await seriousFaults(visitor)).toEqual([]);
});

it('draws relays for a lock motor, and tries them', async () => {
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor);
  await visitor.go('/tools/design');
  await visitor.touch('hold-1');
  await visitor.textIs('outcome', /turns forward/);
  await visitor.touch('hold-2');
  await visitor.textIs('outcome', /stands still/);
  await visitor.touch('what-latch');
  await visitor.textIs('truth', /all 8 inputs/);
  expect(await seriousFaults(visitor)).toEqual([]);
});

/** What the kick panel's plug of the Drover carries: live whatever the radio plays, and live with the tuner only. */
const AMPLIFIER = 'kick-plug/11';
const ANTENNA = 'kick-plug/12';

it('wakes an amplifier by the radio that stays, and takes the antenna’s feed for none', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  await startJob(visitor, 'Drover', 'Amplifier', ['ownRadio']);
  await visitor.touch('lay-open-kick-plug');
  await visitor.see('wire-strip');
  await followPlan(visitor);
  await visitor.touch('go-choose');
  await visitor.see(`candidate-turnOnWire-${AMPLIFIER}`);
  expect(await visitor.has(`candidate-turnOnWire-${ANTENNA}`)).toBe(false);
  expect(await seriousFaults(visitor)).toEqual([]);
});

/** The accessory in the bunch behind the demo car's radio. */
const WIRE = 'harness/W4';

/** Brings the car to a state with its switches and reads a wire with the simulated meter; the plan may have moved on. */
async function readAt(...switches: readonly string[]): Promise<void> {
  for (const one of switches) await visitor.touch(one);
  await visitor.touch(`slot-${WIRE}`);
  const before = await readings();
  await visitor.touch('pad-sim');
  await visitor.until('the reading is in the list', async () => (await readings()) > before);
}

/** Opens or shuts the driver’s door, whichever way it stands. */
async function door(to: 'open' | 'closed'): Promise<void> {
  const open = await visitor.driver.executeScript<boolean>(
    'return document.querySelector("[data-testid=door]").getAttribute("aria-checked") === "true"',
  );
  if (open !== (to === 'open')) await visitor.touch('door');
}

function readings(): Promise<number> {
  return visitor.driver.executeScript<number>(
    'return document.querySelectorAll("[data-testid=history] [role=listitem]").length',
  );
}

it('takes a wire of the bunch from its readings to the model’s log, as a slot is', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  const jobId = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('tool-harness');
  await visitor.touch('known-bunch');
  await visitor.see('wires');

  // Read in the states in which its look-alikes differ.
  await visitor.jump(`/jobs/${jobId}/find`);
  await visitor.see('wire-strip');
  await visitor.touch(`slot-${WIRE}`);
  expect(await seriousFaults(visitor)).toEqual([]);
  await door('open');
  await readAt('key-off');
  await readAt('asleep');
  await readAt('key-acc');
  await readAt('key-run');
  await readAt('key-crank');
  await visitor.touch('key-run');
  await door('closed');
  await readAt('key-off');
  await visitor.textIs('verdict-headline', /accessory/i);

  await visitor.jump(`/jobs/${jobId}/choose`);
  const more = `candidate-switched-${WIRE}`;
  await visitor.see('feed-switched');
  if (!(await visitor.has(more)))
    await visitor.driver.executeScript(
      '[...document.querySelectorAll("[role=button]")].find((one) => / more$/.test(one.textContent))?.click()',
    );
  await visitor.touch(more);
  expect(await visitor.has('orientation-switched')).toBe(false);
  await visitor.touch('go-size');
  await visitor.type('length-switched', '2');
  await visitor.textIs('sheet-switched', /splice/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('go-build');
  await visitor.textIs('build', /once more, in the state that it is for/);
  await visitor.touch('go-prove');
  // A splice has no way round, and its lead is read like any other.
  await showProofs(visitor);
  expect(await visitor.text('prove')).not.toMatch(/Right way round/);
  await visitor.touch('go-log');
  await visitor.touch('write-switched');
  await visitor.see('all-logged');

  // The next job on the model has the wire among its sources, with what the log says.
  const next = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.resize(WIDE);
  await visitor.jump(`/jobs/${next}/find`);
  await visitor.touch(`slot-${WIRE}`);
  await visitor.textIs('verdict', /In the log: accessory/);
});
