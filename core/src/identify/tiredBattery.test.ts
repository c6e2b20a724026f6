import { PARKED, stateAt } from '../vehicle';
import type { StitchPlace } from '../vehicle';
import { advise } from './advise';
import type { ReadingValue } from './reading/reading';
import type { ProbeSource } from './reading/source';
import { fills } from './need/fills';
import { judgeSource as judge } from './judgeSource';

const GAUGES: ProbeSource = {
  id: 'F1',
  name: 'F1',
  legend: 'METER',
  fitted: true,
  tappable: true,
  logged: undefined,
};
const STEADY = { id: 'steady', role: 'switched', holdsCranking: true } as const;

function read(rows: readonly (readonly [StitchPlace, number | 'lit' | 'dim' | 'dark'])[]) {
  return rows.map(([place, shown], index) => ({
    id: `r${index}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value: (typeof shown === 'number'
      ? { kind: 'volts', volts: shown }
      : { kind: 'glow', glow: shown }) satisfies ReadingValue,
  }));
}

describe('a feed that must hold through cranking, on a tired battery', () => {
  // A battery test calls 9.6 V while cranking sound; in the cold and with age 7 V still turn an engine. Common practice.
  it.each([11.4, 10, 9.1, 8.2, 7.4, 7])(
    'is served by a circuit at %d V while cranking',
    (volts) => {
      const verdict = judge(
        GAUGES,
        read([
          ['off', 0.01],
          ['run', 11.6],
          ['crank', volts],
        ]),
      );
      expect(fills(STEADY, verdict)).toBe(true);
    },
  );

  it('is served where a lamp burns dim while cranking: it gives a quarter of its light at 8 V', () => {
    const verdict = judge(
      GAUGES,
      read([
        ['off', 'dark'],
        ['run', 'lit'],
        ['crank', 'dim'],
      ]),
    );
    expect(fills(STEADY, verdict)).toBe(true);
  });

  it.each([
    ['a meter', 0.02],
    ['a lamp', 'dark'],
  ] as const)('is not served by one that %s shows dead while cranking', (_, shown) => {
    const readings = read([
      ['off', shown],
      ['run', shown === 'dark' ? 'lit' : 12.3],
      ['crank', shown],
      ['crank', shown],
    ]);
    expect(fills(STEADY, judge(GAUGES, readings.slice(0, 3)))).toBe(false);
    expect(fills(STEADY, judge(GAUGES, readings))).toBe(false);
    const { next } = advise({ sources: [GAUGES], readings, state: PARKED, needs: [STEADY] });
    expect(next.kind).toBe('exhausted');
  });
});

describe('a ghost at a slot', () => {
  it('does not keep a switched feed from being taken for one: 2 V at key off light nothing and feed nothing', () => {
    const readings = read([
      ['off', 2.1],
      ['run', 12.3],
    ]);
    const socket = { ...GAUGES, legend: 'CIG' };
    const { next } = advise({
      sources: [socket],
      readings,
      state: stateAt('run'),
      needs: [{ id: 'supply', role: 'switched' }],
    });
    expect(next.kind === 'visit' && ['waited', 'asleep'].includes(next.visit.place)).toBe(false);
  });
});
