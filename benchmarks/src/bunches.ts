import type { BunchSignal, GeneratedBunch } from '@lucky-thread/core/bench';
import { BUNCH_SIGNALS, bunchElsewhere, generateBunch } from '@lucky-thread/core/bench';
import {
  lockKindFound,
  needsFor,
  scoreBunch,
  searchSignals,
  secondsByHand,
} from '@lucky-thread/core/trial';
import { line, median } from './measure';

/** Bunches that nothing was chosen on; thresholds were chosen on 1 to 60 and 301 to 330 of both generators. */
const FIRST = 140_001;
const COUNT = 60;

const JOBS: readonly (readonly [name: string, signals: readonly BunchSignal[]])[] = [
  [
    'remote starter, ten leads',
    [
      ...(['constant', 'ignition', 'starter', 'parkingLamps', 'brake'] as const),
      ...(['door', 'hood', 'lock', 'unlock', 'tach'] as const),
    ],
  ],
  ['screen: parking brake, reverse, speed', ['parkingBrake', 'reverse', 'speed']],
  ['locks and door', ['lock', 'unlock', 'door']],
  ['constant, accessory and retained together', ['constant', 'accessory', 'retained']],
  ['supplies alone: constant, ignition, accessory', ['constant', 'ignition', 'accessory']],
  ['every signal there is', BUNCH_SIGNALS],
  [
    'radio in place: constant, retained, dimmer, turn-ons',
    ['constant', 'retained', 'dimmer', 'ampTurnOn', 'antennaTurnOn'],
  ],
  ['lamps: parking, low, main, dimmed', ['parkingLamps', 'lowBeam', 'highBeam', 'dimmer']],
];
/** Signals that only a dash with its radio in place has. */
export const OF_A_DASH: readonly BunchSignal[] = ['retained', 'lowBeam', 'highBeam', 'ampTurnOn'];

/** How often signals are found or rightly said not there, with what work, by both generators. */
export function bunchesBenchmark(): void {
  for (const [name, signals] of JOBS) {
    const dash = signals.some((signal) => OF_A_DASH.includes(signal));
    reportOn(`${name}, our own bunches`, signals, (seed) => generateBunch(seed, dash));
    reportOn(`${name}, by other assumptions`, signals, (seed) => bunchElsewhere(seed, dash));
  }
}

function reportOn(
  name: string,
  signals: readonly BunchSignal[],
  bunchOf: (seed: number) => GeneratedBunch,
): void {
  const tally = { needs: 0, right: 0, wrong: 0, missed: 0, whole: 0, kinds: 0 };
  const ratios: number[] = [];
  const bothWays: number[] = [];
  for (let seed = FIRST; seed < FIRST + COUNT; seed += 1) {
    const bunch = bunchOf(seed);
    const search = searchSignals(bunch, needsFor(signals), { seed });
    const score = scoreBunch(bunch, signals, search);
    tally.needs += score.needs;
    tally.right += score.right;
    tally.wrong += score.wrong;
    tally.missed += score.missed;
    tally.whole += score.right === score.needs ? 1 : 0;
    tally.kinds += lockKindFound(search) === bunch.lockKind ? 1 : 0;
    ratios.push(search.seconds / secondsByHand(bunch, signals));
    bothWays.push(search.seconds / secondsByHand(bunch, signals, 'both'));
  }
  const kinds = signals.includes('lock') ? `; lock kind told in ${tally.kinds} of ${COUNT}` : '';
  line(
    `${name}, ${COUNT} cars`,
    `${((100 * tally.right) / tally.needs).toFixed(2)} % right, ${tally.wrong} wrong, ${tally.missed} missed of ${tally.needs}; all right in ${tally.whole}${kinds}; seconds ${median(ratios).toFixed(2)} of every wire in every state, ${median(bothWays).toFixed(2)} of the same with the clip at plus as well`,
  );
}
