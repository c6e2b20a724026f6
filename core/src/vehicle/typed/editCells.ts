import { linesOf } from './lines';

/** Where a cell stands, from 0. */
export interface CellAt {
  /** Row from the top, 0-based. */
  readonly row: number;
  /** Column from the left, 0-based. */
  readonly column: number;
}

/** A change of one cell of what was typed. */
export type CellEdit =
  /** Its name, where it has one, stays. */
  | { readonly kind: 'write'; readonly text: string }
  /** A cell is put before it, with what stands for nothing. */
  | { readonly kind: 'insert'; readonly text: string }
  | { readonly kind: 'remove' }
  /** It changes places with its neighbour, before or after it in the line. */
  | { readonly kind: 'swap'; readonly by: -1 | 1 }
  /** It is taken up and put before another cell, anywhere; at the end of its line where that has so few. */
  | { readonly kind: 'move'; readonly to: CellAt };

/** What a cell says it is called. */
const NAME = /^[A-Za-z0-9._-]+\s*[:=]\s*/;

/** No comma belongs to a number here: what was typed stays as it was. */
const NO_FRACTION = /(?!)/g;

/** What was typed with one cell changed; as it was where there is no such cell, or nothing to change it with. */
export function editCell(text: string, { row, column }: CellAt, edit: CellEdit): string {
  const lines = linesOf(text, NO_FRACTION);
  const line = lines[row];
  const cell = line?.[column];
  if (line === undefined || cell === undefined) return text;
  if (edit.kind === 'move') return moved(lines, { row, column }, edit.to);
  const cells = edited(line, column, edit);
  return written(lines.map((one, at) => (at === row ? cells : one)));
}

/** The lines with one cell put before another; the other is found by where it stood. */
function moved(lines: readonly (readonly string[])[], from: CellAt, to: CellAt): string {
  const cell = lines[from.row]?.[from.column] ?? '';
  const target = lines[to.row];
  if (target === undefined || (from.row === to.row && from.column === to.column))
    return written(lines);
  const before = from.row === to.row && from.column < to.column ? to.column + 1 : to.column;
  return written(
    lines.map((line, row) => {
      const put = row === to.row ? [...line.slice(0, before), cell, ...line.slice(before)] : line;
      if (row !== from.row) return put;
      const gone = row === to.row && before <= from.column ? from.column + 1 : from.column;
      return put.filter((_, at) => at !== gone);
    }),
  );
}

function written(lines: readonly (readonly string[])[]): string {
  return lines
    .filter((one) => one.length > 0)
    .map((one) => one.join(', '))
    .join('\n');
}

function edited(
  line: readonly string[],
  column: number,
  edit: Exclude<CellEdit, { kind: 'move' }>,
): readonly string[] {
  switch (edit.kind) {
    case 'write':
      return line.map((cell, at) =>
        at === column ? `${NAME.exec(cell)?.[0] ?? ''}${edit.text}` : cell,
      );
    case 'insert':
      return [...line.slice(0, column), edit.text, ...line.slice(column)];
    case 'remove':
      return line.filter((_, at) => at !== column);
    case 'swap': {
      const other = line[column + edit.by];
      const own = line[column];
      if (other === undefined || own === undefined) return line;
      return line.map((cell, at) => (at === column ? other : at === column + edit.by ? own : cell));
    }
  }
}
