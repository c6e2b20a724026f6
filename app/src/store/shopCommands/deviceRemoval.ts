import type { ShopCommandKind } from './shopCommand';

/** A device is taken out of the shop's catalogue. */
export const deviceRemoval: ShopCommandKind<'deviceRemoval'> = {
  called: () => 'Taking a device out',
  subject: ({ id }) => `device ${id}`,
  sent: ({ id }) => ({ method: 'DELETE', path: `/devices/${id}` }),
  apply: { devices: (devices, { id }) => devices.filter((one) => one.id !== id) },
  askedAgain: 'Devices',
  stored: () => ({ asked: ['Devices'] }),
  isRemoval: true,
};
