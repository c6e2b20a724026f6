import type { CatalogueDevice, CreateJobRequest, ModelSummary } from '@lucky-thread/contract';
import { fittedDevice } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Visitor } from './browser';
import { PLAN_SCRIPT, PROVE_SCRIPT } from './planScript';
import { Sender } from './sender';

/** Signs in with a demo account by hand, and waits for the jobs. */
export async function signInByHand(visitor: Visitor): Promise<void> {
  await visitor.go('/sign-in');
  await visitor.touch('demo-installer');
  await visitor.see('jobs');
}

/** Passwords of the demo accounts, as the README gives them. */
const PASSWORDS = { installer: 'pull-the-right-thread', lead: 'prove-it-once' } as const;

/** Is signed in with a demo account from here on; no page is opened. */
export async function signIn(
  visitor: Visitor,
  as: 'installer' | 'lead' = 'installer',
): Promise<void> {
  const response = await fetch(`${visitor.base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: as, password: PASSWORDS[as] }),
  });
  const [, name, value] = /^([^=]+)=([^;]+)/.exec(response.headers.getSetCookie()[0] ?? '') ?? [];
  if (name === undefined || value === undefined)
    throw new Error(`signing in as ${as} was answered with ${response.status}`);
  visitor.session = `${name}=${value}`;
  const cookie = { name, value, url: visitor.base, httpOnly: true, sameSite: 'Strict' };
  await visitor.command('Network.setCookie', cookie);
}

/** Starts a job by touches and waits for its panel; returns its id. */
export async function startJobByHand(
  visitor: Visitor,
  model: string,
  device: string,
  options: readonly string[] = [],
): Promise<string> {
  await visitor.jump('/jobs/new');
  await visitor.touch(`pick-${model}`);
  await visitor.touch(`device-${device}`);
  for (const option of options) await visitor.touch(`option-${option}`);
  await visitor.touch('start-job');
  await panelOf(visitor);
  const url = await visitor.driver.getCurrentUrl();
  return /jobs\/([^/]+)/.exec(url)?.[1] ?? '';
}

async function panelOf(visitor: Visitor): Promise<void> {
  await visitor.see('next');
  // The first answer moves what stands below it: a press that begins before and ends after is none.
  await visitor.until('the first answer is there', () =>
    visitor.driver.executeScript<boolean>(
      'return document.querySelector("[data-testid=next]")?.closest("[aria-live]")?.getAttribute("aria-busy") !== "true"',
    ),
  );
}

/** Starts a job as the app would tell the server, and waits for its panel; returns its id. */
export async function startJob(
  visitor: Visitor,
  model: string,
  device: string,
  options: readonly string[] = [],
): Promise<string> {
  const id = await makeJob(visitor, model, device, options);
  await visitor.jump(`/jobs/${id}/find`);
  await panelOf(visitor);
  return id;
}

/** Tells the server of a new job; no page is opened. Returns its id. */
export async function makeJob(
  visitor: Visitor,
  modelName: string,
  deviceName: string,
  options: readonly string[] = [],
): Promise<string> {
  const sender = Sender.of(visitor);
  const models = await sender.get<readonly ModelSummary[]>('/models');
  const model = models.find((one) => one.model === modelName);
  const devices = await sender.get<readonly CatalogueDevice[]>('/devices');
  const device = devices.find((one) => one.name === deviceName);
  if (model === undefined || device === undefined)
    throw new Error(`the demo has no ${modelName} or no ${deviceName}`);
  const request: CreateJobRequest = {
    vehicle: {
      modelId: model.id,
      year: model.yearTo,
      trim: model.trims[0] ?? '',
      market: model.markets[0] ?? '',
      steering: model.steering[0] ?? 'left',
    },
    device: fittedDevice(device, options),
  };
  const id = uuidv7();
  await sender.put(`/jobs/${id}`, request);
  return id;
}

/** More steps than any session needs. */
const MOST_STEPS = 80;

/** What the dock under the plan shows, as one look at the page. */
interface Dock {
  /** The instruction with how many readings there are: it may say the same twice. */
  readonly said: string;
  readonly busy: boolean;
  /** The car is still to be brought to where the instruction wants it. */
  readonly onTheWay: boolean;
  /** The plan has come to its end. */
  readonly ended: boolean;
}

const DOCK = `
  const at = (id) => document.querySelector("[data-testid=" + id + "]");
  const next = at("next");
  const dock = next?.closest("[aria-live]");
  const readings = document.querySelectorAll("[data-testid=history] [role=listitem]").length;
  const onTheWay = at("arrived") !== null;
  return {
    said: (next?.innerText ?? "") + " #" + readings + (onTheWay ? " on the way" : " there"),
    busy: !dock || dock.getAttribute("aria-busy") === "true",
    onTheWay,
    ended: at("go-choose") !== null,
  };`;

/** The dock once the worker has settled, and where `before` is given once it says something else. */
async function dockOf(visitor: Visitor, before?: Dock): Promise<Dock> {
  let dock: Dock | undefined;
  await visitor.until(
    before === undefined ? 'the plan is worked out' : `the plan moves on from “${before.said}”`,
    async () => {
      dock = await visitor.driver.executeScript<Dock>(DOCK);
      return !dock.busy && (before === undefined || dock.ended || dock.said !== before.said);
    },
  );
  if (dock === undefined) throw new Error('no plan is to be seen');
  return dock;
}

/** So many steps are done by touches; the rest from within the page, in a third of the time. */
const BY_TOUCH = 3;
/** How long the page may take over one step, ms. */
const STEP_MS = 30_000;

/** Does what the plan says with the simulated meter until every feed has a source, or none can have one; how many steps it took. */
export async function followPlan(visitor: Visitor, steps = MOST_STEPS): Promise<number> {
  let dock = await dockOf(visitor);
  for (let step = 0; step < Math.min(steps, BY_TOUCH); step += 1) {
    if (dock.ended) return step;
    if (dock.onTheWay) await visitor.touch('arrived');
    else await readWanted(visitor, dock.said);
    dock = await dockOf(visitor, dock);
  }
  if (dock.ended || steps <= BY_TOUCH) return Math.min(steps, BY_TOUCH);
  return BY_TOUCH + (await withinThePage(visitor, PLAN_SCRIPT, steps - BY_TOUCH, true));
}

/** Runs one of the page's own scripts; how many steps it took. */
async function withinThePage(
  visitor: Visitor,
  script: string,
  most: number,
  ...more: readonly boolean[]
): Promise<number> {
  await visitor.driver.manage().setTimeouts({ script: most * STEP_MS });
  const done = await visitor.driver.executeAsyncScript<{ steps: number } | { stuck: string }>(
    script,
    most,
    STEP_MS,
    ...more,
  );
  if ('stuck' in done) throw new Error(`it went no further: ${done.stuck}`);
  return done.steps;
}

async function readWanted(visitor: Visitor, instruction: string): Promise<void> {
  if (/9 V across|Ohms between/.test(instruction)) {
    await visitor.see('selected-pair');
    await visitor.touch((await visitor.has('pop-sim')) ? 'pop-sim' : 'pad-sim');
    return;
  }
  const names =
    /(?:touch|probe on) (.+?)(?:[.:]| #\d+ )/i.exec(instruction)?.[1]?.split(/, | and /) ?? [];
  // A slot goes by its position, a wire by its cavity and colour.
  const id = await visitor.driver.executeScript<string | null>(
    `const wanted = [...document.querySelectorAll("[data-testid^='slot-']")];
     const said = (one) => one.innerText.replace(/\\s+/g, " ").trim();
     return (wanted.find((one) => one.dataset.testid.endsWith("/" + arguments[0])) ??
       wanted.find((one) => said(one).startsWith(arguments[0])))?.dataset.testid ?? null`,
    names[0] ?? '',
  );
  if (id === null) throw new Error(`nothing called ${names[0] ?? ''}, for “${instruction}”`);
  await visitor.touch(id);
  await visitor.touch('pad-sim');
}

/** A tap that a flow chooses: which feed, from which slot (the best one when left out). */
export interface TapWish {
  readonly feed: string;
  /** Length of its lead, as typed. */
  readonly length: string;
}

/** The taps of a dashcam with parking mode. */
export const DASHCAM_TAPS: readonly TapWish[] = [
  { feed: 'memory', length: '3.5' },
  { feed: 'switched', length: '3.5' },
];

/** Chooses the best slot of every feed and finds its supply side with the simulated meter. */
export async function chooseBest(visitor: Visitor, feeds: readonly string[]): Promise<string[]> {
  await visitor.touch('go-choose');
  const slots: string[] = [];
  for (const feed of feeds) {
    await visitor.see(`feed-${feed}`);
    const id = await visitor.driver.executeScript<string>(
      'return document.querySelector(`[data-testid="feed-${arguments[0]}"] [role=radio]`).dataset.testid',
      feed,
    );
    await visitor.touch(id);
    await visitor.see(`orientation-${feed}`);
    slots.push(id.replace(`candidate-${feed}-`, ''));
  }
  return slots;
}

/** Reads both contacts of a chosen slot's empty place; returns what the screen says. */
export async function findSupplySide(visitor: Visitor, feed: string): Promise<string> {
  await visitor.see(`orientation-${feed}`);
  if (await visitor.has(`live-place-${feed}`)) await visitor.touch(`live-place-${feed}`);
  await visitor.touch(`contact-${feed}-a-sim`);
  await visitor.touch(`contact-${feed}-b-sim`);
  return visitor.textIs(`supply-side-${feed}`, /Supply enters/);
}

/** Reads every closing check with the simulated meter, in the order asked for, and ticks what only the device can show. */
export async function showProofs(visitor: Visitor): Promise<number> {
  await visitor.see('prove');
  await visitor.until(
    'the checks are worked out',
    async () => (await visitor.has('check-how')) || (await visitor.has('go-log')),
  );
  for (const id of await openTicks(visitor)) await visitor.touch(id);
  const checks = await readChecks(visitor);
  await tryBeforeHandOver(visitor);
  return checks;
}

async function readChecks(visitor: Visitor): Promise<number> {
  if (!(await visitor.has('check-how'))) return 0;
  // The first by touch; the rest from within the page.
  const before = await checksRead(visitor);
  await visitor.touch('prove-pad-sim');
  await visitor.until(
    `the first check passes: ${await checkInHand(visitor)}`,
    async () => !(await visitor.has('check-how')) || (await checksRead(visitor)) !== before,
  );
  return 1 + (await withinThePage(visitor, PROVE_SCRIPT, MOST_STEPS));
}

/** What a good figure is, by what it is a figure of. */
const GOOD_FIGURES = {
  'Across the pair, Ω': '3.6',
  'Clock off by, min': '0',
  'Lost on the way, V': '0.2',
  'Stopped after, min': '15',
  'Picture after, s': '0.8',
} as const;

/** Tries what is tried before the hand-over, all of it coming to what it must. */
async function tryBeforeHandOver(visitor: Visitor): Promise<void> {
  while (await visitor.has('hand-over-what')) {
    const before = await visitor.text('hand-over-left');
    if (await visitor.has('hand-over-figure')) {
      const label = await visitor.driver.executeScript<keyof typeof GOOD_FIGURES>(
        'return document.querySelector("[data-testid=hand-over-figure]").getAttribute("aria-label")',
      );
      await visitor.type('hand-over-figure', GOOD_FIGURES[label]);
      await visitor.touch('hand-over-note');
    } else await visitor.touch('hand-over-good');
    await visitor.until(
      'the next test is in hand',
      async () =>
        !(await visitor.has('hand-over-left')) || (await visitor.text('hand-over-left')) !== before,
    );
  }
}

/** Ticks of what the device is seen to do that are not set. */
async function openTicks(visitor: Visitor): Promise<string[]> {
  return visitor.driver.executeScript<string[]>(
    'return [...document.querySelectorAll("[data-testid^=\'proof-\'][aria-checked=false]")].map((one) => one.dataset.testid)',
  );
}

async function checksRead(visitor: Visitor): Promise<string> {
  return visitor.driver.executeScript<string>(
    'return / (\\d+) of/.exec(document.querySelector("[data-testid=checks-passed]")?.textContent ?? "")?.[1] ?? ""',
  );
}

async function checkInHand(visitor: Visitor): Promise<string> {
  return visitor.driver.executeScript<string>(
    'return document.querySelector("[data-testid=check-state]")?.textContent ?? ""',
  );
}

/** Writes every proven tap into the log. */
export async function writeLog(visitor: Visitor, taps: readonly TapWish[]): Promise<void> {
  for (const { feed } of taps) {
    await visitor.touch(`write-${feed}`);
    await visitor.until(`${feed} is logged`, async () => !(await visitor.has(`log-${feed}`)));
  }
  await visitor.see('all-logged');
}

/** Tells a bunch of cut wires apart as the plan says, with the simulated meter and 9 V source. */
export async function followHarnessPlan(visitor: Visitor): Promise<void> {
  await dockOf(visitor);
  await withinThePage(visitor, PLAN_SCRIPT, MOST_STEPS, false);
}
