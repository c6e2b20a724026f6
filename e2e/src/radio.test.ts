import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { followPlan, signIn, startJob } from './lib/flow';

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

/** What the kick panel's plug of the Drover carries: live whatever the radio plays, and live with the tuner only. */
const AMPLIFIER = 'kick-plug/11';
const ANTENNA = 'kick-plug/12';

it('wakes an amplifier by the radio that stays, and takes the antenna’s feed for none', async () => {
  await startJob(visitor, 'Drover', 'Amplifier', ['ownRadio']);
  await visitor.touch('lay-open-kick-plug');
  await visitor.see('wire-strip');
  await followPlan(visitor);
  await visitor.touch('go-choose');
  await visitor.see(`candidate-turnOnWire-${AMPLIFIER}`);
  expect(await visitor.has(`candidate-turnOnWire-${ANTENNA}`)).toBe(false);
  expect(await seriousFaults(visitor)).toEqual([]);
});

it('has both wires for a set that drives them, and says how each is joined', async () => {
  await visitor.resize(WIDE);
  await startJob(visitor, 'Drover', 'Video head unit', ['factoryAmp', 'activeAntenna', 'noCamera']);
  await visitor.touch('lay-open-kick-plug');
  await visitor.see('wire-strip');
  await followPlan(visitor, 150);
  await visitor.touch('go-choose');
  await visitor.see(`candidate-turnOn-${AMPLIFIER}`);
  await visitor.touch(`candidate-antenna-${ANTENNA}`);
  expect(await seriousFaults(visitor)).toEqual([]);
});
