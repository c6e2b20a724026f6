import type { ObservationKind } from '@lucky-thread/core/evidence';
import type { ObservationView } from '@lucky-thread/contract';
import { eq, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { readings, users } from '../db/schema';
import { readableViews } from '../readings/readingRepository';

/** What later jobs saw at a tap point. */
export interface Observed {
  readonly confirmedJobs: number;
  readonly contradictedJobs: number;
  readonly newest: readonly ObservationView[];
}

/** Observations that are shown of one tap point. */
const SHOWN = 10;

/**
 * What readings said about tap points, by tap point: how many jobs each way, and the newest of them.
 *
 * @param exceptJobId job whose own readings do not count: they are looked at as readings already
 */
export async function observationsOf(
  db: Database,
  tapIds: readonly string[],
  exceptJobId: string | undefined,
): Promise<Map<string, Observed>> {
  const ids = sql.param([...tapIds]);
  const except = exceptJobId ?? null;
  const counted = await db.execute<{ id: string; kind: ObservationKind; jobs: number }>(sql`
    select o.tap_point_id as id, o.kind, count(distinct r.job_id)::int as jobs
    from tap_observations as o join readings as r on r.id = o.reading_id
    where o.tap_point_id = any(${ids}::uuid[]) and r.withdrawn_at is null
      and r.job_id is distinct from ${except}::uuid
    group by o.tap_point_id, o.kind`);
  if (counted.rows.length === 0) return new Map();
  const newest = await db.execute<{ id: string; reading: string; kind: ObservationKind }>(sql`
    select tap.id, seen.reading_id as reading, seen.kind
    from unnest(${ids}::uuid[]) as tap(id)
    cross join lateral (
      select o.reading_id, o.kind, r.sequence
      from tap_observations as o join readings as r on r.id = o.reading_id
      where o.tap_point_id = tap.id and r.withdrawn_at is null
        and r.job_id is distinct from ${except}::uuid
      order by o.kind = 'contradicted' desc, r.sequence desc
      limit ${SHOWN}
    ) as seen
    order by tap.id, seen.kind = 'contradicted' desc, seen.sequence desc`);
  const views = await readingsBy(
    db,
    newest.rows.map((row) => row.reading),
  );
  const byTap = new Map<string, Observed & { readonly newest: ObservationView[] }>();
  for (const { id, kind, jobs } of counted.rows) {
    const before = byTap.get(id) ?? { confirmedJobs: 0, contradictedJobs: 0, newest: [] };
    byTap.set(id, { ...before, [`${kind}Jobs` as const]: jobs });
  }
  for (const { id, reading, kind } of newest.rows) {
    const view = views.get(reading);
    if (view !== undefined) byTap.get(id)?.newest.push({ ...view, kind });
  }
  return byTap;
}

async function readingsBy(
  db: Database,
  ids: readonly string[],
): Promise<Map<string, Omit<ObservationView, 'kind'>>> {
  const rows = await db
    .select({ reading: readings, takenBy: users.name })
    .from(readings)
    .innerJoin(users, eq(readings.takenBy, users.id))
    .where(sql`${readings.id} = any(${sql.param([...new Set(ids)])}::uuid[])`);
  return new Map(
    readableViews(rows).map(({ row, view }) => [
      view.id,
      { reading: view, jobId: row.reading.jobId },
    ]),
  );
}
