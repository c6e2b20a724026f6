import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import type { CardText } from './lib/card';
import { choosePicture, pullCorners } from './lib/card';
import { signIn } from './lib/flow';
import { Typist } from './lib/typist';

let application: Application;
let visitor: Visitor;
beforeAll(async () => {
  application = await startApplication();
});
afterAll(() => application.stop());
afterEach(() => visitor.close());

/** A card of 24 fuses. */
const CARD: CardText = [
  ['10A ACC', '15A CIG', '7.5A AIRBAG', '20A P/WDW', '10A RADIO', '15A F/PUMP'],
  ['10A IGN 1', '25A HEATER', '15A STOP', '10A ROOM', '30A RR DEF', '10A METER'],
  ['7.5A ECU-B', '10A TAIL', '15A HORN', '10A TURN', '20A WIPER', '5A SPARE'],
  ['10A ABS', '15A P/OUTLET', '5A CLOCK', '10A MIRROR', '15A ENGINE', '5A USB'],
].map((row) => row.map((cell) => [cell.split(' ')[0] ?? '', cell.split(' ').slice(1).join(' ')]));

async function beginVehicle(model: string): Promise<void> {
  await signIn(visitor);
  await visitor.go('/vehicles/new');
  await visitor.type('vehicle-make', 'Tern');
  await visitor.type('vehicle-model', model);
  await visitor.type('vehicle-yearFrom', '2019');
  await visitor.type('place-location', 'Driver’s footwell');
}

/** Says of every fuse in doubt that it is right, or puts it right; answers how many there were. */
async function lookAtDoubts(typist: Typist): Promise<number> {
  for (let looked = 0; ; looked += 1) {
    const [next] = await visitor.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("[data-testid^=\'right-\']")].map((one) => one.dataset.testid)',
    );
    if (next === undefined) return looked;
    await typist.touch(next);
  }
}

it('has a panel of 24 positions ready for probing within 45 s from a picture of its lid', async () => {
  visitor = await Visitor.open(application.base, PHONE);
  await beginVehicle('Petrel');
  const typist = new Typist(visitor);
  await choosePicture(visitor, CARD);
  await pullCorners(visitor);
  // A touch for the picture, and one for each corner.
  typist.add(5 * Typist.TOUCH_S);
  expect(await seriousFaults(visitor)).toEqual([]);
  await typist.touch('card-straighten');
  await visitor.textIs('count-rows', /4 rows/);
  await visitor.textIs('count-columns', /6 columns/);
  await typist.touch('card-read');
  await visitor.see('card-review');
  expect(await lookAtDoubts(typist)).toBeLessThan(8);
  await typist.touch('card-take');
  await visitor.textIs('panel-preview', /24 positions, 24 with a fuse/);
  await visitor.textIs('slot-dash-panel/F3', /AIRBAG\s+NEVER/);
  await typist.touch('save-vehicle');
  await typist.touch('device-Dashcam');
  await typist.touch('start-job');
  await visitor.see('slot-dash-panel/F24');
  await visitor.see('next');
  expect(typist.total()).toBeLessThan(45);
});

it('takes nothing over that is in doubt and was not looked at, can be stopped, and falls back to typing', async () => {
  visitor = await Visitor.open(application.base, WIDE);
  await beginVehicle('Dunlin');
  // No picture at all.
  await visitor.driver.executeScript(`
    const files = new DataTransfer();
    files.items.add(new File(['no picture'], 'lid.jpg', { type: 'image/jpeg' }));
    const input = document.querySelector('[data-testid=card-file]');
    input.files = files.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));`);
  await visitor.textIs('card-problem', /no picture that this browser can open/);
  await choosePicture(visitor, [
    [
      ['10A', 'ACC'],
      ['15A', 'XQZW'],
    ],
  ]);
  await pullCorners(visitor);
  await visitor.touch('card-straighten');
  await visitor.textIs('count-columns', /2 columns/);
  await visitor.touch('more-rows');
  await visitor.touch('card-read');
  await visitor.touch('card-stop');
  await visitor.touch('fewer-rows');
  await visitor.touch('card-read');
  await visitor.textIs('card-take', /1 still to look at/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('mend-1');
  await visitor.type('card-legend-1', 'RADIO');
  await visitor.touch('card-rating-1-20');
  await visitor.touch('card-take');
  await visitor.textIs('slot-dash-panel/F2', /20A\s+RADIO/);
  await visitor.type('panel-text', '10 ACC');
  await visitor.textIs('panel-preview', /1 positions/);
});
