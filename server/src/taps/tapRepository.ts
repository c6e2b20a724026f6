import type { TapPage, TapPointView, TapReadingView } from '@lucky-thread/contract';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Database } from '../db/database';
import { onceFor } from '../db/onceFor';
import { sources, tapPoints, tapReadings, users } from '../db/schema';
import { ID_FORM, SOURCE_FORM, TIMESTAMP_FORM, cursorIn, cursorOf } from '../http/cursor';
import { tapColumns } from './tapColumns';
import { tapView } from './tapView';

/** A tap point to be stored. */
export type NewTapPoint = typeof tapPoints.$inferInsert;

/** What a cursor of the log is made of: source, time and id. */
export const TAP_CURSOR = [SOURCE_FORM, TIMESTAMP_FORM, ID_FORM] as const;
/** Tap points in one page of a model's log. */
export const TAPS_A_PAGE = 100;
/**
 * Newest claims per source that a job looks at and its readings speak about: older ones are history, and a source
 * that was logged a thousand times over must not slow the reading of it.
 */
export const CLAIMS_A_SOURCE = 20;

/** Which tap points: a model's of a shop, as a job sees them. */
export interface JobScope {
  /** The shop. */
  readonly shopId: string;
  /** The model of the job's car. */
  readonly modelId: string;
  /** The job: what it said itself is not told to it as another's word. */
  readonly jobId: string;
}

/**
 * One page of a model's log, by source: one statement.
 *
 * @param after source, time and id that the page before ended with
 */
export async function pageOfTaps(
  db: Database,
  of: { readonly shopId: string; readonly modelId: string },
  after: readonly string[] | undefined,
): Promise<TapPage> {
  const [source, logged, id] = after ?? [];
  const pages = pagesOf(db);
  const rows = await (after === undefined
    ? pages.first.execute(of)
    : pages.next.execute({ ...of, source, logged, id }));
  const shown = rows.slice(0, TAPS_A_PAGE);
  const last = shown.at(-1);
  const more = rows.length > TAPS_A_PAGE && last !== undefined;
  return {
    taps: shown.map(tapView),
    next: more ? cursorOf([last.tap.sourceId, last.logged, last.tap.id]) : null,
  };
}

/**
 * The statements of a page, made once for a database: putting one together costs more than running it, and each connection
 * plans it once.
 */
const pagesOf = onceFor((db: Database) => {
  const own = [
    eq(tapPoints.modelId, sql.placeholder('modelId')),
    eq(tapPoints.shopId, sql.placeholder('shopId')),
    eq(tapPoints.retired, false),
  ];
  const beyond = sql`(${tapPoints.sourceId}, ${tapPoints.loggedAt}, ${tapPoints.id}) >
    (${sql.placeholder('source')}::text, ${sql.placeholder('logged')}::timestamptz, ${sql.placeholder('id')}::uuid)`;
  const page = (name: string, where: readonly SQL[]) =>
    select(db, undefined)
      .where(and(...where))
      .orderBy(asc(tapPoints.sourceId), asc(tapPoints.loggedAt), asc(tapPoints.id))
      .limit(TAPS_A_PAGE + 1)
      .prepare(name);
  return { first: page('taps_first_page', own), next: page('taps_next_page', [...own, beyond]) };
});

/** A model's whole log, page by page. */
export async function* everyTap(
  db: Database,
  of: { readonly shopId: string; readonly modelId: string },
): AsyncGenerator<readonly TapPointView[]> {
  let after: readonly string[] | undefined;
  do {
    const page: TapPage = await pageOfTaps(db, of, after);
    yield page.taps;
    after = page.next === null ? undefined : cursorIn(page.next, TAP_CURSOR);
  } while (after !== undefined);
}

/**
 * What a job has to know of its model's log: the newest claims of other jobs at each source, without what this job
 * itself said about them, and the tap points that it logged.
 */
export async function tapsForJob(db: Database, scope: JobScope): Promise<TapPointView[]> {
  const claims = newestClaims({
    modelId: sql`${scope.modelId}`,
    shopId: sql`${scope.shopId}`,
    jobId: sql`${scope.jobId}`,
    sourceId: sql`s.id`,
  });
  const own = sql`${tapPoints.jobId} is not distinct from ${scope.jobId}`;
  const rows = await select(db, scope.jobId)
    .where(
      and(
        eq(tapPoints.shopId, scope.shopId),
        eq(tapPoints.retired, false),
        sql`(${own} or ${tapPoints.id} in (
          select claim.id from sources s cross join lateral (${claims}) as claim where s.model_id = ${scope.modelId}))`,
      ),
    )
    .orderBy(own, asc(tapPoints.sourceId), asc(tapPoints.loggedAt), asc(tapPoints.id));
  return rows.map(tapView);
}

/** The newest claims of other jobs at one source, as part of a larger statement. */
export function newestClaims(at: {
  readonly modelId: SQL;
  readonly shopId: SQL;
  readonly jobId: SQL;
  readonly sourceId: SQL;
}): SQL {
  return sql`select t.id, t.function, t.logged_at from tap_points as t
      where t.model_id = ${at.modelId} and t.shop_id = ${at.shopId}
        and t.source_id = ${at.sourceId} and not t.retired
        and t.job_id is distinct from ${at.jobId}
      order by t.logged_at desc, t.id desc
      limit ${CLAIMS_A_SOURCE}`;
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
  const [row] = await select(db, scope.jobId).where(
    and(eq(tapPoints.shopId, scope.shopId), wanted),
  );
  return row === undefined ? undefined : tapView(row);
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
    insert into tap_points (id, shop_id, model_id, job_id, feed_id, source_id, function, supply_contact,
      year_from, year_to, trim, market, grade, fuse_a, awg, note, logged_by)
    select id, shop_id, model_id, job_id, feed_id, source_id, function, supply_contact,
      year_from, year_to, trim, market, grade, fuse_a, awg, note, logged_by
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
    source_id: tap.sourceId,
    function: tap.function,
    supply_contact: tap.supplyContact ?? null,
    year_from: tap.yearFrom,
    year_to: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    grade: tap.grade,
    fuse_a: tap.fuseA,
    awg: tap.awg,
    note: tap.note,
    logged_by: tap.loggedBy,
  };
}

/** Stores what tap points were logged with. */
export async function insertTapReadings(
  db: Database,
  tapPointId: string,
  taken: readonly TapReadingView[],
): Promise<void> {
  if (taken.length === 0) return;
  await db
    .insert(tapReadings)
    .values(taken.map((one, position) => ({ ...one, tapPointId, position })));
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

function select(db: Database, exceptJobId: string | undefined) {
  return db
    .select(tapColumns(exceptJobId))
    .from(tapPoints)
    .innerJoin(users, eq(tapPoints.loggedBy, users.id))
    .leftJoin(
      sources,
      and(eq(sources.modelId, tapPoints.modelId), eq(sources.id, tapPoints.sourceId)),
    )
    .$dynamic();
}
