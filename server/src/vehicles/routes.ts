import type { Request } from 'express';
import { Router } from 'express';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import {
  BodyInput,
  CreateModelRequest,
  HandbookEntryRequest,
  NoteRequest,
  SplitModelRequest,
} from '@lucky-thread/contract';
import { validatePlace } from '@lucky-thread/contract/places';
import { slotsOf } from '@lucky-thread/work';
import { checked, checkedBy, idIn } from '../http/handlers';
import { dropGlossaryEntry, listGlossary } from './glossary';
import { putHandbookEntry } from './handbookRepository';
import { invalid, notFound } from '../http/problem';
import { findModel, listModels } from './modelRepository';
import type { NoteAt } from './notes';
import { dropNote, putNote } from './notes';
import { search } from './search';
import type { PlaceAt } from './modelService';
import { splitModel } from './splitModel';
import { createModel, dropModelPlace, putModelBody, putModelPlace } from './modelService';

/** More than anybody types to find a car. */
const LONGEST_SEARCH = 80;

/** The shop's vehicle models. */
export function vehicleRoutes(db: Database): Router {
  const router = Router();
  router.get('/models', async (request, response) => {
    response.json(await listModels(db, actorOf(request).shopId));
  });
  router.get('/search', async (request, response) => {
    const { q } = request.query;
    if (typeof q !== 'string' || q.length > LONGEST_SEARCH)
      throw invalid([{ path: 'q', message: `write up to ${LONGEST_SEARCH} letters` }]);
    response.json(await search(db, actorOf(request).shopId, q));
  });
  router.get('/models/:modelId', async (request, response) => {
    const id = idIn(request.params.modelId, 'model');
    const model = await findModel(db, actorOf(request).shopId, id);
    if (model === undefined) throw notFound('Vehicle model');
    response.json(model);
  });
  router.put('/models/:modelId', async (request, response) => {
    const body = checked(CreateModelRequest, request.body);
    const id = idIn(request.params.modelId, 'model');
    response.json(await createModel(db, actorOf(request), id, body));
  });
  router.put('/models/:modelId/body', async (request, response) => {
    const body = checked(BodyInput, request.body);
    const id = idIn(request.params.modelId, 'model');
    response.json(await putModelBody(db, actorOf(request), id, body));
  });
  router.put('/models/:modelId/split', async (request, response) => {
    const body = checked(SplitModelRequest, request.body);
    const id = idIn(request.params.modelId, 'model');
    response.json(await splitModel(db, actorOf(request), id, body));
  });
  router.put('/models/:modelId/places/:placeId', async (request, response) => {
    const body = checkedBy(validatePlace, request.body);
    response.json(await putModelPlace(db, actorOf(request), placeIn(request), body));
  });
  router.delete('/models/:modelId/places/:placeId', async (request, response) => {
    response.json(await dropModelPlace(db, actorOf(request), placeIn(request)));
  });
  router.put('/models/:modelId/handbook/:sourceId', async (request, response) => {
    const { shopId, userId } = actorOf(request);
    const modelId = idIn(request.params.modelId, 'model');
    const { entry } = checked(HandbookEntryRequest, request.body);
    const model = await findModel(db, shopId, modelId);
    if (model === undefined) throw notFound('Vehicle model');
    const slot = slotsOf(model).find(({ id }) => id === request.params.sourceId);
    if (slot === undefined) throw notFound('Slot');
    await putHandbookEntry(
      db,
      { shopId, modelId, make: model.make },
      { sourceId: slot.id, legend: slot.legend, entry: entry?.trim() ?? null, userId },
    );
    response.json(await findModel(db, shopId, modelId));
  });
  router.put('/models/:modelId/notes/:noteId', async (request, response) => {
    const body = checked(NoteRequest, request.body);
    response.json(await putNote(db, actorOf(request), noteIn(request), body));
  });
  router.delete('/models/:modelId/notes/:noteId', async (request, response) => {
    response.json(await dropNote(db, actorOf(request), noteIn(request)));
  });
  router.get('/glossary', async (request, response) => {
    response.json(await listGlossary(db, actorOf(request).shopId));
  });
  router.delete('/glossary/:entryId', async (request, response) => {
    const id = idIn(request.params.entryId, 'glossary entry');
    if (!(await dropGlossaryEntry(db, actorOf(request).shopId, id)))
      throw notFound('Glossary entry');
    response.status(204).end();
  });
  return router;
}

function placeIn({ params }: Request<{ modelId: string; placeId: string }>): PlaceAt {
  return { modelId: idIn(params.modelId, 'model'), placeId: params.placeId };
}

function noteIn(request: Request): NoteAt {
  return {
    modelId: idIn(request.params.modelId, 'model'),
    noteId: idIn(request.params.noteId, 'note'),
  };
}
