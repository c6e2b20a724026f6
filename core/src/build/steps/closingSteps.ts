import type { Passage } from '../body/bodyGraph';
import type { JobStep } from './jobStep';
import { guideWords } from './guides';
import { SECONDS, step } from './step';
import { slug } from './stepIds';
import type { StepsGiven } from './stepsGiven';
import { airbagCheck, refit } from './trimSteps';

/** After the proofs: trim back, airbags looked at again, the rest of the car as it was; the last look after everything else. */
export function closing({ leads, device }: StepsGiven, trims: readonly Passage[]): JobStep[] {
  const back = trims.map((trim) => refit(trim, trims));
  const covers = [...new Set(leads.map(({ place }) => place))].map((place) =>
    step(slug(`close:${place}`), {
      what: `Leads tied, cover and fuse plan of ${place} back, a label where the added fuse sits.`,
      where: place,
      seconds: SECONDS.far,
      after: ['prove'],
    }),
  );
  const all = [
    ...back,
    ...airbagCheck(trims),
    ...covers,
    ...(device.starts ? [handOver(back)] : []),
  ];
  return [
    ...all,
    step('last-look', {
      what: 'Lamps, antenna and seals plugged in again; tray empty; no warning lamp that was not there before.',
      seconds: SECONDS.far,
      hold: true,
      after: ['prove', ...all.map(({ id }) => id)],
    }),
  ];
}

function handOver(back: readonly JobStep[]): JobStep {
  return step('hand-over', {
    what: 'Before it is handed over: hood, brake, gear, door and time, each tried with somebody at the wheel.',
    state: 'off',
    seconds: SECONDS.prove,
    hold: true,
    after: ['prove', ...back.map(({ id }) => id)],
    cautions: [
      'It can crank by itself: hood shut, nobody in front or behind, never in a closed room.',
    ],
  });
}

/** The device’s own set-up, step after step as its guide has it; the guide in the box goes before this list. */
export function settingUp({ setUp }: StepsGiven): JobStep[] {
  if (setUp === undefined) return [];
  return setUp.steps.map(({ say, seconds, answer }, index) =>
    step(`set-up:${index + 1}`, {
      what: `${say}${answer === undefined ? '' : ` It answers: ${answer}.`}`,
      where: 'driver’s seat',
      seconds: Math.max(seconds ?? 0, SECONDS.slide),
      waitS: seconds,
      after: [index === 0 ? 'prove' : `set-up:${index}`],
      cautions:
        index === 0 ? [guideWords({ version: setUp.guide, dated: setUp.dated }, setUp.inBox)] : [],
    }),
  );
}
