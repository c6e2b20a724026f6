import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { Visitor, WIDE } from './lib/browser';
import { followPlan, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

/** What a remote starter joins on a key car, and where the Drover has it. */
const STARTER = [
  ['memory', 'column-plug/1'],
  ['ignition', 'column-plug/2'],
  ['starter', 'column-plug/4'],
  ['lamps', 'kick-plug/4'],
  ['brake', 'kick-plug/5'],
  ['door', 'kick-plug/3'],
  ['lock', 'kick-plug/1'],
  ['unlock', 'kick-plug/2'],
  ['tach', 'kick-plug/7'],
] as const;

it('finds the leads of a remote starter on a key car, and refuses its heavy feed where it would overload', async () => {
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor);
  await startJob(visitor, 'Drover', 'Remote starter with locks');
  await visitor.touch('lay-open-kick-plug');
  await visitor.touch('lay-open-column-plug');
  await visitor.until(
    'both plugs lie open',
    async () => !(await visitor.has('lay-open-kick-plug')),
  );
  await followPlan(visitor, 150);
  // No wire of these answers to the hood: its lead may be left off, and the work goes on.
  await visitor.textIs('next', /hood switch is on none of these wires/);
  await visitor.textIs('go-choose', /Go on without it/);
  await visitor.touch('go-choose');
  for (const [feed, source] of STARTER) await visitor.touch(`candidate-${feed}-${source}`);
  await visitor.touch(
    await visitor.driver.executeScript<string>(
      'return document.querySelector("[data-testid=feed-accessory] [role=radio]").dataset.testid',
    ),
  );
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('go-size');
  await visitor.type('length-memory', '1.5');
  // 20 A want a 30 A fuse: more than the holder, and than the car’s wire is good for.
  await visitor.until('the heavy feed is refused, with the way round it', () =>
    visitor.driver.executeScript<boolean>(
      'return /holder carries 20 A.*needs a 30 A fuse[^]*relay fed from the battery/.test(document.body.innerText)',
    ),
  );
});
