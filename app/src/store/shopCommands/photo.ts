import type { ShopCommandKind } from './shopCommand';

/** A photo of a place. */
export const photo: ShopCommandKind<'photo'> = {
  called: () => 'A photo',
  subject: ({ photoId }) => `photo ${photoId}`,
  sent: ({ modelId, placeId, photoId, jpegBase64 }) => ({
    method: 'PUT',
    path: `/models/${modelId}/places/${placeId}/photos/${photoId}`,
    body: jpegOf(jpegBase64),
  }),
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};

/** A picture as it is sent, from the text that it is kept as. */
function jpegOf(base64: string): Blob {
  const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
  return new Blob([bytes], { type: 'image/jpeg' });
}
