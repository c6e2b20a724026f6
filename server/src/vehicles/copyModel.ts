import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { models } from '../db/schema';
import { notFound } from '../http/problem';

/**
 * Gives a new model the places of one that it is like, with their sources, and its tap points as asserted: what was read at
 * the one was not read at the other, so no reading, no proof and no job comes along.
 *
 * @throws Problem 404 when the shop has no such model.
 */
export async function copyFrom(
  db: Database,
  actor: Actor,
  { from, to }: { readonly from: string; readonly to: string },
): Promise<void> {
  const [sister] = await db
    .select({ id: models.id })
    .from(models)
    .where(and(eq(models.id, from), eq(models.shopId, actor.shopId)));
  if (sister === undefined) throw notFound('Model to be like');
  await copyPlaces(db, { from, to });
  // One claim for each source and function: the newest says what the sister has now.
  await db.execute(sql`
    insert into tap_points (id, shop_id, model_id, source_id, function, supply_contact, year_from, year_to, trim, market,
      grade, fuse_a, awg, note, logged_by)
    select distinct on (t.source_id, t.function) gen_random_uuid(), t.shop_id, ${to}, t.source_id, t.function, t.supply_contact,
      m.year_from, m.year_to, '', '', 'asserted', t.fuse_a, t.awg, t.note, ${actor.userId}
    from tap_points t join models m on m.id = ${to}
    where t.model_id = ${from} and t.shop_id = ${actor.shopId} and not t.retired
    order by t.source_id, t.function, t.logged_at desc`);
}

/** Gives a new model the body and the places of another, with their sources. */
export async function copyPlaces(
  db: Database,
  { from, to }: { readonly from: string; readonly to: string },
): Promise<void> {
  await db.execute(
    sql`update models set body = (select body from models where id = ${from}) where id = ${to}`,
  );
  await db.execute(sql`
    insert into places (model_id, id, position, kind, name, location, zone, side, steps, fasteners, tools, seconds, notes, keying, harness,
      columns, rows)
    select ${to}, id, position, kind, name, location, zone, side, steps, fasteners, tools, seconds, notes, keying, harness,
      columns, rows
    from places where model_id = ${from}`);
  await db.execute(sql`
    insert into sources (model_id, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row, lie,
      landmark_a, landmark_b, clearance, colour, seen_colour, gauge_mm2, gauge_measured, taped_with, also_feeds, terminal, thread_mm)
    select ${to}, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row, lie,
      landmark_a, landmark_b, clearance, colour, seen_colour, gauge_mm2, gauge_measured, taped_with, also_feeds, terminal, thread_mm
    from sources where model_id = ${from}`); // A car that is like it may well have the same weak spots; who wrote it, and when, stays.
  await db.execute(sql`
    insert into notes (id, model_id, place_id, source_id, kind, text, written_by, written_at)
    select gen_random_uuid(), ${to}, place_id, source_id, kind, text, written_by, written_at
    from notes where model_id = ${from}`);
}
