import fc from 'fast-check';
import type { SolveResult } from 'javascript-lp-solver';
import solver from 'javascript-lp-solver';
import { stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import type { HarnessWire } from './index';
import { CAPACITY, WIRE_ROLES, adviseHarness, balance, bestAssignments } from './index';

const ON = { ...stateAt('run'), lamps: true };

function wire(id: string, colour?: string, tapedWith?: string): HarnessWire {
  return { id, name: id, colour, tapedWith };
}

function reading(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  return {
    id: `${sourceId}-${JSON.stringify(value)}-${more.state?.key ?? 'on'}`,
    sourceId,
    contact: undefined,
    state: ON,
    value,
    ...more,
  };
}

function volts(sourceId: string, value: number, more: Partial<Reading> = {}): Reading {
  return reading(sourceId, { kind: 'volts', volts: value }, more);
}

/** The bunch of the trade's own order of work; common practice. */
const WIRES = [
  wire('yellow', 'YE'),
  wire('red', 'RD'),
  wire('orange', 'OG'),
  wire('black', 'BK'),
  wire('white', 'WH', 'whiteBlack'),
  wire('whiteBlack', 'WH/BK', 'white'),
];
const EVERYTHING_ON = [
  volts('yellow', 12.3),
  volts('red', 12.3),
  volts('orange', 12.3),
  volts('black', 0),
  volts('white', 0.1),
  volts('whiteBlack', 0.1),
];
const OFF = stateAt('off');

describe('adviseHarness', () => {
  it('looks at every wire with everything on before anything else', () => {
    const { next } = adviseHarness({ wires: WIRES, readings: [], state: OFF });
    expect(next).toMatchObject({ kind: 'probe', state: { key: 'run', lamps: true } });
    expect(next.kind === 'probe' && next.wireIds).toHaveLength(WIRES.length);
  });

  // An amplifier with one supply rests at half of it. Common practice.
  it('leaves an amplifier’s outputs alone: half the supply with the key on', () => {
    const driven = EVERYTHING_ON.map((one) =>
      one.sourceId.startsWith('white') ? volts(one.sourceId, 6.2) : one,
    );
    const { wires } = adviseHarness({ wires: WIRES, readings: driven, state: ON });
    for (const id of ['white', 'whiteBlack']) {
      const verdict = wires.find(({ wireId }) => wireId === id);
      expect(verdict).toMatchObject({ role: 'amplifier', popSafe: 'an amplifier drives it' });
    }
  });

  it('then asks only what was live with the key off', () => {
    const { next } = adviseHarness({ wires: WIRES, readings: EVERYTHING_ON, state: ON });
    expect(next.kind === 'probe' && [...next.wireIds].sort()).toEqual(['orange', 'red', 'yellow']);
  });

  // Key off: the only live wire is the constant. Lamps on: one more. Common practice, see the check values.
  it('tells constant, accessory, illumination, ground and a speaker apart', () => {
    const readings = [
      ...EVERYTHING_ON,
      volts('yellow', 12.4, { state: OFF }),
      volts('red', 0, { state: OFF }),
      volts('orange', 0, { state: OFF }),
      volts('red', 12.2, { state: stateAt('acc') }),
      volts('orange', 0, { state: stateAt('acc') }),
      reading('black', { kind: 'ohms', ohm: 0.3 }, { state: OFF }),
      reading(
        'white',
        { kind: 'pop', cone: 'out', speaker: 'rear left' },
        {
          state: OFF,
          otherId: 'whiteBlack',
        },
      ),
    ];
    const advice = adviseHarness({ wires: WIRES, readings, state: OFF });
    expect(advice.wires.map((one) => one.role)).toEqual([
      'constant',
      'switched',
      'lamps',
      'ground',
      'speaker',
      'speaker',
    ]);
    expect(advice.pairs).toEqual([
      { plusId: 'white', minusId: 'whiteBlack', speaker: 'rear left', proved: true },
    ]);
  });

  it('tries the taped pair first, and never a wire that was not read dead with the key on', () => {
    const readings = [
      ...EVERYTHING_ON.filter(({ sourceId }) => sourceId !== 'white'),
      reading('black', { kind: 'ohms', ohm: 0.3 }, { state: OFF }),
    ];
    const { wires } = adviseHarness({ wires: WIRES, readings, state: OFF });
    expect(wires.find((one) => one.wireId === 'white')?.popSafe).toMatch(/not read/);
    expect(wires.find((one) => one.wireId === 'yellow')?.popSafe).not.toBe(true);
    expect(wires.find((one) => one.wireId === 'whiteBlack')?.popSafe).toBe(true);
  });

  // A poor ground and a cold bulb both show a few ohms; the lamp burns on the ground. Common practice.
  it('asks the lamp on the constant where ground shows a few ohms, and says so while it is not sure', () => {
    const wires = [...WIRES, wire('second')];
    const told = [
      ...EVERYTHING_ON,
      volts('second', 0),
      volts('yellow', 12.4, { state: OFF }),
      ...(['off', 'acc', 'run'] as const).flatMap((place) => {
        const state = stateAt(place);
        return [volts('red', place === 'off' ? 0 : 12.2, { state }), volts('orange', 0, { state })];
      }),
      reading('black', { kind: 'ohms', ohm: 0.3 }, { state: OFF }),
      reading('second', { kind: 'ohms', ohm: 4 }, { state: OFF }),
      reading(
        'white',
        { kind: 'pop', cone: 'out', speaker: 'rear left' },
        { state: OFF, otherId: 'whiteBlack' },
      ),
    ];
    const ask = (readings: readonly Reading[], cannot: readonly 'lamp'[] = []) =>
      adviseHarness({ wires, readings, state: OFF, cannot });
    expect(ask(told).next).toMatchObject({
      kind: 'probe',
      instrument: 'lamp',
      clip: 'constant',
      wireIds: ['second'],
    });
    const without = ask(told, ['lamp']).next;
    expect(without.kind).toBe('done');
    expect(without.instruction).toMatch(/not all are sure: prove second/);
    const chance = (readings: readonly Reading[]): number =>
      ask(readings).wires.find(({ wireId }) => wireId === 'second')?.certainty ?? 0;
    const lit = reading('second', { kind: 'glow', glow: 'lit' }, { state: OFF, clip: 'constant' });
    expect(chance([...told, lit])).toBeGreaterThan(chance(told));
  });

  it('finds pairs by ohms where there is no 9 V, and leaves polarity open', () => {
    const readings = [
      ...EVERYTHING_ON,
      ...['off', 'acc', 'run'].flatMap((place) => {
        const state = stateAt(place as 'off');
        return [
          volts('yellow', 12.4, { state }),
          volts('red', place === 'off' ? 0 : 12.2, { state }),
          volts('orange', 0, { state }),
        ];
      }),
      reading('black', { kind: 'ohms', ohm: 0.3 }, { state: OFF }),
    ];
    const session = { wires: WIRES, state: OFF, cannot: ['pop'] as const };
    const { next } = adviseHarness({ ...session, readings });
    expect(next).toMatchObject({ kind: 'pairOhms', oneId: 'white', otherId: 'whiteBlack' });
    const measured = reading(
      'whiteBlack',
      { kind: 'ohms', ohm: 3.9 },
      { state: OFF, otherId: 'white' },
    );
    const after = adviseHarness({ ...session, readings: [...readings, measured] });
    expect(after.pairs).toEqual([
      { plusId: 'white', minusId: 'whiteBlack', speaker: undefined, proved: false },
    ]);
    expect(after.next.kind).toBe('done');
  });

  it('fences a data line off by its bias', () => {
    const wires = [...WIRES, wire('green', 'GN'), wire('greenTwo', 'GN')];
    const readings = [...EVERYTHING_ON, volts('green', 2.65), volts('greenTwo', 2.35)];
    const advice = adviseHarness({ wires, readings, state: ON });
    const green = advice.wires.find((one) => one.wireId === 'green');
    expect(green?.role).toBe('dataBus');
    expect(green?.popSafe).not.toBe(true);
  });

  it('helps when nothing is live: clip, then the radio’s fuse', () => {
    const readings = WIRES.map(({ id }) => volts(id, 0.01));
    const { next } = adviseHarness({ wires: WIRES, readings, state: ON });
    expect(next.kind).toBe('help');
    expect(next.instruction).toMatch(/clip.*fuse that feeds radio and courtesy lamp/);
  });

  it('lets colours speak in their own family only', () => {
    const alone = [wire('x', 'YE'), wire('y', 'GY')];
    const chance = (family: 'factory' | 'aftermarket'): number =>
      adviseHarness({
        wires: alone,
        readings: [volts('x', 12.3)],
        state: ON,
        family,
      }).wires[0]?.ranked.find((one) => one.role === 'constant')?.probability ?? 0;
    expect(chance('aftermarket')).toBeGreaterThan(chance('factory'));
  });

  it.each([
    ['an unknown wire', volts('none', 12), RangeError],
    ['400 V', volts('red', 400), RangeError],
    ['no number', volts('red', Number.NaN), TypeError],
  ])('refuses %s', (_name, bad, error) => {
    expect(() => adviseHarness({ wires: WIRES, readings: [bad], state: OFF })).toThrow(error);
  });
});

describe('joint assignment', () => {
  const row = fc
    .array(fc.double({ min: 0.001, max: 1, noNaN: true }), {
      minLength: WIRE_ROLES.length,
      maxLength: WIRE_ROLES.length,
    })
    .map((weights) => {
      const total = weights.reduce((sum, weight) => sum + weight, 0);
      return weights.map((weight) => weight / total);
    });
  const rows = fc.array(row, { minLength: 2, maxLength: 7 });

  // Reference: the same problem as a linear programme, solved by the package javascript-lp-solver (simplex).
  it('finds an assignment as good as a reference package', () => {
    fc.assert(
      fc.property(rows, (chances) => {
        const constraints: Record<string, { max?: number; equal?: number }> = {};
        const variables: Record<string, Record<string, number>> = {};
        chances.forEach((one, wireIndex) => {
          constraints[`wire${wireIndex}`] = { equal: 1 };
          WIRE_ROLES.forEach((role, index) => {
            const [least, most] = CAPACITY[role];
            for (let seat = 0; seat < Math.min(most, chances.length); seat += 1) {
              constraints[`${role}${seat}`] = { max: 1 };
              variables[`${wireIndex}-${role}${seat}`] = {
                weight: Math.log(one[index] ?? 1e-9) + (seat < least ? Math.log(200) : 0) + 100,
                [`wire${wireIndex}`]: 1,
                [`${role}${seat}`]: 1,
              };
            }
          });
        });
        const model = { optimize: 'weight', opType: 'max' as const, constraints, variables };
        const { result } = solver.Solve(model) as SolveResult;
        const reference = Number(result) - 100 * chances.length;
        expect(bestAssignments(chances, 1)[0]?.logWeight ?? 0).toBeCloseTo(reference, 5);
      }),
      { numRuns: 40 },
    );
  });

  it('gives different assignments, best first, each within the number of wires of its roles', () => {
    fc.assert(
      fc.property(rows, (chances) => {
        const best = bestAssignments(chances, 3);
        const names = best.map(({ roles }) => roles.join());
        expect(new Set(names).size).toBe(names.length);
        best.forEach((one, index) => {
          expect(one.logWeight).toBeLessThanOrEqual(
            (best[index - 1]?.logWeight ?? Infinity) + 1e-9,
          );
          for (const role of WIRE_ROLES)
            expect(one.roles.filter((each) => each === role).length).toBeLessThanOrEqual(
              CAPACITY[role][1],
            );
        });
      }),
      { numRuns: 25 },
    );
  });

  it('balances chances: rows stay chances, and no role has more wires than it can', () => {
    fc.assert(
      fc.property(rows, (chances) => {
        const balanced = balance(chances);
        for (const one of balanced)
          expect(one.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
        WIRE_ROLES.forEach((role, column) => {
          const sum = balanced.reduce((total, one) => total + (one[column] ?? 0), 0);
          expect(sum).toBeLessThan(CAPACITY[role][1] + 0.35);
          expect(sum).toBeGreaterThan(Math.min(CAPACITY[role][0], chances.length) - 0.35);
        });
      }),
      { numRuns: 40 },
    );
  });

  // Iterative proportional fitting keeps cross-product ratios, since it only multiplies rows and columns (Bishop, Fienberg and
  // Holland, Discrete Multivariate Analysis, 1975; from memory).
  it('changes no odds between two wires and two roles', () => {
    const odds = (all: readonly (readonly number[])[], row: number, column: number): number => {
      const at = (r: number, c: number): number => Math.log(all[r]?.[c] ?? 1);
      return at(row, column) + at(row + 1, column + 1) - at(row, column + 1) - at(row + 1, column);
    };
    fc.assert(
      fc.property(rows, (chances) => {
        const balanced = balance(chances);
        for (let row = 0; row + 1 < chances.length; row += 1)
          for (let column = 0; column + 1 < WIRE_ROLES.length; column += 1)
            expect(odds(balanced, row, column)).toBeCloseTo(odds(chances, row, column), 6);
      }),
      { numRuns: 40 },
    );
  });
});
