import { LuDecomposition, Matrix } from 'ml-matrix';
import type { Assembly } from './assemble';
import { assemble } from './assemble';
import type { Condensed } from './condense';
import { carryBack, carryForward, condense } from './condense';
import type { Element } from './element';
import { CHASSIS } from './element';

/** What an instrument between two nodes sees: the open voltage, and the resistance behind it (Thévenin). */
export interface Port {
  /** Voltage of its source, V against ground. */
  readonly volts: number;
  /** What the network looks like from there, Ω, above 0. */
  readonly ohm: number;
}

/** A solved network; asking it is cheap. */
export interface SolvedNetwork {
  /** Voltage of a node against chassis, V. @throws RangeError for a node that is not there. */
  readonly voltage: (node: string) => number;
  /** The network as seen between two nodes; chassis is one of them by default. */
  readonly port: (node: string, against?: string) => Port;
}

/**
 * Every node voltage of a network, by modified nodal analysis (Ho, Ruehli, Brennan 1975): Kirchhoff's current law at
 * every node, one more unknown per ideal voltage source. Nodes of wires and single loads are eliminated first; the
 * rest is solved by LU decomposition.
 *
 * @throws RangeError for impossible values, or when ideal sources contradict each other.
 *
 * @example
 * solveNetwork([
 *   { kind: 'voltage', plus: 'in', minus: CHASSIS, volts: 12 },
 *   { kind: 'resistor', a: 'in', b: 'out', ohm: 1000 },
 *   { kind: 'resistor', a: 'out', b: CHASSIS, ohm: 2000 },
 * ]).voltage('out') // 8
 */
export function solveNetwork(elements: readonly Element[]): SolvedNetwork {
  const assembly = assemble(elements);
  const condensed = condense(assembly);
  const solver = factor(assembly, condensed);
  const base = solver(assembly.injected, 1);
  const responses = new Map<number, readonly number[]>();
  const indexOf = (name: string): number => {
    if (name === CHASSIS) return -1;
    const index = assembly.nodes.get(name);
    if (index === undefined) throw new RangeError(`The network has no node ${name}`);
    return index;
  };
  const at = (volts: readonly number[], index: number): number =>
    index < 0 ? 0 : (volts[index] ?? 0);
  /** Voltages that one ampere into a node raises, with all sources at rest. */
  const response = (index: number): readonly number[] => {
    const known = responses.get(index);
    if (known !== undefined) return known;
    const unit = new Array<number>(assembly.injected.length).fill(0);
    if (index >= 0) unit[index] = 1;
    const volts = solver(unit, 0);
    responses.set(index, volts);
    return volts;
  };
  return {
    voltage: (node) => at(base, indexOf(node)),
    port: (node, against = CHASSIS) => {
      const [a, b] = [indexOf(node), indexOf(against)];
      const volts = at(base, a) - at(base, b);
      const ofA = response(a);
      const ofB = response(b);
      return { volts, ohm: at(ofA, a) + at(ofB, b) - at(ofA, b) - at(ofB, a) };
    },
  };
}

/** Prepares the equations once; the answer solves them for injected currents and a share of the ideal sources. */
function factor(
  assembly: Assembly,
  condensed: Condensed,
): (injected: readonly number[], sourceShare: 0 | 1) => number[] {
  const { kept } = condensed;
  const place = new Map(kept.map((node, index) => [node, index]));
  const size = kept.length + assembly.sources.length;
  const matrix = size === 0 ? undefined : Matrix.zeros(size, size);
  kept.forEach((node, row) => {
    let sum = condensed.toChassis[node] ?? 0;
    for (const [other, siemens] of condensed.between[node] ?? []) {
      sum += siemens;
      matrix?.set(row, place.get(other) ?? 0, -siemens);
    }
    matrix?.set(row, row, sum);
  });
  assembly.sources.forEach((source, index) => {
    const row = kept.length + index;
    for (const [node, sign] of [
      [source.plus, 1],
      [source.minus, -1],
    ] as const) {
      const column = place.get(node);
      if (column === undefined) continue;
      matrix?.set(row, column, sign);
      matrix?.set(column, row, sign);
    }
  });
  const lu = matrix === undefined ? undefined : new LuDecomposition(matrix);
  if (lu?.isSingular() === true)
    throw new RangeError(
      'Ideal voltage sources contradict each other: the network has no solution',
    );
  return (injected, sourceShare) => {
    const current = carryForward(condensed, injected);
    const volts = new Array<number>(injected.length).fill(0);
    if (lu !== undefined) {
      const right = [
        ...kept.map((node) => current[node] ?? 0),
        ...assembly.sources.map((source) => source.volts * sourceShare),
      ];
      const answer = lu.solve(Matrix.columnVector(right));
      kept.forEach((node, index) => (volts[node] = answer.get(index, 0)));
    }
    carryBack(condensed, current, volts);
    return volts;
  };
}
