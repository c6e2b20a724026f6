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
const ENGINE =
  'In the open, never in a closed room; parking brake on, hands and leads clear of belts and fan.';
/** What a supply shows against the battery’s posts, which are read once with the same load on. */
const SUPPLY = [
  'As at the battery',
  'Over 0.7 V less than at the battery',
  'Nothing',
  'Something, but the battery itself is under 12 V',
] as const;
const CRANK = 'Neutral or park, brake on, nobody near belts and fan, never in a closed room.';

/** Every check. Seconds are common practice. */
export const FAULT_CHECKS = {
  farPair: check('Device on. Meter over its plug: plus lead to ground lead.', 30, SUPPLY, {
    addedFuse: 2,
    leadOpen: 2,
    groundOpen: 2,
    noSupply: 2,
    badCrimp: 1,
    poorGround: 1,
    thinLead: 1,
    weakBattery: 3,
  }),
  farPlus: check('Meter at the device’s plus lead, clip on bare metal of the body.', 30, SUPPLY, {
    addedFuse: 2,
    leadOpen: 2,
    noSupply: 2,
    badCrimp: 1,
    thinLead: 1,
    weakBattery: 3,
  }),
  behindFuse: check('Meter on the added fuse’s load side, clip on bare metal.', 30, SUPPLY, {
    addedFuse: 2,
    noSupply: 2,
    weakBattery: 3,
  }),
  source: check('Meter on the source itself, in the state that the device wants.', 30, SUPPLY, {
    noSupply: 2,
    weakBattery: 3,
  }),
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
  lampForFuse: careful(
    KEY_OFF,
    check(
      'Test lamp of 5 W or more in the added fuse’s place, device switched on; then unplug the device.',
      60,
      ['A glow, or it dies down', 'Bright; out as the plug is pulled', 'Bright, plugged or not'],
      { deviceShort: 1, chafed: 2 },
    ),
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
  sourceRunning: careful(
    ENGINE,
    check(
      'Meter on the source: accessory, then run, then the engine running.',
      60,
      ['Live throughout, up to 15 V', 'Dead after accessory', 'Above 15 V'],
      { accessoryAlone: 1, overVoltage: 2 },
    ),
  ),
  signalsRunning: careful(
    ENGINE,
    check(
      'Meter on each signal lead at the device, engine off and running.',
      90,
      ['None changes by itself', 'One comes on with the engine'],
      { runsSignal: 1 },
    ),
  ),
  ownBattery: careful(
    ENGINE,
    check(
      'Feed the device from a battery of its own beside it, engine running.',
      90,
      ['It fails as before', 'It works'],
      { accessoryAlone: 1, overVoltage: 1, poorGround: 1 },
    ),
  ),
  whichBand: check(
    'What suffers: long and medium wave, the higher bands, or keys and tyre sensors?',
    60,
    [
      'Everything a little',
      'Medium and long wave: hiss or whine',
      'Digital radio or satellite position',
      'Keys or tyre sensors',
    ],
    { converter: 1, fastData: 2, besideKeys: 3 },
  ),
  moveBox: check(
    'Hold the device a forearm further from the antenna or receiver that suffers.',
    60,
    ['No change', 'Gone or much less'],
    { fastData: 1, besideKeys: 1 },
  ),
  followEnds: check(
    'Follow it by hand to both ends, as far as it is seen.',
    180,
    [
      'Factory tape and plugs all along',
      'From a fuse or the battery to a box',
      'From a joint on a wire of the car to a box',
      'It ends in nothing, or in tape',
      'Two ends on one cut wire of the car',
    ],
    { ownFused: 1, ownSpliced: 2, leftOver: 3, alarmOrKill: 4, signalOnly: 2 },
  ),
  itsFuse: check(
    'Look for a fuse in it, within a hand of where it begins.',
    40,
    ['None', 'One with its rating'],
    { ownFused: 1 },
  ),
  liveAlone: check(
    'Meter on it, its own box unplugged: key off, then run. Never a lamp: it may be a data or airbag line.',
    60,
    ['Nothing, or less than 8 V', 'Battery volts in one of them or both'],
    { ownFused: 1, ownSpliced: 1, alarmOrKill: 1 },
  ),
  drawsThrough: check(
    'Clamp around it while its box is worked.',
    60,
    ['Next to nothing', 'Half an ampere or more'],
    { ownFused: 1, ownSpliced: 1, alarmOrKill: 1 },
  ),
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
