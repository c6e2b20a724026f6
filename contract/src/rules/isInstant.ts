const FORM = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2}):(\d{2})(\.\d{1,6})?(Z|[+-]\d{2}:\d{2})$/;
/** First and last year of a moment that the log takes; a phone whose clock was lost begins in 1970. */
const YEARS = [1970, 2199] as const;

/**
 * Whether a value is a moment as RFC 3339 writes it, with a day that exists. Week and ordinal dates of ISO 8601 are
 * not taken: `Date` reads some of them as another day.
 */
export function isInstant(value: unknown): boolean {
  const parts = typeof value === 'string' ? FORM.exec(value) : null;
  if (parts === null) return false;
  const [year, month, day] = parts.slice(1, 4).map(Number) as [number, number, number];
  if (year < YEARS[0] || year > YEARS[1]) return false;
  const date = new Date(Date.UTC(year, month - 1, day));
  const exists = date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return exists && !Number.isNaN(Date.parse(value as string));
}
