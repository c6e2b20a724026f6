import type { ShopCommandKind } from './shopCommand';

/** What the handbook says of a slot. */
export const handbook: ShopCommandKind<'handbook'> = {
  called: ({ sourceId }) => `What the handbook says of ${sourceId}`,
  subject: ({ modelId }) => `model ${modelId}`,
  sent: ({ modelId, sourceId, request }) => ({
    method: 'PUT',
    path: `/models/${modelId}/handbook/${encodeURIComponent(sourceId)}`,
    body: request,
  }),
  apply: {
    model: (model, { modelId, sourceId, request }, { by, at }) =>
      model.id !== modelId
        ? model
        : {
            ...model,
            handbook: [
              ...model.handbook.filter((one) => one.sourceId !== sourceId),
              { sourceId, entry: request.entry, by, at, fromGlossary: false },
            ],
          },
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists', 'Glossary'] }),
};
