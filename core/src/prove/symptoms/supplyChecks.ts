import type { FaultCheck } from './faultCheck';
import { CRANK, KEY_OFF, SUPPLY, careful, check } from './faultCheck';

/** What tells where a supply is lost, and what draws when it should not. Seconds are common practice. */
export const SUPPLY_CHECKS = {
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
} as const satisfies Record<string, FaultCheck>;
