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
};
