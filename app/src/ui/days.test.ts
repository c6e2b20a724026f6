import { dayAt, dayWords, daysFrom } from './days';

const SATURDAY = new Date(2026, 10, 28, 23, 30);

it('counts days by the calendar of this device, over the end of a month and a year', () => {
  expect(dayAt(SATURDAY)).toBe('2026-11-28');
  expect(daysFrom(SATURDAY, 4)).toEqual(['2026-11-28', '2026-11-29', '2026-11-30', '2026-12-01']);
  expect(daysFrom(new Date(2026, 11, 31, 0, 5), 2)).toEqual(['2026-12-31', '2027-01-01']);
  // Clocks go forward in this night in much of the world.
  expect(daysFrom(new Date(2026, 2, 28, 0, 30), 3)).toEqual([
    '2026-03-28',
    '2026-03-29',
    '2026-03-30',
  ]);
});

it('says a day as one would', () => {
  expect(dayWords('2026-11-28', SATURDAY)).toBe('today');
  expect(dayWords('2026-11-29', SATURDAY)).toBe('tomorrow');
  expect(dayWords('2026-11-30', SATURDAY)).toBe('Mon 30 Nov');
  expect(dayWords('2026-11-27', SATURDAY)).toBe('Fri 27 Nov');
  expect(dayWords('2027-01-04', SATURDAY)).toMatch(/Mon,? 4 Jan 2027/);
});
