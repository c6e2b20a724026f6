import fc from 'fast-check';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '../fuseFamily';
import { typedPanel } from './typedPanel';
import { writtenPanel } from './writtenPanel';

const LOOK = { family: 'mini', lie: 'tall', clearance: 'clear' } as const;
const read = ({ text, start }: { readonly text: string; readonly start: string }) =>
  typedPanel(text, {
    ...LOOK,
    id: 'dash',
    landmarks: ['upper contact', 'lower contact'],
    numbering: { start, from: 'upper left', along: 'rows' },
  });

/** Legends that could be taken for something else: a rating's unit, a doubt, a comma, quotes, braces. */
const legends = fc.oneof(
  fc.constantFrom(
    'ACC',
    'A',
    '?',
    'A/BAG',
    '{maxi}',
    'F1: ACC',
    'R, L',
    '"',
    '-',
    '58d',
    '7,5',
    '7,5 X',
    'X 7,5 A',
  ),
  fc
    .string({ unit: 'grapheme-ascii', minLength: 1, maxLength: 20 })
    .map((text) => text.trim().replace(/\s+/g, ' '))
    .filter((text) => text !== ''),
);

const slots = fc
  .uniqueArray(
    fc.record({
      cell: fc.tuple(fc.nat(7), fc.nat(5)),
      position: fc.stringMatching(/^[A-Za-z0-9._-]{1,6}$/),
      legend: fc.option(legends, { nil: undefined }),
      family: fc.constantFrom(...FUSE_FAMILIES),
      fitted: fc.option(fc.nat(), { nil: undefined }),
      lie: fc.constantFrom('tall' as const, 'wide' as const),
      clearance: fc.constantFrom('clear' as const, 'tight' as const, 'none' as const),
    }),
    { minLength: 1, maxLength: 20, selector: (one) => one.cell.join('/') },
  )
  .map((all) => {
    const used = new Set<string>();
    return all
      .filter(({ position }) => !used.has(position) && used.add(position))
      .map(({ cell: [row, column], family, fitted, position, ...slot }) => {
        const { ratingsA } = FUSE_FAMILY_FACTS[family];
        const ratingA = fitted === undefined ? undefined : ratingsA[fitted % ratingsA.length];
        const contacts = [
          {
            id: 'a' as const,
            landmark: slot.lie === 'tall' ? 'upper contact' : 'door-side contact',
          },
          { id: 'b' as const, landmark: slot.lie === 'tall' ? 'lower contact' : 'inner contact' },
        ] as const;
        const kind = 'slot' as const;
        return {
          ...slot,
          kind,
          id: `dash/${position}`,
          position,
          row,
          column,
          family,
          ratingA,
          contacts,
        };
      })
      .sort((left, right) => left.row - right.row || left.column - right.column);
  });

describe('a panel written as it would be typed', () => {
  it('is the same panel when it is read again, whatever its legends say', () => {
    fc.assert(
      fc.property(slots, (panel) => {
        const again = read(writtenPanel(panel, LOOK));
        expect(again.problems).toEqual([]);
        expect(again.slots).toEqual(panel);
      }),
      { numRuns: 400 },
    );
  });

  it('names a position only where the count breaks', () => {
    const { slots: typed } = read({ text: '10 ACC, 15 CIG, 31: 5\n10, _, 40: 5', start: 'F1' });
    expect(writtenPanel(typed, LOOK)).toEqual({
      text: '10 ACC, 15 CIG, 31: 5\n10, _, 40: 5',
      start: 'F1',
    });
  });
});
