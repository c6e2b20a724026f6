import { linesOf } from './lines';

/** Where a cell stands, from 0. */
export interface CellAt {
  readonly row: number;
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
  | { readonly kind: 'swap'; readonly by: -1 | 1 };

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
  const cells = edited(line, column, edit);
  return lines
    .map((one, at) => (at === row ? cells : one))
    .filter((one) => one.length > 0)
    .map((one) => one.join(', '))
    .join('\n');
}

function edited(line: readonly string[], column: number, edit: CellEdit): readonly string[] {
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
