import type { BenchWire } from '@lucky-thread/core/bench';
import { generateHarness, harnessElsewhere } from '@lucky-thread/core/bench';
import { SIGNALS, bunchOf, searchBunch } from '@lucky-thread/core/trial';
import { line } from './measure';

/** Bunches that nothing was chosen on. */
const FIRST = 6001;
const COUNT = 150;

/** How often a signal's wire is found in a bunch, and what is taken for it where there is none, by both generators. */
export function signalsBenchmark(): void {
  reportOn('our own bunches', (seed) => generateHarness(seed).truth.wires ?? []);
  reportOn('by other assumptions', (seed) => harnessElsewhere(seed).truth.wires ?? []);
}

function reportOn(name: string, wiresOf: (seed: number) => readonly BenchWire[]): void {
  for (const signal of SIGNALS) {
    const tally = { found: 0, wrong: 0, none: 0, taken: 0 };
    for (let seed = FIRST; seed < FIRST + COUNT; seed += 1)
      for (const there of [true, false]) {
        const bunch = bunchOf(wiresOf(seed), signal, { there, seed });
        const is = searchBunch(bunch, { id: 'need', role: signal.role }, seed).advice.filled.need;
        if (there) tally[is === 'signal' ? 'found' : is === undefined ? 'none' : 'wrong'] += 1;
        else if (is !== undefined) tally.taken += 1;
      }
    line(
      `${signal.role}, ${name}, ${COUNT} with it and ${COUNT} without`,
      `${tally.found} found, ${tally.wrong} wrong, ${tally.none} given up; ${tally.taken} taken for it`,
    );
  }
}
