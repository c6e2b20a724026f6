import type { ShopCommandKind } from './shopCommand';

/** How the shop works. */
export const shop: ShopCommandKind<'shop'> = {
  called: () => 'A change of how we work',
  subject: () => 'shop',
  sent: (body) => ({ method: 'PUT', path: '/shop', body }),
  apply: { shop: (shown, { version, settings }) => ({ ...shown, settings, version: version + 1 }) },
  askedAgain: 'Shop',
  stored: (answer) => ({ shop: answer, asked: [] }),
};
