import { CatalogueDevice, DeviceFileInput, DeviceInput, fittedDevice, validate } from './index';

const lead = (id: string, more: object = {}) => ({
  ...{ id, name: id, role: 'switched' as const, currentA: 1 },
  ...more,
});
const DEVICE = {
  name: 'Set',
  family: 'radio' as const,
  setUp: { guide: 'R2', steps: [{ say: 'Hold the button.' }] },
  options: [
    { id: 'bare', name: 'No accessory in the plug' },
    { id: 'amp', name: 'Factory amplifier' },
  ],
  feeds: [
    lead('memory', { role: 'constant' }),
    lead('accessory', { onlyWithout: 'bare' }),
    lead('ignition', { onlyWith: 'bare' }),
    lead('wake', { onlyWith: 'amp', onlyWithout: 'bare', direction: 'out', leftOff: 'No sound.' }),
  ],
};
const asked = (chosen: readonly string[]) =>
  fittedDevice(DEVICE as CatalogueDevice, chosen).feeds.map(({ id }) => id);

describe('a device as it is fitted', () => {
  it.each([
    [[], ['memory', 'accessory']],
    [['bare'], ['memory', 'ignition']],
    [['amp'], ['memory', 'accessory', 'wake']],
    [
      ['amp', 'bare'],
      ['memory', 'ignition'],
    ],
  ])('has with %j the leads %j', (chosen, leads) => {
    expect(asked(chosen)).toEqual(leads);
  });

  it('keeps all else, says what was chosen, and is one that a job takes', () => {
    const fitted = fittedDevice(DEVICE as CatalogueDevice, ['amp', 'nothing that it has']);
    expect(fitted).toMatchObject({
      ...{ name: 'Set', family: 'radio', setUp: DEVICE.setUp },
      fittedWith: ['Factory amplifier'],
    });
    expect(fitted.feeds.at(-1)).toEqual(lead('wake', { direction: 'out', leftOff: 'No sound.' }));
    expect(validate(DeviceInput, fitted).ok).toBe(true);
    expect(fittedDevice(DEVICE as CatalogueDevice, [])).not.toHaveProperty('fittedWith');
  });
});

describe('a device of the catalogue', () => {
  const pathsOf = (change: object): string[] => {
    const result = validate(CatalogueDevice, { ...DEVICE, ...change });
    return result.ok ? [] : result.problems.map(({ path }) => path);
  };

  it('is taken whole', () => {
    expect(pathsOf({})).toEqual([]);
    const file = { kind: 'lucky-thread-device', version: 1, note: 'n', device: DEVICE };
    expect(validate(DeviceFileInput, file).ok).toBe(true);
  });

  it.each<[string, object, string]>([
    ['an option that is not there', { options: [] }, 'feeds'],
    ['two options of one id', { options: [DEVICE.options[0], DEVICE.options[0]] }, 'options'],
    ['a direction that is none', { feeds: [lead('a', { direction: 'up' })] }, 'feeds.0.direction'],
    ['words that say nothing', { feeds: [lead('a', { leftOff: '' })] }, 'feeds.0.leftOff'],
    ['no leads', { feeds: [] }, 'feeds'],
  ])('is refused with %s', (_, change, path) => {
    expect(pathsOf(change)).toContain(path);
  });

  it.each([
    ['another kind of file', { kind: 'something', version: 1 }, 'kind'],
    ['a later form', { kind: 'lucky-thread-device', version: 2 }, 'version'],
  ])('is not read from %s', (_, head, path) => {
    const result = validate(DeviceFileInput, { note: 'n', device: DEVICE, ...head });
    expect(result.ok ? [] : result.problems.map((one) => one.path)).toEqual([path]);
  });

  it('is not taken for a fitted one: a job has no options left to choose', () => {
    expect(validate(DeviceInput, DEVICE).ok).toBe(false);
  });
});
