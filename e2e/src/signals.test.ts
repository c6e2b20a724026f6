import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { followPlan, signIn, startJob } from './lib/flow';

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
