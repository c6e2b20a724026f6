import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { signIn } from './lib/flow';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor, 'lead');
});
afterAll(async () => {
  await visitor.close();
  await application.stop();
});

it('enters a device with an option that a lead hangs on, and asks for it at the next job', async () => {
  await visitor.jump('/shop');
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
  await visitor.resize(WIDE);
  await visitor.jump('/shop');
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
