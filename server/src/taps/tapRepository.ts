import type { CircuitFunction } from '@lucky-thread/core/vehicle';
import type { TapPage, TapPointView } from '@lucky-thread/contract';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Database } from '../db/database';
import { tapPoints, users } from '../db/schema';
import { cursorOf } from '../http/cursor';
import { findPanels } from '../vehicles/modelRepository';
import { observationsOf } from './observations';
import { tapView } from './tapView';

/** A tap point to be stored. */
export type NewTapPoint = typeof tapPoints.$inferInsert;

/** Tap points in one page of a model's log. */
export const TAPS_A_PAGE = 100;
/**
 * Newest claims per source that a job looks at and its readings speak about: older ones are history, and a source
 * that was logged a thousand times over must not slow the reading of it.
 */
export const CLAIMS_A_SOURCE = 20;

/** Which tap points: a model's of a shop, as a job sees them. */
export interface JobScope {
  readonly shopId: string;
  readonly modelId: string;
  readonly jobId: string;
}

/**
 * One page of a model's log, by source.
 *
 * @param after source, time and id that the page before ended with
 */
export async function pageOfTaps(
  db: Database,
  of: { readonly shopId: string; readonly modelId: string },
  after: readonly string[] | undefined,
): Promise<TapPage> {
  const [source = '', logged = '', id = ''] = after ?? [];
  const beyond = sql`(${tapPoints.slotId}, ${tapPoints.loggedAt}, ${tapPoints.id}) > (${source}, ${logged}::timestamptz, ${id}::uuid)`;
  const rows = await db
    .select({
      id: tapPoints.id,
      slotId: tapPoints.slotId,
      logged: sql<string>`${tapPoints.loggedAt}::text`,
    })
    .from(tapPoints)
    .where(
      and(
        eq(tapPoints.modelId, of.modelId),
        eq(tapPoints.shopId, of.shopId),
        eq(tapPoints.retired, false),
        after === undefined ? undefined : beyond,
      ),
    )
    .orderBy(asc(tapPoints.slotId), asc(tapPoints.loggedAt), asc(tapPoints.id))
    .limit(TAPS_A_PAGE + 1);
  const shown = rows.slice(0, TAPS_A_PAGE);
  const last = shown.at(-1);
  const more = rows.length > TAPS_A_PAGE && last !== undefined;
  const ids = shown.map((row) => row.id);
  return {
    taps: await viewsOf(db, { ...of, jobId: undefined }, ids),
    next: more ? cursorOf([last.slotId, last.logged, last.id]) : null,
  };
}

/**
 * What a job has to know of its model's log: the newest claims of other jobs at each source, without what this job
 * itself said about them, and the tap points that it logged.
 */
export async function tapsForJob(
  db: Database,
  scope: JobScope,
  sourceIds: readonly string[],
): Promise<TapPointView[]> {
  const claims = await claimsAt(db, scope, sourceIds);
  const own = await db
    .select({ id: tapPoints.id })
    .from(tapPoints)
    .where(and(eq(tapPoints.jobId, scope.jobId), eq(tapPoints.retired, false)))
    .orderBy(asc(tapPoints.loggedAt), asc(tapPoints.id));
  return viewsOf(
    db,
    scope,
    [...claims, ...own].map((row) => row.id),
  );
}

/** The newest claims of other jobs at one source, as part of a larger statement. */
export function newestClaims(at: {
  readonly modelId: SQL;
  readonly shopId: SQL;
  readonly jobId: SQL;
  readonly slotId: SQL;
}): SQL {
  return sql`select t.id, t.function, t.logged_at from tap_points as t
      where t.model_id = ${at.modelId} and t.shop_id = ${at.shopId}
        and t.slot_id = ${at.slotId} and not t.retired
        and t.job_id is distinct from ${at.jobId}
      order by t.logged_at desc, t.id desc
      limit ${CLAIMS_A_SOURCE}`;
}

/** The newest claims of other jobs at some sources. */
export async function claimsAt(
  db: Database,
  scope: JobScope,
  sourceIds: readonly string[],
): Promise<{ readonly id: string; readonly function: CircuitFunction }[]> {
  const { rows } = await db.execute<{ id: string; function: CircuitFunction }>(sql`
    select claim.id, claim.function
    from unnest(${sql.param([...sourceIds])}::text[]) as wanted(slot_id)
    cross join lateral (${newestClaims({
      modelId: sql`${scope.modelId}`,
      shopId: sql`${scope.shopId}`,
      jobId: sql`${scope.jobId}`,
      slotId: sql`wanted.slot_id`,
    })}) as claim
    order by wanted.slot_id, claim.logged_at, claim.id`);
  return rows;
}

/** The tap point of an id, or of a job's feed; undefined when the shop has none. */
export async function findTap(
  db: Database,
  scope: JobScope,
  by: { readonly id: string } | { readonly feedId: string },
): Promise<TapPointView | undefined> {
  const wanted =
    'id' in by
      ? eq(tapPoints.id, by.id)
      : and(
          eq(tapPoints.jobId, scope.jobId),
          eq(tapPoints.feedId, by.feedId),
          eq(tapPoints.retired, false),
        );
  const [row] = await db
    .select({ id: tapPoints.id, modelId: tapPoints.modelId })
    .from(tapPoints)
    .where(and(eq(tapPoints.shopId, scope.shopId), wanted));
  if (row === undefined) return undefined;
  return (await viewsOf(db, { ...scope, modelId: row.modelId }, [row.id]))[0];
}

/**
 * Stores tap points; those whose id, or job and feed, are there already are left out. Answers the ids stored. The rows
 * travel as one value: a parameter for each of their fields makes thousands of an import's.
 */
export async function insertTapPoints(
  db: Database,
  taps: readonly NewTapPoint[],
): Promise<ReadonlySet<string>> {
  if (taps.length === 0) return new Set();
  const { rows } = await db.execute<{ id: string }>(sql`
    insert into tap_points (id, shop_id, model_id, job_id, feed_id, slot_id, function, supply_contact,
      year_from, year_to, trim, market, matrix, grade, fuse_a, awg, note, logged_by)
    select id, shop_id, model_id, job_id, feed_id, slot_id, function, supply_contact,
      year_from, year_to, trim, market, matrix, grade, fuse_a, awg, note, logged_by
    from jsonb_populate_recordset(null::tap_points, ${JSON.stringify(taps.map(rowOf))}::jsonb)
    on conflict do nothing
    returning id`);
  return new Set(rows.map((row) => row.id));
}

function rowOf(tap: NewTapPoint): Record<string, unknown> {
  return {
    id: tap.id,
    shop_id: tap.shopId,
    model_id: tap.modelId,
    job_id: tap.jobId ?? null,
    feed_id: tap.feedId ?? null,
    slot_id: tap.slotId,
    function: tap.function,
    supply_contact: tap.supplyContact,
    year_from: tap.yearFrom,
    year_to: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    matrix: tap.matrix,
    grade: tap.grade,
    fuse_a: tap.fuseA,
    awg: tap.awg,
    note: tap.note,
    logged_by: tap.loggedBy,
  };
}

/** Changes the notes of a shop's tap points, by id. */
export async function changeNotes(
  db: Database,
  shopId: string,
  notes: ReadonlyMap<string, string>,
): Promise<void> {
  if (notes.size === 0) return;
  await db.execute(sql`
    update tap_points as t set note = changed.note
    from unnest(${sql.param([...notes.keys()])}::uuid[], ${sql.param([...notes.values()])}::text[])
      as changed(id, note)
    where t.id = changed.id and t.shop_id = ${shopId}`);
}

/** Stored tap points by their ids, whatever shop or model they belong to. */
export async function rowsOfTaps(
  db: Database,
  ids: readonly string[],
): Promise<(typeof tapPoints.$inferSelect)[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(tapPoints)
    .where(sql`${tapPoints.id} = any(${sql.param([...ids])}::uuid[])`);
}

/** Tap points by id with what later jobs saw, in the order of the ids. */
async function viewsOf(
  db: Database,
  scope: { readonly shopId: string; readonly modelId: string; readonly jobId: string | undefined },
  ids: readonly string[],
): Promise<TapPointView[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({ tap: tapPoints, loggedBy: users.name })
    .from(tapPoints)
    .innerJoin(users, eq(tapPoints.loggedBy, users.id))
    .where(
      and(
        sql`${tapPoints.id} = any(${sql.param([...ids])}::uuid[])`,
        eq(tapPoints.shopId, scope.shopId),
      ),
    );
  const panels = (await findPanels(db, scope.shopId, scope.modelId)) ?? [];
  const slots = new Map(panels.flatMap((panel) => panel.slots).map((slot) => [slot.id, slot]));
  const seen = await observationsOf(db, ids, scope.jobId);
  const byId = new Map(rows.map((row) => [row.tap.id, row]));
  return ids.flatMap((id) => {
    const row = byId.get(id);
    return row === undefined ? [] : [tapView(row, slots.get(row.tap.slotId), seen.get(id))];
  });
}
