import { stateAt } from '../../vehicle';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import { plainPosterior } from '../plain/plainPosterior';
import type { Reading, ReadingValue } from '../reading/reading';
import { pairFit, poppedAs } from './pairEvidence';
import { posterior } from './posterior';
import { sourcePrior } from './sourcePrior';

const PRIOR = sourcePrior({ legend: undefined, logged: undefined, kind: 'wire' });
const DEAD: Reading = {
  ...{ id: 'dead', sourceId: 'a', contact: undefined, state: stateAt('run') },
  value: { kind: 'volts', volts: 0.01 },
};

function between(value: ReadingValue, sourceId = 'a', otherId = 'b'): Reading {
  return {
    ...{ id: `${sourceId}${otherId}${value.kind}`, sourceId, otherId, contact: undefined },
    ...{ state: stateAt('off'), value },
  };
}

const popped = (cone: 'out' | 'in' | 'unseen' | 'none'): ReadingValue => ({
  kind: 'pop',
  cone,
  speaker: cone === 'none' ? undefined : 'front left',
});

function chanceOf(
  name: 'speaker' | 'dataBus',
  ...values: ReadingValue[]
): { before: number; after: number } {
  const readings = [DEAD, ...values.map((value) => between(value))];
  return {
    before: posterior(PRIOR, [DEAD]).functions[name],
    after: posterior(PRIOR, readings).functions[name],
  };
}

describe('what two wires showed together', () => {
  it('says nothing of a wire that was read alone, or whose pop moved nothing', () => {
    expect(pairFit([DEAD])).toBeUndefined();
    expect(pairFit([DEAD, between(popped('none'))])).toBeUndefined();
    expect(pairFit([DEAD, between({ kind: 'ohms', ohm: null })])).toBeUndefined();
  });

  it.each(['out', 'in', 'unseen'] as const)(
    'makes a speaker of a wire whose cone moved %s',
    (cone) => {
      expect(chanceOf('speaker', popped(cone)).after).toBeGreaterThan(0.99);
    },
  );

  // Common practice: a voice coil measures a few ohms, a terminated pair of a CAN bus 60 or 120 Ω (ISO 11898).
  it('makes a speaker of a few ohms, and a data pair of sixty', () => {
    expect(chanceOf('speaker', { kind: 'ohms', ohm: 3.4 }).after).toBeGreaterThan(0.99);
    const speaker = chanceOf('speaker', { kind: 'ohms', ohm: 60 });
    expect(speaker.after).toBeLessThan(speaker.before / 5);
  });

  it('makes nothing of a coil that no pop moved', () => {
    const { before, after } = chanceOf('speaker', { kind: 'ohms', ohm: 3.4 }, popped('none'));
    expect(after).toBeCloseTo(before, 9);
  });

  it('is the same as Bayes’ rule written down plainly', () => {
    const cases: readonly ReadingValue[][] = [
      [popped('out')],
      [{ kind: 'ohms', ohm: 3.4 }],
      [{ kind: 'ohms', ohm: 60 }],
      [{ kind: 'ohms', ohm: 5 }, popped('in')],
    ];
    for (const values of cases) {
      const readings = [DEAD, ...values.map((value) => between(value))];
      const [quick, plain] = [posterior(PRIOR, readings), plainPosterior(PRIOR, readings)];
      for (const name of CIRCUIT_FUNCTIONS)
        expect(quick.functions[name]).toBeCloseTo(plain.functions[name], 9);
      quick.byReadings.forEach((chance, index) =>
        expect(chance).toBeCloseTo(plain.byReadings[index] ?? -1, 9),
      );
    }
  });
});

describe('which speaker’s lead a wire is', () => {
  it('goes by where plus was and which way the cone moved', () => {
    expect(poppedAs('a', [between(popped('out'))])).toMatchObject({ end: 'plus', proved: true });
    expect(poppedAs('b', [between(popped('out'))])).toMatchObject({ end: 'minus' });
    expect(poppedAs('a', [between(popped('in'))])).toMatchObject({ end: 'minus' });
    expect(poppedAs('b', [between(popped('in'))])).toMatchObject({ end: 'plus' });
    expect(poppedAs('a', [between(popped('unseen'))])).toEqual({
      ...{ speaker: 'front left', end: 'plus', proved: false },
    });
  });

  it('is the last pop’s, and none without one', () => {
    expect(poppedAs('a', [between(popped('none'))])).toBeUndefined();
    const twice = [between(popped('unseen')), between(popped('none')), between(popped('in'))];
    expect(poppedAs('a', twice)).toMatchObject({ end: 'minus', proved: true });
  });
});
