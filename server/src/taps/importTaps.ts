import { screenSlot } from '@lucky-thread/core/choose';
import type { SlotSource, Source } from '@lucky-thread/core/vehicle';
import { MOST_PROBLEMS } from '@lucky-thread/contract';
import type { FieldProblem, ImportResult, TapCsvRow } from '@lucky-thread/contract';
import { sourcesOf } from '@lucky-thread/work';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import type { tapPoints } from '../db/schema';
import { invalid, notFound } from '../http/problem';
import { findPlaces } from '../vehicles/placeRepository';
import type { NumberedRow } from './csv/readTaps';
import { readTaps } from './csv/readTaps';
import type { NewTapPoint } from './tapRepository';
import { changeNotes, insertTapPoints, rowsOfTaps } from './tapRepository';

/** Rows that one statement writes: far below PostgreSQL's limit of parameters, and short enough for others to go on. */
const ROWS_A_STATEMENT = 500;

type StoredTap = typeof tapPoints.$inferSelect;

/**
 * Reads a file of tap points into a model's log: a new id adds one, a known id changes its note. All of it or, when
 * any row is wrong, nothing.
 *
 * @throws Problem 422 naming row, column and reason of what is wrong, the first {@link MOST_PROBLEMS}.
 */
export async function importTaps(
  db: Database,
  actor: Actor,
  modelId: string,
  file: AsyncIterable<Uint8Array>,
): Promise<ImportResult> {
  const found = await findPlaces(db, actor.shopId, modelId);
  if (found === undefined) throw notFound('Vehicle model');
  const read = await readTaps(file);
  if (!read.ok) throw invalid(read.problems);
  const sources = new Map(sourcesOf(found).map((source) => [source.id, source]));
  const wrong = read.rows.flatMap((one) => sourceProblem(one, sources)).slice(0, MOST_PROBLEMS);
  if (wrong.length > 0) throw invalid(wrong);
  return db.transaction(async (tx) => {
    const total = { added: 0, changed: 0 };
    for (let from = 0; from < read.rows.length; from += ROWS_A_STATEMENT) {
      const rows = read.rows.slice(from, from + ROWS_A_STATEMENT);
      const done = await writeRows(tx, { actor, modelId }, rows);
      total.added += done.added;
      total.changed += done.changed;
    }
    return { ...total, unchanged: read.rows.length - total.added - total.changed };
  });
}

/** Why a tap point cannot be at the source that it names. */
export function sourceProblem(
  { number, row }: NumberedRow,
  sources: ReadonlyMap<string, Source>,
  file = '',
): FieldProblem[] {
  const path = `${file}row ${number}, column source`;
  const source = sources.get(row.source);
  if (source === undefined) return [{ path, message: `the model has no source ${row.source}` }];
  if ((source.kind === 'slot') !== (row.supply_contact !== ''))
    return [
      {
        path: `${file}row ${number}, column supply_contact`,
        message:
          source.kind === 'slot'
            ? 'must be a or b at a slot'
            : 'must be empty: only slots have two contacts',
      },
    ];
  return source.kind === 'slot' && isBlocked(source)
    ? [{ path, message: `${row.source} must not be tapped` }]
    : [];
}

const BLOCKED = new WeakMap<SlotSource, boolean>();

/** Whether a slot must not be tapped; its legend is read once, however many rows name it. */
function isBlocked(slot: SlotSource): boolean {
  const known = BLOCKED.get(slot);
  if (known !== undefined) return known;
  const blocked = screenSlot(slot).class === 'block';
  BLOCKED.set(slot, blocked);
  return blocked;
}

async function writeRows(
  db: Database,
  to: { readonly actor: Actor; readonly modelId: string },
  rows: readonly NumberedRow[],
): Promise<{ readonly added: number; readonly changed: number }> {
  const stored = await rowsOfTaps(
    db,
    rows.map((one) => one.row.id),
  );
  const known = new Map(stored.map((tap) => [tap.id, tap]));
  const problems = rows.flatMap((one) => knownProblem(one, known.get(one.row.id), to));
  if (problems.length > 0) throw invalid(problems);
  const fresh = rows.filter((one) => !known.has(one.row.id));
  const added = await insertTapPoints(
    db,
    fresh.map((one) => newTap(to.actor, to.modelId, one.row)),
  );
  // Somebody else's import took the id since it was looked up.
  const taken = fresh.find((one) => !added.has(one.row.id));
  if (taken !== undefined) throw invalid([takenId(taken)]);
  const notes = rows.filter(({ row }) => known.has(row.id) && known.get(row.id)?.note !== row.note);
  await changeNotes(
    db,
    to.actor.shopId,
    new Map(notes.map(({ row }): [string, string] => [row.id, row.note])),
  );
  return { added: fresh.length, changed: notes.length };
}

function takenId({ number, row }: NumberedRow): FieldProblem {
  return {
    path: `row ${number}, column id`,
    message: `${row.id} belongs to a tap point of another model, or one that was retired`,
  };
}

function knownProblem(
  one: NumberedRow,
  stored: StoredTap | undefined,
  to: { readonly actor: Actor; readonly modelId: string },
): FieldProblem[] {
  if (stored === undefined) return [];
  const own = stored.shopId === to.actor.shopId && stored.modelId === to.modelId;
  if (!own || stored.retired) return [takenId(one)];
  const field = firstDifference(stored, one.row);
  const message = 'only the note of a known tap point can be changed';
  return field === undefined ? [] : [{ path: `row ${one.number}, column ${field}`, message }];
}

/** A tap point that comes from elsewhere, as it is kept. */
export function newTap(actor: Actor, modelId: string, row: TapCsvRow): NewTapPoint {
  return {
    id: row.id,
    shopId: actor.shopId,
    modelId,
    jobId: null,
    feedId: null,
    sourceId: row.source,
    function: row.function,
    supplyContact: row.supply_contact === '' ? null : row.supply_contact,
    yearFrom: row.year_from,
    yearTo: row.year_to,
    trim: row.trim,
    market: row.market,
    // What comes from a file was at best probed by somebody else: its readings are not here.
    grade: row.grade === 'probed' ? 'probedByOther' : row.grade,
    fuseA: row.fuse_a === '' ? null : row.fuse_a,
    awg: row.wire_awg === '' ? null : row.wire_awg,
    note: row.note,
    loggedBy: actor.userId,
  };
}

function firstDifference(stored: StoredTap, row: TapCsvRow): string | undefined {
  const pairs: readonly (readonly [string, unknown, unknown])[] = [
    ['source', stored.sourceId, row.source],
    ['function', stored.function, row.function],
    ['supply_contact', stored.supplyContact ?? '', row.supply_contact],
    ['year_from', stored.yearFrom, row.year_from],
    ['year_to', stored.yearTo, row.year_to],
    ['trim', stored.trim, row.trim],
    ['market', stored.market, row.market],
    ['grade', stored.grade, row.grade],
    ['fuse_a', stored.fuseA ?? '', row.fuse_a],
    ['wire_awg', stored.awg ?? '', row.wire_awg],
  ];
  return pairs.find(([, before, after]) => before !== after)?.[0];
}
