import type { HandbookEntryView, PlaceView } from '@lucky-thread/contract';
import type { Conductor, Place, Source } from '@lucky-thread/core/vehicle';
import { BUNCH_PLACE } from '@lucky-thread/work';
import { and, asc, eq, getTableColumns, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { models, places, sources } from '../db/schema';
import { findHandbook, withHandbook } from './handbookRepository';
import { placesFrom, rowsOf } from './placeRows';

/** A model's places with what was looked up at their sources. */
export interface FoundPlaces {
  /** The places with their sources, in order. */
  readonly places: readonly PlaceView[];
  /** What the handbook says at their slots. */
  readonly handbook: readonly HandbookEntryView[];
}

/** The places of a model; undefined when the shop has none of that id. */
export async function findPlaces(
  db: Database,
  shopId: string,
  modelId: string,
): Promise<FoundPlaces | undefined> {
  const rows = await db
    .select({ make: models.make, place: places, source: sources })
    .from(models)
    .leftJoin(places, eq(places.modelId, models.id))
    .leftJoin(sources, and(eq(sources.modelId, models.id), eq(sources.placeId, places.id)))
    .where(and(eq(models.id, modelId), eq(models.shopId, shopId)))
    .orderBy(asc(places.position), asc(sources.position));
  const make = rows[0]?.make;
  if (make === undefined) return undefined;
  const placeRows = [
    ...new Map(rows.flatMap(({ place }) => (place === null ? [] : [[place.id, place]]))).values(),
  ];
  const all = placesFrom(
    placeRows,
    rows.flatMap(({ source }) => source ?? []),
  );
  const handbook = await findHandbook(db, { shopId, modelId, make }, all);
  return { places: withHandbook(all, handbook), handbook };
}

/** Stores places with their sources on a model that has none of their ids. */
export async function insertPlaces(
  db: Database,
  modelId: string,
  all: readonly Place[],
): Promise<void> {
  const rows = rowsOf(modelId, all);
  if (rows.places.length > 0) await db.insert(places).values(rows.places);
  if (rows.sources.length > 0) await db.insert(sources).values(rows.sources);
}

/**
 * Stores a place with its sources over what was there before. Answers the sources that are left out although something
 * refers to them; then nothing may be kept of it.
 */
export async function putPlace(db: Database, modelId: string, place: Place): Promise<string[]> {
  const used = await usedBut(db, { modelId, placeId: place.id }, place.sources);
  if (used.length > 0) return used;
  const rows = rowsOf(modelId, [place]);
  const [first] = rows.places;
  if (first === undefined) return [];
  const { rows: last } = await db.execute<{ next: number }>(sql`
    select coalesce(max(position) + 1, 0)::int as next from places where model_id = ${modelId}`);
  const { position: _position, ...fields } = first;
  await db
    .insert(places)
    .values({ ...first, position: last[0]?.next ?? 0 })
    .onConflictDoUpdate({
      target: [places.modelId, places.id],
      set: { ...fields, version: sql`${places.version} + 1` },
    });
  await db
    .delete(sources)
    .where(
      and(
        eq(sources.modelId, modelId),
        eq(sources.placeId, place.id),
        sql`${sources.id} <> all(${idsOf(place.sources)}::text[])`,
      ),
    );
  await db
    .insert(sources)
    .values(rows.sources)
    .onConflictDoUpdate({ target: [sources.modelId, sources.id], set: REPLACED });
  return [];
}

/** Takes a place with its sources away. Answers the sources that something refers to; then it stays. */
export async function dropPlace(
  db: Database,
  at: { readonly modelId: string; readonly placeId: string },
): Promise<string[]> {
  const used = await usedBut(db, at, []);
  if (used.length > 0) return used;
  const here = eq(sources.modelId, at.modelId);
  await db.delete(sources).where(and(here, eq(sources.placeId, at.placeId)));
  await db.delete(places).where(and(eq(places.modelId, at.modelId), eq(places.id, at.placeId)));
  return [];
}

function idsOf(all: readonly Source[]) {
  return sql.param(all.map((source) => source.id));
}

/** Sources of a place that something refers to, but for those that stay. */
async function usedBut(
  db: Database,
  { modelId, placeId }: { readonly modelId: string; readonly placeId: string },
  staying: readonly Source[],
): Promise<string[]> {
  const { rows } = await db.execute<{ id: string }>(sql`
    select s.id from sources s
    where s.model_id = ${modelId} and s.place_id = ${placeId} and s.id <> all(${idsOf(staying)}::text[]) and (
      exists (select from tap_points t where t.model_id = s.model_id and t.source_id = s.id)
      or exists (select from handbook_entries h where h.model_id = s.model_id and h.source_id = s.id)
      or exists (select from jobs j join readings r on r.job_id = j.id
        where j.model_id = s.model_id and (r.source_id = s.id or r.other_id = s.id))
      or exists (select from jobs j join feed_plans p on p.job_id = j.id
        where j.model_id = s.model_id and p.source_id = s.id))
    order by s.position`);
  return rows.map((row) => row.id);
}

/** Every column of a source but its key, from the row that could not be inserted. */
const REPLACED = Object.fromEntries(
  Object.entries(getTableColumns(sources))
    .filter(([key]) => key !== 'modelId' && key !== 'id')
    .map(([key]) => [key, sql.raw(`excluded.${snake(key)}`)]),
);

/** A column’s name in the database, as the driver writes it. */
function snake(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** Keeps a wire that a job laid open among the model's own; one that is known already stays as it is. */
export async function keepWire(db: Database, modelId: string, wire: Conductor): Promise<void> {
  const bunch: Place = {
    id: BUNCH_PLACE,
    kind: 'loom',
    name: 'Bunch of wires',
    location: 'Where a job laid it open',
    reach: { steps: [], fasteners: [], tools: [] },
    notes: '',
    columns: 0,
    rows: 0,
    // What it is taped with may be a wire that the model does not have.
    sources: [{ ...wire, tapedWith: undefined }],
  };
  const rows = rowsOf(modelId, [bunch]);
  await db
    .insert(places)
    .values(rows.places.map((row) => ({ ...row, position: LAST })))
    .onConflictDoNothing();
  await db
    .insert(sources)
    .values(rows.sources.map((row) => ({ ...row, position: LAST })))
    .onConflictDoNothing();
}

/** After everything that has a position of its own. */
const LAST = 1000;
