import type { ShopCommandKind } from './shopCommand';

/** A vehicle model is entered. */
export const newModel: ShopCommandKind<'newModel'> = {
  called: ({ request }) => `The vehicle ${request.make} ${request.model}`,
  subject: ({ id }) => `model ${id}`,
  sent: ({ id, request }) => ({ method: 'PUT', path: `/models/${id}`, body: request }),
  askedAgain: 'Models',
  stored: (model) => ({ model, asked: ['ModelLists'] }),
};
