import { PARKED, stateAt } from '../../vehicle';
import type { Need, Reading, ProbeSource } from '../index';
import { advise } from '../index';

const CONSTANT: Need = { id: 'memory', role: 'constant' };
const SWITCHED: Need = { id: 'switched', role: 'switched' };

function source(
  id: string,
  legend: string | undefined,
  more: Partial<ProbeSource> = {},
): ProbeSource {
  return { id, name: id, legend, fitted: true, tappable: true, logged: undefined, ...more };
}

function volts(sourceId: string, place: Parameters<typeof stateAt>[0], value: number): Reading {
  return {
    id: `${sourceId}-${place}-${value}`,
    sourceId,
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts: value },
  };
}

describe('nextTest', () => {
  it('starts with the best label, in the state the car is in', () => {
    const advice = advise({
      sources: [source('F1', 'WIPER'), source('F2', 'BAT'), source('F3', 'ILLUM')],
      readings: [],
      state: PARKED,
      needs: [CONSTANT],
    });
    expect(advice.next).toMatchObject({ kind: 'visit', visit: { place: 'off' } });
    expect(advice.next.kind === 'visit' && advice.next.visit.sourceIds[0]).toBe('F2');
    expect(advice.next.instruction).toMatch(/F2/);
  });

  it('says why: what a place tells apart where that is still open, and else that it tells most', () => {
    const because = (readings: readonly Reading[], state = PARKED): unknown => {
      const sources = [source('F1', 'BAT')];
      const { next } = advise({ sources, readings, state, needs: [CONSTANT] });
      return next.kind === 'visit' ? [next.visit.place, next.because] : next.kind;
    };
    expect(because([])).toEqual(['off', 'A switched feed is dead here; a constant is not.']);
    expect(because([], stateAt('engine'))).toEqual([
      'engine',
      'Tells most about the open feeds for the time it takes.',
    ]);
    const awake = [volts('F1', 'off', 12.4), volts('F1', 'run', 12.2)];
    expect(because(awake)).toEqual([
      'asleep',
      'A constant stays live when the car sleeps; a timed one does not.',
    ]);
  });

  it('leaves the car as it is where it stands at the place already', () => {
    // The door was opened and shut again: still key off, and nobody has to change anything for a touch.
    const states = [
      PARKED,
      { ...stateAt('off'), driverDoor: 'closed' as const, doorOpenedSinceKeyOff: true },
    ];
    for (const state of states) {
      const { next } = advise({
        ...{ sources: [source('F1', 'BAT')], readings: [] },
        ...{ state, needs: [CONSTANT] },
      });
      expect(next).toMatchObject({ kind: 'visit', visit: { place: 'off', seconds: 5 } });
      expect(next.kind === 'visit' && next.visit.state).toBe(state);
    }
  });

  it.each(['A/BAG', 'ABS', 'ECM', 'EPS', 'SRS'])('never asks to probe %s', (legend) => {
    const advice = advise({
      sources: [source('F1', legend)],
      readings: [],
      state: PARKED,
      needs: [CONSTANT, SWITCHED],
    });
    expect(advice.next.kind).toBe('exhausted');
  });

  it('passes over empty positions and slots that take no tap', () => {
    const advice = advise({
      sources: [source('F1', 'BAT', { fitted: false }), source('F2', 'BAT', { tappable: false })],
      readings: [],
      state: PARKED,
      needs: [CONSTANT],
    });
    expect(advice.next.kind).toBe('exhausted');
  });

  it('never tests a source for a need that it can’t supply, and gives it to another', () => {
    const constantAll = (id: string): Reading[] =>
      (['off', 'acc', 'run', 'asleep'] as const).map((place) => volts(id, place, 12.4));
    const given = {
      sources: [source('F1', 'BAT'), source('F2', 'MEMORY')],
      state: stateAt('off'),
      needs: [{ ...CONSTANT, excluded: ['F1'] }],
    };
    const first = advise({ ...given, readings: [] });
    expect(first.next.kind === 'visit' && first.next.visit.sourceIds).toEqual(['F2']);
    const read = advise({ ...given, readings: constantAll('F1') });
    expect(read.filled).toEqual({});
    const other = { id: 'other', role: 'constant' as const };
    const both = advise({
      ...given,
      needs: [...given.needs, other],
      readings: [...constantAll('F1'), ...constantAll('F2')],
    });
    expect(both.filled).toEqual({ memory: 'F2', other: 'F1' });
  });

  it('asks for sleep last, and defers it when told so', () => {
    const given = {
      sources: [source('F1', 'BAT')],
      readings: [
        volts('F1', 'off', 12.5),
        volts('F1', 'acc', 12.4),
        volts('F1', 'run', 12.4),
        volts('F1', 'crank', 10.1),
        volts('F1', 'lamps', 12.4),
        volts('F1', 'justOff', 12.4),
        volts('F1', 'engine', 14.1),
      ],
      state: PARKED,
      needs: [CONSTANT],
    };
    expect(advise(given).next).toMatchObject({ kind: 'visit', visit: { place: 'asleep' } });
    expect(advise({ ...given, cannot: ['asleep'] }).next).toMatchObject({
      kind: 'deferred',
      places: ['asleep'],
    });
  });

  it('cautions where the danger is: at cranking', () => {
    const advice = advise({
      sources: [source('F1', 'ACC')],
      readings: [
        volts('F1', 'off', 0),
        volts('F1', 'acc', 12.3),
        volts('F1', 'run', 12.3),
        volts('F1', 'justOff', 0),
      ],
      state: PARKED,
      needs: [SWITCHED],
      until: 'function',
    });
    expect(advice.next).toMatchObject({
      kind: 'visit',
      visit: { place: 'crank' },
      caution: expect.stringContaining('closed room'),
    });
  });

  it('is done when every need has its own source', () => {
    const advice = advise({
      sources: [source('F1', 'BAT'), source('F2', 'ACC')],
      readings: [
        volts('F1', 'off', 12.5),
        volts('F1', 'run', 12.5),
        volts('F1', 'asleep', 12.5),
        volts('F2', 'off', 0),
        volts('F2', 'acc', 12.3),
        volts('F2', 'run', 12.3),
        volts('F2', 'crank', 0),
        volts('F2', 'justOff', 0),
      ],
      state: PARKED,
      needs: [CONSTANT, SWITCHED],
    });
    expect(advice.next.kind).toBe('filled');
    expect(advice.filled).toEqual({ memory: 'F1', switched: 'F2' });
  });

  it('never gives one source to two needs', () => {
    const advice = advise({
      sources: [source('F1', 'BAT')],
      readings: [volts('F1', 'off', 12.5), volts('F1', 'run', 12.5), volts('F1', 'asleep', 12.5)],
      state: PARKED,
      needs: [CONSTANT, { ...CONSTANT, id: 'second' }],
    });
    expect(Object.values(advice.filled)).toEqual(['F1']);
    expect(advice.next.kind).toBe('exhausted');
  });

  describe('of what the log names', () => {
    const logged = (name: 'accessory' | 'constant', probability = 0.99) => ({
      tapPointId: 't',
      function: name,
      probability,
      seen: ['off', 'acc', 'run', 'crank', 'justOff', 'asleep'] as const,
    });
    /** What is asked for until the need is filled, as place and source, on a car that keeps to the log. */
    const asked = (need: Need, claim: ReturnType<typeof logged>): string[] => {
      const sources = [source('F1', 'CIG'), source('F2', 'ACC', { logged: claim })];
      const readings: Reading[] = [];
      const steps: string[] = [];
      let state = PARKED;
      for (let visits = 0; visits < 20; visits += 1) {
        const { next } = advise({ sources, readings, state, needs: [need] });
        if (next.kind !== 'visit') break;
        state = next.visit.state;
        const isLive = claim.function === 'constant' || state.key === 'acc' || state.key === 'run';
        for (const id of next.visit.sourceIds) {
          steps.push(`${next.visit.place} ${id}`);
          readings.push(volts(id, next.visit.place, isLive ? 12.3 : 0.01));
        }
      }
      return steps;
    };

    it('one live reading confirms a constant', () => {
      expect(asked(CONSTANT, logged('constant'))).toEqual(['off F2']);
    });

    it('a switched feed is seen dead and live once each', () => {
      const steps = asked(SWITCHED, logged('accessory'));
      expect(steps).toHaveLength(2);
      expect(steps).toContain('off F2');
    });

    it('a claim that can’t be trusted saves no check', () => {
      expect(asked(CONSTANT, logged('constant', 0.8))).toContain('asleep F2');
    });

    it('a reading that speaks against it sends the plan elsewhere', () => {
      const advice = advise({
        sources: [source('F1', 'CIG'), source('F2', 'ACC', { logged: logged('accessory') })],
        readings: [volts('F2', 'off', 12.4)],
        state: PARKED,
        needs: [SWITCHED],
      });
      expect(advice.next).toMatchObject({ kind: 'visit', visit: { sourceIds: ['F1'] } });
    });
  });

  it('prefers a harmless legend to a cautious one', () => {
    const advice = advise({
      sources: [source('F1', 'HORN'), source('F2', 'BACK UP')],
      readings: [],
      state: PARKED,
      needs: [CONSTANT],
    });
    expect(advice.next.kind === 'visit' && advice.next.visit.sourceIds[0]).toBe('F2');
  });

  it('reads the harmless legend before the cautious one in the same visit', () => {
    const off = [volts('F1', 'off', 12.5), volts('F2', 'off', 12.5)];
    const run = [volts('F1', 'run', 12.4), volts('F2', 'run', 12.4)];
    const advice = advise({
      sources: [source('F1', 'HORN'), source('F2', 'BACK UP')],
      readings: [...off, ...run],
      state: stateAt('asleep'),
      needs: [CONSTANT],
    });
    expect(advice.next.kind === 'visit' && advice.next.visit.sourceIds[0]).toBe('F2');
  });

  it('refuses a reading at a source that is not there', () => {
    expect(() =>
      advise({ sources: [], readings: [volts('F9', 'off', 12)], state: PARKED, needs: [] }),
    ).toThrow(/F9/);
  });
});
