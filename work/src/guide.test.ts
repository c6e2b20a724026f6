import type { ClosingFound } from '@lucky-thread/contract';
import fc from 'fast-check';
import { LONGEST_GUIDE, guideInBox, notedGuide } from './guide';

const found = (item: string): ClosingFound => ({ item, value: null, by: 'Installer', at: '' });

it('keeps the guide among what else is noted on a job, one at a time', () => {
  const job = { closing: [found('drain-before'), found('guide:3.2@2025-02')] };
  expect(guideInBox(job)).toEqual({ version: '3.2', dated: '2025-02' });
  expect(notedGuide(job, { version: ' 3.4 ', dated: '2026-03' })).toEqual({
    item: 'guide:3.4@2026-03',
    before: ['guide:3.2@2025-02'],
  });
  expect(notedGuide(job, { version: '3.2', dated: '2025-02' }).before).toEqual([]);
  expect(guideInBox({ closing: [found('drain-before')] })).toBeUndefined();
});

it('makes an item that the server takes of whatever is printed, and reads it back', () => {
  // The form that the server holds such items against.
  const form = /^[a-z-]{3,30}(?::[^\s/\p{C}]{1,45})?$/u;
  const printed = (maxLength: number) =>
    fc.string({ minLength: 1, maxLength }).filter((text) => /[\p{L}\p{N}]/u.test(text));
  fc.assert(
    fc.property(printed(LONGEST_GUIDE.version), printed(LONGEST_GUIDE.dated), (version, dated) => {
      const { item } = notedGuide({ closing: [] }, { version, dated });
      expect(item).toMatch(form);
      const back = guideInBox({ closing: [found(item)] });
      expect(notedGuide({ closing: [] }, back ?? { version: '' }).item).toBe(item);
    }),
  );
});

it('keeps a plain version and date as they were typed', () => {
  const { item } = notedGuide({ closing: [] }, { version: 'Rev B', dated: '' });
  expect(guideInBox({ closing: [found(item)] })).toEqual({ version: 'Rev B', dated: undefined });
});
