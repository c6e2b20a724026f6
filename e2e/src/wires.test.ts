import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { showProofs, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

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
