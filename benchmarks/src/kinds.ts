import type { BunchSignal, GeneratedBunch } from '@lucky-thread/core/bench';
import { BUNCH_SIGNALS, bunchElsewhere, generateBunch } from '@lucky-thread/core/bench';
import { needsFor, scoreBunch, searchSignals, secondsByHand } from '@lucky-thread/core/trial';
import { OF_A_DASH } from './bunches';
import { line, median } from './measure';

/** Bunches that nothing was chosen on. */
const FIRST = 220_001;
const COUNT = 40;

/** Every kind of signal looked for by itself, on the same cars: how often right, and with what work, by both generators. */
export function kindsBenchmark(): void {
  reportOn('our own bunches', generateBunch);
  reportOn('by other assumptions', bunchElsewhere);
}

function reportOn(name: string, bunchOf: (seed: number, dash: boolean) => GeneratedBunch): void {
  const searches = BUNCH_SIGNALS.flatMap((signal) =>
    Array.from({ length: COUNT }, (_, index) =>
      searched(signal, bunchOf(FIRST + index, OF_A_DASH.includes(signal)), FIRST + index),
    ),
  );
  const there = searches.filter((one) => one.isThere);
  const right = searches.filter((one) => one.score.right === 1).length;
  const wrong = searches.filter((one) => one.score.wrong === 1).length;
  const ground = (of: typeof searches) => median(of.map((one) => one.ground)).toFixed(3);
  line(
    `each signal alone, ${name}, ${COUNT} cars and ${BUNCH_SIGNALS.length} kinds`,
    `${right} right, ${wrong} wrong of ${searches.length}; on a wire in ${there.length}, of them right ${there.filter((one) => one.score.right === 1).length}; seconds ${ground(searches)} of every wire in every state with the meter to ground, ${ground(there)} where there is such a wire; ${median(searches.map((one) => one.both)).toFixed(3)} of the same with the clip at plus as well`,
  );
}

function searched(signal: BunchSignal, bunch: GeneratedBunch, seed: number) {
  const search = searchSignals(bunch, needsFor([signal]), { seed });
  return {
    score: scoreBunch(bunch, [signal], search),
    isThere: (bunch.carries.get(signal)?.length ?? 0) > 0,
    ground: search.seconds / secondsByHand(bunch, [signal]),
    both: search.seconds / secondsByHand(bunch, [signal], 'both'),
  };
}
