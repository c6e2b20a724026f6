import type { ShopCommandKind } from './shopCommand';

/** A device is kept in the shop's catalogue. */
export const device: ShopCommandKind<'device'> = {
  called: ({ request }) => `The device ${request.device.name}`,
  subject: ({ id }) => `device ${id}`,
  sent: ({ id, request }) => ({ method: 'PUT', path: `/devices/${id}`, body: request }),
  apply: {
    devices: (devices, { id, request }) => [
      ...devices.filter((one) => one.id !== id),
      { ...request.device, id, note: request.note },
    ],
  },
  askedAgain: 'Devices',
  stored: () => ({ asked: ['Devices'] }),
};
