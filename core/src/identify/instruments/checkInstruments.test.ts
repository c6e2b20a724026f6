import { checkInstruments } from './checkInstruments';

describe('checkInstruments', () => {
  // Rest voltages after the BCI table, from memory: 12.65 V full, 12.24 V half, 11.89 V empty.
  it.each([
    [12.6, 'good'],
    [12.15, 'mind'],
    [11.7, 'stop'],
    [14.1, 'mind'],
  ] as const)('takes a battery at %d V for %s', (batteryV, weight) => {
    expect(checkInstruments({ batteryV })).toEqual([
      expect.objectContaining({ about: 'battery', weight }),
    ]);
  });

  it('stops at a clip that loses more than bright metal does', () => {
    const [first] = checkInstruments({ batteryV: 12.6, throughClipV: 11.4 });
    expect(first).toMatchObject({ about: 'clip', weight: 'stop' });
    expect(first?.text).toMatch(/1\.20 V.*bare metal/);
    expect(checkInstruments({ batteryV: 12.6, throughClipV: 12.55 })[0]?.weight).toBe('good');
  });

  it('stops at a lamp that does not burn on something live', () => {
    expect(checkInstruments({ lampOnLive: 'dark' })[0]).toMatchObject({
      about: 'lamp',
      weight: 'stop',
    });
  });

  it.each([-1, 24, Number.NaN])('refuses %d V for a 12 V battery', (batteryV) => {
    expect(() => checkInstruments({ batteryV })).toThrow(RangeError);
  });
});
