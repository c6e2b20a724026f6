import type { StitchPlace, VehicleState } from '../../vehicle';
import { PARKED, PLACE_WORDS, STITCH_PLACES, stateAt } from '../../vehicle';
import type { FindAdvice, Need, ProbeSource, Reading } from '../index';
import { advise } from '../index';
import { listed, raised } from './sentence';

it('lists names and begins a sentence', () => {
  expect([listed([]), listed(['F1']), listed(['F1', 'F2']), listed(['F1', 'F2', 'F3'])]).toEqual([
    ...['', 'F1', 'F1 and F2', 'F1, F2 and F3'],
  ]);
  expect([raised('touch F1.'), raised('')]).toEqual(['Touch F1.', '']);
});

const slot = (id: string, legend: string | undefined): ProbeSource => ({
  ...{ id, name: id, legend, fitted: true, tappable: true, logged: undefined },
});
const volts = (sourceId: string, place: StitchPlace, value: number): Reading => ({
  ...{ id: `${sourceId} ${place} ${value}`, sourceId, contact: undefined, state: stateAt(place) },
  value: { kind: 'volts', volts: value },
});
/** What is advised where the car can be brought to one place only. */
function only(
  place: StitchPlace,
  need: Omit<Need, 'id'>,
  more: Partial<Parameters<typeof advise>[0]> = {},
): FindAdvice {
  const state: VehicleState = place === 'run' ? PARKED : stateAt('run');
  return advise({
    ...{ sources: [slot('F1', 'BAT')], readings: [], state, needs: [{ id: 'n', ...need }] },
    cannot: STITCH_PLACES.filter((one) => one !== place),
    ...more,
  });
}

describe('a visit', () => {
  // How each state is reached; common practice. The door is opened after key-off: in some cars one that stood open does not end retained power.
  it.each<[StitchPlace, Omit<Need, 'id'>, string, ProbeSource?]>([
    ['asleep', { role: 'constant' }, 'Lock the car, wait until it sleeps'],
    ['off', { role: 'constant' }, 'Key off, open the driver’s door now'],
    ['acc', { role: 'constant' }, 'Key to accessory'],
    ['run', { role: 'constant' }, 'Key to run'],
    ['crank', { role: 'switched', holdsCranking: true }, 'Crank the engine', slot('F1', 'IGN')],
    ['lamps', { role: 'illumination' }, 'Key to run, parking lamps on', slot('F1', 'ILLUM')],
    ['justOff', { role: 'retained' }, 'Shut the door, key to run and off again', slot('F1', 'ACC')],
    [
      'reverse',
      { role: 'reverse' },
      'Key to run, parking brake on, select reverse',
      slot('F1', 'BACK UP'),
    ],
  ])('to %s says how the car gets there', (place, need, arrive, source = slot('F1', 'BAT')) => {
    const { next } = only(place, need, { sources: [source] });
    expect(next.kind === 'visit' && next.visit.place).toBe(place);
    expect(next.kind === 'visit' && next.instruction).toBe(`${arrive}, then touch F1.`);
  });

  it('cautions where the danger is, and nowhere else', () => {
    const caution = (place: StitchPlace, more: Partial<Need> = {}) => {
      const need = { role: 'constant', ...more } as const;
      const { next } = only(place, need, { sources: [slot('F1', more.role ? 'IGN' : 'BAT')] });
      return next.kind === 'visit' ? next.caution : next.kind;
    };
    expect(caution('crank', { role: 'switched', holdsCranking: true })).toBe(
      'Neutral or park, brake on, nobody near belts and fan, never in a closed room. Feeds drop while cranking.',
    );
    for (const place of ['off', 'acc', 'run', 'asleep'] as const)
      expect([place, caution(place)]).toEqual([place, undefined]);
    const { next } = only('reverse', { role: 'reverse' }, { sources: [slot('F1', 'BACK UP')] });
    expect(next.kind === 'visit' && next.caution).toBe(
      'Wheels chocked, parking brake on, engine off: the car must not roll.',
    );
  });

  it('leaves out the way where the car stands there, and counts its seconds', () => {
    const here = only('run', { role: 'constant' }, { state: stateAt('run') }).next;
    expect(here).toMatchObject({
      instruction: 'Touch F1.',
      visit: { seconds: 5, firstSeconds: 5 },
    });
    const two = [slot('F1', 'BAT'), slot('F2', 'BATT')];
    const needs: Need[] = ['a', 'b'].map((id) => ({ id, role: 'constant' }));
    const both = only('acc', { role: 'constant' }, { sources: two, needs }).next;
    expect(both).toMatchObject({
      instruction: 'Key to accessory, then touch F1 and F2.',
      visit: { seconds: 4 + 2 * 5, firstSeconds: 4 + 5, sourceIds: ['F1', 'F2'] },
    });
  });

  it('gives its reason: what the place separates', () => {
    const because = (advice: FindAdvice) =>
      advice.next.kind === 'visit' ? advice.next.because : advice.next.kind;
    expect(because(only('run', { role: 'constant' }))).toBe(
      'Accessory and ignition are live here; starter and spare are not.',
    );
    const live = [volts('F1', 'off', 12.5), volts('F1', 'run', 12.5)];
    const reasons: [StitchPlace, string][] = [
      ['asleep', 'A constant stays live when the car sleeps; a timed one does not.'],
    ];
    for (const [place, said] of reasons)
      expect([
        place,
        because(only(place, { role: 'constant' }, { readings: live, until: 'function' })),
      ]).toEqual([place, said]);
  });
});

describe('where nothing can be visited', () => {
  it('names the places that were set aside', () => {
    const { next } = advise({
      ...{ sources: [slot('F1', 'BAT')], readings: [], state: PARKED, cannot: STITCH_PLACES },
      needs: [{ id: 'n', role: 'constant' }],
    });
    expect(next.kind).toBe('deferred');
    const places = next.kind === 'deferred' ? next.places : [];
    expect(places.length).toBeGreaterThan(0);
    expect(next.kind === 'deferred' && next.instruction).toBe(
      `Left for later: ${places.map((place) => PLACE_WORDS[place]).join(', ')}.`,
    );
  });

  it('says that all is done, or that nothing is left', () => {
    const end = (sources: readonly ProbeSource[], needs: readonly Need[]) =>
      advise({ sources, readings: [], state: PARKED, needs }).next;
    expect(end([], [])).toEqual({
      kind: 'filled',
      instruction: 'Every feed has a source. Go on and choose the taps.',
    });
    expect(end([], [{ id: 'n', role: 'constant' }])).toEqual({
      ...{ kind: 'exhausted', needIds: ['n'] },
      instruction: 'No slot left that could serve. Try another panel or a wire in the harness.',
    });
  });

  it('asks the handbook about a slot that nobody can read', () => {
    const { next } = only(
      'asleep',
      { role: 'constant' },
      {
        ...{ sources: [slot('F1', undefined)], handbook: true },
        readings: (['off', 'acc', 'run', 'crank', 'engine'] as const).map((place) =>
          volts('F1', place, place === 'crank' ? 10.8 : 12.5),
        ),
      },
    );
    expect(next).toMatchObject({ kind: 'handbook', sourceId: 'F1', seconds: 40 });
    expect(next.kind === 'handbook' && next.instruction).toBe(
      'Look up F1 in the handbook or on the fuse table, and enter what it says.',
    );
    expect(next.kind === 'handbook' && next.because).toMatch(
      /^Its legend can’t be read; with what was measured it is safety-critical with a chance of \d+ %\.$/,
    );
  });
});
