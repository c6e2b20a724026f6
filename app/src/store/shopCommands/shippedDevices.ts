import type { ShopCommandKind } from './shopCommand';

/** The devices that ship with this version come into the shop's catalogue. */
export const shippedDevices: ShopCommandKind<'shippedDevices'> = {
  called: () => 'Bringing in new devices',
  subject: () => 'devices',
  sent: () => ({ method: 'POST', path: '/devices/shipped' }),
  askedAgain: 'Devices',
  stored: () => ({ asked: ['Devices'] }),
};
