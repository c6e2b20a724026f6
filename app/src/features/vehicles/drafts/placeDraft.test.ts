import type { PlaceView } from '@lucky-thread/contract';
import { placeOf } from '@lucky-thread/contract/places';
import type { PlaceKind } from '@lucky-thread/core/vehicle';
import { PLACE_KINDS } from '@lucky-thread/core/vehicle';
import { withBase, withStripe } from './pickedColour';
import type { PlaceDraft } from './placeDraft';
import { draftOf, emptyPlace, idOf, placeId, readPlace } from './placeDraft';

/** A place of each kind as somebody types it. */
const TYPED: Record<PlaceKind, Partial<PlaceDraft>> = {
  fusePanel: {
    panel: {
      ...emptyPlace('fusePanel').panel,
      text: '10 ACC, - TRAILER, 31: 60 ABS {maxi}\n_, 5 "R, L", 10 {wide tight}',
      landmarkA: 'door side',
      landmarkB: 'wheel side',
    },
    notes: 'Mind the clips.',
    seconds: '40',
    steps: 'Open the flap.\nPull the tray.',
    tools: 'trim tool, torch',
    zone: 'dash',
    side: 'driver',
  },
  connector: {
    wires: { text: 'BK, RD/YE\n-, & PK > WH "clock"', start: '1', system: undefined },
    keying: 'grey, two tabs above',
    harness: 'body harness, 2016 on',
  },
  loom: {
    harness: 'roof harness',
    wires: { text: '0.75 BU, ?, ~1.5 GN/YE', start: 'W1', system: 'iec' },
  },
  socketOutlet: { wires: { text: 'RD, BK', start: '1', system: undefined } },
  relaySocket: { terminals: ['30', '87a'] },
  stud: { points: 'B1 M8, B2' },
  groundPoint: { points: 'G1 M6' },
};

function typed(kind: PlaceKind): PlaceDraft {
  return { ...emptyPlace(kind), location: 'Under the seat', ...TYPED[kind] };
}

describe('a place that is typed', () => {
  it.each(PLACE_KINDS)('is the same when it is taken up again: %s', (kind) => {
    const first = readPlace(typed(kind), []);
    expect(first.problems).toEqual([]);
    if (first.place === undefined) throw new Error('no place');
    expect(first.place.sources.length).toBeGreaterThan(0);
    const { keying, harness } = TYPED[kind];
    expect([first.place.keying, first.place.harness]).toEqual([keying, harness]);
    const stored: PlaceView = { ...first.place, version: 3 };
    const again = readPlace(draftOf(stored), [stored]);
    expect(again.problems).toEqual([]);
    expect(again.input.base).toBe(3);
    expect(again.place).toEqual(first.place);
  });

  it.each(PLACE_KINDS)('says what is missing: %s', (kind) => {
    const empty = readPlace(
      { ...emptyPlace(kind), name: ' ', terminals: [], points: '', seconds: 'soon' },
      [],
    );
    const paths = empty.problems.map((one) => one.path);
    expect(paths).toEqual(expect.arrayContaining(['name', 'location', 'seconds']));
    expect(paths).toHaveLength(4);
    expect(empty.place).toBeUndefined();
  });

  it('keeps landmarks of single slots that cannot be typed, and what somebody noted of doubts once', () => {
    const first = readPlace(typed('fusePanel'), []);
    if (first.input.kind !== 'fusePanel') throw new Error('no panel');
    const look = { ...first.input.look, landmarkA: 'screw', landmarkB: 'glass' };
    const [slot, ...others] = first.input.slots;
    const input = { ...first.input, slots: [{ ...slot, look } as typeof slot, ...others] };
    const stored = { ...placeOf(first.id, input as typeof first.input), version: 1 };
    const draft = draftOf(stored);
    const again = readPlace(draft, [stored]);
    expect(again.place?.sources[0]).toMatchObject({ contacts: [{ landmark: 'screw' }, {}] });
    const doubt = { ...draft, notes: 'Ratings that were hard to read: F9. Mind the clips.' };
    expect(readPlace(doubt, [stored]).input.notes).toBe('Mind the clips.');
  });

  it('has an id of its own beside others of its name', () => {
    expect(idOf({ id: undefined, name: 'Dash panel' }, ['dash-panel', 'dash-panel-2'])).toBe(
      'dash-panel-3',
    );
    expect(idOf({ id: 'radio', name: 'Dash panel' }, ['dash-panel'])).toBe('radio');
    const long = idOf({ id: undefined, name: 'A name of twenty letters' }, [
      'a-name-of-twenty-let',
    ]);
    expect(long).toMatch(/^[a-z0-9-]{1,20}$/);
  });
});

// A place's id is a short word in small letters: server/src/vehicles/modelService.ts.
it.each([
  ['Dash panel', 'dash-panel'],
  ['Boîte à fusibles', 'boite-a-fusibles'],
  ['  ', 'place'],
  ['Harness', 'place'],
  ['Motorraum, hinten links oben', 'motorraum-hinten-lin'],
])('makes of “%s” the id %s', (name, id) => {
  expect(placeId(name)).toBe(id);
  expect(placeId(name)).toMatch(/^[a-z0-9-]{1,20}$/);
});

describe('colours picked by eye', () => {
  it('stand behind what was typed, and take a stripe once', () => {
    expect(withBase('', 'BK')).toBe('BK');
    expect(withBase('BK', 'RD')).toBe('BK, RD');
    expect(withBase('BK, ', 'RD')).toBe('BK, RD');
    expect(withBase('BK\n', 'RD')).toBe('BK, RD');
    const stripes = withStripe('BK, RD');
    expect(stripes?.base).toBe('RD');
    expect(stripes?.codes).not.toContain('RD');
    expect(stripes?.with('YE')).toBe('BK, RD/YE');
    expect(withStripe('BK, RD/YE')).toBeUndefined();
    expect(withStripe('')).toBeUndefined();
  });
});
