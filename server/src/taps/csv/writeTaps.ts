import { stringify } from 'csv-stringify/sync';
import { TAP_CSV_COLUMNS } from '@lucky-thread/contract';
import type { TapPage, TapPointView } from '@lucky-thread/contract';
import { neutralised } from './formulas';

/** A byte order mark: without it spreadsheets take UTF-8 for the encoding of their own country. */
const MARK = '\uFEFF';

/** A model's log as CSV with a header line (RFC 4180), page by page. */
export async function* tapsAsCsv(
  pageAfter: (cursor: string | null) => Promise<TapPage>,
): AsyncGenerator<string> {
  yield `${MARK}${stringify([[...TAP_CSV_COLUMNS]], { record_delimiter: 'windows' })}`;
  for (let cursor: string | null = null; ;) {
    const page: TapPage = await pageAfter(cursor);
    yield stringify(page.taps.map(cellsOf), { record_delimiter: 'windows' });
    if (page.next === null) return;
    cursor = page.next;
  }
}

/** A tap point by the columns of its file. */
export function tapRecord(
  tap: TapPointView,
): Record<(typeof TAP_CSV_COLUMNS)[number], string | number> {
  return {
    id: tap.id,
    source: tap.sourceId,
    function: tap.function,
    supply_contact: tap.supplyContact ?? '',
    year_from: tap.yearFrom,
    year_to: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    grade: tap.grade,
    fuse_a: tap.fuseA ?? '',
    wire_awg: tap.awg ?? '',
    note: tap.note,
    logged_by: tap.loggedBy,
    logged_at: tap.loggedAt,
  };
}

function cellsOf(tap: TapPointView): string[] {
  const cells = tapRecord(tap);
  return TAP_CSV_COLUMNS.map((column) => {
    const cell = cells[column];
    return typeof cell === 'string' ? neutralised(cell) : String(cell);
  });
}
