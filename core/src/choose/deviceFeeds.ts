import type { LeadFamily } from './leads';

/** Kinds of device that a shop fits. */
export const DEVICE_TYPES = [
  'dashcam',
  'radio',
  'socket',
  'usbCharger',
  'cabinLights',
  'camera',
  'amplifier',
  'remoteStart',
] as const;
/** One kind. */
export type DeviceType = (typeof DEVICE_TYPES)[number];

/** A feed that a kind of device needs. */
export interface WantedFeed {
  readonly id: string;
  readonly name: string;
  readonly role: 'constant' | 'switched' | 'illumination' | 'ground' | 'battery' | 'trigger';
  readonly liveInAcc: boolean;
  readonly holdsCranking: boolean;
  /** Whether the device may lose it while the car sleeps. */
  readonly maySleep: boolean;
  /** Polarity of the input. */
  readonly polarity: '+' | '−';
  /** Usual continuous current at 12 V, A; the device's own label comes first. */
  readonly usualA: number;
  readonly because: string;
}

/** What a kind of device needs and accepts. */
export interface DeviceFacts {
  readonly name: string;
  readonly family: LeadFamily;
  /** The feeds, given whether it works while parked. */
  readonly feeds: (parked: boolean) => readonly WantedFeed[];
  readonly asksParked: boolean;
}

const GROUND = wanted('ground', 'Ground', 'ground', 1, 'Every device needs its return.', {
  polarity: '−',
});

/** Feeds by kind of device. Common practice. */
export const DEVICE_FACTS: Record<DeviceType, DeviceFacts> = {
  dashcam: device('Dashcam', 'dashcamKit', true, (parked) => [
    ...(parked
      ? [
          wanted(
            'memory',
            'Parking supply',
            'constant',
            0.5,
            'It records while parked: two feeds, and a cut-off that saves the battery.',
          ),
        ]
      : []),
    wanted(
      'switched',
      parked ? 'Wake with the key' : 'Supply',
      'switched',
      0.6,
      parked
        ? 'It tells the camera that the car is in use.'
        : 'It records while the key is on: one feed is enough.',
      { liveInAcc: true, maySleep: true },
    ),
  ]),
  radio: device('Radio', 'radio', false, () => [
    wanted('memory', 'Constant', 'constant', 7, 'Clock and presets, and the amplifier’s power.'),
    wanted('switched', 'Accessory', 'switched', 0.2, 'Switches the set on with the key.', {
      liveInAcc: true,
      maySleep: true,
    }),
    wanted(
      'illumination',
      'Illumination',
      'illumination',
      0.05,
      'Dims the display; may be left out and capped.',
      { maySleep: true },
    ),
  ]),
  socket: device('12 V socket', 'socket', false, () => [
    wanted(
      'switched',
      'Supply',
      'switched',
      10,
      'Dead without the key, so that what is forgotten in it does not drain the battery.',
      { liveInAcc: true, maySleep: true },
    ),
  ]),
  usbCharger: device('USB charger', 'socket', false, () => [
    wanted('switched', 'Supply', 'switched', 2.9, 'Two ports of 3 A at 5 V.', {
      liveInAcc: true,
      maySleep: true,
    }),
  ]),
  cabinLights: device('Cabin lights', 'socket', false, () => [
    wanted(
      'memory',
      'Supply',
      'constant',
      2,
      'They are wanted with the key out; a timed feed that sleeps may do.',
      { maySleep: true },
    ),
  ]),
  camera: device('Reversing camera', 'camera', false, () => [
    wanted(
      'trigger',
      'Reverse trigger',
      'trigger',
      0.2,
      'It wakes with the reversing lamp; lamps dimmed by pulses need a relay or filter.',
      { maySleep: true },
    ),
  ]),
  amplifier: device('Amplifier', 'radio', false, () => [
    wanted(
      'battery',
      'Battery feed',
      'battery',
      25,
      'More than any slot carries: its own fused lead from the battery.',
    ),
    wanted(
      'trigger',
      'Turn-on',
      'trigger',
      0.05,
      'From the radio’s blue/white, live on every source; not blue, which dies off radio.',
      { maySleep: true },
    ),
  ]),
  remoteStart: device('Remote starter', 'remoteStart', false, () => [
    wanted(
      'battery',
      'Main feed',
      'battery',
      30,
      'Its outputs feed ignition and starter: from the battery, each branch fused.',
    ),
    wanted(
      'ignition',
      'Ignition out',
      'trigger',
      15,
      'It feeds the ignition wire through cranking.',
      { holdsCranking: true },
    ),
  ]),
};

function device(
  name: string,
  family: LeadFamily,
  asksParked: boolean,
  feeds: (parked: boolean) => readonly WantedFeed[],
): DeviceFacts {
  return { name, family, asksParked, feeds: (parked) => [...feeds(parked), GROUND] };
}

function wanted(
  id: string,
  name: string,
  role: WantedFeed['role'],
  usualA: number,
  because: string,
  more: Partial<WantedFeed> = {},
): WantedFeed {
  return {
    id,
    name,
    role,
    usualA,
    because,
    liveInAcc: false,
    holdsCranking: false,
    maySleep: false,
    polarity: '+',
    ...more,
  };
}

/** The feeds of a kind that a fuse slot or a ground can fill; a battery feed or a trigger wants its own lead. */
export function tappableFeeds(
  type: DeviceType,
  parked: boolean,
): readonly (WantedFeed & {
  readonly role: 'constant' | 'switched' | 'illumination' | 'ground';
})[] {
  return feedsFor(type, parked).filter(
    (feed): feed is WantedFeed & { role: 'constant' | 'switched' | 'illumination' | 'ground' } =>
      feed.role !== 'battery' && feed.role !== 'trigger',
  );
}

/** What a kind of device needs; whether it works while parked decides between one feed and two (Q10, Q11). */
export function feedsFor(type: DeviceType, parked: boolean): readonly WantedFeed[] {
  return DEVICE_FACTS[type].feeds(parked);
}
