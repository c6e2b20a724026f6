import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { followPlan, showProofs, signIn, startJob } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor);
});
afterAll(async () => {
  await visitor.close();
  await application.stop();
});

/** What a remote starter joins on a key car, and where the Drover has it. */
const STARTER = [
  ['memory', 'column-plug/1'],
  ['ignition', 'column-plug/2'],
  ['accessory', 'column-plug/3'],
  ['starter', 'column-plug/4'],
  ['lamps', 'kick-plug/4'],
  ['brake', 'kick-plug/5'],
  ['door', 'kick-plug/3'],
  ['lock', 'kick-plug/1'],
  ['unlock', 'kick-plug/2'],
  ['tach', 'kick-plug/7'],
] as const;

const noFaults = async (): Promise<void> => expect(await seriousFaults(visitor)).toEqual([]);

describe('a remote starter with locks on a key car', () => {
  it('has all its leads found but the hood switch, which the car does not have', async () => {
    await startJob(visitor, 'Drover', 'Remote starter with locks');
    await visitor.touch('lay-open-kick-plug');
    await visitor.touch('lay-open-column-plug');
    await visitor.until(
      'both plugs lie open',
      async () => !(await visitor.has('lay-open-kick-plug')),
    );
    await followPlan(visitor, 220);
    await visitor.textIs('next', /hood switch is on none of these wires/);
    await visitor.textIs('go-choose', /Go on without it/);
  });

  it('takes the key’s wires for what they are: none carries its load beside its own', async () => {
    await visitor.touch('go-choose');
    for (const [feed, source] of STARTER) await visitor.touch(`candidate-${feed}-${source}`);
    await visitor.textIs('feed-memory', /in the key’s place, not beside it/);
    await visitor.textIs('feed-ignition', /the device gives current here, it takes none/);
    await noFaults();
  });

  it('gets a heavy holder for its heavy feed, and fuses that the car’s wires stand', async () => {
    await visitor.touch('go-size');
    for (const [feed] of STARTER) await visitor.type(`length-${feed}`, '1.5');
    await visitor.textIs('size-memory', /30 A/);
    await noFaults();
    await visitor.touch('go-build');
    await visitor.textIs('signal-lock', /cut each/);
    await visitor.resize(PHONE);
    await noFaults();
    await visitor.type('guide-version', '3.4');
    await visitor.type('guide-dated', '2026-03');
    await visitor.touch('guide-note');
    await visitor.textIs('guide-note', /Noted on the job/);
    await visitor.textIs('guide-verdict', /3\.4 of 2026-03, is newer than 3\.2 of 2025-02/);
  });

  it('is proved by reading, and logged for the next car of the model', async () => {
    await visitor.touch('go-prove');
    await showProofs(visitor);
    await visitor.touch('go-log');
    for (const [feed] of STARTER) {
      await visitor.touch(`write-${feed}`);
      await visitor.until(`${feed} is logged`, async () => !(await visitor.has(`write-${feed}`)));
    }
    await visitor.see('all-logged');
    const next = await startJob(visitor, 'Drover', 'Remote starter with locks');
    await visitor.resize(WIDE);
    await visitor.jump(`/jobs/${next}/find`);
    await visitor.touch('slot-column-plug/4');
    await visitor.textIs('verdict', /In the log/);
    await visitor.touch('slot-kick-plug/1');
    await visitor.textIs('verdict', /In the log: lock motor, reversing/);
  });
});
