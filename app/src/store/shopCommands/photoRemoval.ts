import type { ShopCommandKind } from './shopCommand';

/** A photo is taken away. */
export const photoRemoval: ShopCommandKind<'photoRemoval'> = {
  called: () => 'Taking a photo away',
  subject: ({ photoId }) => `photo ${photoId}`,
  sent: ({ photoId }) => ({ method: 'DELETE', path: `/photos/${photoId}` }),
  apply: {
    model: (model, { photoId }) => ({
      ...model,
      photos: model.photos.filter(({ id }) => id !== photoId),
    }),
  },
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
