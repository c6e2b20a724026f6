/** A day of the calendar by the clock of this device, `2026-05-04`. */
export function dayAt(time: Date): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${time.getFullYear()}-${two(time.getMonth() + 1)}-${two(time.getDate())}`;
}

/** Today and the days after it. */
export function daysFrom(today: Date, count: number): string[] {
  return Array.from({ length: count }, (_, after) =>
    // Noon: an hour more or less in summer changes no day.
    dayAt(new Date(today.getFullYear(), today.getMonth(), today.getDate() + after, 12)),
  );
}

/** A day in words, seen from today: `today`, `tomorrow`, `Mon 30 Nov`, with its year where it is another one. */
export function dayWords(day: string, today: Date): string {
  const [first, second] = daysFrom(today, 2);
  if (day === first) return 'today';
  if (day === second) return 'tomorrow';
  const at = new Date(`${day}T12:00:00`);
  return at.toLocaleDateString('en-GB', {
    ...{ weekday: 'short', day: 'numeric', month: 'short' },
    ...(at.getFullYear() === today.getFullYear() ? {} : { year: 'numeric' }),
  });
}
