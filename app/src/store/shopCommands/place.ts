import { placeOf } from '@lucky-thread/contract/places';
import type { ShopCommandKind } from './shopCommand';

/** A place of a model is entered or put right. */
export const place: ShopCommandKind<'place'> = {
  called: ({ request }) => `The place ${request.name}`,
  subject: ({ modelId }) => `model ${modelId}`,
  sent: ({ modelId, placeId, request }) => ({
    method: 'PUT',
    path: `/models/${modelId}/places/${placeId}`,
    body: request,
  }),
  apply: {
    model: (model, { modelId, placeId, request }) => {
      if (model.id !== modelId) return model;
      // What is changed next is changed on top of this.
      const entered = { ...placeOf(placeId, request), version: request.base + 1 };
      const isNew = model.places.every(({ id }) => id !== placeId);
      const places = model.places.map((one) => (one.id === placeId ? { ...one, ...entered } : one));
      return { ...model, places: isNew ? [...places, entered] : places };
    },
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
