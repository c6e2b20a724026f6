import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import { believedOf, readLabel, readOnce, readWritten } from './readLabel';
import { readTokens } from './reader';

describe('what is printed and what the handbook says', () => {
  it('is the print where the handbook was not asked, or lists nothing', () => {
    expect(readWritten({ legend: 'CIG' })).toEqual(readLabel('CIG'));
    expect(readWritten({ legend: 'CIG', handbook: null })).toEqual(readLabel('CIG'));
    expect(readWritten({ legend: 'CIG', handbook: undefined })).toEqual(readLabel('CIG'));
  });

  it('is the handbook’s entry where that can be read, believed more than a print', () => {
    const told = readWritten({ legend: 'XQZW', handbook: 'RADIO' });
    const print = readLabel('RADIO');
    expect(told).toMatchObject({ safety: 'free', lookedUp: true, meaning: print.meaning });
    expect(print.lookedUp).toBe(false);
    // A print sets 87 % of the chances, an entry 96 %: the rest is what panels hold in any case.
    const unlabelled = readLabel(undefined).prior;
    for (const name of CIRCUIT_FUNCTIONS) {
      const named = (print.prior[name] - 0.13 * unlabelled[name]) / 0.87;
      expect(told.prior[name]).toBeCloseTo(0.96 * named + 0.04 * unlabelled[name], 9);
    }
  });

  it('stays blocked where the print plainly names danger, and is cleared where that was in doubt', () => {
    expect(readWritten({ legend: 'AIRBAG', handbook: 'RADIO' })).toEqual(readLabel('AIRBAG'));
    expect(readWritten({ legend: 'AIRBAG', handbook: 'ABS' })).toMatchObject({
      ...{ safety: 'block', lookedUp: true, meaning: readLabel('ABS').meaning },
    });
    expect(readWritten({ legend: 'CIG', handbook: 'AIRBAG' }).safety).toBe('block');
    const vague = readLabel('RADIO/A/BAG');
    expect(vague.safety).toBe('block');
  });

  it('leaves the print where the entry can’t be read, unless that speaks of more danger', () => {
    expect(readWritten({ legend: 'CIG', handbook: 'XQZW' })).toEqual(readLabel('CIG'));
    expect(readWritten({ legend: 'AIRBAG', handbook: 'XQZW' })).toEqual(readLabel('AIRBAG'));
    const entry = readLabel('REAR CAM');
    expect([entry.safety, entry.danger > 0]).toEqual(['unknown', true]);
    expect(readWritten({ legend: 'XQZW', handbook: 'REAR CAM' })).toEqual({
      ...entry,
      lookedUp: true,
    });
    expect(readWritten({ legend: 'AIRBAG', handbook: 'REAR CAM' })).toEqual(readLabel('AIRBAG'));
  });
});

describe('a legend', () => {
  it('that can’t be told says between what, and asks for the handbook', () => {
    expect(readLabel('REAR CAM').reason).toMatch(
      /^“REAR CAM” could be camera, parking aid or engine control: ask for the handbook’s entry\.$/,
    );
    expect(readLabel('XQZW')).toMatchObject({
      ...{ safety: 'unknown', meaning: 'not known', entries: [], lookedUp: false },
      reason: '“XQZW” can’t be read: unknown, not harmless.',
    });
    expect(readLabel(undefined)).toMatchObject({
      ...{ safety: 'unknown', danger: 0 },
      reason: 'No legend that can be read: ask for the handbook’s entry before using it.',
    });
    expect(readLabel('15A').reason).toBe(readLabel(undefined).reason);
  });

  it('that names danger shows that alone, one that warns gives its reason, and a free one none', () => {
    const both = readLabel('RADIO/A/BAG');
    expect(both.entries.every(({ safety }) => safety === 'block')).toBe(true);
    expect(both.danger).toBeGreaterThan(0.3);
    expect(both.reason).toBe(both.entries[0]?.reason);
    const horn = readLabel('HORN');
    expect([horn.safety, horn.reason]).toEqual(['caution', horn.entries[0]?.reason]);
    expect([readLabel('CIG').safety, readLabel('CIG').reason]).toEqual(['free', undefined]);
    // What warns stands before what does not.
    const two = readLabel('HORN/RADIO');
    expect(two.safety).toBe('caution');
    expect(two.meaning).toBe('horn; radio');
  });

  it('is read once, however often it is asked for', () => {
    const one = readOnce({ legend: 'CIG' });
    expect(readOnce({ legend: 'CIG' })).toBe(one);
    expect(readOnce({ legend: 'CIG', handbook: null })).toBe(one);
    expect(readOnce({ legend: 'CIG', handbook: 'RADIO' })).not.toBe(one);
    expect(readOnce({ legend: 'HORN' })).not.toEqual(one);
    expect(one).toEqual(readWritten({ legend: 'CIG' }));
  });

  it('gives way to what panels hold as far as it is not trusted', () => {
    const only = believedOf({ constant: 2 });
    const unlabelled = readLabel(undefined).prior;
    for (const name of CIRCUIT_FUNCTIONS)
      expect(only[name]).toBeCloseTo((name === 'constant' ? 0.87 : 0) + 0.13 * unlabelled[name], 9);
  });
});

describe('tokens', () => {
  const read = (text: string) => readTokens(text === '' ? [] : text.split(' '));
  const best = (text: string) => read(text).readings[0]?.entry.meaning;

  it('are read together as phrases, apart as initials, and run together as two words', () => {
    expect(best('FUEL PUMP')).toBe('fuel pump');
    expect(best('F P')).toBe('fuel pump');
    expect(best('FUELPUMP')).toBe('fuel pump');
    expect(best('FUELPMP')).toBe('fuel pump');
    expect(best('KRAFTSTOFFPUMPE')).toBe('fuel pump');
    expect(read('FUEL PUMP').danger).toBeGreaterThan(0.9);
  });

  it('are nothing where there are none, or none that is known', () => {
    expect(read('')).toEqual({ readings: [], danger: 0, nothing: 1, unread: [] });
    expect(read('XQZW')).toEqual({
      readings: [],
      danger: 0,
      nothing: expect.closeTo(1, 9),
      unread: ['XQZW'],
    });
    expect(read('12').readings).toEqual([]);
  });

  it('take a bare number for a terminal only where the whole legend is that number', () => {
    expect(best('30')).toBe('battery feed');
    expect(read('XQZW 30').readings).toEqual([]);
    expect(best('KL 30')).toBe('battery feed');
  });

  it('count up to eight: what follows is no legend', () => {
    const seven = Array.from({ length: 7 }, () => 'XQZW').join(' ');
    expect(best(`${seven} AIRBAG`)).toBe('airbag, belts');
    expect(read(`${seven} XQZW AIRBAG`).readings).toEqual([]);
  });

  // Bayes’ rule: chances of what one legend names, nothing among them, and danger as their part.
  it.each(['RADIO', 'CIG LTR', 'REAR CAM', 'HORN RADIO', 'W P', 'UNIT CTRL', 'IGN 1', 'STOP TAIL'])(
    'make chances of %s',
    (text) => {
      const { readings, danger, nothing } = read(text);
      for (const { probability } of readings) {
        expect(probability).toBeGreaterThanOrEqual(0);
        expect(probability).toBeLessThanOrEqual(1);
      }
      const order = readings.map(({ probability }) => probability);
      expect(order).toEqual([...order].sort((left, right) => right - left));
      const blocked = readings
        .filter(({ entry }) => entry.safety === 'block')
        .map(({ probability }) => probability);
      // One that names it is enough: at least the likeliest, at most all together.
      expect(danger).toBeGreaterThanOrEqual(Math.max(0, ...blocked) - 1e-9);
      expect(danger).toBeLessThanOrEqual(blocked.reduce((sum, one) => sum + one, 0) + 1e-9);
      expect(nothing).toBeGreaterThanOrEqual(0);
      expect(nothing + order.reduce((sum, one) => sum + one, 0)).toBeGreaterThan(1 - 1e-9);
    },
  );
});
