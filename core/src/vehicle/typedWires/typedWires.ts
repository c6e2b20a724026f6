import type { WireLook } from '../source';
import { linesOf } from '../typed/lines';
import { MOST_WIRES } from '../typed/limits';
import { nextPosition } from '../typed/position';
import type { TypedProblem } from '../typedPanel/typedPanel';
import type { ColourSystem } from '../wireColour';
import type { WireCell } from './wireCell';
import { readWire, writeWire } from './wireCell';

/** A wire of a loom or connector as it was typed. */
export interface TypedWire extends Omit<WireLook, 'tapedWith'> {
  /** What it is called; unique among them. */
  readonly name: string;
  /** Line, from 0. */
  readonly row: number;
  /** Cell in the line, from 0. */
  readonly column: number;
  /** Name of the wire that it is taped or twisted with. */
  readonly tapedWith?: string;
}

/** Wires as they were typed, as far as they could be read. */
export interface TypedWires {
  /** Cavities in a row. */
  readonly columns: number;
  /** Rows. */
  readonly rows: number;
  /** Wires in the order of typing. */
  readonly wires: readonly TypedWire[];
  /** What could not be read, and where. */
  readonly problems: readonly TypedProblem[];
  /** Whether letters mean one colour in one way of writing and another in another. */
  readonly clashes: boolean;
}

/** A cavity without a wire. */
const EMPTY = /^[-–—_]?$/;
/** Cross-sections are written with a comma in half the world. */
const FRACTION = /\b(\d),(?=\d{1,2}\s+[a-z?])/gi;

/**
 * Wires typed as they are seen: a line for each row of a connector, or all in one for a loom; a dash for a cavity without
 * a wire. For instance `BK, RD/YE, 0.75 OG/WH` over `-, & VT, 12: BN > OG "clock"`.
 *
 * @param given how colours are written, needed only where letters clash, and the name of the first
 */
export function typedWires(
  text: string,
  given: { readonly system: ColourSystem | undefined; readonly start: string },
): TypedWires {
  const lines = linesOf(text, FRACTION);
  const columns = Math.max(0, ...lines.map((line) => line.length));
  const problems: TypedProblem[] = [];
  const read: (TypedWire & { readonly taped: WireCell['taped'] })[] = [];
  let next = given.start;
  let clashes = false;
  lines.forEach((line, row) =>
    line.forEach((written, column) => {
      const wire = EMPTY.test(written) ? undefined : readWire(written, given.system);
      // A cavity counts whether it holds a wire or not, and whether it could be read or not.
      const name = (wire !== undefined && 'name' in wire ? wire.name : undefined) ?? next;
      next = nextPosition(name);
      if (wire === undefined) return;
      const told = (message: string) => problems.push({ row: row + 1, cell: column + 1, message });
      if ('message' in wire) {
        told(wire.message);
        clashes ||= wire.clashes;
      } else {
        if (read.some((one) => one.name === name))
          told(`${name} is there already: name another, as in 12: RD/YE`);
        if (wire.taped === 'before' && read.length === 0)
          told('there is no wire before it to be taped with');
        read.push({ ...wire, name, row, column });
      }
    }),
  );
  if (read.length > MOST_WIRES)
    problems.push({
      row: lines.length,
      cell: 1,
      message: `more than ${MOST_WIRES} wires: enter them in parts`,
    });
  problems.push(...mateProblems(read));
  return { columns, rows: lines.length, wires: read.map(mated), problems, clashes };
}

type Read = TypedWire & { readonly taped: WireCell['taped'] };

function mated({ taped, ...wire }: Read, index: number, all: readonly Read[]): TypedWire {
  const mate = taped === 'before' ? all[index - 1]?.name : taped?.with;
  return mate === undefined ? wire : { ...wire, tapedWith: mate };
}

function mateProblems(read: readonly Read[]): TypedProblem[] {
  return read.flatMap(({ taped, name, row, column }) => {
    if (taped === undefined || taped === 'before') return [];
    const found = taped.with !== name && read.some((one) => one.name === taped.with);
    const message = `${taped.with} is no other wire here`;
    return found ? [] : [{ row: row + 1, cell: column + 1, message }];
  });
}

/** A wire where it lies, with its mate by name. */
type Lying = WireLook & { readonly name: string; readonly row?: number; readonly column?: number };

/**
 * Wires as they would be typed; read again as IEC 60757 codes with the same start they are the same.
 *
 * @param wires each with the name of its mate; without rows and columns they stand in one line
 */
export function writtenWires(wires: readonly Lying[]): {
  readonly text: string;
  readonly start: string;
} {
  const rows = 1 + Math.max(-1, ...wires.map((wire) => wire.row ?? 0));
  const first = wires.find((wire) => (wire.row ?? 0) === 0 && (wire.column ?? 0) === 0);
  const start = first?.name ?? '1';
  let next = start;
  let before: string | undefined;
  const empty = (): string => {
    next = nextPosition(next);
    return '-';
  };
  const lines = Array.from({ length: rows }, (_, row) => {
    const cells: string[] = [];
    for (const { name, column, row: _row, tapedWith, ...look } of lineOf(wires, row)) {
      while (cells.length < (column ?? 0)) cells.push(empty());
      const taped =
        tapedWith === undefined ? undefined : tapedWith === before ? 'before' : { with: tapedWith };
      cells.push(writeWire({ ...look, name: next === name ? undefined : name, taped }));
      next = nextPosition(name);
      before = name;
    }
    return cells.length === 0 ? empty() : cells.join(', ');
  });
  return { text: lines.join('\n'), start };
}

function lineOf(wires: readonly Lying[], row: number): Lying[] {
  return wires
    .filter((wire) => (wire.row ?? 0) === row)
    .sort((left, right) => (left.column ?? 0) - (right.column ?? 0));
}
