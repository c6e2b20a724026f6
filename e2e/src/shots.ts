import path from 'node:path';
import { PHONE, Visitor, WIDE } from './lib/browser';
import { choosePicture, pullCorners } from './lib/card';
import {
  DASHCAM_TAPS,
  chooseBest,
  findSupplySide,
  followHarnessPlan,
  followPlan,
  showProofs,
  signIn,
  startJob,
  writeLog,
} from './lib/flow';

/** Takes the README's pictures from the demo data, through the real interface. */
export async function takeShots(base: string, folder: string): Promise<void> {
  await phone(base, folder);
  await wide(base, folder);
}

async function phone(base: string, folder: string): Promise<void> {
  const visitor = await Visitor.open(base, PHONE);
  const shot = (name: string): Promise<void> =>
    visitor.picture(path.join(folder, `${name}-phone.png`));
  try {
    await signIn(visitor);
    await visitor.go('/jobs/new');
    await visitor.touch('pick-Fairway');
    await visitor.touch('device-Video head unit');
    await visitor.touch('option-noAccessory');
    await shot('new-job');
    const jobId = await startJob(visitor, 'Longboat', 'Dashcam with parking mode');
    await followPlan(visitor, 9);
    await visitor.top();
    await shot('find');
    await followPlan(visitor);
    await chooseBest(
      visitor,
      DASHCAM_TAPS.map((tap) => tap.feed),
    );
    await visitor.top();
    await shot('choose');
    await findSupplySide(visitor, 'switched');
    await findSupplySide(visitor, 'memory');
    await visitor.touch('go-size');
    for (const { feed, length } of DASHCAM_TAPS) {
      await visitor.type(`length-${feed}`, length);
      await visitor.textIs(`basis-${feed}`, /per cent/);
    }
    await visitor.top();
    await shot('size');
    await visitor.touch('go-build');
    await visitor.see('step-now');
    await visitor.see('diagram-scroll');
    await shot('build');
    await visitor.touch('go-prove');
    await visitor.see('check-how');
    await visitor.touch('prove-pad-sim');
    await visitor.textIs('checks-passed', / 1 of/);
    await shot('prove');
    await showProofs(visitor);
    await visitor.touch('go-log');
    await visitor.see('log-memory');
    await shot('log');
    await writeLog(visitor, DASHCAM_TAPS);
    await visitor.touch('go-model');
    await visitor.see('model');
    await shot('model');
    await startJob(visitor, 'Petrel', 'Head unit');
    await startJob(visitor, 'Drover', 'Cabin lights');
    await visitor.go('/');
    await visitor.see('jobs');
    await shot('jobs');
    await visitor.go('/vehicles/new');
    await visitor.type('vehicle-make', 'Tern');
    await visitor.type('vehicle-model', 'Skua');
    await visitor.type('vehicle-yearFrom', '2019');
    await visitor.type('place-location', 'Driver’s footwell, behind the flap');
    await visitor.type(
      'panel-text',
      '10 ACC, 15 CIG, 7.5 A/BAG, 10 IG1\n20? P/WDW, -, 10 RADIO, 25 HTR',
    );
    await visitor.show('panel-text');
    await shot('new-vehicle');
    await choosePicture(visitor, CARD);
    await pullCorners(visitor);
    await visitor.touch('card-straighten');
    await visitor.touch('card-read');
    await visitor.see('card-review');
    await visitor.show('card-review');
    await shot('lid');
    await visitor.go('/tools/battery');
    await visitor.see('charge-chart');
    await shot('battery');
    await startJob(visitor, 'Drover', 'Video head unit', ['cutPlug']);
    await visitor.touch('lay-open-harness');
    await visitor.touch('lay-open-kick-plug');
    while (!(await visitor.has('selected-pair'))) await followPlan(visitor, 1);
    await shot('pair');
    await visitor.go('/shop');
    await visitor.touch('theme-night');
    await visitor.go(`/jobs/${jobId}/find`);
    await visitor.textIs('next', /\./);
    await shot('find-night');
    await visitor.go('/bench');
    await visitor.touch('start-practice');
    await visitor.touch('slot-F3');
    await visitor.touch('touch-meter');
    await visitor.touch('help');
    await visitor.see('next');
    await visitor.top();
    await shot('bench');
  } finally {
    await visitor.close();
  }
}

/** A small card with a legend that nobody knows. */
const CARD = [
  [
    ['10A', 'ACC'],
    ['15A', 'CIG'],
    ['7.5A', 'AIRBAG'],
  ],
  [
    ['10A', 'IGN 1'],
    ['20A', 'QXV 7'],
    ['10A', 'RADIO'],
  ],
] as const;

/** A connector of a vehicle that was entered, as it is being typed. */
async function enterConnector(visitor: Visitor): Promise<void> {
  await visitor.go('/vehicles/new');
  await visitor.type('vehicle-make', 'Tern');
  await visitor.type('vehicle-model', 'Whimbrel');
  await visitor.type('vehicle-yearFrom', '2019');
  await visitor.touch('save-vehicle');
  await visitor.see('new-job-screen');
  await visitor.go('/vehicles');
  await visitor.touch('model-Whimbrel');
  await visitor.touch('add-place');
  await visitor.touch('add-connector');
  await visitor.type('place-location', 'Behind the radio');
  await visitor.type('wires-text', 'BK, RD/YE, 0.75 BU/PK, GN\n-, VT, & VT/BK, PK > WH "clock"');
  await visitor.see('wires-preview');
  await visitor.top();
}

async function wide(base: string, folder: string): Promise<void> {
  const visitor = await Visitor.open(base, WIDE);
  const shot = (name: string): Promise<void> =>
    visitor.picture(path.join(folder, `${name}-wide.png`));
  try {
    await signIn(visitor);
    await startJob(visitor, 'Fairway', 'Dashcam with parking mode');
    await followPlan(visitor, 12);
    await shot('find');
    await enterConnector(visitor);
    await shot('place');
    const bunchJob = await startJob(visitor, 'Fulmar', 'Head unit');
    await visitor.go(`/jobs/${bunchJob}/harness`);
    await visitor.touch('known-bunch');
    await followHarnessPlan(visitor);
    await visitor.top();
    await shot('harness');
    await visitor.go('/vehicles');
    await visitor.touch('model-Fairway');
    await visitor.see('body-plan');
    await shot('vehicle');
  } finally {
    await visitor.close();
  }
}
