import type { ShopCommandKind } from './shopCommand';

/** Something that the next person should know of a place or a source. */
export const note: ShopCommandKind<'note'> = {
  called: () => 'A note',
  subject: ({ noteId }) => `note ${noteId}`,
  sent: ({ modelId, noteId, request }) => ({
    method: 'PUT',
    path: `/models/${modelId}/notes/${noteId}`,
    body: request,
  }),
  apply: {
    model: (model, { modelId, noteId, request }, { by, at }) => {
      if (model.id !== modelId) return model;
      const { placeId, sourceId = null, kind, text } = request;
      const others = model.notes.filter(({ id }) => id !== noteId);
      return {
        ...model,
        notes: [...others, { id: noteId, placeId, sourceId, kind, text, by, at }],
      };
    },
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: [] }),
};
