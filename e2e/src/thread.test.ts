import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import type { Size } from './lib/browser';
import { PHONE, Visitor, WIDE } from './lib/browser';
import {
  DASHCAM_TAPS,
  chooseBest,
  findSupplySide,
  followPlan,
  showProofs,
  signInByHand,
  startJobByHand,
  writeLog,
} from './lib/flow';

/** A second job takes a fraction of the first one's steps: two live readings and the changes of state between. */
const CONFIRMING_STEPS = 6;

let application: Application;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());

/** Different models, so that both sizes start from an empty log. */
describe.each<[Size, string]>([
  [PHONE, 'Longboat'],
  [WIDE, 'Petrel'],
])('the whole thread at $name size', (size, model) => {
  let visitor: Visitor;
  beforeAll(async () => {
    visitor = await Visitor.open(application.base, size);
  });
  afterAll(() => visitor.close());
  const noFaults = async (): Promise<void> => expect(await seriousFaults(visitor)).toEqual([]);

  it('signs in with a demo account', async () => {
    await visitor.go('/');
    await visitor.see('demo-installer');
    await noFaults();
    await signInByHand(visitor);
    await noFaults();
  });

  it('starts a job on an unknown car and is led to a source for every feed', async () => {
    await visitor.jump('/jobs/new');
    await visitor.touch(`pick-${model}`);
    await noFaults();
    await startJobByHand(visitor, model, 'Dashcam with parking mode');
    await noFaults();
    const steps = await followPlan(visitor);
    expect(steps).toBeGreaterThan(CONFIRMING_STEPS);
    expect(await visitor.text('next')).toMatch(/Every feed has a source/);
    await noFaults();
  });

  it('chooses the best slots and finds which way round the taps go', async () => {
    const slots = await chooseBest(visitor, ['memory', 'switched']);
    expect(new Set(slots).size).toBe(2);
    expect(await findSupplySide(visitor, 'memory')).toMatch(/the tap’s line blade goes there/);
    expect(await findSupplySide(visitor, 'switched')).toMatch(/the tap’s line blade goes there/);
    expect(await visitor.text('never-tap')).toMatch(/airbag/i);
    await noFaults();
  });

  it('sizes fuse and wire with the basis stated, and refuses a length that cannot be', async () => {
    await visitor.touch('go-size');
    await visitor.type('length-memory', '500');
    await visitor.textIs('length-memory-below', /between 0.05 m and 30 m/);
    for (const { feed, length } of DASHCAM_TAPS) {
      await visitor.type(`length-${feed}`, length);
      await visitor.textIs(`basis-${feed}`, /one way, return through the body, per cent of 12.0 V/);
    }
    await noFaults();
    await visitor.touch('go-build');
    await visitor.see('build');
    await noFaults();
    await visitor.touch('go-prove');
  });

  it('asks for every closing proof, then writes two tap points', async () => {
    await visitor.see('prove');
    await noFaults();
    expect(await showProofs(visitor)).toBe(13);
    await visitor.touch('go-log');
    await visitor.see('log-memory');
    await noFaults();
    await writeLog(visitor, DASHCAM_TAPS);
    await visitor.touch('go-model');
    await visitor.textIs('model', /Live always[\s\S]*Verified/);
    await noFaults();
  });

  it('starts the second job on that model from the log, with a confirming reading each', async () => {
    await startJobByHand(visitor, model, 'Dashcam with parking mode');
    await visitor.textIs('next', /touch/i);
    const steps = await followPlan(visitor);
    expect(steps).toBeLessThanOrEqual(CONFIRMING_STEPS);
    await visitor.touch('go-choose');
    await visitor.textIs('feed-memory', /in the log of this model/);
    await visitor.textIs('feed-switched', /in the log of this model/);
  });

  it('is readable in the night theme too', async () => {
    await visitor.jump('/shop');
    await visitor.touch('theme-night');
    await noFaults();
    await visitor.jump('/');
    await visitor.touch('job-row');
    // On the wide screen it stands beside the list first.
    if (size === WIDE) await visitor.touch('take-up-job');
    await visitor.see('choose');
    await noFaults();
  });
});
