import fc from 'fast-check';
import { FUSE_FAMILY_FACTS } from './fuseFamily';
import type { Corner, PanelGiven } from './typedPanel';
import { CORNERS, numberAt, typedPanel } from './typedPanel';

const GIVEN: PanelGiven = {
  id: 'dash',
  family: 'mini',
  lie: 'tall',
  landmarks: ['door side', 'wheel side'],
  clearance: 'clear',
  numbering: { prefix: 'F', first: 1, from: 'upper left', along: 'rows' },
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

describe('the numbers of a panel', () => {
  const corners = (from: Corner, along: 'rows' | 'columns') =>
    [
      [0, 0],
      [0, 2],
      [1, 0],
      [1, 2],
    ].map(([row = 0, column = 0]) =>
      numberAt({ row, column, rows: 2, columns: 3 }, { prefix: '', first: 1, from, along }),
    );

  // Common practice: lids count along rows or columns, from whichever corner.
  it.each([
    ['upper left', 'rows', [1, 3, 4, 6]],
    ['upper right', 'rows', [3, 1, 6, 4]],
    ['lower left', 'rows', [4, 6, 1, 3]],
    ['lower right', 'rows', [6, 4, 3, 1]],
    ['upper left', 'columns', [1, 5, 2, 6]],
    ['lower right', 'columns', [6, 2, 5, 1]],
  ] as const)('begin at the %s, along %s', (from, along, wanted) => {
    expect(corners(from, along)).toEqual(wanted);
  });

  it('differ for every position, whichever way they run', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CORNERS),
        fc.constantFrom('rows' as const, 'columns' as const),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 8 }),
        (from, along, rows, columns) => {
          const numbers = Array.from({ length: rows * columns }, (_, index) =>
            numberAt(
              { row: Math.floor(index / columns), column: index % columns, rows, columns },
              { prefix: '', first: 1, from, along },
            ),
          );
          expect([...numbers].sort((left, right) => left - right)).toEqual(
            numbers.map((_, index) => index + 1),
          );
        },
      ),
    );
  });
});
