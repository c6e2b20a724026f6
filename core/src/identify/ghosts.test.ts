import { PARKED, stateAt } from '../vehicle';
import type { Need, Reading, ReadingValue, ProbeSource } from './index';
import { advise, meetsProbability } from './index';

const SUPPLY: Need = { id: 'supply', role: 'switched' };
const SOURCES: readonly ProbeSource[] = [
  { id: 'F1', name: 'F1', legend: 'AUDIO', fitted: true, tappable: true, logged: undefined },
];

function reading(place: 'off' | 'run' | 'acc', value: ReadingValue): Reading {
  return {
    id: `${place}-${value.kind}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value,
  };
}

/** A 10 MΩ meter shows some volts on a wire that hangs in the air; common practice. */
const GHOST = reading('off', { kind: 'volts', volts: 4.1 });
const LIVE = reading('run', { kind: 'volts', volts: 12.3 });
const DARK = reading('off', { kind: 'glow', glow: 'dark' });

function ask(readings: readonly Reading[], lamp: boolean) {
  return advise({ sources: SOURCES, readings, state: PARKED, needs: [SUPPLY], lamp });
}

describe('a ghost voltage', () => {
  it('is looked at again with the lamp, where there is one', () => {
    const { next } = ask([GHOST], true);
    expect(next).toMatchObject({
      kind: 'visit',
      visit: { place: 'off', sourceIds: ['F1'], withLamp: ['F1'] },
      instruction: 'Touch F1 with the lamp.',
    });
    expect(next.kind === 'visit' && next.because).toMatch(/ghost does not light a lamp/);
  });

  it('is left at that without a lamp: the other states must tell', () => {
    const { next } = ask([GHOST], false);
    expect(next).toMatchObject({ kind: 'visit', visit: { withLamp: [] } });
    expect(next.kind === 'visit' && next.visit.place).not.toBe('off');
  });

  it('is settled by a dark lamp: nobody asks a third time', () => {
    const { next } = ask([GHOST, DARK], true);
    expect(next.kind === 'visit' && next.visit.place).not.toBe('off');
  });

  it('weighs less once the lamp stayed dark', () => {
    const chance = (readings: readonly Reading[]): number => {
      const [verdict] = ask(readings, true).verdicts;
      return verdict === undefined ? 0 : meetsProbability(SUPPLY, verdict.posterior);
    };
    const doubted = chance([GHOST, LIVE]);
    expect(chance([GHOST, DARK, LIVE])).toBeGreaterThan(doubted);
    expect(chance([DARK, LIVE])).toBeGreaterThan(0.97);
  });

  it('is no ghost when the meter shows battery voltage or nothing', () => {
    for (const volts of [12.4, 0.02]) {
      const { next } = ask([reading('off', { kind: 'volts', volts })], true);
      if (next.kind === 'visit') expect(next.visit.withLamp).toEqual([]);
    }
  });
});
