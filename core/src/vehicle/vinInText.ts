import { decodeVin } from './vin';

/** Seventeen signs of a VIN in a row; the letters I, O and Q never occur (ISO 3779). */
const SIGNS = /(?=([A-HJ-NPR-Z0-9]{17}))/g;
/** A VIN has at least so many digits: words and serial numbers of other things seldom do, common practice. */
const LEAST_DIGITS = 3;

/**
 * The VIN that bar codes on a car say; undefined where none is among them. A label may carry more than the VIN: an "I"
 * before it on imported cars, part numbers and addresses beside it (common practice). One whose check digit matches goes
 * before one whose does not, and what stands at the beginning before what stands within.
 *
 * @param texts what each bar code says, in the order of finding
 *
 * @example vinInText(['P/N 4711', 'I1M8GDM9AXKP042788']) // '1M8GDM9AXKP042788'
 */
export function vinInText(texts: readonly string[]): string | undefined {
  const found = texts.flatMap((text) =>
    [...text.toUpperCase().matchAll(SIGNS)].flatMap(([, signs = '']) => {
      const digits = signs.replace(/\D/g, '').length;
      const decoded = decodeVin(signs);
      return decoded.ok && digits >= LEAST_DIGITS && /[A-Z]/.test(signs) ? [decoded.value] : [];
    }),
  );
  return (found.find((vin) => vin.checkDigit === 'matches') ?? found[0])?.vin;
}
