import type { CauseId } from './causes';

/** One thing that is looked at, with what it may show. */
export interface FaultCheck {
  /** What to do, in one sentence. */
  readonly say: string;
  readonly seconds: number;
  readonly caution?: string;
  /** What it may show, each in the words of its button. */
  readonly outcomes: readonly string[];
  /** Which outcome each cause gives, by its place; causes that are not named give the first. */
  readonly gives: Partial<Record<CauseId, number>>;
}

const KEY_OFF = 'Key off before a fuse comes out or goes in.';
const CRANK = 'Neutral or park, brake on, nobody near belts and fan, never in a closed room.';

/** Every check. Seconds are common practice. */
export const FAULT_CHECKS = {
  farPair: check(
    'Device on. Meter over its plug: plus lead to ground lead.',
    30,
    ['Battery volts', 'Over half a volt less than at the battery', 'Nothing'],
    {
      addedFuse: 2,
      leadOpen: 2,
      groundOpen: 2,
      noSupply: 2,
      badCrimp: 1,
      poorGround: 1,
      thinLead: 1,
    },
  ),
  farPlus: check(
    'Meter at the device’s plus lead, clip on bare metal of the body.',
    30,
    ['Battery volts', 'Over half a volt less than at the battery', 'Nothing'],
    { addedFuse: 2, leadOpen: 2, noSupply: 2, badCrimp: 1, thinLead: 1 },
  ),
  behindFuse: check(
    'Meter on the added fuse’s load side, clip on bare metal.',
    30,
    ['Battery volts', 'Over half a volt less than at the battery', 'Nothing'],
    { addedFuse: 2, noSupply: 2 },
  ),
  source: check(
    'Meter on the source itself, in the state that the device wants.',
    30,
    ['Battery volts', 'Over half a volt less than at the battery', 'Nothing'],
    { noSupply: 2 },
  ),
  seeFuse: careful(
    KEY_OFF,
    check(
      'Take the added fuse out and look at it: whole, right place, right rating?',
      20,
      ['Whole and in its place', 'Blown, missing or misplaced'],
      { addedFuse: 1, chafed: 1, deviceShort: 1, fuseTooSmall: 1 },
    ),
  ),
  groundDrop: check(
    'Device on. Meter between its ground lead and the battery’s minus.',
    40,
    ['Under 0.1 V', 'Over 0.1 V', 'Battery volts'],
    { poorGround: 1, groundOpen: 2 },
  ),
  tug: check(
    'Tug every terminal of the lead, at the tap and at the device; feel for warmth.',
    40,
    ['All hold, none is warm', 'One is loose or warm'],
    { leadOpen: 1, badCrimp: 1 },
  ),
  gauge: check(
    'Read the lead’s print against the plan: gauge and length.',
    20,
    ['As planned', 'Thinner or longer'],
    { thinLead: 1 },
  ),
  rested: check(
    'Engine off for an hour, nothing on: meter over the battery posts.',
    60,
    ['12.4 V or more', 'Less'],
    { weakBattery: 1 },
  ),
  originalOut: careful(
    KEY_OFF,
    check(
      'Original fuse out of the tap: is the device’s lead still live?',
      40,
      ['Still live', 'Dead'],
      { turned: 1 },
    ),
  ),
  crankSource: careful(
    CRANK,
    check(
      'Meter on the source while somebody cranks.',
      60,
      ['Stays above 9 V', 'Dips to between 4 and 9 V', 'Drops to nothing'],
      { dropsAtCrank: 2, weakBattery: 1 },
    ),
  ),
  crankBattery: careful(
    CRANK,
    check(
      'Meter over the battery posts while somebody cranks.',
      60,
      ['Stays above 9.6 V', 'Falls below'],
      { weakBattery: 1 },
    ),
  ),
  crankDrop: careful(
    CRANK,
    check(
      'Meter from the source to the device’s plus lead while cranking, load on.',
      60,
      ['Under 0.5 V', 'Over 0.5 V'],
      { badCrimp: 1, thinLead: 1 },
    ),
  ),
  asleepEnd: check(
    'Shut the car, wait until it sleeps: meter at the device’s switched lead.',
    120,
    ['Dead', 'Live'],
    { takenConstant: 1 },
  ),
  drainOut: careful(
    'Memory of radio and windows stays only while the battery does.',
    check(
      'Clamp on the battery’s minus, car asleep; take the added fuses out.',
      180,
      ['Still too much', 'Falls at once', 'Falls after minutes, when the car goes to sleep'],
      { deviceStandby: 1, takenConstant: 1, staysAwake: 2, ownDrain: 0 },
    ),
  ),
  standbyLabel: check(
    'Device’s parked draw by its label or clamp, and its timer.',
    40,
    ['Within its label', 'More, or no timer set'],
    { deviceStandby: 1, takenConstant: 1 },
  ),
  seeOriginal: careful(
    KEY_OFF,
    check(
      'Look at the original fuse in the tap: whole, in the place nearest the blades?',
      20,
      ['Whole and there', 'Blown or missing'],
      { originalFuse: 1 },
    ),
  ),
  bothSides: check(
    'Meter on both sides of the original fuse in the tap.',
    30,
    ['Live on both', 'Live on one', 'Dead on both'],
    { originalFuse: 1, notHome: 2, noSupply: 2 },
  ),
  reseat: careful(
    KEY_OFF,
    check(
      'Pull the tap, look at blades and contacts, push it home until it stops.',
      40,
      ['Nothing changes', 'It works again'],
      { notHome: 1 },
    ),
  ),
  unplugFuse: careful(
    KEY_OFF,
    check('Unplug the device, new fuse, switch on.', 60, ['Blows again', 'Stays whole'], {
      deviceShort: 1,
      fuseTooSmall: 1,
      chafed: 0,
    }),
  ),
  ohmsBody: careful(
    KEY_OFF,
    check(
      'Both ends of the lead off: ohms from it to the body.',
      60,
      ['None', 'A few ohms or less'],
      { chafed: 1 },
    ),
  ),
  inrush: check(
    'The fuse against the plan: its rating, and what flows at switching on.',
    30,
    ['As planned', 'Smaller than planned'],
    { fuseTooSmall: 1 },
  ),
  oneGround: check(
    'Signal plugs out of the amplifier, gain as it is: is the noise gone?',
    60,
    ['Still there', 'Gone'],
    { groundLoop: 1, besideSupply: 1 },
  ),
  longWire: check(
    'Ground the head unit with a loose wire to the amplifier’s ground point.',
    90,
    ['No change', 'Quieter'],
    { groundLoop: 1 },
  ),
  moveLeads: check(
    'Lift the signal leads a hand away from the supply leads.',
    90,
    ['No change', 'Quieter'],
    { besideSupply: 1 },
  ),
  unplugNoise: check(
    'Unplug the added device: is the interference gone?',
    30,
    ['Still there', 'Gone'],
    { converter: 1, nearAntenna: 1 },
  ),
  liftLead: check(
    'Lay its lead loosely through the middle of the cabin.',
    90,
    ['No change', 'Gone or much less'],
    { nearAntenna: 1 },
  ),
  ferrite: check('Clip a ferrite on its leads near the box.', 60, ['No change', 'Less'], {
    converter: 1,
  }),
  mono: check(
    'Balance to the middle, a song with much bass: then swap plus and minus of one speaker.',
    90,
    ['No change, or worse', 'Bass comes back'],
    { reversedSpeaker: 1 },
  ),
  corners: check(
    'Balance and fader to each corner in turn.',
    40,
    ['Each where it should be', 'Two are swapped'],
    { wrongChannel: 1 },
  ),
  pop: careful(
    'Only on speaker leads that are cut off from the amplifier.',
    check(
      '9 V across each pair, plus on plus: which way does each cone go?',
      120,
      ['All the same way', 'One differs'],
      { reversedSpeaker: 1 },
    ),
  ),
} as const satisfies Record<string, FaultCheck>;
/** One check. */
export type FaultCheckId = keyof typeof FAULT_CHECKS;

function check(
  say: string,
  seconds: number,
  outcomes: readonly string[],
  gives: Partial<Record<CauseId, number>>,
): FaultCheck {
  return { say, seconds, outcomes, gives };
}

function careful(caution: string, of: FaultCheck): FaultCheck {
  return { ...of, caution };
}
