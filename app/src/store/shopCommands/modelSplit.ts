import type { ShopCommandKind } from './shopCommand';

/** A model turns out to be two from some year on. */
export const modelSplit: ShopCommandKind<'modelSplit'> = {
  called: ({ request }) => `Another model from ${request.fromYear} on`,
  subject: ({ request }) => `model ${request.of}`,
  sent: ({ id, request }) => ({ method: 'PUT', path: `/models/${id}/split`, body: request }),
  askedAgain: 'Models',
  // Jobs and tap points go with the years of their cars, and so may any of them.
  stored: (model) => ({
    model,
    asked: ['Models', 'ModelLists', 'Taps', 'TapLists', 'Jobs', 'JobLists'],
  }),
};
