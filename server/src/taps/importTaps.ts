import { screenSlot } from '@lucky-thread/core/choose';
import type { FieldProblem, ImportResult, TapCsvRow, TapPointView } from '@lucky-thread/contract';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { invalid, notFound } from '../http/problem';
import { findModel } from '../vehicles/modelRepository';
import { tapsFromCsv } from './tapCsv';
import { changeNote, insertTapPoint, listTapPoints } from './tapRepository';

/**
 * Reads a file of tap points into a model's log: a new id adds one, a known id changes its note. All of it or, when
 * any row is wrong, nothing.
 *
 * @throws Problem 422 naming row, column and reason of everything that is wrong.
 */
export async function importTaps(
  db: Database,
  actor: Actor,
  modelId: string,
  text: string,
): Promise<ImportResult> {
  const model = await findModel(db, actor.shopId, modelId);
  if (model === undefined) throw notFound('Vehicle model');
  const parsed = tapsFromCsv(text);
  if (!parsed.ok) throw invalid(parsed.problems);
  return db.transaction(async (tx) => {
    const known = new Map(
      (await listTapPoints(tx, actor.shopId, modelId)).map((tap) => [tap.id, tap]),
    );
    const slots = new Map(
      model.panels.flatMap((panel) => panel.slots).map((slot) => [slot.id, slot]),
    );
    const problems = parsed.rows.flatMap((row, index): FieldProblem[] => {
      const at = `row ${index + 2}, column`;
      const slot = slots.get(row.slot);
      if (slot === undefined)
        return [{ path: `${at} slot`, message: `the model has no slot ${row.slot}` }];
      if (screenSlot(slot).class === 'block')
        return [{ path: `${at} slot`, message: `${row.slot} must not be tapped` }];
      const stored = known.get(row.id);
      const field = stored === undefined ? undefined : firstDifference(stored, row);
      return field === undefined
        ? []
        : [
            {
              path: `${at} ${field}`,
              message: 'only the note of a known tap point can be changed',
            },
          ];
    });
    if (problems.length > 0) throw invalid(problems);
    return write(tx, actor, modelId, parsed.rows, known);
  });
}

async function write(
  db: Database,
  actor: Actor,
  modelId: string,
  rows: readonly TapCsvRow[],
  known: ReadonlyMap<string, TapPointView>,
): Promise<ImportResult> {
  let added = 0;
  let changed = 0;
  for (const row of rows) {
    const stored = known.get(row.id);
    if (stored === undefined) {
      const inserted = await insertTapPoint(db, newTap(actor, modelId, row));
      if (!inserted)
        throw invalid([
          { path: `id ${row.id}`, message: 'belongs to a tap point of another model' },
        ]);
      added += 1;
    } else if (stored.note !== row.note) {
      await changeNote(db, row.id, row.note);
      changed += 1;
    }
  }
  return { added, changed, unchanged: rows.length - added - changed };
}

function newTap(
  actor: Actor,
  modelId: string,
  row: TapCsvRow,
): Parameters<typeof insertTapPoint>[1] {
  return {
    id: row.id,
    shopId: actor.shopId,
    modelId,
    jobId: null,
    feedId: null,
    slotId: row.slot,
    function: row.function,
    supplyContact: row.supply_contact,
    yearFrom: row.year_from,
    yearTo: row.year_to,
    trim: row.trim,
    market: row.market,
    matrix: [],
    // What comes from a file was at best probed by somebody else: its readings are not here.
    grade: row.grade === 'probed' ? 'probedByOther' : row.grade,
    fuseA: row.fuse_a,
    awg: row.wire_awg,
    note: row.note,
    loggedBy: actor.userId,
  };
}

function firstDifference(stored: TapPointView, row: TapCsvRow): string | undefined {
  const pairs: readonly (readonly [string, unknown, unknown])[] = [
    ['slot', stored.slotId, row.slot],
    ['function', stored.function, row.function],
    ['supply_contact', stored.supplyContact, row.supply_contact],
    ['year_from', stored.yearFrom, row.year_from],
    ['year_to', stored.yearTo, row.year_to],
    ['trim', stored.trim, row.trim],
    ['market', stored.market, row.market],
    ['grade', stored.grade, row.grade],
    ['fuse_a', stored.fuseA, row.fuse_a],
    ['wire_awg', stored.awg, row.wire_awg],
  ];
  return pairs.find(([, before, after]) => before !== after)?.[0];
}
