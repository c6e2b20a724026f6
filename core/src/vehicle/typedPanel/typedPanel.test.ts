import fc from 'fast-check';
import { FUSE_FAMILY_FACTS } from '../fuseFamily';
import type { Corner, PanelGiven } from './typedPanel';
import { CORNERS, typedPanel } from './typedPanel';

const GIVEN: PanelGiven = {
  id: 'dash',
  family: 'mini',
  lie: 'tall',
  landmarks: ['door side', 'wheel side'],
  clearance: 'clear',
  numbering: { start: 'F1', from: 'upper left', along: 'rows' },
};

describe('a panel typed as it is read off its lid', () => {
  it('has a slot for every cell, with rating, legend and its place', () => {
    const panel = typedPanel('10 ACC, 15 CIG, - , 7.5 A/BAG, 20? P/WDW\n25A HTR;10;–', GIVEN);
    expect(panel.problems).toEqual([]);
    expect([panel.columns, panel.rows]).toEqual([5, 2]);
    expect(panel.slots.map(({ position, ratingA, legend }) => [position, ratingA, legend])).toEqual(
      [
        ['F1', 10, 'ACC'],
        ['F2', 15, 'CIG'],
        ['F3', undefined, undefined],
        ['F4', 7.5, 'A/BAG'],
        ['F5', 20, 'P/WDW'],
        ['F6', 25, 'HTR'],
        ['F7', 10, undefined],
        ['F8', undefined, undefined],
      ],
    );
    expect(panel.doubtful).toEqual(['F5']);
    expect(panel.slots[3]).toMatchObject({ id: 'dash/F4', row: 0, column: 3, family: 'mini' });
  });

  it('takes a comma in a number for what it is, and numbers in legends too', () => {
    const cells = typedPanel('10,5 ACC', GIVEN).slots;
    expect(cells.map(({ ratingA }) => ratingA)).toEqual([10, 5]);
    const panel = typedPanel('7,5 RADIO 2, 10 58d, 7,5A IG 1', GIVEN);
    expect(panel.slots.map(({ ratingA, legend }) => [ratingA, legend])).toEqual([
      [7.5, 'RADIO 2'],
      [10, '58d'],
      [7.5, 'IG 1'],
    ]);
  });

  it('says by row and cell what it cannot read, and keeps the rest', () => {
    const panel = typedPanel('10 ACC, CIG\n8 HTR, 15 BAT', GIVEN);
    expect(panel.problems).toEqual([
      { row: 1, cell: 2, message: expect.stringMatching(/no rating: write 10 CIG/) },
      { row: 2, cell: 1, message: '8 A is no rating of mini blade fuses: 7.5 A or 10 A?' },
    ]);
    expect(panel.slots.map(({ legend }) => legend)).toEqual(['ACC', 'BAT']);
  });

  it('is empty where nothing is typed, and never too large', () => {
    expect(typedPanel(' \n\n', GIVEN)).toMatchObject({ columns: 0, rows: 0, slots: [] });
    const long = Array.from({ length: 21 }, () => Array(10).fill('10 X').join(',')).join('\n');
    expect(typedPanel(long, GIVEN).problems[0]?.message).toMatch(/more than 200/);
  });

  it('is read back as it was written, whatever it holds', () => {
    const cell = fc.record({
      ratingA: fc.constantFrom(...FUSE_FAMILY_FACTS.mini.ratingsA),
      legend: fc.option(fc.constantFrom('ACC', 'A/BAG', 'P/WDW RR', 'IG1', 'RÜCKF', '58d'), {
        nil: undefined,
      }),
      doubtful: fc.boolean(),
    });
    const written = ({
      ratingA,
      legend,
      doubtful,
    }: {
      ratingA: number;
      legend: string | undefined;
      doubtful: boolean;
    }) => `${ratingA}${doubtful ? '?' : ''}${legend === undefined ? '' : ` ${legend}`}`;
    fc.assert(
      fc.property(
        fc.array(cell, { minLength: 1, maxLength: 12 }),
        fc.constantFrom(', ', ';', '\t'),
        (cells, mark) => {
          const panel = typedPanel(cells.map(written).join(mark), GIVEN);
          expect(panel.slots.map(({ ratingA, legend }) => ({ ratingA, legend }))).toEqual(
            cells.map(({ ratingA, legend }) => ({ ratingA, legend })),
          );
        },
      ),
    );
  });
});

describe('what a cell may say besides rating and legend', () => {
  const only = (cell: string) => typedPanel(cell, GIVEN).slots[0];

  it('names its position, and those after it count on from there', () => {
    const { slots, problems } = typedPanel('10 ACC, 31: 15 CIG, -\nA: 10 HTR, 5', GIVEN);
    expect(slots.map(({ position }) => position)).toEqual(['F1', '31', '32', 'A', 'B']);
    expect(problems).toEqual([]);
    expect(typedPanel('10, F1: 15', GIVEN).problems).toEqual([
      { row: 1, cell: 2, message: expect.stringMatching(/F1 is there already/) },
    ]);
    expect(typedPanel('F/1: 10 ACC', GIVEN).problems).toHaveLength(1);
  });

  it('has a legend where nothing is fitted, and one with a comma in quotes', () => {
    expect(only('- TRAILER')).toMatchObject({ ratingA: undefined, legend: 'TRAILER' });
    expect(only('10 "RADIO, CLOCK"')).toMatchObject({ ratingA: 10, legend: 'RADIO, CLOCK' });
    expect(only('10 "A"')).toMatchObject({ ratingA: 10, legend: 'A' });
  });

  it('differs in build, lie and room; its ratings are those of its own build', () => {
    const { slots, problems } = typedPanel('10 ACC, 60 ABS {maxi wide tight}', GIVEN);
    expect(problems).toEqual([]);
    expect(slots[1]).toMatchObject({ family: 'maxi', lie: 'wide', clearance: 'tight' });
    expect(slots[1]?.contacts[0].landmark).toBe('door-side contact');
    expect(typedPanel('10 ACC {big}', GIVEN).problems[0]?.message).toMatch(/“big” says nothing/);
    expect(typedPanel('10 ACC {maxi}', GIVEN).problems[0]?.message).toMatch(/no rating of maxi/);
  });

  it('stands for no position at all with an underscore, which takes no number', () => {
    const { slots, columns } = typedPanel('10, _, 15\n_', GIVEN);
    expect(slots.map(({ position, column }) => [position, column])).toEqual([
      ['F1', 0],
      ['F2', 2],
    ]);
    expect(columns).toBe(3);
  });

  it('keeps its number where it cannot be read: the others do not move up', () => {
    expect(typedPanel('CIG, 10 ACC', GIVEN).slots.map(({ position }) => position)).toEqual(['F2']);
  });
});

describe('the numbers of a panel', () => {
  const numbers = (from: Corner, along: 'rows' | 'columns', lid = '10,10,10\n10,10,10') =>
    typedPanel(lid, { ...GIVEN, numbering: { start: '1', from, along } }).slots.map(
      ({ position }) => Number(position),
    );

  // Common practice: lids count along rows or columns, from whichever corner.
  it.each([
    ['upper left', 'rows', [1, 2, 3, 4, 5, 6]],
    ['upper right', 'rows', [3, 2, 1, 6, 5, 4]],
    ['lower left', 'rows', [4, 5, 6, 1, 2, 3]],
    ['lower right', 'rows', [6, 5, 4, 3, 2, 1]],
    ['upper left', 'columns', [1, 3, 5, 2, 4, 6]],
    ['lower right', 'columns', [6, 4, 2, 5, 3, 1]],
  ] as const)('begin at the %s, along %s', (from, along, wanted) => {
    expect(numbers(from, along)).toEqual(wanted);
  });

  it('count what is there: a short line leaves no gap', () => {
    expect(numbers('upper left', 'rows', '10,10,10\n10\n10,10')).toEqual([1, 2, 3, 4, 5, 6]);
  });

  it('differ for every position, whichever way they run', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CORNERS),
        fc.constantFrom('rows' as const, 'columns' as const),
        fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 8 }),
        (from, along, lengths) => {
          const lid = lengths.map((length) => Array(length).fill('10').join(',')).join('\n');
          const found = numbers(from, along, lid);
          expect([...found].sort((left, right) => left - right)).toEqual(
            found.map((_, index) => index + 1),
          );
        },
      ),
    );
  });
});
