import fc from 'fast-check';
import { LEGEND_SPELLINGS, readSafety } from '../identify/legend';
import { folded, mistakenFor, printDistance } from './printed';
import { readBox, readListed } from './readCell';
import { snapLegend } from './snapLegend';

const lines = (...texts: string[]) => texts.map((text) => ({ text, confidence: 95 }));
const GIVEN = { family: 'mini', met: [] } as const;
const box = (...texts: string[]) => readBox(lines(...texts), GIVEN);

describe('what stands in a box', () => {
  it.each([
    [['10A', 'ACC'], undefined, 10, 'ACC'],
    [['F12 7.5A', 'RADIO'], 'F12', 7.5, 'RADIO'],
    [['RADIO', '15 A'], undefined, 15, 'RADIO'],
    [['10 RADIO'], undefined, 10, 'RADIO'],
    [['F3 15A KLEMME 15'], 'F3', 15, 'KLEMME 15'],
    [['12 20A', 'WIPER'], '12', 20, 'WIPER'],
    [['7,5A', 'RADIO'], undefined, 7.5, 'RADIO'],
  ] as const)('%j is number, rating and legend', (texts, position, ratingA, legend) => {
    expect(box(...texts)).toEqual({ position, ratingA, legend, doubts: [] });
  });

  it.each([
    [['IOA', 'RADIO'], undefined],
    [['1OA', 'RADIO'], 10],
    [['75A', 'RADIO'], 7.5],
    [['715A', 'RADIO'], 7.5],
    [['180A', 'RADIO'], 10],
    [['11A', 'RADIO'], undefined],
    [['60A', 'RADIO'], 60],
    [['RADIO'], undefined],
  ] as const)('%j has a rating that must be looked at', (texts, ratingA) => {
    const cell = box(...texts);
    expect(cell.ratingA).toBe(ratingA);
    expect(cell.doubts).not.toEqual([]);
  });

  it('has number and rating set apart where one way only makes both, or where the number is known', () => {
    expect(box('F110A', 'RADIO')).toMatchObject({ position: 'F1', ratingA: 10 });
    expect(box('F715A', 'RADIO').ratingA).toBeUndefined();
    const known = (number: string, ...texts: string[]) =>
      readBox(lines(...texts), { ...GIVEN, number });
    expect(known('F7', 'F715A', 'RADIO')).toMatchObject({ position: 'F7', ratingA: 15 });
    // The figures of a number are read badly beside their letter: the legend is none of it.
    expect(known('F9', 'FO 5A', 'RADIO')).toMatchObject({ ratingA: 5, legend: 'RADIO' });
    expect(known('F9', 'FAN 5A').legend).toBe('FAN');
  });

  it('is blank, or a bare number, where no fuse is printed', () => {
    expect(box()).toMatchObject({ ratingA: undefined, legend: undefined, doubts: [] });
    expect(box('F8')).toMatchObject({ position: 'F8', legend: undefined, doubts: [] });
  });

  it('is in doubt with two numbers, or with one left in its legend', () => {
    expect(box('10A', 'DOOR 15A').doubts).toContain('two numbers could be its rating');
    expect(box('5A', '1B0A RADIO').doubts).toContain('a number in its legend');
  });

  it('in small letters among capitals was in capitals', () => {
    expect(box('10A', 'RADlO')).toMatchObject({ legend: 'RADIO' });
    expect(box('10A', 'radio')).toMatchObject({ legend: 'RADIO' });
  });

  it('of a list keeps the numbers in its legend', () => {
    const row = { number: lines('7'), rating: lines('10 A'), legend: lines('KLEMME 15') };
    expect(readListed(row, GIVEN)).toMatchObject({
      position: '7',
      ratingA: 10,
      legend: 'KLEMME 15',
    });
    expect(readListed({ number: lines('7'), rating: [], legend: [] }, GIVEN)).toMatchObject({
      position: '7',
      doubts: [],
    });
  });
});

describe('a legend that was read', () => {
  it.each([
    ['1G2', 'IG2'],
    ['RAD10', 'RADIO'],
    ['A/8AG', 'A/BAG'],
    ['P/0UTLET', 'P/OUTLET'],
  ])('as %s is taken for %s, in doubt', (read, legend) => {
    const snapped = snapLegend(read, []);
    expect(folded(snapped.legend)).toBe(folded(legend));
    expect(snapped.doubt).toBeDefined();
  });

  // Spelled by nobody so, but understood once a figure is a letter again.
  it.each([
    ['5ITZHEIZUNG L', 'SITZHEIZUNG L'],
    ['8ATTERIE 2', 'BATTERIE 2'],
    ['M1RROR HTR RH', 'MIRROR HTR RH'],
    ['R0OM/CLOCK', 'ROOM/CLOCK'],
  ])('as %s is worked out as %s', (read, legend) => {
    expect(snapLegend(read, [])).toMatchObject({
      legend,
      known: true,
      doubt: `read as ${read}, taken for ${legend}`,
    });
  });

  it.each(['CONDAMNATION 10A', '12V OUT', 'ACC RELAY 7.5A', 'A/C 1', 'HO2S', 'IG2'])(
    'with figures that belong to it stays as it is: %s',
    (legend) => {
      expect(snapLegend(legend, [])).toEqual({
        legend,
        distance: 0,
        known: true,
        doubt: undefined,
      });
    },
  );

  it.each(['CTRL', 'ELEC', 'MULTI', 'B2', 'G8', 'XX7Y', 'PO5TOJOWE'])(
    'that cannot be told is left as it was read, in doubt: %s',
    (legend) => {
      const snapped = snapLegend(legend, []);
      expect(snapped).toMatchObject({ legend, distance: 0 });
      expect(snapped.doubt).toMatch(/no legend that is known|a figure among its letters/);
    },
  );

  it('may be another of another safety that looks like it', () => {
    expect(snapLegend('COMP', []).doubt).toBe('may be COMF');
    expect(snapLegend('QXV 8', ['QXV B'])).toMatchObject({ legend: 'QXV B', distance: 0.25 });
  });

  it('stays as it is where it means something, and where nothing is like it', () => {
    expect(snapLegend('RADIO', [])).toMatchObject({ legend: 'RADIO', doubt: undefined });
    expect(snapLegend('XQZW', [])).toMatchObject({ legend: 'XQZW', known: false });
    expect(snapLegend('XQZW', ['XQZW'])).toMatchObject({ known: true, doubt: undefined });
    expect(snapLegend('XQ2W', ['XQZW'])).toMatchObject({ legend: 'XQZW', known: true });
  });

  it('never changes its safety without being in doubt', () => {
    const corrupted = fc.constantFrom(...LEGEND_SPELLINGS).chain((spelling) =>
      fc.record({
        spelling: fc.constant(spelling),
        at: fc.nat(spelling.length - 1),
        way: fc.nat(),
      }),
    );
    fc.assert(
      fc.property(corrupted, ({ spelling, at, way }) => {
        const others = mistakenFor(spelling[at] ?? '');
        const [other] = others[way % Math.max(1, others.length)] ?? [spelling[at]];
        const read = spelling.slice(0, at) + (other ?? '') + spelling.slice(at + 1);
        const { legend, doubt } = snapLegend(read, []);
        // As printed, or in doubt, or itself a legend that somebody prints so.
        const isItself = LEGEND_SPELLINGS.some((one) => folded(one) === folded(read));
        if (readSafety(legend) !== readSafety(spelling) && !isItself)
          expect({ read, legend, doubt: doubt ?? 'none' }).toEqual({
            read,
            legend,
            doubt: expect.not.stringMatching(/^none$/),
          });
      }),
      { numRuns: 80 },
    );
  });
});

describe('how far print is from print', () => {
  it('is nothing for the same, little for what looks alike, and alike both ways', () => {
    expect(printDistance('RADIO', 'RADIO')).toBe(0);
    expect(printDistance('RAD10', 'RADIO')).toBeLessThan(0.5);
    expect(printDistance('RADIO', 'HORN')).toBeGreaterThan(2);
    fc.assert(
      fc.property(
        fc.constantFrom(...LEGEND_SPELLINGS),
        fc.constantFrom(...LEGEND_SPELLINGS),
        (one, other) => {
          const there = printDistance(one, other);
          expect(there >= 0).toBe(true);
          expect(there === 0).toBe(one === other);
        },
      ),
    );
  });
});
