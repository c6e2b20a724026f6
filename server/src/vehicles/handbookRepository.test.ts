import type { Place } from '@lucky-thread/core/vehicle';
import { glossaryKey, withHandbook } from './handbookRepository';

describe('a legend as the glossary knows it', () => {
  it.each([
    ['cig ltr', 'CIG LTR'],
    ['  Cig \t  Ltr\n', 'CIG LTR'],
    ['RÜCK', 'RÜCK'],
    ['rück', 'RÜCK'],
  ])('takes %j for %s, whatever its case and blanks', (legend, key) => {
    expect(glossaryKey(legend)).toBe(key);
  });

  it.each([undefined, '', '   ', '\t'])('knows nothing of a slot that says %j', (legend) => {
    expect(glossaryKey(legend)).toBeNull();
  });
});

describe('what was looked up at the slots of a vehicle', () => {
  const slot = { name: '1', legend: 'MULTI', fitted: true, tappable: true };
  const places = [
    {
      ...{ id: 'dash', name: 'Dash', kind: 'panel' },
      sources: [
        { ...slot, id: 'dash/1', kind: 'slot' },
        { ...slot, id: 'dash/2', kind: 'slot' },
        { ...slot, id: 'dash/3', kind: 'slot' },
      ],
    },
    {
      ...{ id: 'plug', name: 'Plug', kind: 'connector' },
      sources: [{ id: 'plug/1', name: '1', kind: 'wire' }],
    },
  ] as unknown as readonly Place[];
  const said = { by: 'Lead', at: '2026-11-01T10:00:00.000Z', fromGlossary: false };

  it('stands at its slot, also where the handbook says nothing, and nowhere else', () => {
    const [dash, plug] = withHandbook(places, [
      { ...said, sourceId: 'dash/1', entry: 'Accessory socket' },
      { ...said, sourceId: 'dash/2', entry: null },
      { ...said, sourceId: 'plug/1', entry: 'Accessory socket' },
    ]);
    expect(dash?.sources.map((one) => 'handbook' in one && one.handbook)).toEqual([
      ...['Accessory socket', null, false],
    ]);
    expect(dash?.sources[0]).toMatchObject({ id: 'dash/1', legend: 'MULTI' });
    // A wire stands in no fuse table.
    expect(plug).toEqual(places[1]);
  });

  it('changes nothing of what was given', () => {
    const before = JSON.stringify(places);
    expect(withHandbook(places, [])).toEqual(places);
    withHandbook(places, [{ ...said, sourceId: 'dash/1', entry: 'Horn' }]);
    expect(JSON.stringify(places)).toBe(before);
  });
});
