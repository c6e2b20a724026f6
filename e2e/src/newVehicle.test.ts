import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { signIn } from './lib/flow';
import { Typist } from './lib/typist';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

const LID = '10 ACC, 15 CIG, 7.5 A/BAG\n20? P/WDW, -, 10 RADIO';
/** A panel of 24 positions as its lid has it. */
const WHOLE_LID = [
  '10 ACC, 15 CIG, 7.5 A/BAG, 20 P/WDW, 10 RADIO, 15 F/PMP',
  '10 IG1, 25 HTR, 15 STOP, 10 ROOM, 30 RR DEF, 10 METER',
  '7.5 ECU-B, 10 TAIL, 15 HORN, 10 TURN, 20 WIPER, -',
  '10 ABS, 15 P/OUTLET, 5 CLOCK, 10 MIR, 15 ENG, -',
].join('\n');

it('enters a car that nobody has met by typing its lid, and probes it', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  await visitor.go('/jobs/new');
  await visitor.touch('another-vehicle');
  await visitor.touch('save-vehicle');
  await visitor.textIs('vehicle-problems', /name the make/);
  await visitor.type('vehicle-make', 'Tern');
  await visitor.type('vehicle-model', 'Skua');
  await visitor.type('vehicle-yearFrom', '2019');
  await visitor.type('place-location', 'Driver’s footwell');
  await visitor.type('panel-text', '10 ACC, 11 CIG');
  await visitor.textIs('panel-text-below', /row 1, cell 2: 11 A is no rating/);
  await visitor.type('panel-text', LID);
  await visitor.textIs('panel-preview', /6 positions, 5 with a fuse/);
  await visitor.see('slot-dash-panel/F6');
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('save-vehicle');

  // The new job has it chosen, and there is no simulated car behind it: readings come by lamp or keypad.
  await visitor.touch('device-Dashcam');
  await visitor.touch('start-job');
  await visitor.see('panel-dash-panel');
  await visitor.textIs('panel-dash-panel', /A\/BAG\s+NEVER/);
  await visitor.touch('slot-dash-panel/F1');
  await visitor.touch('pad-lit');
  await visitor.textIs('history', /F1[\s\S]*lit/);
});

it('keeps what was typed on a wide screen, numbers from another corner, and is among the vehicles', async () => {
  visitor = await Visitor.open(application.base, WIDE);
  await signIn(visitor);
  await visitor.go('/vehicles');
  await visitor.touch('new-model');
  await visitor.type('vehicle-make', 'Tern');
  await visitor.type('vehicle-model', 'Gannet');
  await visitor.type('vehicle-yearFrom', '2020');
  await visitor.type('place-location', 'Boot, left');
  await visitor.type('panel-text', LID);
  await visitor.touch('panel-lay');
  await visitor.touch('from-lower right');
  await visitor.touch('along-columns');
  await visitor.see('slot-dash-panel/F6');
  // The last cell of the last row has become the first.
  await visitor.textIs('slot-dash-panel/F1', /RADIO/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('save-vehicle');
  await visitor.see('new-job-screen');
  await visitor.jump('/vehicles');
  await visitor.touch('model-Gannet');
  await visitor.textIs('model', /Boot, left/);
});

it('has a panel of 24 positions ready for probing within 90 s by typing', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await signIn(visitor);
  await visitor.go('/jobs/new');
  const typist = new Typist(visitor);
  await typist.touch('another-vehicle');
  await typist.type('vehicle-make', 'Tern');
  await typist.type('vehicle-model', 'Fulmar 2');
  await typist.type('vehicle-yearFrom', '2019');
  await typist.type('place-location', 'Driver’s footwell');
  await typist.type('panel-text', WHOLE_LID);
  await typist.touch('save-vehicle');
  await typist.touch('device-Dashcam');
  await typist.touch('start-job');
  await visitor.see('slot-dash-panel/F24');
  await visitor.see('next');
  expect(typist.total()).toBeLessThan(90);
});

describe('touches from launch', () => {
  /** Somebody who has just opened the app, signed in as the day before. */
  async function launched(): Promise<Typist> {
    visitor = await Visitor.open(application.base, PHONE);
    await signIn(visitor);
    await visitor.go('/');
    await visitor.see('jobs');
    return new Typist(visitor);
  }

  it('to a known tap point: 2', async () => {
    const thumb = await launched();
    await visitor.driver.executeAsyncScript(
      `const done = arguments[arguments.length - 1];
       const head = 'id,source,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';
       const row = '01890a5d-ac96-774b-bcce-b302099a8001,dash/F5,accessory,a,2016,2020,,,forum,5,18,left sill,,';
       fetch('/api/models').then((answer) => answer.json()).then((all) => {
         const { id } = all.find((one) => one.model === 'Longboat');
         return fetch('/api/models/' + id + '/taps.csv', { method: 'POST', headers: { 'content-type': 'text/csv' }, body: head + '\\n' + row });
       }).then((answer) => done(answer.status));`,
    );
    await thumb.touch('nav-Vehicles');
    await thumb.touch('model-Longboat');
    await visitor.textIs('tap-dash/F5', /left sill/);
    expect(thumb.touches).toBeLessThanOrEqual(2);
  });

  it('to the first reading of a new job on a known model: at most 6, and 2 a reading', async () => {
    const thumb = await launched();
    await thumb.touch('new-job');
    await thumb.touch('pick-Longboat');
    await thumb.touch('device-Dashcam');
    await thumb.touch('start-job');
    await thumb.touch('slot-dash/F5');
    await thumb.touch('pad-lit');
    await visitor.textIs('history', /F5[\s\S]*lit/);
    expect(thumb.touches).toBeLessThanOrEqual(6);
    const before = thumb.touches;
    await thumb.touch('slot-dash/F9');
    await thumb.touch('pad-dark');
    await visitor.textIs('history', /F9[\s\S]*dark/);
    expect(thumb.touches - before).toBe(2);
  });

  it('to the first reading on a car that nobody entered: at most 12', async () => {
    const thumb = await launched();
    await thumb.touch('new-job');
    await thumb.touch('another-vehicle');
    await thumb.type('vehicle-make', 'Tern');
    await thumb.type('vehicle-model', 'Knot');
    await thumb.type('vehicle-yearFrom', '2020');
    await thumb.touch('save-vehicle');
    await thumb.touch('device-Dashcam');
    await thumb.touch('start-job');
    await thumb.type('hand-position', 'F7');
    await thumb.type('hand-legend', 'ACC');
    await thumb.touch('hand-keep');
    await thumb.touch('pad-lit');
    await visitor.textIs('history', /F7[\s\S]*lit/);
    expect(thumb.touches).toBeLessThanOrEqual(12);
  });
});
