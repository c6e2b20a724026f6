import type { GeneratedHarness } from '@lucky-thread/core/bench';
import { generateHarness, harnessElsewhere } from '@lucky-thread/core/bench';
import {
  RADIO_LEADS,
  harnessByHand,
  harnessTrial,
  scoreRadio,
  searchRadio,
} from '@lucky-thread/core/trial';
import { line, median } from './measure';

/** Bunches that nothing was chosen on. */
const FIRST = 230_101;
const COUNT = 60;
/** Both ends of the four speakers, and nothing else. */
const SPEAKERS = RADIO_LEADS.filter(({ speaker }) => speaker !== undefined);

/** A radio's leads in a cut bunch, speakers among them, by the one plan: how often right, and with what work. */
export function radioBenchmark(): void {
  reportOn('our own bunches', generateHarness);
  reportOn('by other assumptions', harnessElsewhere);
  reportOn('by other assumptions, ghosts on 30 %', (seed) =>
    harnessElsewhere(seed, { ghosts: 0.3 }),
  );
}

function reportOn(name: string, bunchOf: (seed: number) => GeneratedHarness): void {
  const seeds = Array.from({ length: COUNT }, (_, index) => FIRST + index);
  const searches = seeds.map((seed) => searched(bunchOf(seed), seed));
  const sum = (of: (one: (typeof searches)[number]) => number): number =>
    searches.reduce((total, one) => total + of(one), 0);
  line(
    `a radio on a cut plug, ${name}, ${COUNT} bunches`,
    `leads ${sum((one) => one.right)} right or rightly said not to be there, ${sum((one) => one.wrong)} wrong, ${sum((one) => one.missed)} missed; 9 V into live, data or amplified wires ${sum((one) => one.harm)}; seconds of telling the whole bunch apart by hand: ${median(searches.map((one) => one.alone)).toFixed(2)} for the speakers alone, ${median(searches.map((one) => one.whole)).toFixed(2)} for all eleven leads, memory, accessory and illumination seen in every state that they ask for`,
  );
}

function searched(harness: GeneratedHarness, seed: number) {
  const hand = harnessTrial(harness, seed);
  harnessByHand(hand);
  const whole = searchRadio(harnessTrial(harness, seed));
  const alone = searchRadio(harnessTrial(harness, seed), SPEAKERS);
  const { seconds } = hand.effort();
  return {
    ...scoreRadio(harness, whole.advice),
    harm: whole.effort.harm + alone.effort.harm,
    whole: whole.effort.seconds / seconds,
    alone: alone.effort.seconds / seconds,
  };
}
