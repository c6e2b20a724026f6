import type { BunchSignal, PracticeBunch } from '@lucky-thread/core/bench';
import type { Need } from '@lucky-thread/core/identify';
import type { JoinedLead } from '@lucky-thread/core/trial';
import { needsFor } from '@lucky-thread/core/trial';

/** A lead of the device to practise with. */
export interface PracticeLead {
  /** What it wants; `ground` and `illumination` beside the signals. */
  readonly id: BunchSignal | 'ground' | 'illumination';
  /** As the device names it. */
  readonly name: string;
  /** What it takes or gives, in words. */
  readonly text: string;
  /** How it meets the wire is asked as well; left out: as it is, with a fuse. */
  readonly joint?: JoinedLead;
  /** What is done where the bunch has no wire for it. */
  readonly wayRound: string;
}

/** A level on signals. */
export interface SignalLevel {
  /** Tells it from other kinds of levels. */
  readonly kind: 'signals';
  /** The made-up wires. */
  readonly bunch: PracticeBunch;
  /** The device's leads. */
  readonly leads: readonly PracticeLead[];
  /** The tests before hand-over are asked as well. */
  readonly handOver?: boolean;
}

const BY_FUSE = 'a fuse’s place with a fuse of its own';
const CONSTANT: PracticeLead = {
  ...{ id: 'constant', name: 'Constant', text: 'Live always, asleep too.', wayRound: BY_FUSE },
};
const ACCESSORY: PracticeLead = {
  ...{ id: 'accessory', name: 'Accessory', text: 'Live from accessory on, dead with the key off.' },
  wayRound: 'an added wire from an ignition slot, with a fuse of its own',
};
const IGNITION: PracticeLead = {
  ...{ id: 'ignition', name: 'Ignition', text: 'Live at run, and held while cranking.' },
  wayRound: BY_FUSE,
};
const STARTER: PracticeLead = {
  ...{ id: 'starter', name: 'Starter', text: 'Live while cranking and never else.' },
  wayRound: 'the starter relay’s socket; without it the car can’t be started by remote',
};
const ILLUMINATION: PracticeLead = {
  ...{ id: 'illumination', name: 'Illumination', text: 'Takes plus with the lamps, 0.05 A.' },
  ...{ joint: takes('plus'), wayRound: 'left off; the display keeps its brightness' },
};
const BY_MODULE = 'the network carries it: an interface module made for the car';

/** Takes a signal and drives nothing. */
function takes(polarity: 'plus' | 'ground'): JoinedLead {
  return { direction: 'in', polarity, standsA: 0 };
}

/** Gives a signal through an output that stands so much. */
function gives(polarity: 'plus' | 'ground', standsA: number): JoinedLead {
  return { direction: 'out', polarity, standsA };
}

/** Outputs of a starter for the locks: ground, a quarter of an ampere. */
const LOCKS: readonly PracticeLead[] = (['lock', 'unlock'] as const).map((id) => ({
  ...{
    id,
    name: id === 'lock' ? 'Lock' : 'Unlock',
    text: 'Gives ground for a moment, 0.25 A at most.',
  },
  ...{ joint: gives('ground', 0.25), wayRound: BY_MODULE },
}));
const DOOR: PracticeLead = {
  ...{ id: 'door', name: 'Door switch', text: 'Takes ground while a door is open.' },
  ...{ joint: takes('ground'), wayRound: BY_MODULE },
};

/** Bunches with the leads that are to be joined there, by level. */
export const SIGNAL_LEVELS = {
  column: { kind: 'signals', bunch: 'column', leads: [CONSTANT, IGNITION, ACCESSORY, STARTER] },
  locks: { kind: 'signals', bunch: 'locks', leads: [...LOCKS, DOOR] },
  plug: {
    ...{ kind: 'signals', bunch: 'plug' },
    leads: [
      CONSTANT,
      ACCESSORY,
      {
        ...{ id: 'ground', name: 'Ground', text: 'The way back for all of it.' },
        wayRound: 'a ground point of its own on bright metal, never on a seat, belt or airbag bolt',
      },
      ILLUMINATION,
    ],
  },
  screen: {
    ...{ kind: 'signals', bunch: 'screen' },
    leads: [
      CONSTANT,
      ACCESSORY,
      ILLUMINATION,
      {
        ...{ id: 'reverse', name: 'Reverse', text: 'Takes plus while reverse is in.' },
        ...{ joint: takes('plus'), wayRound: 'the reversing lamp itself' },
      },
      {
        ...{ id: 'parkingBrake', name: 'Parking brake', text: 'Takes ground while it is on.' },
        ...{ joint: takes('ground'), wayRound: BY_MODULE },
      },
    ],
  },
  starter: {
    ...{ kind: 'signals', bunch: 'starter', handOver: true },
    leads: [
      ...[CONSTANT, IGNITION, ACCESSORY, STARTER],
      {
        ...{ id: 'parkingLamps', name: 'Parking lamps', text: 'Gives plus, 10 A at most.' },
        ...{
          joint: gives('plus', 10),
          wayRound: 'left off; nobody sees from outside that it runs',
        },
      },
      {
        ...{ id: 'brake', name: 'Brake', text: 'Takes plus while the pedal is pressed.' },
        ...{ joint: takes('plus'), wayRound: BY_MODULE },
      },
      {
        ...{ id: 'hood', name: 'Hood', text: 'Takes ground while the hood is open.' },
        ...{ joint: takes('ground'), wayRound: 'the pin switch of the kit, set into the gutter' },
      },
      DOOR,
      ...LOCKS,
      {
        ...{ id: 'tach', name: 'Engine speed', text: 'Takes the pulses of the running engine.' },
        ...{
          joint: takes('plus'),
          wayRound: 'by voltage or by data, as the guide in the box says',
        },
      },
    ],
  },
} as const satisfies Record<string, SignalLevel>;

/** What the plan searches for on a level; ground is no need of its own. */
export function needsOf(level: SignalLevel): readonly Need[] {
  return level.leads.flatMap(({ id }) => {
    if (id === 'ground') return [];
    return id === 'illumination' ? [{ id, role: 'illumination' as const }] : needsFor([id]);
  });
}
