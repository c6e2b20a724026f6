import fc from 'fast-check';
import { compareGuides } from './guides';
import type { Guide } from './guides';

const LISTED: Guide = { version: '3.2', dated: '2025-02' };

it.each([
  ['the same, whatever its manner', { version: 'V 3.2', dated: '2025.02' }, 'same'],
  ['the same, the day named as well', { version: '3.2', dated: '2025-02-14' }, 'same'],
  ['newer by date and number', { version: '3.4', dated: '2026-03' }, 'newer'],
  ['older by date and number', { version: '2.9', dated: '2023-11' }, 'older'],
  ['newer by number alone, ten after nine', { version: '3.10' }, 'newer'],
  ['a reprint of another year', { version: '3.2', dated: '2026-01' }, 'newer'],
  ['another version of the same month', { version: '3.1', dated: '2025-02' }, 'older'],
  ['a higher number of an earlier date', { version: '3.4', dated: '2024-01' }, 'unclear'],
  ['letters that no order is known of', { version: 'B' }, 'unclear'],
  ['letters with a date', { version: 'B', dated: '2026-01' }, 'newer'],
  ['a date in words', { version: '3.2', dated: 'spring' }, 'same'],
] as const)('%s', (_, inBox, age) => {
  expect(compareGuides(inBox, LISTED)).toBe(age);
});

it('is newer one way round exactly where it is older the other', () => {
  const guide: fc.Arbitrary<Guide> = fc.record({
    version: fc.oneof(fc.stringMatching(/^\d{1,2}(\.\d{1,2})?$/), fc.constantFrom('A', 'B')),
    dated: fc.option(fc.stringMatching(/^20\d\d-(0[1-9]|1[0-2])$/), { nil: undefined }),
  });
  const turned = { same: 'same', newer: 'older', older: 'newer', unclear: 'unclear' } as const;
  fc.assert(
    fc.property(guide, guide, (one, other) => {
      expect(compareGuides(other, one)).toBe(turned[compareGuides(one, other)]);
    }),
  );
});
