import type { DescribePhotoRequest, ModelView } from '@lucky-thread/contract';
import { MOST_PHOTOS } from '@lucky-thread/contract';
import type { Actor } from '../../auth/session';
import type { Database } from '../../db/database';
import { conflict, invalid, notFound, stale } from '../../http/problem';
import { sameContent } from '../../http/sameContent';
import { findModel } from '../modelRepository';
import type { PlaceAt } from '../modelService';
import { readPicture } from './jpeg';
import type { StoredPhoto } from './photoRepository';
import { describe, dropPhoto, findPhoto, insertPhoto, jpegOf } from './photoRepository';

/**
 * Keeps a photo of a place under the id that its maker gave it. Sending it again changes nothing.
 *
 * @throws Problem 422 for what is no picture that is kept, and for one too many; 404 for no such place; 409 for an id that another has.
 */
export async function putPhoto(
  db: Database,
  actor: Actor,
  at: PlaceAt & { readonly photoId: string },
  jpeg: Buffer,
): Promise<ModelView> {
  const picture = readPicture(jpeg);
  if (!picture.ok) throw invalid([picture.problem]);
  const model = await findModel(db, actor.shopId, at.modelId);
  if (model === undefined) throw notFound('Vehicle model');
  if (!model.places.some((place) => place.id === at.placeId)) throw notFound('Place');
  const here = model.photos.filter((photo) => photo.placeId === at.placeId);
  if (here.length >= MOST_PHOTOS && !here.some((photo) => photo.id === at.photoId))
    throw invalid([{ path: 'photo', message: `a place keeps up to ${MOST_PHOTOS} photos` }]);
  const { photoId: id, modelId, placeId } = at;
  const { width, height } = picture;
  const fresh = await insertPhoto(db, {
    ...{ id, modelId, placeId, jpeg, width, height },
    takenBy: actor.userId,
  });
  const isSame = fresh || (await jpegOf(db, actor.shopId, id))?.equals(jpeg) === true;
  if (!isSame) throw conflict('Another photo has it.');
  return (await findModel(db, actor.shopId, modelId)) as ModelView;
}

/**
 * Says what a photo shows, and where. What it says already stays as it is: whoever had no answer sends it again.
 *
 * @throws Problem 404 for no such photo; 409 with it as it is when somebody else was faster; 422 for a pin of another model's source.
 */
export async function describePhoto(
  db: Database,
  actor: Actor,
  id: string,
  request: DescribePhotoRequest,
): Promise<ModelView> {
  const { photo, model } = await photoOfShop(db, actor, id);
  const sources = new Set(model.places.flatMap((place) => place.sources.map((one) => one.id)));
  const strange = request.pins.findIndex((pin) => !sources.has(pin.sourceId));
  if (strange >= 0)
    throw invalid([{ path: `pins.${strange}.sourceId`, message: 'the model has no such source' }]);
  const done = await db.transaction((tx) => describe(tx, id, request));
  if (!done) {
    const now = await findPhoto(db, actor.shopId, id);
    if (now === undefined || !saysTheSame(now, request)) throw stale(now);
  }
  return (await findModel(db, actor.shopId, photo.modelId)) as ModelView;
}

/** Takes a photo away, and answers its model. */
export async function takePhotoAway(db: Database, actor: Actor, id: string): Promise<ModelView> {
  const { photo } = await photoOfShop(db, actor, id);
  await dropPhoto(db, actor.shopId, id);
  return (await findModel(db, actor.shopId, photo.modelId)) as ModelView;
}

function saysTheSame(stored: DescribedPhoto, request: DescribedPhoto): boolean {
  return sameContent(wordsOf(stored), wordsOf(request));
}

type DescribedPhoto = Readonly<Pick<StoredPhoto, 'caption' | 'pins'>>;

/** What a photo shows, whatever the order in which its pins were set. */
function wordsOf({ caption, pins }: DescribedPhoto) {
  return {
    caption,
    pins: Object.fromEntries(pins.map(({ sourceId, x, y }) => [sourceId, { x, y }])),
  };
}

async function photoOfShop(db: Database, actor: Actor, id: string) {
  const photo = await findPhoto(db, actor.shopId, id);
  const model = photo && (await findModel(db, actor.shopId, photo.modelId));
  if (photo === undefined || model === undefined) throw notFound('Photo');
  return { photo, model };
}
