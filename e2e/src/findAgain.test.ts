import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor } from './lib/browser';
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
