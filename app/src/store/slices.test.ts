import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { loadPrefs, savePrefs } from './prefsSlice';
import {
  carBroughtTo,
  carChanged,
  placesDeferred,
  probeReducer,
  probingOpened,
  slotTouched,
} from './probeSlice';
import { problemOf, problemText } from './problemText';

describe('probing', () => {
  const opened = probeReducer({}, probingOpened({ jobId: 'j', state: PARKED, deferred: [] }));

  it('follows the car through the core’s state model', () => {
    const on = probeReducer(opened, carChanged({ jobId: 'j', change: { kind: 'key', to: 'run' } }));
    expect(on.j?.state).toMatchObject({ key: 'run', doorOpenedSinceKeyOff: false });
  });
  it('is opened once; looking again does not reset it', () => {
    const touched = probeReducer(opened, slotTouched({ jobId: 'j', sourceId: 'F1' }));
    expect(
      probeReducer(touched, probingOpened({ jobId: 'j', state: PARKED, deferred: [] })).j?.sourceId,
    ).toBe('F1');
  });
  describe('before the readings are there', () => {
    const waiting = probeReducer(
      {},
      probingOpened({ jobId: 'j', state: PARKED, deferred: [], resumed: false }),
    );
    const RUN = stateAt('run');
    const resume = (all: typeof waiting) =>
      probeReducer(all, probingOpened({ jobId: 'j', state: RUN, deferred: [] })).j;

    it('keeps what was touched, and takes the state from them when they come', () => {
      const touched = probeReducer(waiting, slotTouched({ jobId: 'j', sourceId: 'F1' }));
      expect(touched.j).toMatchObject({ sourceId: 'F1', resumed: false });
      expect(resume(touched)).toMatchObject({ sourceId: 'F1', state: RUN, resumed: true });
    });
    it.each([
      carChanged({ jobId: 'j', change: { kind: 'key', to: 'acc' } }),
      carBroughtTo({ jobId: 'j', state: stateAt('acc') }),
    ])('leaves the state that somebody has set meanwhile: %o', (action) => {
      expect(resume(probeReducer(waiting, action))?.state.key).toBe('acc');
    });
  });
  it('leaves places for later and takes them up again', () => {
    const later = probeReducer(
      opened,
      placesDeferred({ jobId: 'j', places: ['asleep'], deferred: true }),
    );
    expect(later.j?.cannot).toEqual(['asleep']);
    const again = probeReducer(
      later,
      placesDeferred({ jobId: 'j', places: ['asleep'], deferred: false }),
    );
    expect(again.j?.cannot).toEqual([]);
  });
  it('does nothing for a job that was not opened', () => {
    expect(probeReducer({}, carBroughtTo({ jobId: 'x', state: PARKED }))).toEqual({});
  });
});

describe('preferences', () => {
  it('come back as they were kept', () => {
    const kept = new Map<string, string>();
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    };
    expect(loadPrefs(storage)).toEqual({ theme: 'day', units: 'metric' });
    savePrefs(storage, { theme: 'night', units: 'us' });
    expect(loadPrefs(storage)).toEqual({ theme: 'night', units: 'us' });
  });
  it.each(['not json', '{"theme":"pink","units":7}', '{}'])('fall back when %p is kept', (text) => {
    expect(loadPrefs({ getItem: () => text })).toEqual({ theme: 'day', units: 'metric' });
  });
});

describe('problems', () => {
  const document = { type: 't', title: 'Short', detail: 'Long', status: 422 };
  it('speak by their detail', () => {
    expect(problemText({ status: 422, data: document })).toBe('Long');
    expect(problemOf({ status: 422, data: JSON.stringify(document) })?.title).toBe('Short');
  });
  it('say that the server does not answer when there is none', () => {
    expect(problemText({ status: 'FETCH_ERROR', error: 'x' })).toMatch(/does not answer/);
    expect(problemOf({ status: 'PARSING_ERROR', data: '<html>' })).toBeUndefined();
  });
});
