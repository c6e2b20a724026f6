import fc from 'fast-check';
import { vinInText } from './vinInText';

/** The published worked example of 49 CFR 565.15. */
const VIN = '1M8GDM9AXKP042788';

describe('the VIN among what bar codes say', () => {
  it.each([
    [[VIN]],
    // Code 39 labels of imported cars carry an I before it, common practice.
    [[`I${VIN}`]],
    [[VIN.toLowerCase()]],
    [['P/N 4711-22', `VIN:${VIN}`, '77']],
    [[`https://example.org/v/${VIN}?lang=en`]],
    // One that matches goes before one that does not, wherever it stands.
    [['WDB1230331A000001', VIN]],
  ])('%j', (texts) => expect(vinInText(texts)).toBe(VIN));

  it('is taken with a check digit that differs, where there is no better one', () => {
    expect(vinInText(['WDB1230331A000001'])).toBe('WDB1230331A000001');
  });

  it.each([
    [[]],
    [['']],
    [['1M8GDM9AXKP04278']],
    // I, O and Q never occur.
    [['1M8GDM9AXKPO42788']],
    [['12345678901234567']],
    [['ABCDEFGHJKLMNPRST']],
  ])('is not in %j', (texts) => expect(vinInText(texts)).toBeUndefined());

  it('is found within anything that no other could be read from', () => {
    const other = fc.stringMatching(/^[ioqIOQ/ .-]{0,12}$/);
    fc.assert(
      fc.property(other, other, (before, after) => {
        expect(vinInText([`${before}${VIN}${after}`])).toBe(VIN);
      }),
    );
  });
});
