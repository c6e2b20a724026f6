import type { Element } from './element';
import { CHASSIS } from './element';

/**
 * Leak from every node to chassis, S, as circuit simulators add it, so that a part without any path still has a
 * solution. A thousand times less than a 10 MΩ meter draws.
 */
export const LEAK_S = 1e-10;

/** A network as nodal equations: conductances between nodes, to chassis, injected currents, and ideal sources. */
export interface Assembly {
  /** Index of each node; chassis is not among them. */
  readonly nodes: ReadonlyMap<string, number>;
  /** Conductance between two nodes, S, by node and neighbour. */
  readonly between: readonly Map<number, number>[];
  /** Conductance to chassis, S. */
  readonly toChassis: number[];
  /** Current injected into each node, A. */
  readonly injected: number[];
  /** Ideal sources; -1 stands for chassis. */
  readonly sources: readonly {
    readonly plus: number;
    readonly minus: number;
    readonly volts: number;
  }[];
}

/**
 * The nodal equations of a network.
 *
 * @throws RangeError for a resistance that is not above zero, or a value that is no finite number.
 */
export function assemble(elements: readonly Element[]): Assembly {
  const nodes = new Map<string, number>();
  const between: Map<number, number>[] = [];
  const toChassis: number[] = [];
  const injected: number[] = [];
  const sources: { plus: number; minus: number; volts: number }[] = [];
  const indexOf = (name: string): number => {
    if (name === CHASSIS) return -1;
    const known = nodes.get(name);
    if (known !== undefined) return known;
    nodes.set(name, between.length);
    between.push(new Map());
    toChassis.push(LEAK_S);
    injected.push(0);
    return between.length - 1;
  };
  for (const element of elements) {
    switch (element.kind) {
      case 'resistor':
        if (!(element.ohm > 0))
          throw new RangeError(
            `A resistor from ${element.a} to ${element.b} must be above 0 Ω, got ${element.ohm}`,
          );
        connect(
          { between, toChassis },
          [indexOf(element.a), indexOf(element.b)],
          Number.isFinite(element.ohm) ? 1 / element.ohm : 0,
        );
        break;
      case 'voltage':
        assertFinite(element.volts, `The source at ${element.plus}`);
        sources.push({
          plus: indexOf(element.plus),
          minus: indexOf(element.minus),
          volts: element.volts,
        });
        break;
      case 'current': {
        assertFinite(element.amperes, `The current into ${element.to}`);
        const from = indexOf(element.from);
        const to = indexOf(element.to);
        if (from >= 0) injected[from] = (injected[from] ?? 0) - element.amperes;
        if (to >= 0) injected[to] = (injected[to] ?? 0) + element.amperes;
        break;
      }
    }
  }
  return { nodes, between, toChassis, injected, sources };
}

function connect(
  into: { between: Map<number, number>[]; toChassis: number[] },
  ends: readonly [number, number],
  siemens: number,
): void {
  const [a, b] = ends;
  if (a === b || siemens === 0) return;
  if (a < 0) into.toChassis[b] = (into.toChassis[b] ?? 0) + siemens;
  else if (b < 0) into.toChassis[a] = (into.toChassis[a] ?? 0) + siemens;
  else {
    into.between[a]?.set(b, (into.between[a]?.get(b) ?? 0) + siemens);
    into.between[b]?.set(a, (into.between[b]?.get(a) ?? 0) + siemens);
  }
}

function assertFinite(value: number, what: string): void {
  if (!Number.isFinite(value))
    throw new RangeError(`${what} must be a finite number, got ${value}`);
}
