import type { Application } from './lib/application';
import { startApplication } from './lib/application';
import { seriousFaults } from './lib/axe';
import { PHONE, Visitor, WIDE } from './lib/browser';
import {
  findSupplySide,
  followPlan,
  showProofs,
  signIn,
  startJob,
  startJobByHand,
} from './lib/flow';

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

/** Supplies come from a fuse’s place where one serves; each is turned the right way round there. */
const SUPPLIES = ['memory', 'switched'] as const;
/** Signals, and where the Drover has them: behind the radio, whose plug was cut off, and at the kick panel. */
const SIGNALS = [
  ['illumination', ''],
  ['reverse', 'harness/'],
  ['parkingBrake', 'kick-plug/6'],
] as const;
const FEEDS = [...SUPPLIES, ...SIGNALS.map(([feed]) => feed)];

let frontLeft = '';

/** The id of the wire that a lead of the matching list is joined to. */
async function wireAt(lead: string): Promise<string> {
  const name = /(W\d+)/.exec(await visitor.textIs(`pair-${lead}`, /W\d+/))?.[1];
  return `harness/${name ?? 'none'}`;
}

const noFaults = async (): Promise<void> => expect(await seriousFaults(visitor)).toEqual([]);

/** Takes the best candidate for a feed, or the best at a place. */
async function take(feed: string, at = ''): Promise<void> {
  await visitor.see(`feed-${feed}`);
  const id = await visitor.driver.executeScript<string | null>(
    'return document.querySelector(`[data-testid="feed-${arguments[0]}"] [data-testid^="candidate-${arguments[0]}-${arguments[1]}"]`)?.dataset.testid ?? null',
    feed,
    at,
  );
  expect(`${feed}: ${id ?? 'none'}`).toMatch(/candidate-/);
  await visitor.touch(id ?? '');
}

describe('a head unit with a screen on a cut plug, with reversing camera and parking brake', () => {
  it('has every lead found, whether its wire lies behind the radio or at the kick panel, and its speakers pair by pair', async () => {
    await startJobByHand(visitor, 'Drover', 'Video head unit', ['cutPlug']);
    await visitor.touch('lay-open-harness');
    await visitor.touch('lay-open-kick-plug');
    await visitor.until(
      'both bunches lie open',
      async () => !(await visitor.has('lay-open-kick-plug')),
    );
    await followPlan(visitor, 200);
    await visitor.textIs('next', /Every (feed has a source|lead has its wire)/);
    await noFaults();
    await visitor.touch('go-choose');
    for (const feed of SUPPLIES) {
      await take(feed);
      await findSupplySide(visitor, feed);
    }
    for (const [feed, at] of SIGNALS) await take(feed, at);
    await noFaults();
  });

  it('ends with the list of joints: each lead with its wire, and what is left over', async () => {
    await visitor.resize(WIDE);
    await visitor.touch('go-size');
    for (const feed of FEEDS) await visitor.type(`length-${feed}`, '1.2');
    await visitor.touch('go-build');
    await visitor.textIs(
      'matching',
      /Constant[\s\S]*Accessory[\s\S]*Illumination[\s\S]*Reverse[\s\S]*Parking brake[\s\S]*Front left \+[\s\S]*Rear right −[\s\S]*Left over/,
    );
    await visitor.textIs('pair-front-left-plus', /crimped end to end, no fuse/);
    await visitor.textIs('signal-front-left-plus', /by the cone/);
    frontLeft = await wireAt('front-left-plus');
    await visitor.textIs('signal-parkingBrake', /ground/);
    await noFaults();
  });

  it('is proved and logged, and the second car of the model starts from it', async () => {
    await visitor.resize(PHONE);
    await visitor.touch('go-prove');
    await showProofs(visitor);
    await noFaults();
    await visitor.touch('go-log');
    for (const feed of FEEDS) {
      await visitor.touch(`write-${feed}`);
      await visitor.until(`${feed} is logged`, async () => !(await visitor.has(`write-${feed}`)));
    }
    await visitor.touch('write-speakers');
    await visitor.see('all-logged');
    await noFaults();
    const next = await startJob(visitor, 'Drover', 'Video head unit', ['cutPlug']);
    await visitor.jump(`/jobs/${next}/find`);
    await visitor.touch('slot-kick-plug/6');
    await visitor.textIs('verdict', /In the log/);
    await visitor.touch('lay-open-harness');
    await visitor.touch(`slot-${frontLeft}`);
    await visitor.textIs('verdict', /In the log: Front left speaker \+/);
  });
});
