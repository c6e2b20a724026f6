/** What a circuit is for, as far as its feed is concerned. `none` stands for "none of these". */
export const CIRCUIT_FUNCTIONS = [
  'constant',
  'timedConstant',
  'accessory',
  'retainedAccessory',
  'ignitionRun',
  'ignitionRunCrank',
  'starter',
  'ground',
  'lamps',
  'dimmedIllumination',
  'lowBeam',
  'highBeam',
  'stopLamp',
  'reverse',
  'turnHazard',
  'doorSwitch',
  'parkingBrakeSwitch',
  'lampsNegative',
  'hoodSwitch',
  'horn',
  'wiper',
  'speedPulse',
  'tachPulse',
  'lockNegative',
  'lockPositive',
  'lockReversing',
  'lockMultiplex',
  'speaker',
  'amplifierTurnOn',
  'antennaTurnOn',
  'dataBus',
  'sensor',
  'spare',
  'none',
] as const;
/** One function of a circuit. */
export type CircuitFunction = (typeof CIRCUIT_FUNCTIONS)[number];

/** How a function is named on screens and paper. */
export interface FunctionName {
  /** Plain words first, as an installer would say it. */
  readonly plain: string;
  /** The field's term with its DIN 72552 terminal number, where there is one. */
  readonly term: string;
  /** A few letters that tell it apart without colour. */
  readonly code: string;
}

/** Names of all functions. Terminal numbers from DIN 72552, from memory. */
export const FUNCTION_NAMES: Record<CircuitFunction, FunctionName> = {
  constant: { plain: 'Live always', term: 'constant (30)', code: 'CONST' },
  timedConstant: {
    plain: 'Live until the car sleeps',
    term: 'timed constant (30, shed)',
    code: 'TIMED',
  },
  accessory: {
    plain: 'Live with the key at accessory or run',
    term: 'accessory (15R)',
    code: 'ACC',
  },
  retainedAccessory: {
    plain: 'Live with the key on, and after it until a door opens',
    term: 'retained accessory (15R, held)',
    code: 'RETAIN',
  },
  ignitionRun: {
    plain: 'Live at run only, drops while cranking',
    term: 'ignition, run (15)',
    code: 'RUN',
  },
  ignitionRunCrank: {
    plain: 'Live at run and while cranking',
    term: 'ignition, run and crank (15)',
    code: 'RUN·CR',
  },
  starter: { plain: 'Live only while cranking', term: 'starter (50)', code: 'START' },
  lamps: {
    plain: 'Live with the parking lamps',
    term: 'parking lamps, illumination (58)',
    code: 'LAMPS',
  },
  ground: { plain: 'Ground', term: 'ground (31)', code: 'GND' },
  dimmedIllumination: {
    plain: 'Live with the lamps, follows the dimmer',
    term: 'dimmed illumination (58d)',
    code: 'DIM',
  },
  lowBeam: { plain: 'Live with the low beam', term: 'low beam (56b)', code: 'BEAM' },
  highBeam: { plain: 'Live with the main beam', term: 'main beam (56a)', code: 'MAIN' },
  stopLamp: { plain: 'Live with the brake pedal', term: 'stop lamp (54)', code: 'STOP' },
  reverse: { plain: 'Live in reverse', term: 'reversing lamp', code: 'REV' },
  turnHazard: { plain: 'Pulses with turn or hazard', term: 'turn and hazard', code: 'TURN' },
  doorSwitch: { plain: 'Changes with the door', term: 'door switch', code: 'DOOR' },
  parkingBrakeSwitch: {
    plain: 'Ground with the parking brake on',
    term: 'parking-brake switch',
    code: 'P·BRK',
  },
  lampsNegative: {
    plain: 'Ground with the parking lamps',
    term: 'parking lamps, negative',
    code: 'LAMPS−',
  },
  hoodSwitch: { plain: 'Changes with the hood', term: 'hood switch', code: 'HOOD' },
  horn: { plain: 'Changes while the horn is pressed', term: 'horn', code: 'HORN' },
  wiper: { plain: 'Live with the wiper', term: 'wiper', code: 'WIPE' },
  speedPulse: { plain: 'Pulses while the wheels turn', term: 'speed signal', code: 'SPEED' },
  tachPulse: { plain: 'Pulses with the engine', term: 'engine speed signal', code: 'TACH' },
  lockNegative: {
    plain: 'Ground while the lock switch is held',
    term: 'lock trigger, negative',
    code: 'LOCK−',
  },
  lockPositive: {
    plain: 'Live while the lock switch is held',
    term: 'lock trigger, positive',
    code: 'LOCK+',
  },
  lockReversing: {
    plain: 'Rests on ground, live while the switch is held',
    term: 'lock motor, reversing',
    code: 'LOCK±',
  },
  lockMultiplex: {
    plain: 'Part voltage that steps with the lock switch',
    term: 'lock switch, resistive',
    code: 'LOCKΩ',
  },
  speaker: { plain: 'Speaker lead', term: 'speaker', code: 'SPKR' },
  amplifierTurnOn: {
    plain: 'Wakes an amplifier: live whatever the radio plays',
    term: 'amplifier turn-on',
    code: 'AMP',
  },
  antennaTurnOn: {
    plain: 'Feeds the antenna: live with the tuner only',
    term: 'antenna turn-on',
    code: 'ANT',
  },
  dataBus: { plain: 'Data bus: leave it alone', term: 'data bus', code: 'DATA' },
  sensor: { plain: 'Sensor feed: leave it alone', term: 'sensor', code: 'SENSE' },
  spare: { plain: 'Dead in every state', term: 'spare', code: 'SPARE' },
  none: { plain: 'None of the usual functions', term: 'unknown', code: '???' },
};

/** Functions that wake with the key and are hard to tell apart until acc, crank and door are seen. */
export const SWITCHED_FUNCTIONS: readonly CircuitFunction[] = [
  'accessory',
  'retainedAccessory',
  'ignitionRun',
  'ignitionRunCrank',
];

/** Functions that are live with the key off and the door open, and differ once the car sleeps. */
export const STANDING_FUNCTIONS: readonly CircuitFunction[] = ['constant', 'timedConstant'];
