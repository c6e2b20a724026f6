import type { NeedRole } from './needs';

/** How a role is named: as a feed, and what its source must do. */
export interface RoleWords {
  /** A feed of this role, e.g. "Reverse signal". */
  readonly feed: string;
  /** What its source does, e.g. "Live in reverse only". */
  readonly source: string;
}

/** Words for every role. */
export const ROLE_WORDS: Record<NeedRole, RoleWords> = {
  constant: { feed: 'Constant', source: 'Live always, asleep and cranking too' },
  switched: { feed: 'Switched', source: 'Live with the key on, dead without it' },
  retained: { feed: 'Retained', source: 'Live with the key on and after it, until a door opens' },
  illumination: { feed: 'Illumination', source: 'Live with the lamps' },
  reverse: { feed: 'Reverse signal', source: 'Live in reverse only' },
  brake: { feed: 'Brake signal', source: 'Live with the brake pedal only' },
  starter: { feed: 'Starter wire', source: 'Live while cranking only' },
  parkingLamps: { feed: 'Parking lamps', source: 'Follows the light switch, to plus or to ground' },
  door: { feed: 'Door switch', source: 'Changes with the door' },
  hood: { feed: 'Hood switch', source: 'Changes with the hood' },
  parkingBrake: { feed: 'Parking brake', source: 'Ground with the parking brake on' },
  lock: { feed: 'Lock', source: 'Changes while lock is held' },
  unlock: { feed: 'Unlock', source: 'Changes while unlock is held' },
  turnLeft: { feed: 'Left turn lamp', source: 'Pulses with the lever to the left' },
  turnRight: { feed: 'Right turn lamp', source: 'Pulses with the lever to the right' },
  horn: { feed: 'Horn', source: 'Changes while the horn is pressed' },
  wiper: { feed: 'Wiper', source: 'Live with the wiper' },
  speed: { feed: 'Speed signal', source: 'Pulses while the wheels turn' },
  tach: { feed: 'Engine speed', source: 'Pulses with the engine' },
  dimmer: { feed: 'Dimmed illumination', source: 'Live with the lamps, follows the dimmer' },
  lowBeam: { feed: 'Low beam', source: 'Live with the low beam, key on' },
  highBeam: { feed: 'Main beam', source: 'Live with the main beam only' },
  ampTurnOn: {
    feed: 'Amplifier turn-on',
    source: 'Live whatever the radio plays, dead when it is off',
  },
  antennaTurnOn: { feed: 'Antenna turn-on', source: 'Live with the radio on the tuner only' },
  speakerPlus: { feed: 'Speaker +', source: 'The lead whose plus moves the cone out' },
  speakerMinus: { feed: 'Speaker −', source: 'The other lead of that speaker' },
  amplified: { feed: 'Amplifier’s output', source: 'Half the supply while the radio is on' },
};
