import { Readable } from 'node:stream';
import { setImmediate as breathe } from 'node:timers/promises';
import { CsvError, parse } from 'csv-parse';
import { MOST_PROBLEMS, TAP_CSV_COLUMNS, TapCsvRow, validate } from '@lucky-thread/contract';
import type { FieldProblem } from '@lucky-thread/contract';
import { asWritten } from './formulas';

/** A row of a file, by the number a spreadsheet shows for it. */
export interface NumberedRow {
  /** Line of the file, from 1. */
  readonly number: number;
  /** What it says. */
  readonly row: TapCsvRow;
}

/** The rows of a file, or what is wrong with it by row and column: the first {@link MOST_PROBLEMS}. */
export type ReadTaps =
  | { readonly ok: true; readonly rows: readonly NumberedRow[] }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Largest file, bytes, and most rows: fifty thousand tap points with long notes. */
export const LARGEST_FILE = 24 * 1024 * 1024;
const MOST_ROWS = 60_000;
/** Longest row, characters; a forgotten quote must not swallow the rest of the file. */
const LONGEST_ROW = 20_000;
/** Rows that are checked before others get their turn. */
const ROWS_A_TURN = 200;

/** The file itself is at fault, not one of its rows. */
class FileError extends Error {}

/** Reads a file of tap points as it arrives, and stops as soon as enough is wrong with it. */
export async function readTaps(chunks: AsyncIterable<Uint8Array>): Promise<ReadTaps> {
  const rows = newRows();
  const texts = Readable.from(decoded(chunks));
  const records = parse({
    bom: true,
    relax_column_count: true,
    max_record_size: LONGEST_ROW,
    // Files that were put together by hand mix them.
    record_delimiter: ['\r\n', '\n', '\r'],
  });
  texts.on('error', (error) => records.destroy(error));
  texts.pipe(records);
  try {
    for await (const record of records as AsyncIterable<string[]>) {
      rows.take(record);
      if (rows.isFull()) break;
      if (rows.count() % ROWS_A_TURN === 0) await breathe();
    }
  } catch (error) {
    rows.refuse(problemOfFile(error));
  } finally {
    texts.destroy();
  }
  return rows.result();
}

/** Bytes as text; what is no UTF-8 is refused rather than guessed at. */
async function* decoded(chunks: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });
  let bytes = 0;
  for await (const chunk of chunks) {
    bytes += chunk.length;
    if (bytes > LARGEST_FILE) throw new FileError(`is larger than ${LARGEST_FILE / 2 ** 20} MB`);
    yield asText(() => decoder.decode(chunk, { stream: true }));
  }
  yield asText(() => decoder.decode());
}

function asText(decode: () => string): string {
  try {
    return decode();
  } catch (error) {
    throw new FileError(
      'is not in UTF-8, so that umlauts and accents would be lost: save it as “CSV UTF-8” and import it again',
      { cause: error },
    );
  }
}

/** What a parser or decoder threw, as a problem of the file or of its row. */
function problemOfFile(error: unknown): FieldProblem {
  if (error instanceof FileError) return { path: 'file', message: error.message };
  if (error instanceof CsvError)
    return { path: `row ${Number(error.records) + 1}`, message: wordsOf(error) };
  throw error;
}

function wordsOf(error: CsvError): string {
  switch (error.code) {
    case 'CSV_QUOTE_NOT_CLOSED':
      return 'a quotation mark is opened and never closed';
    case 'CSV_MAX_RECORD_SIZE':
      return `is longer than ${LONGEST_ROW} characters: a quotation mark may not be closed`;
    case 'INVALID_OPENING_QUOTE':
    case 'CSV_INVALID_CLOSING_QUOTE':
      return 'a quotation mark stands inside a cell: write two of them, and put the cell into quotation marks';
    default:
      return 'is no CSV';
  }
}

/** Columns by the names that they had in files of earlier versions. */
const NAMED_NOW: ReadonlyMap<string, string> = new Map([['slot', 'source']]);

/** Collects rows and problems. */
function newRows() {
  const rows: NumberedRow[] = [];
  const problems: FieldProblem[] = [];
  const seen = new Map<string, number>();
  let columns: readonly string[] | undefined;
  let number = 0;
  const takeRow = (cells: readonly string[], header: readonly string[]): void => {
    if (cells.every((cell) => cell.trim() === '')) return;
    const found = rowOf(cells, header, number);
    problems.push(...found.problems);
    if (found.row === undefined) return;
    const before = seen.get(found.row.id);
    if (before !== undefined)
      problems.push(at(number, 'id', `the same id stands in row ${before}`));
    seen.set(found.row.id, number);
    rows.push({ number, row: found.row });
    if (rows.length > MOST_ROWS)
      problems.push({ path: 'file', message: `has more than ${MOST_ROWS} rows: split it` });
  };
  return {
    /** Takes the next record; blank ones count, as a spreadsheet counts them. */
    take: (cells: readonly string[]): void => {
      number += 1;
      if (columns !== undefined) return takeRow(cells, columns);
      columns = cells.map((cell) => NAMED_NOW.get(cell.trim()) ?? cell.trim());
      problems.push(...missingColumns(columns, number));
    },
    refuse: (problem: FieldProblem): void => void problems.push(problem),
    count: () => number,
    isFull: () => problems.length >= MOST_PROBLEMS || rows.length > MOST_ROWS,
    result: (): ReadTaps => {
      if (columns === undefined && problems.length === 0)
        problems.push({ path: 'file', message: 'is empty' });
      return problems.length > 0
        ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) }
        : { ok: true, rows };
    },
  };
}

function missingColumns(columns: readonly string[], number: number): FieldProblem[] {
  return TAP_CSV_COLUMNS.filter((column) => !columns.includes(column)).map((column) => ({
    path: `row ${number}`,
    message: `the column ${column} is missing`,
  }));
}

/** One record against its columns; cells beyond them may be there as long as they are empty. */
function rowOf(
  cells: readonly string[],
  columns: readonly string[],
  number: number,
): { readonly row: TapCsvRow | undefined; readonly problems: readonly FieldProblem[] } {
  const record: Record<string, string> = {};
  const beyond: FieldProblem[] = [];
  cells.forEach((cell, index) => {
    const column = columns[index] ?? '';
    if (isColumn(column)) record[column] = asWritten(cell);
    else if (cell.trim() !== '')
      beyond.push(at(number, column || String(index + 1), 'is no column of tap points'));
  });
  const result = validate(TapCsvRow, record);
  const wrong = result.ok
    ? result.value.year_to < result.value.year_from
      ? [at(number, 'year_to', 'ends before it begins')]
      : []
    : result.problems.map((one) => at(number, one.path, one.message));
  return { row: result.ok ? result.value : undefined, problems: [...beyond, ...wrong] };
}

function isColumn(name: string): boolean {
  return (TAP_CSV_COLUMNS as readonly string[]).includes(name);
}

function at(row: number, column: string, message: string): FieldProblem {
  return { path: `row ${row}, column ${column.slice(0, 40)}`, message };
}
