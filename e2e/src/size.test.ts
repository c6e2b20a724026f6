import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { chooseBest, followPlan, signIn, startJob } from './lib/flow';

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

describe.each([PHONE, WIDE])('the tools at $name size', (size) => {
  it('size a run that the address tells, refuse a slip, and keep what was typed in the address', async () => {
    await visitor.resize(size);
    await visitor.go('/tools/wire?currentA=7&oneWayM=4.5');
    await visitor.textIs('answer', /10 A[\s\S]*2\.5 mm²[\s\S]*per cent of 12.0 V/);
    await visitor.touch('why-tool');
    await visitor.see('coordination-chart');
    await noFaults();
    await visitor.type('in-currentA', '500');
    await visitor.textIs('in-currentA-below', /the load must lie between 0.01 A and 80 A/);
    await visitor.type('in-currentA', '3');
    await visitor.textIs('answer', /4 A[\s\S]*0\.75 mm²/);
    expect(await visitor.driver.getCurrentUrl()).toMatch(/currentA=3/);
    await visitor.driver.navigate().refresh();
    await visitor.textIs('answer', /4 A/);
    await visitor.touch('units-us');
    await visitor.textIs('answer', /18 AWG/);
    const shown = await (await visitor.see('in-oneWayM')).getAttribute('value');
    expect(shown).toBe('14.76');
    expect(await visitor.driver.getCurrentUrl()).toMatch(/oneWayM=4.5/);
    await visitor.touch('units-metric');
    await visitor.textIs('answer', /0\.75 mm²/);
  });

  it('work out a month on a battery, and the settings that keep it safe', async () => {
    await visitor.resize(size);
    await visitor.go('/tools/battery?timerHours=&cutOffV=11.6');
    await visitor.see('charge-chart');
    await visitor.textIs('month-verdict', /may not start from day \d+/);
    await noFaults();
    await visitor.touch('use-safe');
    await visitor.textIs('month-verdict', /starts all month/);
    expect(await visitor.driver.getCurrentUrl()).not.toMatch(/cutOffV=11.6/);
  });
});

it('opens every tool without a fault', async () => {
  await visitor.resize(PHONE);
  for (const tool of [
    'run',
    'amps',
    'tap',
    'joint',
    'terminals',
    'relay',
    'design',
    'ground',
    'leads',
  ]) {
    await visitor.jump(`/tools/${tool}`);
    await visitor.see(`tool-page-${tool}`);
    await visitor.textIs('answer', /\S/);
    await noFaults();
  }
  await visitor.jump('/tools/device');
  await visitor.textIs('needs-memory', /Parking supply/);
  await noFaults();
  await visitor.jump('/tools/speakers?on=4-4');
  await visitor.textIs('output-load', /4 Ω \+ 4 Ω in series: 8 Ω/);
  await visitor.touch('heard-front right-s');
  await visitor.textIs('phase-verdict', /front left and rear left/);
  await noFaults();
});

it('follows the shop’s school once it is changed', async () => {
  await visitor.resize(WIDE);
  await visitor.jump('/tools/joint?place=wire');
  await visitor.textIs('answer', /^1\. .*(crimp|splice)/);
  await visitor.jump('/shop');
  await visitor.touch('school-joining-solder and shrink');
  await visitor.textIs('school-joining', /Needs no cut/);
  await noFaults();
  await visitor.jump('/tools/joint?place=wire');
  await visitor.textIs('answer', /^1\. solder and heat-shrink/);
});

it('takes a slot whose legend warns only with a reason', async () => {
  await visitor.resize(PHONE);
  await startJob(visitor, 'Longboat', 'Head unit');
  await followPlan(visitor);
  await chooseBest(visitor, ['memory', 'switched', 'illumination']);
  await visitor.textIs('go-size', /Say why F10 is taken/);
  await visitor.type('reason-illumination', 'a trigger only');
  await visitor.touch('keep-reason-illumination');
  await visitor.textIs('go-size', /Size fuse and wire/);
  await noFaults();
});

it('takes the best set in one touch, and sizes a leased car without a trace', async () => {
  await visitor.resize(WIDE);
  await visitor.jump('/jobs/new');
  await visitor.touch('pick-Petrel');
  await visitor.touch('trace-out');
  await visitor.touch('device-Dashcam with parking mode');
  await visitor.touch('start-job');
  await visitor.see('next');
  await followPlan(visitor);
  await visitor.touch('go-choose');
  await visitor.textIs('set-0', /2 of 2 proven/);
  await visitor.see('set-1');
  await visitor.touch('take-set-0');
  await visitor.textIs('set-0', /taken/);
  await noFaults();
  await visitor.touch('go-size');
  for (const feed of ['memory', 'switched']) await visitor.type(`length-${feed}`, '3');
  await visitor.textIs('sheet-memory', /Leaves no trace/);
  await visitor.touch('more-memory');
  await visitor.type('ambient', '300');
  await visitor.textIs('ambient-below', /between -40 °C and 100 °C/);
  await visitor.type('ambient', '40');
  await noFaults();
  await visitor.touch('go-build');
  await visitor.textIs('restore', /To give it back/);
});
