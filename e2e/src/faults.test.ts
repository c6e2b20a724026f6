import { v7 as uuidv7 } from 'uuid';
import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor } from './lib/browser';
import { signIn, startJob } from './lib/flow';

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

/** How many readings the history shows in a condition. */
async function readings(condition: 'saved' | 'unsaved'): Promise<number> {
  return visitor.driver.executeScript<number>(
    `return document.querySelectorAll('[data-testid="reading-${condition}"]').length`,
  );
}

async function touchLit(slot: string): Promise<void> {
  await visitor.touch(`slot-${slot}`);
  await visitor.touch('pad-lit');
}

it('logs a reading in two touches and takes the last one back', async () => {
  await startJob(visitor, 'Longboat', 'Dashcam');
  await touchLit('dash/F5');
  await visitor.until('the reading is saved', async () => (await readings('saved')) === 1);
  await visitor.touch('undo');
  await visitor.textIs('history', /withdrawn/);
});

it('refuses volts that cannot be, and keeps what was typed', async () => {
  await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-volts');
  for (const digit of '999') await visitor.touch(`key-digit-${digit}`);
  await visitor.touch('keypad-log');
  await visitor.textIs('pad-problem', /within ±60 V/);
  expect(await visitor.text('keypad-text')).toBe('999');
  expect(await visitor.has('history')).toBe(false);
});

it('says unresolved, never accessory, from key off and key on alone', async () => {
  await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-dark');
  await visitor.touch('key-run');
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-lit');
  await visitor.textIs('verdict-headline', /accessory or ignition unresolved/);
  await visitor.textIs('verdict', /Still to be seen: .*cranking/);
  await visitor.touch('why');
  await visitor.textIs(
    'why-lines',
    /lamp dark, key off[\s\S]*lamp lit, key at run[\s\S]*would tell it from/,
  );
});

it('loses no reading when the server is killed between two, and saves the other by itself', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  await touchLit('dash/F5');
  await visitor.until('the first is saved', async () => (await readings('saved')) === 1);
  await application.kill();
  await touchLit('dash/F9');
  await visitor.see('unsaved');
  expect(await readings('unsaved')).toBe(1);
  await application.start();
  await visitor.until('the second is saved', async () => (await readings('saved')) === 2);
  await visitor.go(`/jobs/${id}/find`);
  await visitor.until('both are there after a reload', async () => (await readings('saved')) === 2);
});

it('keeps an unsaved reading over a reload without the server', async () => {
  await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('slot-dash/F5');
  await application.kill();
  await visitor.touch('pad-lit');
  await visitor.see('unsaved');
  await application.start();
  await visitor.driver.navigate().refresh();
  await visitor.until('it is saved after the reload', async () => (await readings('saved')) === 1);
});

it('shows a reading of one tab in the other', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  const first = await visitor.driver.getWindowHandle();
  await visitor.driver.switchTo().newWindow('tab');
  await visitor.resize(PHONE);
  await visitor.go(`/jobs/${id}/find`);
  await touchLit('dash/F5');
  await visitor.until('it is saved here', async () => (await readings('saved')) === 1);
  await visitor.driver.close();
  await visitor.driver.switchTo().window(first);
  await visitor.until('it is shown there', async () => (await readings('saved')) === 1);
});

it('refuses a choice made from an old version, says so, and shows the job as it is now', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('knot-choose');
  await visitor.see('choose');
  // Somebody else is faster: the same change, past this screen.
  await visitor.driver.executeAsyncScript(
    `const done = arguments[arguments.length - 1];
     const plan = { feedId: 'switched', sourceId: 'dash/F15' };
     const at = new Date().toISOString();
     fetch('/api/jobs/' + arguments[0] + '/feeds/switched/plan', {
       method: 'PUT',
       headers: { 'content-type': 'application/json' },
       body: JSON.stringify({ command: arguments[1], at, base: null, plan }),
     }).then(done)`,
    id,
    uuidv7(),
  );
  const other = await visitor.driver.executeScript<string>(
    `return [...document.querySelectorAll('[data-testid="feed-switched"] [role=radio]')]
       .map((one) => one.dataset.testid)
       .find((id) => !id.endsWith('/F15'))`,
  );
  await visitor.touch(other);
  await visitor.textIs('job-problem', /planned otherwise meanwhile/);
  await visitor.textIs('feed-switched', /◉ F15/);
  // It stands over the thumb: in sight wherever the list was scrolled to, and not in the list, which it would move.
  expect(
    await visitor.driver.executeScript<boolean>(
      'return document.querySelector("[data-testid=job-problem]").closest("[role=main]") === null',
    ),
  ).toBe(true);
  const told = await (await visitor.see('job-problem')).getRect();
  expect(told.y).toBeGreaterThan(PHONE.height / 3);
  expect(told.y + told.height).toBeLessThan(PHONE.height);
  expect(await seriousFaults(visitor)).toEqual([]);
  await visitor.touch('job-problem-read');
  await visitor.until('it is gone', async () => !(await visitor.has('job-problem')));
});

it('shows a choice made without signal at once, and saves it when there is signal again', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('knot-choose');
  await visitor.see('choose');
  await visitor.offline(true);
  await visitor.touch('candidate-switched-dash/F15');
  await visitor.textIs('feed-switched', /◉ F15/);
  await visitor.textIs('unsaved', /not saved yet: kept on this device/);
  await visitor.offline(false);
  await visitor.until('the notice is gone', async () => !(await visitor.has('unsaved')));
  await visitor.go(`/jobs/${id}/choose`);
  await visitor.textIs('feed-switched', /◉ F15/);
});

it('comes back to the same place when the session has ended', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.driver.manage().deleteAllCookies();
  await visitor.touch('slot-dash/F5');
  await visitor.touch('pad-lit');
  await visitor.touch('demo-installer');
  await visitor.see('next');
  expect(await visitor.driver.getCurrentUrl()).toContain(`/jobs/${id}/find`);
  await visitor.until(
    'the reading was kept and is saved',
    async () => (await readings('saved')) === 1,
  );
});

it('warns of a year outside the model’s range and reads a VIN', async () => {
  await visitor.jump('/jobs/new');
  await visitor.touch('pick-Longboat');
  await visitor.type('year', '2025');
  await visitor.textIs('year-warning', /outside 2015–2021/);
  await visitor.type('vin', '1M8GDM9AXKP04278O');
  await visitor.textIs('vin-below', /I, O and Q never occur/);
  await visitor.type('vin', '1M8GDM9AXKP042788');
  await visitor.textIs('vin-below', /North America, model year 1989/);
  await visitor.touch('start-job');
  await visitor.textIs('job-problems', /choose the device/);
});

it('takes a device of one’s own with its feeds typed in', async () => {
  await visitor.jump('/jobs/new');
  await visitor.touch('pick-Drover');
  await visitor.touch('device-own');
  await visitor.type('own-name', 'Rear camera');
  await visitor.type('own-amps-0', '0.4');
  await visitor.touch('start-job');
  await visitor.see('next');
  await visitor.touch('knot-device');
  await visitor.textIs('device', /Rear camera[\s\S]*0.4 A at 12 V/);
});

it('leads back from an address that does not exist', async () => {
  await visitor.go('/nowhere/at/all');
  await visitor.until('the page says so', async () =>
    (await visitor.driver.executeScript<string>('return document.body.innerText')).includes(
      'There is nothing here',
    ),
  );
});

it('reads tap points from a file, or says by row and column why not', async () => {
  await visitor.jump('/vehicles');
  await visitor.touch('model-Drover');
  await visitor.see('csv');
  const columns =
    'id,slot,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';
  const row = (slot: string): string =>
    `01890a5d-ac96-774b-bcce-b302099a8057,${slot},constant,a,2012,2014,,,forum,5,18,heard of,,`;
  const give = async (csv: string): Promise<void> => {
    await visitor.driver.executeScript(
      `const input = document.querySelector('[data-testid="import-file"]');
       const files = new DataTransfer();
       files.items.add(new File([arguments[0]], 'taps.csv', { type: 'text/csv' }));
       input.files = files.files;
       input.dispatchEvent(new Event('change', { bubbles: true }));`,
      csv,
    );
  };
  await give([columns, row('footwell/Z9')].join('\n'));
  await visitor.textIs('csv', /row 2, column source: the model has no source footwell\/Z9/);
  await give([columns, row('footwell/A3')].join('\n'));
  await visitor.textIs('import-said', /1 added/);
  await visitor.textIs('tap-status-footwell/A3', /Reported · from a forum/);
});

it('keeps phase and choices over a restart of the server', async () => {
  const id = await startJob(visitor, 'Longboat', 'Dashcam');
  await visitor.touch('knot-choose');
  await visitor.see('choose');
  await visitor.touch('candidate-switched-dash/F15');
  await visitor.see('orientation-switched');
  await application.kill();
  await application.start();
  await visitor.go(`/jobs/${id}/choose`);
  await visitor.see('orientation-switched');
});
