import Papa from 'papaparse';
import { TAP_CSV_COLUMNS, TapCsvRow, validate } from '@lucky-thread/contract';
import type { FieldProblem, TapPointView } from '@lucky-thread/contract';

/** Tap points as CSV with a header line (RFC 4180). Cells that a spreadsheet would run as a formula are quoted. */
export function tapsToCsv(taps: readonly TapPointView[]): string {
  const rows = taps.map((tap) => ({
    id: tap.id,
    slot: tap.slotId,
    function: tap.function,
    supply_contact: tap.supplyContact,
    year_from: tap.yearFrom,
    year_to: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    grade: tap.grade,
    fuse_a: tap.fuseA,
    wire_awg: tap.awg,
    note: tap.note,
    logged_by: tap.loggedBy,
    logged_at: tap.loggedAt,
  }));
  return Papa.unparse({ fields: [...TAP_CSV_COLUMNS], data: rows }, { escapeFormulae: true });
}

/** The rows of a file, or everything that is wrong with it by row and column. */
export function tapsFromCsv(
  text: string,
):
  | { readonly ok: true; readonly rows: readonly TapCsvRow[] }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] } {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: (value) => value.replace(/^'(?=[=+\-@\t\r])/, ''),
  });
  const columns = parsed.meta.fields ?? [];
  const problems: FieldProblem[] = [
    ...TAP_CSV_COLUMNS.filter((column) => !columns.includes(column)).map((column) => ({
      path: 'row 1',
      message: `the column ${column} is missing`,
    })),
    ...parsed.errors.map((error) => ({
      path: `row ${(error.row ?? 0) + 2}`,
      message: error.message,
    })),
  ];
  if (problems.length > 0) return { ok: false, problems };
  const rows: TapCsvRow[] = [];
  const seen = new Map<string, number>();
  parsed.data.forEach((record, index) => {
    // Row 1 is the header, as a spreadsheet counts.
    const number = index + 2;
    const result = validate(TapCsvRow, record);
    if (!result.ok) {
      problems.push(
        ...result.problems.map((one) => ({
          path: `row ${number}, column ${one.path}`,
          message: one.message,
        })),
      );
      return;
    }
    const row = result.value;
    const before = seen.get(row.id);
    if (before !== undefined)
      problems.push({
        path: `row ${number}, column id`,
        message: `the same id stands in row ${before}`,
      });
    if (row.year_to < row.year_from)
      problems.push({ path: `row ${number}, column year_to`, message: 'ends before it begins' });
    seen.set(row.id, number);
    rows.push(row);
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, rows };
}
