import type { Assembly } from './assemble';

/** One node taken out of the equations, with what is needed to get its voltage back. */
interface Eliminated {
  readonly node: number;
  /** Sum of all its conductances, S. */
  readonly sum: number;
  readonly neighbours: readonly (readonly [node: number, siemens: number])[];
}

/** A network with its wires, fuses and single loads taken out; what is left is its buses and crossings. */
export interface Condensed {
  readonly eliminated: readonly Eliminated[];
  /** Nodes left, in the order of the reduced equations. */
  readonly kept: readonly number[];
  readonly between: readonly ReadonlyMap<number, number>[];
  readonly toChassis: readonly number[];
}

/** A node with more neighbours than this stays: taking it out would knit the rest together. */
const MOST_NEIGHBOURS = 2;

/**
 * Gaussian elimination of every node with at most two neighbours, in any order, without fill-in (series and parallel
 * reduction, star–delta). A vehicle is nearly a tree: feeds branch out of a few buses, so little is left.
 */
export function condense(assembly: Assembly): Condensed {
  const between = assembly.between.map((row) => new Map(row));
  const toChassis = [...assembly.toChassis];
  const fixed = new Set(assembly.sources.flatMap((source) => [source.plus, source.minus]));
  const gone = new Array<boolean>(between.length).fill(false);
  const eliminated: Eliminated[] = [];
  const waiting = between.map((_, node) => node);
  for (let node = waiting.pop(); node !== undefined; node = waiting.pop()) {
    const row = between[node];
    if (row === undefined || gone[node] === true || fixed.has(node)) continue;
    if (row.size > MOST_NEIGHBOURS) continue;
    const neighbours = [...row];
    const own = toChassis[node] ?? 0;
    const sum = neighbours.reduce((total, [, siemens]) => total + siemens, own);
    eliminated.push({ node, sum, neighbours });
    gone[node] = true;
    for (const [other, siemens] of neighbours) {
      between[other]?.delete(node);
      toChassis[other] = (toChassis[other] ?? 0) + (siemens * own) / sum;
      waiting.push(other);
    }
    const [first, second] = neighbours;
    if (first !== undefined && second !== undefined) {
      const joined = (first[1] * second[1]) / sum;
      between[first[0]]?.set(second[0], (between[first[0]]?.get(second[0]) ?? 0) + joined);
      between[second[0]]?.set(first[0], (between[second[0]]?.get(first[0]) ?? 0) + joined);
    }
  }
  const kept = between.map((_, node) => node).filter((node) => gone[node] !== true);
  return { eliminated, kept, between, toChassis };
}

/** Currents after elimination, A: each eliminated node hands its own on to its neighbours. */
export function carryForward(condensed: Condensed, injected: readonly number[]): number[] {
  const current = [...injected];
  for (const { node, sum, neighbours } of condensed.eliminated)
    for (const [other, siemens] of neighbours)
      current[other] = (current[other] ?? 0) + ((current[node] ?? 0) * siemens) / sum;
  return current;
}

/** Fills in the voltages of the eliminated nodes, in place; `current` as `carryForward` gave it. */
export function carryBack(condensed: Condensed, current: readonly number[], volts: number[]): void {
  for (let index = condensed.eliminated.length - 1; index >= 0; index -= 1) {
    const step = condensed.eliminated[index];
    if (step === undefined) continue;
    const sum = step.neighbours.reduce(
      (total, [other, siemens]) => total + siemens * (volts[other] ?? 0),
      current[step.node] ?? 0,
    );
    volts[step.node] = sum / step.sum;
  }
}
