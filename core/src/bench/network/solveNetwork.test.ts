import fc from 'fast-check';
import { LuDecomposition, Matrix } from 'ml-matrix';
import { generateVehicle } from '../index';
import { stateAt } from '../../vehicle';
import { compileCar } from '../car/compileCar';
import { UNTOUCHED } from '../car/benchCar';
import { LEAK_S, assemble } from './assemble';
import type { Element } from './element';
import { CHASSIS } from './element';
import { solveNetwork } from './solveNetwork';

function source(plus: string, volts: number): Element {
  return { kind: 'voltage', plus, minus: CHASSIS, volts };
}

function resistor(a: string, b: string, ohm: number): Element {
  return { kind: 'resistor', a, b, ohm };
}

/**
 * The same circuit by the sparse tableau (Hachtel, Brayton, Gustavson 1971): node voltages and branch currents are all
 * unknowns, solved dense by a general linear algebra package. No conductances are summed up, so that megohms beside
 * milliohms cost no digits.
 */
function tableauVoltages(elements: readonly Element[]): Map<string, number> {
  const { nodes } = assemble(elements);
  const leaks = [...nodes.keys()].map((name) => resistor(name, CHASSIS, 1 / LEAK_S));
  const all = [...elements, ...leaks];
  const branches = all.filter((one) => one.kind !== 'current');
  const count = nodes.size;
  const matrix = Matrix.zeros(count + branches.length, count + branches.length);
  const right = new Array<number>(count + branches.length).fill(0);
  const at = (name: string): number => nodes.get(name) ?? -1;
  branches.forEach((branch, index) => {
    const row = count + index;
    const [from, to] =
      branch.kind === 'resistor'
        ? [at(branch.a), at(branch.b)]
        : [at(branch.plus), at(branch.minus)];
    for (const [node, sign] of [
      [from, 1],
      [to, -1],
    ] as const) {
      if (node < 0) continue;
      matrix.set(node, row, sign);
      matrix.set(row, node, branch.kind === 'resistor' ? sign / branch.ohm : sign);
    }
    if (branch.kind === 'resistor') matrix.set(row, row, -1);
    else right[row] = branch.volts;
  });
  for (const one of all) {
    if (one.kind !== 'current') continue;
    if (at(one.to) >= 0) right[at(one.to)] = (right[at(one.to)] ?? 0) + one.amperes;
    if (at(one.from) >= 0) right[at(one.from)] = (right[at(one.from)] ?? 0) - one.amperes;
  }
  const answer = new LuDecomposition(matrix).solve(Matrix.columnVector(right));
  return new Map([...nodes].map(([name, index]) => [name, answer.get(index, 0)]));
}

describe('solveNetwork against textbook circuits', () => {
  // Voltage divider loaded by a 10 MΩ meter, computed: 12 V over 1 MΩ and 1 MΩ ∥ 10 MΩ.
  it('divides a voltage, and less of it with a meter on it', () => {
    const divider = [source('in', 12), resistor('in', 'out', 1e6), resistor('out', CHASSIS, 1e6)];
    const loaded = [...divider, resistor('out', CHASSIS, 10e6)];
    expect(solveNetwork(divider).voltage('out')).toBeCloseTo(6, 2);
    const parallel = 1 / (1 / 1e6 + 1 / 10e6);
    expect(solveNetwork(loaded).voltage('out')).toBeCloseTo((12 * parallel) / (1e6 + parallel), 2);
  });

  // Wheatstone bridge, textbook: balanced when R1/R2 = R3/Rx; otherwise the difference of two dividers.
  it('balances a Wheatstone bridge', () => {
    const bridge = (rx: number): Element[] => [
      source('top', 10),
      resistor('top', 'left', 100),
      resistor('left', CHASSIS, 200),
      resistor('top', 'right', 150),
      resistor('right', CHASSIS, rx),
      resistor('left', 'right', 1e7),
    ];
    const across = (rx: number): number => solveNetwork(bridge(rx)).port('left', 'right').volts;
    expect(across(300)).toBeCloseTo(0, 6);
    expect(across(450)).toBeCloseTo(10 * (200 / 300 - 450 / 600), 3);
  });

  // R–2R ladder, textbook: looking into any node the ladder has resistance R, and each step halves the voltage.
  it('halves the voltage at every step of an R–2R ladder', () => {
    const steps = 6;
    const R = 1000;
    const ladder: Element[] = [source('n0', 8)];
    for (let step = 0; step < steps; step += 1) {
      ladder.push(resistor(`n${step}`, `n${step + 1}`, R));
      ladder.push(resistor(`n${step + 1}`, CHASSIS, step === steps - 1 ? R : 2 * R));
    }
    const solved = solveNetwork(ladder);
    for (let step = 1; step <= steps; step += 1)
      expect(solved.voltage(`n${step}`)).toBeCloseTo(8 / 2 ** step, 4);
  });

  // Thévenin, computed: 9 V behind 3 kΩ ∥ 6 kΩ of a divider.
  it('sees the resistance behind a port', () => {
    const port = solveNetwork([
      source('in', 9),
      resistor('in', 'out', 3000),
      resistor('out', CHASSIS, 6000),
    ]).port('out');
    expect(port.volts).toBeCloseTo(6, 4);
    expect(port.ohm).toBeCloseTo(2000, 2);
  });

  it('keeps Kirchhoff’s current law with an ideal current', () => {
    const solved = solveNetwork([
      { kind: 'current', from: CHASSIS, to: 'a', amperes: 2 },
      resistor('a', CHASSIS, 5),
    ]);
    expect(solved.voltage('a')).toBeCloseTo(10, 6);
  });

  it.each([0, -1, Number.NaN])('refuses a resistor of %p Ω', (ohm) => {
    expect(() => solveNetwork([resistor('a', CHASSIS, ohm)])).toThrow(RangeError);
  });

  it('refuses ideal sources that contradict each other', () => {
    expect(() => solveNetwork([source('a', 12), source('a', 6)])).toThrow(/no solution/);
  });
});

describe('solveNetwork against a reference solver', () => {
  it('agrees to 1e-9 V on generated cars', () => {
    let largest = 0;
    for (const seed of [3, 9]) {
      const elements = compileCar(generateVehicle(seed).truth, stateAt('run'), {
        situation: UNTOUCHED,
        unsettled: { relayIn: true, bulbV: new Map(), pulse: 'on' },
      });
      const solved = solveNetwork(elements);
      for (const [name, volts] of tableauVoltages(elements))
        largest = Math.max(largest, Math.abs(solved.voltage(name) - volts));
    }
    expect(largest).toBeLessThan(1e-9);
  });

  it('agrees on any resistive network', () => {
    const node = fc.constantFrom('a', 'b', 'c', 'd', 'e', CHASSIS);
    const parts = fc.array(fc.tuple(node, node, fc.double({ min: 0.1, max: 1e5, noNaN: true })), {
      minLength: 3,
      maxLength: 14,
    });
    fc.assert(
      fc.property(parts, fc.double({ min: -15, max: 15, noNaN: true }), (list, volts) => {
        const elements = [
          source('a', volts),
          ...list.filter(([a, b]) => a !== b).map(([a, b, ohm]) => resistor(a, b, ohm)),
        ];
        const solved = solveNetwork(elements);
        for (const [name, expected] of tableauVoltages(elements))
          expect(Math.abs(solved.voltage(name) - expected)).toBeLessThan(1e-9);
      }),
      { numRuns: 60 },
    );
  });
});
