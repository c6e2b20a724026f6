import type { ShopCommandKind } from './shopCommand';

/** A note is taken away. */
export const noteRemoval: ShopCommandKind<'noteRemoval'> = {
  called: () => 'Taking a note away',
  subject: ({ noteId }) => `note ${noteId}`,
  sent: ({ modelId, noteId }) => ({
    method: 'DELETE',
    path: `/models/${modelId}/notes/${noteId}`,
  }),
  apply: {
    model: (model, { noteId }) => ({
      ...model,
      notes: model.notes.filter(({ id }) => id !== noteId),
    }),
  },
  askedAgain: 'Models',
  // Somebody else may have taken it away before: then there is no answer.
  stored: (model) => ({ ...(model === undefined ? {} : { model }), asked: ['Models'] }),
  isRemoval: true,
};
