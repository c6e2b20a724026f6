import type { ShopCommandKind } from './shopCommand';

/** A place is taken away from a model. */
export const placeRemoval: ShopCommandKind<'placeRemoval'> = {
  called: () => 'Taking a place away',
  subject: ({ modelId }) => `model ${modelId}`,
  sent: ({ modelId, placeId }) => ({
    method: 'DELETE',
    path: `/models/${modelId}/places/${placeId}`,
  }),
  apply: {
    model: (model, { modelId, placeId }) =>
      model.id === modelId
        ? { ...model, places: model.places.filter(({ id }) => id !== placeId) }
        : model,
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
