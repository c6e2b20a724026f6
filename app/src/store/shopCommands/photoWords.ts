import type { ShopCommandKind } from './shopCommand';

/** What a photo shows. */
export const photoWords: ShopCommandKind<'photoWords'> = {
  called: () => 'What a photo shows',
  subject: ({ photoId }) => `photo ${photoId}`,
  sent: ({ photoId, request }) => ({ method: 'PUT', path: `/photos/${photoId}`, body: request }),
  apply: {
    model: (model, { photoId, request: { caption, pins } }) => ({
      ...model,
      photos: model.photos.map((one) => (one.id === photoId ? { ...one, caption, pins } : one)),
    }),
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
