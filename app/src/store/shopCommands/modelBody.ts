import type { ShopCommandKind } from './shopCommand';

/** What body a model has: its style, measures, and what was found on its ways. */
export const modelBody: ShopCommandKind<'modelBody'> = {
  called: () => 'The body of the vehicle',
  subject: ({ modelId }) => `model ${modelId}`,
  sent: ({ modelId, request }) => ({
    method: 'PUT',
    path: `/models/${modelId}/body`,
    body: request,
  }),
  apply: {
    model: (model, { modelId, request }) =>
      model.id === modelId ? { ...model, body: request } : model,
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
