import { DescribePhotoRequest, MOST_PHOTO_BYTES } from '@lucky-thread/contract';
import express, { Router } from 'express';
import { actorOf } from '../../auth/session';
import type { Database } from '../../db/database';
import { checked, idIn } from '../../http/handlers';
import { Problem, notFound } from '../../http/problem';
import { jpegOf } from './photoRepository';
import { describePhoto, putPhoto, takePhotoAway } from './photoService';

/** The photos of the shop's vehicles. */
export function photoRoutes(db: Database): Router {
  const router = Router();
  const readJpeg = express.raw({ type: 'image/jpeg', limit: MOST_PHOTO_BYTES });
  router.put(
    '/models/:modelId/places/:placeId/photos/:photoId',
    readJpeg,
    async (request, response) => {
      const body: unknown = request.body;
      if (!Buffer.isBuffer(body))
        throw new Problem({ type: 'not-jpeg', title: 'A JPEG is expected', status: 415 });
      const { placeId } = request.params;
      const modelId = idIn(request.params.modelId, 'model');
      const photoId = idIn(request.params.photoId, 'photo');
      response.json(await putPhoto(db, actorOf(request), { modelId, placeId, photoId }, body));
    },
  );
  router.get('/photos/:photoId', async (request, response) => {
    const jpeg = await jpegOf(db, actorOf(request).shopId, idIn(request.params.photoId, 'photo'));
    if (jpeg === undefined) throw notFound('Photo');
    // A photo never changes; who may see it is asked each time.
    response.set('Cache-Control', 'private, no-cache').type('image/jpeg').send(jpeg);
  });
  router.put('/photos/:photoId', async (request, response) => {
    const body = checked(DescribePhotoRequest, request.body);
    const id = idIn(request.params.photoId, 'photo');
    response.json(await describePhoto(db, actorOf(request), id, body));
  });
  router.delete('/photos/:photoId', async (request, response) => {
    const id = idIn(request.params.photoId, 'photo');
    response.json(await takePhotoAway(db, actorOf(request), id));
  });
  return router;
}
