import { hiddenCircuits } from './hiddenCircuits';
import { readWritten } from './readLabel';
import type { ProbeSource } from '../reading/source';
import { sourcePrior } from '../belief/sourcePrior';

/** A panel whose legends name one of everything that interior panels nearly always have (common practice). */
const COMPLETE =
  'METER IGN RADIO CIG DOME BAT TAIL RR_DEF A/BAG ABS STOP WIPER ACC P/WDW SUNROOF HORN'.split(' ');

const UNREAD = { legend: undefined, logged: undefined };

function panel(legends: readonly (string | undefined)[]): ProbeSource[] {
  return legends.map((legend, index) => ({
    id: `F${index + 1}`,
    name: `F${index + 1}`,
    legend: legend?.replaceAll('_', ' '),
    fitted: true,
    tappable: true,
    logged: undefined,
  }));
}

const without = (...gone: readonly string[]): (string | undefined)[] =>
  COMPLETE.map((legend) => (gone.includes(legend) ? undefined : legend));

describe('circuits that no legend names', () => {
  it('are none on a panel that names everything', () => {
    expect(hiddenCircuits(panel([...COMPLETE, undefined]), readWritten).share).toBe(0);
  });

  it('hide on the slots whose legends are gone: missing instruments make ignition likelier there', () => {
    const sources = panel(without('METER'));
    const hidden = hiddenCircuits(sources, readWritten);
    const plain = sourcePrior(UNREAD);
    const among = sourcePrior(UNREAD, { hidden, doubt: 1 });
    expect(hidden.share).toBeGreaterThan(0.5);
    expect(among.functions.ignitionRunCrank).toBeGreaterThan(plain.functions.ignitionRunCrank);
    expect(critical(among)).toBeLessThan(critical(plain));
  });

  it('make a slot without a legend more dangerous where no legend names the airbag', () => {
    const hidden = hiddenCircuits(panel(without('A/BAG')), readWritten);
    const belief = sourcePrior(UNREAD, { hidden, doubt: 1 });
    expect(critical(belief)).toBeGreaterThan(0.6);
  });

  it('are not counted on a list too short to be a panel', () => {
    expect(hiddenCircuits(panel(['BAT', undefined, 'CIG']), readWritten).share).toBe(0);
  });

  it('leave what a readable legend says alone', () => {
    const [least, most] = [without('METER', 'A/BAG'), COMPLETE].map((legends) =>
      sourcePrior(
        { legend: 'CIG', logged: undefined },
        { hidden: hiddenCircuits(panel(legends), readWritten), doubt: 1 },
      ),
    );
    expect(least).toEqual(most);
  });

  // Worked out by hand: 16 legends are a whole panel, and three that are gone share out what they are held with.
  it('are shared among the legends that can’t be read, and are none where all can', () => {
    const gone = hiddenCircuits(panel(without('METER', 'STOP', 'RADIO')), readWritten);
    expect(gone.circuits).toHaveLength(3);
    // 0.9, 0.8 and 0.9 over three slots come to more than is ever believed.
    expect(gone.share).toBe(0.8);
    const among = [...without('METER'), ...Array.from({ length: 8 }, () => undefined)];
    expect(hiddenCircuits(panel(among), readWritten).share).toBeCloseTo(0.9 / 9, 9);
    const all = COMPLETE.filter((legend) => legend !== 'METER');
    expect(hiddenCircuits(panel(all), readWritten).share).toBe(0);
    // Twelve legends are half a panel.
    const half = without('METER').slice(0, 12);
    const held = hiddenCircuits(panel(half), readWritten);
    const sum = held.circuits.reduce((total, one) => total + one.share, 0);
    expect(sum).toBeCloseTo(1, 9);
    expect(held.share).toBeGreaterThan(0.4);
  });

  it('share out their chances completely', () => {
    const hidden = hiddenCircuits(panel(without('METER', 'STOP', 'RADIO')), readWritten);
    const { functions } = sourcePrior(UNREAD, { hidden, doubt: 1 });
    expect(Object.values(functions).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
  });
});

function critical(belief: ReturnType<typeof sourcePrior>): number {
  return Object.values(belief.critical).reduce((sum, one) => sum + one, 0);
}
