import type { CircuitFunction, StitchPlace } from '../../vehicle';

/** A place that must be seen before a function may be named, and the functions it would rule out. */
export interface LookAlike {
  /** Where the difference shows. */
  readonly place: StitchPlace;
  /** Functions that pass for it until then. */
  readonly separates: readonly CircuitFunction[];
}

/**
 * What must have been seen before each function is named. Common practice gets accessory against ignition wrong by
 * never cranking, constant against timed constant by never waiting, and accessory against retained by probing with
 * the door open.
 */
export const LOOK_ALIKES: Record<CircuitFunction, readonly LookAlike[]> = {
  ground: [],
  dimmedIllumination: [
    { place: 'lamps', separates: ['spare'] },
    { place: 'dimmed', separates: ['lamps'] },
  ],
  lowBeam: [
    { place: 'lamps', separates: ['spare'] },
    { place: 'run', separates: ['ignitionRun'] },
    { place: 'off', separates: ['constant'] },
  ],
  highBeam: [
    { place: 'highBeam', separates: ['spare'] },
    { place: 'lamps', separates: ['lamps', 'lowBeam'] },
  ],
  stopLamp: [
    { place: 'brake', separates: ['spare'] },
    // The pedal may have been pressed with the key at run, where more is live than with it off.
    { place: 'run', separates: ['constant', 'ignitionRun'] },
  ],
  reverse: [
    { place: 'reverse', separates: ['spare'] },
    { place: 'run', separates: ['ignitionRun'] },
  ],
  turnHazard: [],
  doorSwitch: [
    { place: 'justOff', separates: ['ground', 'spare'] },
    { place: 'off', separates: ['constant'] },
  ],
  hoodSwitch: switched('hood'),
  parkingBrakeSwitch: switched('parkingBrake'),
  lampsNegative: switched('lamps'),
  horn: switched('horn'),
  wiper: switched('wiper'),
  speedPulse: switched('rolling'),
  tachPulse: switched('engine'),
  lockNegative: lockWire(),
  lockPositive: lockWire(),
  lockReversing: lockWire(),
  lockMultiplex: lockWire(),
  speaker: [{ place: 'run', separates: ['dataBus', 'sensor'] }],
  amplifierTurnOn: switched('otherSource'),
  antennaTurnOn: [
    { place: 'tuner', separates: ['spare', 'ground'] },
    { place: 'otherSource', separates: ['amplifierTurnOn'] },
    { place: 'run', separates: ['constant'] },
  ],
  dataBus: [{ place: 'asleep', separates: ['sensor'] }],
  sensor: [{ place: 'off', separates: ['dataBus'] }],
  constant: [
    { place: 'off', separates: ['accessory', 'ignitionRun'] },
    { place: 'run', separates: ['none'] },
    { place: 'asleep', separates: ['timedConstant'] },
  ],
  timedConstant: [
    { place: 'off', separates: ['retainedAccessory'] },
    { place: 'run', separates: ['none'] },
    { place: 'asleep', separates: ['constant'] },
  ],
  accessory: [
    { place: 'off', separates: ['constant', 'timedConstant'] },
    { place: 'acc', separates: ['ignitionRun', 'ignitionRunCrank'] },
    { place: 'run', separates: ['spare'] },
    { place: 'crank', separates: ['ignitionRunCrank'] },
    { place: 'justOff', separates: ['retainedAccessory'] },
  ],
  retainedAccessory: [
    { place: 'justOff', separates: ['accessory', 'ignitionRun'] },
    { place: 'off', separates: ['constant', 'timedConstant'] },
    { place: 'run', separates: ['timedConstant'] },
    { place: 'crank', separates: ['ignitionRunCrank'] },
  ],
  ignitionRun: [
    { place: 'off', separates: ['constant', 'timedConstant'] },
    { place: 'acc', separates: ['accessory'] },
    { place: 'run', separates: ['starter'] },
    { place: 'crank', separates: ['ignitionRunCrank'] },
    { place: 'justOff', separates: ['retainedAccessory'] },
  ],
  ignitionRunCrank: [
    { place: 'off', separates: ['constant', 'timedConstant'] },
    { place: 'acc', separates: ['accessory'] },
    { place: 'run', separates: ['starter'] },
    { place: 'crank', separates: ['ignitionRun'] },
  ],
  starter: [
    { place: 'run', separates: ['ignitionRunCrank'] },
    { place: 'crank', separates: ['spare'] },
  ],
  lamps: [
    { place: 'lamps', separates: ['spare'] },
    { place: 'run', separates: ['ignitionRun', 'accessory'] },
    { place: 'off', separates: ['constant'] },
  ],
  spare: [
    { place: 'off', separates: ['constant'] },
    { place: 'acc', separates: ['accessory'] },
    { place: 'run', separates: ['ignitionRun'] },
    { place: 'crank', separates: ['starter'] },
    { place: 'lamps', separates: ['lamps'] },
  ],
  none: [],
};

/** What a switch changes must have been seen with it and at rest. */
function switched(place: StitchPlace): readonly LookAlike[] {
  return [
    { place, separates: ['spare', 'ground'] },
    { place: 'run', separates: ['constant'] },
  ];
}

/** A wire that falls at lock may step at unlock: then it is one wire for both. */
function lockWire(): readonly LookAlike[] {
  return [
    { place: 'lock', separates: ['spare', 'sensor'] },
    { place: 'unlock', separates: ['lockMultiplex'] },
  ];
}
