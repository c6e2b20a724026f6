import type { ObservationKind } from '@lucky-thread/core/evidence';
import type { TapReadingView } from '@lucky-thread/contract';
import { sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { readings } from '../db/schema';
import { sources, tapPoints, users } from '../db/schema';

/** Observations that are shown of one tap point. */
const SHOWN = 10;

/** A stored reading as a statement hands it on: its columns by their names, moments as text. */
export type ReadingJson = Omit<
  typeof readings.$inferSelect,
  'takenAt' | 'receivedAt' | 'withdrawnAt'
> & { readonly takenAt: string };

/** What later jobs saw at a tap point. */
export interface SeenJson {
  /** Jobs whose readings speak for it. */
  readonly confirmedJobs: number;
  /** Jobs whose readings speak against it. */
  readonly contradictedJobs: number;
  /** The newest, contradictions first. */
  readonly newest: readonly {
    readonly kind: ObservationKind;
    readonly takenBy: string;
    readonly reading: ReadingJson;
  }[];
}

/**
 * What a tap point's view is made of, from tap points with their source and the one who logged them: one statement,
 * however many there are.
 *
 * @param exceptJobId job whose own readings do not count: they are looked at as readings already
 */
export function tapColumns(exceptJobId: string | undefined) {
  return {
    tap: tapPoints,
    loggedBy: users.name,
    // To the microsecond, as a page's end must name it.
    logged: sql<string>`${tapPoints.loggedAt}::text`,
    landmarkA: sources.landmarkA,
    landmarkB: sources.landmarkB,
    readings: sql<TapReadingView[]>`(
      select coalesce(json_agg(json_build_object('place', r.place, 'instrument', r.instrument, 'volts', r.volts,
        'highVolts', r.high_volts, 'glow', r.glow, 'ohms', r.ohms, 'cone', r.cone, 'speaker', r.speaker)
        order by r.position), '[]')
      from tap_readings r where r.tap_point_id = ${tapPoints.id})`,
    seen: seenSql(sql`${exceptJobId ?? null}::uuid`),
  };
}

function seenSql(exceptJobId: SQL): SQL<SeenJson | null> {
  const counting = sql`from tap_observations o join readings r on r.id = o.reading_id
      where o.tap_point_id = ${tapPoints.id} and r.withdrawn_at is null and r.job_id is distinct from ${exceptJobId}`;
  return sql<SeenJson | null>`(
    select case when count(*) = 0 then null else json_build_object(
      'confirmedJobs', count(distinct r.job_id) filter (where o.kind = 'confirmed'),
      'contradictedJobs', count(distinct r.job_id) filter (where o.kind = 'contradicted'),
      'newest', (select json_agg(json_build_object('kind', one.kind, 'takenBy', one.name, 'reading', one.reading)
        order by one.kind = 'contradicted' desc, one.sequence desc) from (
          select o.kind, r.sequence, u.name, json_build_object('id', r.id, 'sequence', r.sequence, 'jobId', r.job_id,
            'sourceId', r.source_id, 'contact', r.contact, 'state', r.state, 'instrument', r.instrument, 'volts', r.volts,
            'highVolts', r.high_volts, 'glow', r.glow, 'ohms', r.ohms, 'cone', r.cone, 'speaker', r.speaker,
            'otherId', r.other_id, 'clip', r.clip, 'takenAt', r.taken_at, 'takenBy', r.taken_by) as reading
          from tap_observations o join readings r on r.id = o.reading_id join users u on u.id = r.taken_by
          where o.tap_point_id = ${tapPoints.id} and r.withdrawn_at is null and r.job_id is distinct from ${exceptJobId}
          order by o.kind = 'contradicted' desc, r.sequence desc
          limit ${SHOWN}) as one)) end
    ${counting})`;
}
