import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { makeJob, signIn } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

it('finds a vehicle with letters wrong, a slot by its legend, and makes one like it', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  await visitor.go('/vehicles');
  await visitor.type('find-model', 'lonbaot');
  await visitor.see('model-Longboat');
  await visitor.type('find-model', 'rr def');
  await visitor.textIs('found-sources', /F9 RR DEF[\s\S]*Longboat/);
  await visitor.type('find-model', 'xyzzy');
  await visitor.textIs('models', /Nothing like that/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.type('find-model', 'library bus');
  await visitor.touch('model-Longboat');
  await visitor.touch('like-this');
  await visitor.textIs('like-words', /2 places come from Skerrick Longboat II/);
  await visitor.type('vehicle-yearFrom', '2024');
  await visitor.touch('save-vehicle');
  await visitor.see('new-job-screen');
  await visitor.touch('device-Dashcam');
  await visitor.touch('start-job');
  // The sister's panel, and no simulated car behind it.
  await visitor.textIs('slot-dash/F5', /CIG/);
  await visitor.see('slot-not-here');
});

it('finds a job among many by vehicle, device and how it stands', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  for (const model of ['Fulmar', 'Petrel', 'Drover', 'Fairway', 'Fulmar'])
    await makeJob(visitor, model, 'Dashcam');
  await visitor.go('/');
  await visitor.type('find-job', 'petrel');
  await visitor.until('one job is left', async () => {
    const rows = await visitor.driver.executeScript<number>(
      'return document.querySelectorAll("[data-testid=job-row]").length',
    );
    return rows === 1;
  });
  await visitor.touch('jobs-shown-waiting');
  await visitor.textIs('jobs', /No such job/);
  expect(await seriousFaults(visitor)).toEqual([]);
});

it('enters a device with an option that a lead hangs on, and asks for it at the next job', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor, 'lead');
  await visitor.go('/shop');
  await visitor.touch('device-new');
  await visitor.touch('save-device');
  await visitor.textIs('device-problems', /name the device/);
  await visitor.type('device-name', 'Roof beacon');
  await visitor.touch('add-option');
  await visitor.type('option-name-0', 'Second beacon');
  await visitor.type('option-says-0', 'It has a feed of its own.');
  await visitor.touch('add-lead');
  await visitor.type('lead-name-1', 'Rear feed');
  await visitor.touch('presence-1-with');
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('save-device');
  await visitor.see('device-change-Roof beacon');
  await visitor.jump('/jobs/new');
  await visitor.touch('device-Roof beacon');
  await visitor.textIs('option-leads', /^1 leads: Constant$/);
  // Its id was made up on the spot.
  const toggle = await visitor.driver.executeScript<string>(
    'return document.querySelector("[data-testid^=option-option-]").dataset.testid',
  );
  await visitor.touch(toggle);
  await visitor.textIs('option-leads', /^2 leads: Constant, Rear feed$/);
});

it('changes a device that ships with it, takes a step back, and keeps the rest of it', async () => {
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor, 'lead');
  await visitor.go('/shop');
  await visitor.touch('device-change-Video head unit');
  await visitor.touch('open-lead-0');
  await visitor.touch('remove-lead-0');
  await visitor.touch('undo-entry');
  await visitor.type('device-name', 'Video head unit, tall');
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('save-device');
  await visitor.see('device-change-Video head unit, tall');
  await visitor.jump('/jobs/new');
  await visitor.touch('device-Video head unit, tall');
  await visitor.touch('option-factoryAmp');
  await visitor.see('option-leads');
});
