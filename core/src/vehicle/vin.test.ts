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

  /** A VIN with its check digit in place. */
  const withCheck = (vin: string): string => `${vin.slice(0, 8)}${checkDigit(vin)}${vin.slice(9)}`;

  it.each([
    // 49 CFR 565.15: position 7 a letter says the cycle from 2010 on, for cars and light trucks.
    ['A', 'A', 2010],
    ['1', 'A', 1980],
    ['A', 'Y', 2030],
    ['1', 'Y', 2000],
    ['1', '9', 2009],
    ['A', '1', 2031],
  ])('reads position 7 %s and year %s of a North American car as %d', (seventh, year, expected) => {
    const vin = withCheck(`100000${seventh}00${year}0000000`);
    const result = decodeVin(vin);
    expect(result.ok && [result.value.modelYear, result.value.modelYears]).toEqual([
      expected,
      [expected],
    ]);
    // What is no car or light truck follows no such rule: both cycles are possible.
    const heavy = decodeVin(vin, { light: false });
    expect(heavy.ok && heavy.value.modelYear).toBeUndefined();
    expect(heavy.ok && heavy.value.modelYears).toHaveLength(2);
  });

  it('proposes both years outside North America, whatever position 7 says, and names none for certain', () => {
    for (const seventh of ['A', '1']) {
      const result = decodeVin(`S00000${seventh}00K0000000`, { nowYear: 2026 });
      expect(result.ok && result.value).toMatchObject({
        modelYear: undefined,
        modelYears: [1989, 2019],
      });
      expect(result.ok && result.value.warnings.join()).toMatch(/1989 or 2019/);
    }
  });

  it('proposes no year more than two ahead', () => {
    const years = (code: string) => {
      const result = decodeVin(`S00000000${code}0000000`, { nowYear: 2026 });
      return result.ok ? result.value.modelYears : [];
    };
    expect(years('W')).toEqual([1998, 2028]);
    expect(years('X')).toEqual([1999]);
  });

  it.each([
    // SAE table of world codes, from memory.
    ['6', 'A', 'Oceania'],
    ['7', 'A', 'Oceania'],
    ['7', 'E', 'Oceania'],
    ['7', 'F', 'North America'],
    ['7', 'Z', 'North America'],
    ['7', '0', 'North America'],
    ['5', 'Y', 'North America'],
    ['8', 'A', 'South America'],
  ])('%s%s is %s', (first, second, region) => {
    const result = decodeVin(withCheck(`${first}${second}0000000K0000000`));
    expect(result.ok && result.value.region).toBe(region);
  });

  it.each(['U', 'Z', '0'])('knows no model year %s', (year) => {
    const result = decodeVin(`S00000000${year}0000000`);
    expect(result.ok && result.value.modelYears).toEqual([]);
    expect(result.ok && result.value.warnings).toContain(
      `Character 10, ${year}, is no model year.`,
    );
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

describe('what is wrong with a VIN', () => {
  const problems = (text: string): readonly string[] => {
    const made = decodeVin(text);
    return made.ok ? [] : made.problems;
  };

  it('is said with the place of each character', () => {
    expect(problems('1M8GDM9AXKP04278')).toEqual(['A VIN has 17 characters; this one has 16.']);
    expect(problems('1M8GDM9AXKP04278?')).toEqual([
      'Character 17, "?", is neither a letter nor a digit.',
    ]);
    expect(problems('OM8GDM9AXKP0427-8')).toEqual([
      'Character 1 is O: I, O and Q never occur in a VIN. Perhaps 1 or 0.',
      'Character 16, "-", is neither a letter nor a digit.',
    ]);
  });

  it('is a check digit that differs, where it is mandatory; elsewhere it is warned of', () => {
    expect(problems('1M8GDM9A1KP042788')).toEqual([
      'Character 9 is 1, the check digit comes out as X: one character was misread.',
    ]);
    expect(problems('1M8GDM9AXKP042788')).toEqual([]);
    const elsewhere = decodeVin(' wm8gdm9a1kp042788 ');
    expect(elsewhere).toMatchObject({
      ok: true,
      value: { vin: 'WM8GDM9A1KP042788', checkDigit: 'differs', checkDigitMandatory: false },
    });
    const { warnings, expectedCheckDigit } = elsewhere.ok
      ? elsewhere.value
      : { warnings: [], expectedCheckDigit: '' };
    expect(warnings[0]).toBe(
      `Character 9 is 1, the check digit comes out as ${expectedCheckDigit}. Makers outside North America need not use it: read the VIN again.`,
    );
    const right = decodeVin(`WM8GDM9A${expectedCheckDigit}KP042788`);
    expect(right).toMatchObject({ ok: true, value: { checkDigit: 'matches' } });
    expect(right.ok && right.value.warnings).toEqual([
      expect.stringMatching(
        /^Outside North America character 10 is often no year\. If it is one: \d{4} or \d{4}\.$/,
      ),
    ]);
  });
});
