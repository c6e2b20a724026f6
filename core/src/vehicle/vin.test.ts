import fc from 'fast-check';
import { checkDigit, decodeVin, weightedSum } from './vin';

const CHARACTERS = 'ABCDEFGHJKLMNPRSTUVWXYZ0123456789';

describe('decodeVin', () => {
  // Published worked examples; weights of 49 CFR 565.15 and ISO 3779.
  it.each([
    ['1M8GDM9AXKP042788', 'X', 351],
    ['11111111111111111', '1', 89],
  ])('works the published example %s', (vin, digit, sum) => {
    expect(weightedSum(vin)).toBe(sum);
    expect(checkDigit(vin)).toBe(digit);
    expect(decodeVin(vin)).toMatchObject({ ok: true, value: { checkDigit: 'matches' } });
  });

  it('refuses a wrong check digit where it is mandatory', () => {
    expect(decodeVin('1M8GDM9A1KP042788')).toMatchObject({
      ok: false,
      problems: [expect.stringContaining('Character 9')],
    });
  });

  it('warns of a wrong check digit elsewhere (ISO 3779: mandatory in North America only)', () => {
    const result = decodeVin('SKRLB2A01GA000017');
    expect(result.ok && result.value.warnings.join()).toMatch(/Character 9/);
  });

  it.each(['I', 'O', 'Q'])('refuses the letter %s, which never occurs', (letter) => {
    expect(decodeVin(`1M8GDM9AXKP04278${letter}`)).toMatchObject({
      ok: false,
      problems: [expect.stringContaining('Character 17')],
    });
  });

  it('names every problem of a short text with odd characters', () => {
    const result = decodeVin('1M8-DM9');
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problems).toHaveLength(2);
  });

  it.each([
    // 49 CFR 565.15: position 7 a letter says the cycle from 2010 on.
    ['A', 'A', 2010],
    ['1', 'A', 1980],
    ['A', 'Y', 2030],
    ['1', 'Y', 2000],
    ['1', '9', 2009],
    ['A', '1', 2031],
  ])('reads position 7 %s and year %s as %d', (seventh, year, expected) => {
    const result = decodeVin(`S00000${seventh}00${year}0000000`);
    expect(result.ok && result.value.modelYear).toBe(expected);
  });

  it.each(['U', 'Z', '0'])('knows no model year %s', (year) => {
    const result = decodeVin(`S00000000${year}0000000`);
    expect(result.ok && result.value.modelYear).toBeUndefined();
  });

  it('catches every single wrong digit', () => {
    // The weights are prime to 11, so that a changed digit always changes the remainder.
    const place = fc.nat(16).filter((index) => index !== 8);
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...CHARACTERS), { minLength: 17, maxLength: 17 }),
        place,
        fc.integer({ min: 1, max: 9 }),
        (characters, at, shift) => {
          const digits = characters.map((one, index) => (index === at ? '3' : one));
          const wrong = digits.map((one, index) => (index === at ? String((3 + shift) % 10) : one));
          expect(checkDigit(digits.join(''))).not.toBe(checkDigit(wrong.join('')));
        },
      ),
    );
  });
});
