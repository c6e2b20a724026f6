import type { HandbookEntryView } from '@lucky-thread/contract';
import type { Conductor, Place } from '@lucky-thread/core/vehicle';
import { BUNCH_PLACE } from '@lucky-thread/work';
import { and, asc, eq } from 'drizzle-orm';
import type { Database } from '../db/database';
import { models, places, sources } from '../db/schema';
import { findHandbook, withHandbook } from './handbookRepository';
import { placesFrom, rowsOf } from './placeRows';

/** A model's places with what was looked up at their sources. */
export interface FoundPlaces {
  readonly places: readonly Place[];
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
