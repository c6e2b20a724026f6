import type { CircuitFunction } from '../../vehicle';
import { FROM_AMPLIFIER, HYPOTHESES } from '../circuit/hypotheses';

/**
 * What a wire of a radio's bunch is told apart as. Inputs that a radio drives, reversing lamps and wires that end
 * somewhere look alike while everything is cut: they are left over, proved dead and capped.
 */
export const WIRE_ROLES = [
  'constant',
  'switched',
  'lamps',
  'ground',
  'speaker',
  'amplifier',
  'dataBus',
  'sensor',
  'pulledUp',
  'leftOver',
] as const;
/** One role. */
export type WireRole = (typeof WIRE_ROLES)[number];

/** Which role each function of a circuit plays in a bunch. */
export const ROLE_OF: Record<CircuitFunction, WireRole> = {
  constant: 'constant',
  timedConstant: 'constant',
  accessory: 'switched',
  retainedAccessory: 'switched',
  ignitionRun: 'switched',
  ignitionRunCrank: 'switched',
  starter: 'leftOver',
  ground: 'ground',
  lamps: 'lamps',
  dimmedIllumination: 'lamps',
  lowBeam: 'lamps',
  highBeam: 'leftOver',
  stopLamp: 'leftOver',
  reverse: 'leftOver',
  turnHazard: 'leftOver',
  doorSwitch: 'pulledUp',
  parkingBrakeSwitch: 'pulledUp',
  lampsNegative: 'pulledUp',
  hoodSwitch: 'pulledUp',
  horn: 'pulledUp',
  wiper: 'leftOver',
  speedPulse: 'sensor',
  tachPulse: 'sensor',
  lockNegative: 'pulledUp',
  lockPositive: 'leftOver',
  lockReversing: 'ground',
  lockMultiplex: 'sensor',
  speaker: 'speaker',
  amplifierTurnOn: 'leftOver',
  antennaTurnOn: 'leftOver',
  dataBus: 'dataBus',
  sensor: 'sensor',
  spare: 'leftOver',
  none: 'leftOver',
};

/** The role of each entry of `HYPOTHESES`: a speaker lead that an amplifier drives is none to be popped. */
export const ROLE_BY_HYPOTHESIS: readonly WireRole[] = HYPOTHESES.map((one) =>
  one.variant === FROM_AMPLIFIER ? 'amplifier' : ROLE_OF[one.function],
);

/** How a role is named on screens and paper. */
export const ROLE_NAMES: Record<WireRole, { readonly plain: string; readonly code: string }> = {
  constant: { plain: 'Live always · constant (30)', code: 'CONST' },
  switched: { plain: 'Live with the key · accessory (15R)', code: 'ACC' },
  lamps: { plain: 'Live with the lamps · illumination (58)', code: 'LAMPS' },
  ground: { plain: 'Ground (31)', code: 'GND' },
  speaker: { plain: 'Speaker lead', code: 'SPKR' },
  amplifier: { plain: 'Amplifier’s output: no lamp, no 9 V', code: 'AMP' },
  dataBus: { plain: 'Data line: leave it alone', code: 'DATA' },
  sensor: { plain: 'Sensor or switch feed: leave it alone', code: 'SENSE' },
  pulledUp: { plain: 'Switch to ground, pulled up: no supply', code: 'PULL' },
  leftOver: { plain: 'Not needed: prove it dead and cap it', code: 'CAP' },
};

/** As many as there are. */
const ANY = Infinity;

/** How many wires of a role a bunch has at least and at most. Common practice for radios. */
export const CAPACITY: Record<WireRole, readonly [least: number, most: number]> = {
  constant: [1, ANY],
  switched: [1, 1],
  lamps: [0, 2],
  ground: [1, ANY],
  speaker: [0, ANY],
  amplifier: [0, ANY],
  dataBus: [0, ANY],
  sensor: [0, 3],
  pulledUp: [0, 2],
  leftOver: [0, ANY],
};

/** From here up a wire's role is settled. */
export const SETTLED = 0.93;
