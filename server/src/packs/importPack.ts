import type { ModelView } from '@lucky-thread/contract';
import { MOST_PROBLEMS } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Actor } from '../auth/session';
import type { Database } from '../db/database';
import { models } from '../db/schema';
import { conflict, invalid } from '../http/problem';
import { newTap } from '../taps/importTaps';
import { insertTapPoints, insertTapReadings } from '../taps/tapRepository';
import { findModel } from '../vehicles/modelRepository';
import { insertPins, insertPhoto } from '../vehicles/photos/photoRepository';
import { insertPlaces } from '../vehicles/placeRepository';
import type { Pack } from './readPack';
import { readPack } from './readPack';
import type { PackedPhoto } from './readPhotos';
import { unzipped } from './unzip';

/**
 * Makes a new model of a pack, all of it or nothing. What was probed by those who packed it counts as probed by
 * somebody else; their readings come along.
 *
 * @throws Problem 422 naming file, row and column of what is wrong; 409 when a model has the id already.
 */
export async function importPack(
  db: Database,
  actor: Actor,
  modelId: string,
  zip: Uint8Array,
): Promise<ModelView> {
  const files = await unzipped(zip);
  if (isProblem(files)) throw invalid([files]);
  const read = readPack(files, uuidv7);
  if (!read.ok) throw invalid(read.problems.slice(0, MOST_PROBLEMS));
  await db.transaction((tx) => keep(tx, actor, modelId, read.pack));
  return (await findModel(db, actor.shopId, modelId)) as ModelView;
}

function isProblem(
  files: Awaited<ReturnType<typeof unzipped>>,
): files is Extract<typeof files, { readonly message: string }> {
  return typeof files.message === 'string';
}

async function keep(tx: Database, actor: Actor, modelId: string, pack: Pack): Promise<void> {
  const fresh = await tx
    .insert(models)
    .values({ id: modelId, shopId: actor.shopId, ...pack.model })
    .onConflictDoNothing()
    .returning({ id: models.id });
  if (fresh.length === 0) throw conflict('A model has it already: import the file once more.');
  await insertPlaces(tx, modelId, pack.places);
  await insertTapPoints(
    tx,
    pack.taps.map(({ tap }) => newTap(actor, modelId, tap)),
  );
  for (const { tap, readings } of pack.taps) await insertTapReadings(tx, tap.id, readings);
  for (const [index, photo] of pack.photos.entries())
    await keepPhoto(tx, actor, { modelId, index }, photo);
}

async function keepPhoto(
  tx: Database,
  actor: Actor,
  at: { readonly modelId: string; readonly index: number },
  { pins, jpeg, ...photo }: PackedPhoto,
): Promise<void> {
  const id = uuidv7();
  await insertPhoto(tx, {
    ...photo,
    id,
    modelId: at.modelId,
    jpeg: Buffer.from(jpeg),
    takenBy: actor.userId,
    // Photos of a place stand in the order of the pack.
    takenAt: new Date(Date.now() + at.index),
  });
  await insertPins(tx, { id, modelId: at.modelId }, pins);
}
