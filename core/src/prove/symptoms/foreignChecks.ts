import type { FaultCheck } from './faultCheck';
import { ENGINE, careful, check } from './faultCheck';

/** What tells a lead that somebody else has laid, and what the running engine changes. Seconds are common practice. */
export const FOREIGN_CHECKS = {
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
} as const satisfies Record<string, FaultCheck>;
