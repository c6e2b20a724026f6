import bwipjs from 'bwip-js/node';
import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { hand } from './lib/card';
import { fetched, handFile } from './lib/files';
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

const LID = [
  [
    ['10', 'ACC'],
    ['15', 'CIG'],
  ],
] as const;

/** A model with a panel of two slots on the driver's side, at its page. */
async function enterModel(model: string): Promise<void> {
  await visitor.jump('/vehicles/new');
  await visitor.type('vehicle-make', 'Tern');
  await visitor.type('vehicle-model', model);
  await visitor.type('vehicle-yearFrom', '2019');
  await visitor.touch('place-more');
  await visitor.type('place-location', 'Behind the flap');
  await visitor.touch('zone-dash');
  await visitor.touch('side-driver');
  await visitor.type('panel-text', '10 ACC, 15 CIG');
  await visitor.touch('save-vehicle');
  await visitor.see('new-job-screen');
  await visitor.at('/jobs/new');
  await visitor.jump('/vehicles');
  await visitor.touch(`model-${model}`);
}

/** The first test id that begins so. */
async function firstId(beginning: string): Promise<string> {
  const find = `const one = document.querySelector('[data-testid^="${beginning}"]'); return one && one.dataset.testid;`;
  await visitor.until(`${beginning} is to be seen`, async () =>
    Boolean(await visitor.driver.executeScript(find)),
  );
  return visitor.driver.executeScript<string>(find);
}

it('shows a place on the body, takes a photo of it, and pins a slot on it that is found again', async () => {
  await visitor.resize(PHONE);
  await enterModel('Dunlin');
  await visitor.touch('pin-dash-panel');
  await visitor.see('place-page');
  expect(await seriousFaults(visitor)).toEqual([]);
  await hand(visitor, LID, 'take-photo');
  await visitor.touch(await firstId('pin-photo-'));
  await visitor.touch('pin-source-dash-panel/F2');
  const photo = await firstId('photo-0');
  const frame = await visitor.show(photo).then(() => visitor.see(photo));
  const { width, height } = await frame.getRect();
  const at = { x: Math.round(0.25 * width), y: Math.round(-0.2 * height) };
  await visitor.driver
    .actions({ async: true })
    .move({ origin: frame, ...at })
    .press()
    .release()
    .perform();
  await visitor.type('photo-caption', 'The panel with the flap off');
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('keep-pins');
  await visitor.driver.navigate().refresh();
  await visitor.touch('slot-dash-panel/F2');
  await visitor.textIs('source-sheet', /The panel with the flap off/);
  const pin = await visitor.see('photo-pin-dash-panel/F2');
  const [spot, whole] = [await pin.getRect(), await (await visitor.see(photo)).getRect()];
  expect((spot.x + 7 - whole.x) / whole.width).toBeCloseTo(0.75, 1);
  expect((spot.y + 11 - whole.y) / whole.height).toBeCloseTo(0.3, 1);
  // Damage that is known at a source stands there for everybody, with who wrote it.
  await visitor.touch('source-notes-open');
  await visitor.touch('note-kind-bulletin');
  await visitor.type('note-text', 'Its contact melts under load');
  await visitor.touch('note-keep');
  await visitor.textIs('source-notes', /Known damage: Its contact melts under load \(Installer/);
  expect(await seriousFaults(visitor)).toEqual([]);
  // Nothing of what a camera writes is in what was sent; what is no picture is told.
  const sent = await fetched(visitor, `/api/photos/${photo.replace('photo-', '')}`);
  expect(Buffer.from(sent).includes('Exif')).toBe(false);
  expect(Buffer.from(sent).subarray(0, 2)).toEqual(Buffer.of(0xff, 0xd8));
  await handFile(visitor, 'choose-photo', {
    name: 'notes.jpg',
    type: 'image/jpeg',
    bytes: Buffer.from('no picture'),
  });
  await visitor.textIs('photo-problem', /no picture/);
});

it('scales a picture of forty megapixels before it leaves, and takes the legend from the handbook slot by slot', async () => {
  await visitor.resize(PHONE);
  await enterModel('Turnstone');
  await visitor.touch('place-dash-panel');
  await visitor.see('place-page');
  await visitor.driver.executeAsyncScript(
    `const done = arguments[arguments.length - 1];
     const canvas = document.createElement('canvas');
     canvas.width = 8000; canvas.height = 5000;
     const ink = canvas.getContext('2d');
     ink.fillStyle = '#887'; ink.fillRect(0, 0, 8000, 5000);
     canvas.toBlob((blob) => {
       const files = new DataTransfer();
       files.items.add(new File([blob], 'large.jpg', { type: 'image/jpeg' }));
       const input = document.querySelector('[data-testid="choose-photo"]');
       input.files = files.files;
       input.dispatchEvent(new Event('change', { bubbles: true }));
       done();
     }, 'image/jpeg', 0.9);`,
  );
  await firstId('pin-photo-');
  const size = await visitor.driver.executeAsyncScript<readonly number[]>(
    `const done = arguments[arguments.length - 1];
     const image = new Image();
     image.onload = () => done([image.naturalWidth, image.naturalHeight]);
     image.src = '/api/photos/' + document.querySelector('[data-testid^="photo-0"]').dataset.testid.replace('photo-', '');`,
  );
  expect(size).toEqual([1600, 1000]);
  await visitor.touch('handbook-list');
  await visitor.textIs('handbook-entry-card', /1 of 2/);
  await visitor.type('list-entry', 'Accessory socket');
  await visitor.touch('list-keep');
  await visitor.textIs('handbook-entry-card', /2 of 2/);
  await visitor.touch('list-none');
  await visitor.textIs('handbook-done', /2 of 2/);
});

it('writes a vehicle into a file and reads it back as another; a file with a slip changes nothing', async () => {
  await visitor.resize(WIDE);
  await enterModel('Whimbrel');
  await visitor.see('export-pack');
  const path = await visitor.driver.executeScript<string>('return location.pathname');
  const zip = await fetched(visitor, `/api/models/${path.split('/')[2] ?? ''}/pack`);
  await visitor.jump('/vehicles/new');
  await handFile(visitor, 'pack-file', {
    name: 'vehicle.zip',
    type: 'application/zip',
    bytes: zip.subarray(0, zip.length - 40),
  });
  await visitor.textIs('pack-said', /Nothing was taken in[\s\S]*no zip/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await handFile(visitor, 'pack-file', {
    name: 'vehicle.zip',
    type: 'application/zip',
    bytes: zip,
  });
  await visitor.textIs('model', /Tern Whimbrel/);
  await visitor.textIs('place-dash-panel', /Behind the flap[\s\S]*2/);
  const copy = await visitor.driver.executeScript<string>('return location.pathname');
  expect(copy).not.toBe(path);
});

it('reads a VIN from a photo of its bar code, whichever kind it is', async () => {
  await visitor.resize(PHONE);
  await visitor.jump('/jobs/new');
  await visitor.touch('pick-Longboat');
  for (const bcid of ['code39', 'qrcode', 'datamatrix', 'code128']) {
    const text = bcid === 'code39' ? 'I1M8GDM9AXKP042788' : '1M8GDM9AXKP042788';
    const bytes = await bwipjs.toBuffer({
      ...{ bcid, text, scale: 4, padding: 12, backgroundcolor: 'ffffff' },
    });
    await handFile(visitor, 'vin-photo', { name: 'vin.png', type: 'image/png', bytes });
    await visitor.textIs('vin-said', /1M8GDM9AXKP042788/);
    expect(await (await visitor.see('vin')).getAttribute('value')).toBe('1M8GDM9AXKP042788');
    await handFile(visitor, 'vin-photo', {
      name: 'vin.png',
      type: 'image/png',
      bytes: Buffer.from('nothing'),
    });
    await visitor.textIs('vin-said', /No VIN found/);
    await visitor.type('vin', '');
  }
});

it('says what a job waits for and that it was opened again, and the list has it', async () => {
  await visitor.resize(PHONE);
  await visitor.jump('/jobs/new');
  await visitor.touch('pick-Longboat');
  await visitor.touch('device-Dashcam');
  await visitor.touch('start-job');
  await visitor.touch('knot-vehicle');
  await visitor.touch('waits-ask');
  await visitor.type('waits-text', 'the grommet');
  await visitor.touch('waits-say');
  await visitor.textIs('standing', /Waits for the grommet/);
  await visitor.jump('/');
  await visitor.textIs('job-row', /Waits for the grommet/);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('job-row');
  await visitor.touch('knot-vehicle');
  await visitor.touch('waits-over');
  await visitor.until('nothing holds it up', async () => !(await visitor.has('standing')));
});

it('finds the reverse wire in a bunch by its readings, and ends with the list of leads', async () => {
  await visitor.resize(PHONE);
  const job = await startJob(visitor, 'Drover', 'Reversing camera');
  await visitor.jump(`/jobs/${job}/find`);
  // The bunch behind the radio carries a reverse wire; each is read where the plan says.
  await visitor.touch('lay-open-harness');
  await visitor.see('wire-strip');
  await followPlan(visitor);
  await visitor.touch('go-choose');
  await visitor.touch(await firstId('candidate-reverse-harness/'));
  await visitor.see('feeding-reverse');
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('go-size');
  await visitor.type('length-reverse', '4');
  await visitor.textIs('basis-reverse', /per cent/);
  await visitor.touch('go-build');
  await visitor.textIs('matching', /Reverse signal[\s\S]*Ground[\s\S]*Left over/);
  await visitor.touch('pair-reverse');
  await visitor.driver.navigate().refresh();
  await visitor.until('the tick is still there', async () => {
    const pair = await visitor.see('pair-reverse');
    return (await pair.getAttribute('aria-checked')) === 'true';
  });
  expect(await seriousFaults(visitor)).toEqual([]);
});
