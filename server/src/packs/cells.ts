import type { FieldProblem } from '@lucky-thread/contract';
import { asWritten, neutralised } from '../taps/csv/formulas';
import type { Cell, Column } from './tables';

/** A cell as it is written; what a spreadsheet would run is neutralised. */
export function written(cell: Cell): string {
  if (cell === null) return '';
  if (typeof cell === 'string') return neutralised(cell);
  return typeof cell === 'object' ? JSON.stringify(cell) : String(cell);
}

/** What a written cell holds, or why it is not what its column takes. */
export function readCell(
  column: Column,
  raw: string,
): { readonly cell: Cell } | Pick<FieldProblem, 'message'> {
  const cell = asWritten(raw);
  if (cell === '')
    return column.required === true ? { message: 'must not be empty' } : { cell: null };
  switch (column.type) {
    case 'string':
      return column.values === undefined || column.values.includes(cell)
        ? { cell }
        : { message: `must be one of ${column.values.join(', ')}` };
    case 'boolean':
      return cell === 'true' || cell === 'false'
        ? { cell: cell === 'true' }
        : { message: 'must be true or false' };
    case 'array':
      return listIn(cell);
    case 'integer':
    case 'number':
      return numberIn(cell, column.type);
  }
}

/** A number in digits, with a point; no other way of writing it is guessed at. */
const NUMBER = /^-?\d+(\.\d+)?(e-?\d+)?$/i;

function numberIn(cell: string, type: 'integer' | 'number') {
  const value = Number(cell);
  if (!NUMBER.test(cell) || !Number.isFinite(value)) return { message: 'must be a number' };
  return type === 'integer' && !Number.isInteger(value)
    ? { message: 'must be a whole number' }
    : { cell: value };
}

function listIn(cell: string) {
  const list = parsed(cell);
  return Array.isArray(list) && list.every((one): one is string => typeof one === 'string')
    ? { cell: list }
    : { message: 'must be a list of texts such as ["first", "second"]' };
}

function parsed(cell: string): unknown {
  try {
    return JSON.parse(cell) as unknown;
  } catch (error) {
    if (error instanceof SyntaxError) return undefined;
    throw error;
  }
}
