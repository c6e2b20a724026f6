import fc from 'fast-check';
import { sourcePrior } from '../belief/sourcePrior';
import type { ProbeSource } from '../reading/source';
import { panelPrints } from './panelPrints';
import { readWritten } from './readLabel';

const slot = (legend: string | undefined, index: number): ProbeSource => ({
  ...{ id: `F${index}`, name: `F${index}`, legend, handbook: undefined },
  ...{ fitted: true, tappable: true, logged: undefined },
});
/** A panel of so many positions, of which some print nothing and the others name the radio. */
const panel = (positions: number, silent: number): ProbeSource[] =>
  Array.from({ length: positions }, (_, at) => slot(at < silent ? undefined : 'RADIO', at));
const doubtOf = (sources: readonly ProbeSource[]): number =>
  panelPrints(sources, readWritten).doubt;
const dangerOf = (legend: string, sources: readonly ProbeSource[], handbook?: string): number => {
  const belief = sourcePrior(
    { legend, handbook, logged: undefined },
    panelPrints(sources, readWritten),
  );
  return Object.values(belief.critical).reduce((sum, one) => sum + one, 0);
};

describe('the prints of a panel', () => {
  it('are doubted as much as usual where a quarter can’t be read, and by how little else there is', () => {
    expect(doubtOf(panel(24, 6))).toBeCloseTo(1, 9);
    expect(doubtOf([])).toBe(1);
    // Twelve silent ones and two that are taken for granted, of 24 and 8, against 18 that speak.
    expect(doubtOf(panel(24, 12))).toBeCloseTo(14 / 18 / (1 / 3), 9);
  });

  it('are doubted as counting says where one is wrong for every five silent: wrong ones over those left to read', () => {
    const wrongShare = (silent: number, of: number): number => silent / 5 / (of - silent);
    for (const silent of [4, 9, 14, 19, 20])
      expect(doubtOf(panel(32, silent))).toBeCloseTo(
        wrongShare(silent + 2, 40) / wrongShare(10, 40),
        9,
      );
  });

  it('are doubted more the more of them are silent, within bounds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), fc.nat(), (positions, drawn) => {
        const silent = drawn % positions;
        const [here, one] = [
          doubtOf(panel(positions, silent)),
          doubtOf(panel(positions, silent + 1)),
        ];
        expect(one).toBeGreaterThanOrEqual(here);
        expect(here).toBeGreaterThanOrEqual(0.5);
        expect(one).toBeLessThanOrEqual(4);
      }),
    );
  });

  it('make a harmless print more dangerous on a worn lid than on a clean one', () => {
    const [clean, worn] = [panel(30, 3), panel(30, 18)];
    expect(dangerOf('CIG', worn)).toBeGreaterThan(2.5 * dangerOf('CIG', clean));
    expect(dangerOf('CIG', worn)).toBeLessThan(0.1);
  });

  it('say nothing of what was looked up: neither of its own danger, nor by being known now', () => {
    const [clean, worn] = [panel(30, 3), panel(30, 18)];
    expect(dangerOf('CIG', worn, 'Cigarette lighter')).toBe(
      dangerOf('CIG', clean, 'Cigarette lighter'),
    );
    const lookedUp = worn.map((one) => ({ ...one, handbook: 'Radio' }));
    expect(doubtOf(lookedUp)).toBe(doubtOf(worn));
  });
});
