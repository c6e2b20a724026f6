import type { ModelView, SplitModelRequest } from '@lucky-thread/contract';
import { and, eq, sql } from 'drizzle-orm';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { models } from '../db/schema';
import { conflict, invalid, notFound } from '../http/problem';
import { copyPlaces } from './copyModel';
import { findModel } from './modelRepository';

/** What is split, and where. */
interface Split {
  readonly from: string;
  readonly to: string;
  readonly year: number;
}

/**
 * Makes two models of one that differs from some year on. Both have its places; jobs and tap points go with the years of
 * their cars. A tap point that was claimed over the break stays probed before it, and is asserted after it. Sending it
 * again changes nothing.
 *
 * @throws Problem 404 when the shop has no such model; 422 for a year that parts nothing; 409 for an id that stands for another model.
 */
export async function splitModel(
  db: Database,
  actor: Actor,
  id: string,
  request: SplitModelRequest,
): Promise<ModelView> {
  await db.transaction((tx) => splitWithin(tx, actor, id, request));
  return (await findModel(db, actor.shopId, id)) as ModelView;
}

function copyHandbook(tx: Database, { from, to }: Split) {
  return tx.execute(sql`
    insert into handbook_entries (id, shop_id, model_id, source_id, make, legend, entry, user_id, at)
    select gen_random_uuid(), shop_id, ${to}, source_id, make, legend, entry, user_id, at
    from handbook_entries where model_id = ${from}`);
}

function partJobs(tx: Database, { from, to, year }: Split) {
  return tx.execute(
    sql`update jobs set model_id = ${to} where model_id = ${from} and year >= ${year}`,
  );
}

async function partTaps(tx: Database, actor: Actor, { from, to, year }: Split): Promise<void> {
  await tx.execute(
    sql`update tap_points set model_id = ${to} where model_id = ${from} and year_from >= ${year}`,
  );
  await tx.execute(sql`
    insert into tap_points (id, shop_id, model_id, source_id, function, supply_contact, year_from, year_to, trim, market,
      grade, fuse_a, awg, note, logged_by)
    select gen_random_uuid(), shop_id, ${to}, source_id, function, supply_contact, ${year}, year_to, trim, market,
      'asserted', fuse_a, awg, note, ${actor.userId}
    from tap_points where model_id = ${from} and year_to >= ${year} and not retired`);
  await tx.execute(
    sql`update tap_points set year_to = ${year - 1} where model_id = ${from} and year_to >= ${year}`,
  );
}

/**
 * The same as part of a larger change.
 *
 * @throws Problem as {@link splitModel}.
 */
export async function splitWithin(
  tx: Database,
  actor: Actor,
  id: string,
  { of, fromYear, generation }: SplitModelRequest,
): Promise<void> {
  const [old] = await tx
    .select()
    .from(models)
    .where(and(eq(models.id, of), eq(models.shopId, actor.shopId)))
    .for('update');
  if (old === undefined) throw notFound('Vehicle model');
  const [known] = await tx.select().from(models).where(eq(models.id, id));
  if (known !== undefined) {
    if (known.shopId === actor.shopId && known.yearFrom === fromYear) return;
    throw conflict('Another model has it.');
  }
  if (fromYear <= old.yearFrom || fromYear > old.yearTo)
    throw invalid([
      {
        path: 'fromYear',
        message: `must lie within ${old.yearFrom + 1} and ${old.yearTo}: both parts need a year`,
      },
    ]);
  const { search: _made, ...row } = old;
  await tx.insert(models).values({ ...row, id, generation, yearFrom: fromYear });
  await tx
    .update(models)
    .set({ yearTo: fromYear - 1 })
    .where(eq(models.id, of));
  const split = { from: of, to: id, year: fromYear };
  await copyPlaces(tx, split);
  await copyHandbook(tx, split);
  await partJobs(tx, split);
  await partTaps(tx, actor, split);
}
