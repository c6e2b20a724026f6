import { generateHarness } from '../bench';
import type { Need } from '../identify';
import type { Signal } from './signalTrial';
import { SIGNALS, bunchOf, searchBunch } from './signalTrial';

/** The thresholds of signals were chosen on these bunches; `npm run bench -- signals` reports on others. */
const CARS = 10;

function bunch(signal: Signal, there: boolean, seed: number) {
  return bunchOf(generateHarness(seed).truth.wires ?? [], signal, { there, seed });
}

describe.each(SIGNALS)('a $role wire in a bunch', (signal) => {
  const need: Need = { id: 'signal', role: signal.role };

  it('is found, and never another for it', () => {
    let found = 0;
    for (let seed = 1; seed <= CARS; seed += 1) {
      const { advice } = searchBunch(bunch(signal, true, seed), need, seed);
      const is = advice.filled.signal;
      if (is === undefined) continue;
      expect(is).toBe('signal');
      // What fills a need has its name as well: the log takes nothing less.
      expect(advice.verdicts.find((one) => one.sourceId === is)?.status).toBe('resolved');
      found += 1;
    }
    expect(found).toBeGreaterThanOrEqual(0.985 * CARS);
  });

  it('is not found where there is none', () => {
    for (let seed = 1; seed <= CARS; seed += 1)
      expect(searchBunch(bunch(signal, false, seed), need, seed).advice.filled).toEqual({});
  });
});

it('sends nobody to pedals and gears who looks for a supply', () => {
  const [, brake] = SIGNALS;
  const { states } = searchBunch(bunch(brake, true, 3), { id: 's', role: 'switched' }, 3);
  expect(states.length).toBeGreaterThan(0);
  expect(states.filter((state) => state.brake === true || state.reverse === true)).toEqual([]);
});
