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
  /** What kind of supply it wants. */
  readonly role: 'constant' | 'switched' | 'illumination' | 'ground' | 'battery' | 'trigger';
  /** Must be live at accessory. */
  readonly liveInAcc: boolean;
  /** Must hold through cranking. */
  readonly holdsCranking: boolean;
  /** Whether the device may lose it while the car sleeps. */
  readonly maySleep: boolean;
  /** Polarity of the input. */
  readonly polarity: '+' | '−';
  /** Usual continuous current at 12 V, A; the device's own label comes first. */
  readonly usualA: number;
  /** Why the device wants it. */
  readonly because: string;
}

/** What a kind of device needs and accepts. */
export interface DeviceFacts {
  readonly name: string;
  /** Whose colours its leads follow. */
  readonly family: LeadFamily;
  /** The feeds, given whether it works while parked. */
  readonly feeds: (parked: boolean) => readonly WantedFeed[];
  /** Whether it matters that it works while parked. */
  readonly asksParked: boolean;
}

const GROUND = wanted({
  id: 'ground',
  name: 'Ground',
  role: 'ground',
  usualA: 1,
  because: 'Every device needs its return.',
  polarity: '−',
});

/** Feeds by kind of device. Common practice. */
export const DEVICE_FACTS: Record<DeviceType, DeviceFacts> = {
  dashcam: device('Dashcam', 'dashcamKit', true, (parked) => [
    ...(parked
      ? [
          wanted({
            id: 'memory',
            name: 'Parking supply',
            role: 'constant',
            usualA: 0.5,
            because: 'It records while parked: two feeds, and a cut-off that saves the battery.',
          }),
        ]
      : []),
    wanted({
      id: 'switched',
      name: parked ? 'Wake with the key' : 'Supply',
      role: 'switched',
      usualA: 0.6,
      because: parked
        ? 'It tells the camera that the car is in use.'
        : 'It records while the key is on: one feed is enough.',
      liveInAcc: true,
      maySleep: true,
    }),
  ]),
  radio: device('Radio', 'radio', false, () => [
    wanted({
      id: 'memory',
      name: 'Constant',
      role: 'constant',
      usualA: 7,
      because: 'Clock and presets, and the amplifier’s power.',
    }),
    wanted({
      id: 'switched',
      name: 'Accessory',
      role: 'switched',
      usualA: 0.2,
      because: 'Switches the set on with the key.',
      liveInAcc: true,
      maySleep: true,
    }),
    wanted({
      id: 'illumination',
      name: 'Illumination',
      role: 'illumination',
      usualA: 0.05,
      because: 'Dims the display; may be left out and capped.',
      maySleep: true,
    }),
  ]),
  socket: device('12 V socket', 'socket', false, () => [
    wanted({
      id: 'switched',
      name: 'Supply',
      role: 'switched',
      usualA: 10,
      because: 'Dead without the key, so that what is forgotten in it does not drain the battery.',
      liveInAcc: true,
      maySleep: true,
    }),
  ]),
  usbCharger: device('USB charger', 'socket', false, () => [
    wanted({
      id: 'switched',
      name: 'Supply',
      role: 'switched',
      usualA: 2.9,
      because: 'Two ports of 3 A at 5 V.',
      liveInAcc: true,
      maySleep: true,
    }),
  ]),
  cabinLights: device('Cabin lights', 'socket', false, () => [
    wanted({
      id: 'memory',
      name: 'Supply',
      role: 'constant',
      usualA: 2,
      because: 'They are wanted with the key out; a timed feed that sleeps may do.',
      maySleep: true,
    }),
  ]),
  camera: device('Reversing camera', 'camera', false, () => [
    wanted({
      id: 'trigger',
      name: 'Reverse trigger',
      role: 'trigger',
      usualA: 0.2,
      because: 'It wakes with the reversing lamp; lamps dimmed by pulses need a relay or filter.',
      maySleep: true,
    }),
  ]),
  amplifier: device('Amplifier', 'radio', false, () => [
    wanted({
      id: 'battery',
      name: 'Battery feed',
      role: 'battery',
      usualA: 25,
      because: 'More than any slot carries: its own fused lead from the battery.',
    }),
    wanted({
      id: 'trigger',
      name: 'Turn-on',
      role: 'trigger',
      usualA: 0.05,
      because: 'From the radio’s blue/white, live on every source; not blue, which dies off radio.',
      maySleep: true,
    }),
  ]),
  remoteStart: device('Remote starter', 'remoteStart', false, () => [
    wanted({
      id: 'battery',
      name: 'Main feed',
      role: 'battery',
      usualA: 30,
      because: 'Its outputs feed ignition and starter: from the battery, each branch fused.',
    }),
    wanted({
      id: 'ignition',
      name: 'Ignition out',
      role: 'trigger',
      usualA: 15,
      because: 'It feeds the ignition wire through cranking.',
      holdsCranking: true,
    }),
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

type Plain = 'liveInAcc' | 'holdsCranking' | 'maySleep' | 'polarity';

function wanted(of: Omit<WantedFeed, Plain> & Partial<Pick<WantedFeed, Plain>>): WantedFeed {
  return { liveInAcc: false, holdsCranking: false, maySleep: false, polarity: '+', ...of };
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
