import type { FieldProblem } from '@lucky-thread/contract';
import { CsvError, parse } from 'csv-parse/sync';
import { readCell } from './cells';
import type { Cell, Column, Row, TableName } from './tables';
import { TABLES } from './tables';

/** A row of a table by the number that a spreadsheet shows for it. */
export interface TableRow {
  /** Which row of the table, from 1. */
  readonly number: number;
  /** Its values by column. */
  readonly cells: Row;
}

/** A table's rows, and what is wrong with them by file, row and column. */
export interface ReadTable {
  /** What could be read. */
  readonly rows: readonly TableRow[];
  /** What could not, with table, row and column. */
  readonly problems: readonly FieldProblem[];
}

/** All tables of a pack. */
export type Tables = Readonly<Record<TableName, readonly TableRow[]>>;
/** What was understood, and what was not. */
export interface Part<T> {
  /** What could be read. */
  readonly value: T;
  /** What is wrong with the rest; empty when nothing is. */
  readonly problems: readonly FieldProblem[];
}

/** Longest row, characters. */
const LONGEST_ROW = 20_000;

/** Where in a pack something is wrong. */
export function at(file: TableName, row: number, column?: string): string {
  return `${file}, row ${row}${column === undefined ? '' : `, column ${column}`}`;
}

/** Reads one table. What is wrong with a row is told, and the row left out. */
export function readTable(file: TableName, text: string): ReadTable {
  const records = recordsOf(file, text);
  if ('path' in records) return { rows: [], problems: [records] };
  const [head = [], ...lines] = records;
  const columns: readonly Column[] = TABLES[file];
  const places = columns.map(({ name }) => head.findIndex((cell) => cell.trim() === name));
  const missing = columns.filter((_column, index) => places[index] === -1);
  if (missing.length > 0)
    return {
      rows: [],
      problems: missing.map(({ name }) => ({
        path: at(file, 1),
        message: `the column ${name} is missing`,
      })),
    };
  const read = lines.flatMap((cells, index) =>
    cells.every((cell) => cell.trim() === '')
      ? []
      : [
          rowOf(
            { file, number: index + 2, columns },
            places.map((place) => cells[place] ?? ''),
          ),
        ],
  );
  return {
    rows: read.flatMap(({ row }) => row ?? []),
    problems: read.flatMap(({ problems }) => problems),
  };
}

function rowOf(
  { file, number, columns }: { file: TableName; number: number; columns: readonly Column[] },
  raw: readonly string[],
): { readonly row: TableRow | undefined; readonly problems: readonly FieldProblem[] } {
  const cells: Record<string, Cell> = {};
  const problems = columns.flatMap((column, index): FieldProblem[] => {
    const read = readCell(column, raw[index] ?? '');
    if ('message' in read) return [{ path: at(file, number, column.name), message: read.message }];
    cells[column.name] = read.cell;
    return [];
  });
  return { row: problems.length === 0 ? { number, cells } : undefined, problems };
}

function recordsOf(file: TableName, text: string): string[][] | FieldProblem {
  try {
    return parse(text, {
      bom: true,
      relax_column_count: true,
      max_record_size: LONGEST_ROW,
      record_delimiter: ['\r\n', '\n', '\r'],
    });
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    return { path: at(file, Number(error.records) + 1), message: 'is no CSV' };
  }
}
