import type { PhotoPinInput, PhotoView } from '@lucky-thread/contract';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { models, photoPins, photos, users } from '../../db/schema';

/** A photo to be kept. */
export type NewPhoto = typeof photos.$inferInsert;

/** A photo with the model that it is of. */
export type StoredPhoto = PhotoView & { readonly modelId: string };

/** The photos of a model, oldest first: one statement, without the pictures themselves. */
export async function photosOf(db: Database, modelId: string): Promise<PhotoView[]> {
  const stored = await views(db, eq(photos.modelId, modelId));
  return stored.map(({ modelId: _modelId, ...photo }) => photo);
}

/** One photo without the picture itself; undefined when the shop has none of that id. */
export async function findPhoto(
  db: Database,
  shopId: string,
  id: string,
): Promise<StoredPhoto | undefined> {
  const [photo] = await views(db, and(eq(photos.id, id), ofShop(shopId)));
  return photo;
}

/** The picture itself; undefined when the shop has none of that id. */
export async function jpegOf(
  db: Database,
  shopId: string,
  id: string,
): Promise<Buffer | undefined> {
  const [row] = await db
    .select({ jpeg: photos.jpeg })
    .from(photos)
    .where(and(eq(photos.id, id), ofShop(shopId)));
  return row?.jpeg;
}

/** Keeps a photo; false when one of that id is there already. */
export async function insertPhoto(db: Database, photo: NewPhoto): Promise<boolean> {
  const fresh = await db
    .insert(photos)
    .values(photo)
    .onConflictDoNothing()
    .returning({ id: photos.id });
  return fresh.length > 0;
}

/** Writes what a photo shows, where it still has the version that this was made on; false where it has not. */
export async function describe(
  db: Database,
  id: string,
  to: { readonly base: number; readonly caption: string; readonly pins: readonly PhotoPinInput[] },
): Promise<boolean> {
  const [changed] = await db
    .update(photos)
    .set({ caption: to.caption, version: sql`${photos.version} + 1` })
    .where(and(eq(photos.id, id), eq(photos.version, to.base)))
    .returning({ modelId: photos.modelId });
  if (changed === undefined) return false;
  await db.delete(photoPins).where(eq(photoPins.photoId, id));
  await insertPins(db, { id, modelId: changed.modelId }, to.pins);
  return true;
}

/** Puts pins on a photo that has none of them. */
export async function insertPins(
  db: Database,
  photo: { readonly id: string; readonly modelId: string },
  pins: readonly PhotoPinInput[],
): Promise<void> {
  if (pins.length === 0) return;
  const rows = pins.map(({ sourceId, x, y }) => ({ photoId: photo.id, sourceId, x, y }));
  await db.insert(photoPins).values(rows.map((row) => ({ ...row, modelId: photo.modelId })));
}

/** Takes a photo away; one that is not there stays away. */
export async function dropPhoto(db: Database, shopId: string, id: string): Promise<void> {
  await db.delete(photos).where(and(eq(photos.id, id), ofShop(shopId)));
}

function ofShop(shopId: string): SQL {
  return sql`exists (select from ${models} where ${models.id} = ${photos.modelId} and ${models.shopId} = ${shopId})`;
}

async function views(db: Database, which: SQL | undefined): Promise<StoredPhoto[]> {
  const rows = await db
    .select({
      id: photos.id,
      modelId: photos.modelId,
      placeId: photos.placeId,
      caption: photos.caption,
      width: photos.width,
      height: photos.height,
      version: photos.version,
      takenBy: users.name,
      takenAt: photos.takenAt,
      pins: sql<PhotoPinInput[]>`coalesce((
        select json_agg(json_build_object('sourceId', p.source_id, 'x', p.x, 'y', p.y) order by p.source_id)
        from photo_pins p where p.photo_id = ${photos.id}), '[]'::json)`,
    })
    .from(photos)
    .innerJoin(users, eq(users.id, photos.takenBy))
    .where(which)
    .orderBy(asc(photos.placeId), asc(photos.takenAt), asc(photos.id));
  return rows.map((row) => ({ ...row, takenAt: row.takenAt.toISOString() }));
}
