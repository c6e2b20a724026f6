import { PARKED, stateAt } from '../../vehicle';
import type { ProbeSource, Reading } from '../index';
import { advise } from '../index';

const SLOT: ProbeSource = {
  ...{ id: 'F1', name: 'F1', legend: 'CIG', fitted: true, tappable: true, logged: undefined },
};
const WIRE: ProbeSource = { ...SLOT, kind: 'wire', id: 'W1', name: 'W1', legend: undefined };

/** Readings of a source that stays dead whatever the car does. */
function dead(sourceId: string): Reading[] {
  const places = ['off', 'acc', 'run', 'justOff', 'crank', 'engine', 'lamps', 'hood'] as const;
  return places.map((place) => ({
    ...{ id: `${sourceId} ${place}`, sourceId, contact: undefined, state: stateAt(place) },
    value: { kind: 'volts', volts: 0.01 },
  }));
}

describe('a plan over slots and wires together', () => {
  it('says of both what is nowhere to be found', () => {
    const { next } = advise({
      sources: [SLOT, { ...WIRE, tappable: false }],
      readings: dead('F1'),
      state: PARKED,
      needs: [
        { id: 'supply', role: 'switched' },
        { id: 'hood', role: 'hood' },
      ],
    });
    expect(next.kind).toBe('exhausted');
    if (next.kind !== 'exhausted') return;
    expect([...next.needIds].sort()).toEqual(['hood', 'supply']);
    expect(next.instruction).toMatch(/No slot left/);
    expect(next.instruction).toMatch(/hood switch/);
  });

  it('goes on with what can be tested before it says what can’t be found', () => {
    const { next } = advise({
      sources: [SLOT, { ...WIRE, tappable: false }],
      readings: [],
      state: PARKED,
      needs: [
        { id: 'supply', role: 'switched' },
        { id: 'hood', role: 'hood' },
      ],
    });
    expect(next.kind).toBe('visit');
  });
});
