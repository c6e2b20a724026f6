import type { CircuitFunction, StitchPlace } from '../../vehicle';
import type { Hypothesis } from '../circuit/hypotheses';
import { DRIVEN, FROM_AMPLIFIER, HYPOTHESES, TO_SPEAKER } from '../circuit/hypotheses';

/** Signals that a switch, a lever or a wheel gives, in whatever way the car does it: to ground, to plus, by ohms, by pulses. */
export const TRIGGER_ROLES = [
  'parkingLamps',
  'door',
  'hood',
  'parkingBrake',
  'lock',
  'unlock',
  'turnLeft',
  'turnRight',
  'horn',
  'wiper',
  'speed',
  'tach',
  'dimmer',
  'lowBeam',
  'highBeam',
  'ampTurnOn',
  'antennaTurnOn',
  'speakerPlus',
  'speakerMinus',
  'amplified',
] as const;
/** One of them. */
export type TriggerRole = (typeof TRIGGER_ROLES)[number];

/** What carries a trigger, and where it must have been seen. */
interface Trigger {
  /** Functions that give it. */
  readonly functions: readonly CircuitFunction[];
  /** Begins the name of the variants that give it; left out: all of them do. */
  readonly variants?:
    | 'lock'
    | 'unlock'
    | 'turnLeft'
    | 'turnRight'
    | typeof DRIVEN
    | typeof TO_SPEAKER
    | typeof FROM_AMPLIFIER;
  /** Where it must be seen: worked, and at rest. */
  readonly mustSee: readonly StitchPlace[];
}

const LOCKS = ['lockNegative', 'lockPositive', 'lockReversing', 'lockMultiplex'] as const;

/** Every trigger. */
export const TRIGGERS: Record<TriggerRole, Trigger> = {
  parkingLamps: { functions: ['lamps', 'lampsNegative'], mustSee: ['lamps', 'run'] },
  door: { functions: ['doorSwitch'], mustSee: ['off', 'justOff'] },
  hood: { functions: ['hoodSwitch'], mustSee: ['hood', 'run'] },
  parkingBrake: { functions: ['parkingBrakeSwitch'], mustSee: ['parkingBrake', 'run'] },
  lock: { functions: LOCKS, variants: 'lock', mustSee: ['lock', 'unlock', 'run'] },
  unlock: { functions: LOCKS, variants: 'unlock', mustSee: ['lock', 'unlock', 'run'] },
  turnLeft: { functions: ['turnHazard'], variants: 'turnLeft', mustSee: ['turnLeft', 'run'] },
  turnRight: { functions: ['turnHazard'], variants: 'turnRight', mustSee: ['turnRight', 'run'] },
  horn: { functions: ['horn'], mustSee: ['horn', 'run'] },
  wiper: { functions: ['wiper'], mustSee: ['wiper', 'run'] },
  speed: { functions: ['speedPulse'], mustSee: ['rolling', 'run'] },
  tach: { functions: ['tachPulse'], mustSee: ['engine', 'run'] },
  dimmer: { functions: ['dimmedIllumination'], mustSee: ['dimmed', 'lamps', 'run'] },
  lowBeam: { functions: ['lowBeam'], mustSee: ['lamps', 'run'] },
  highBeam: { functions: ['highBeam'], mustSee: ['highBeam', 'lamps', 'run'] },
  ampTurnOn: {
    ...{ functions: ['amplifierTurnOn'], variants: DRIVEN },
    mustSee: ['otherSource', 'run'],
  },
  antennaTurnOn: {
    ...{ functions: ['antennaTurnOn'], variants: DRIVEN },
    mustSee: ['tuner', 'otherSource', 'run'],
  },
  // Two leads belong together: a speaker shows between them, in no state of the car.
  speakerPlus: { functions: ['speaker'], variants: TO_SPEAKER, mustSee: [] },
  speakerMinus: { functions: ['speaker'], variants: TO_SPEAKER, mustSee: [] },
  amplified: { functions: ['speaker'], variants: FROM_AMPLIFIER, mustSee: ['run', 'off'] },
};

/** Lamps' circuits: they supply what follows the light switch as well as telling of it. */
const FEEDS_LAMPS: readonly CircuitFunction[] = ['lamps', 'dimmedIllumination', 'lowBeam'];

const GIVEN_BY_SWITCHES: ReadonlySet<CircuitFunction> = new Set(
  Object.values(TRIGGERS)
    .flatMap(({ functions }) => functions)
    .filter((name) => name !== 'speaker' && !FEEDS_LAMPS.includes(name)),
);

/** Whether a function is a switch's signal and no supply, although a pull-up may show battery voltage on it. */
export function isGivenBySwitch(of: CircuitFunction): boolean {
  return GIVEN_BY_SWITCHES.has(of);
}

/** Where a function that a switch gives shows that it does; none for supplies. */
export function workedAt(of: CircuitFunction): readonly StitchPlace[] {
  if (!isGivenBySwitch(of)) return [];
  return TRIGGER_ROLES.filter((role) => TRIGGERS[role].functions.includes(of)).flatMap(
    (role) => placesOfTrigger(role).worked,
  );
}

/** Whether a role is a trigger. */
export function isTrigger(role: string): role is TriggerRole {
  return Object.hasOwn(TRIGGERS, role);
}

/** Where a trigger shows that it is worked, and where it rests. */
export function placesOfTrigger(role: TriggerRole): {
  readonly worked: readonly StitchPlace[];
  readonly atRest: readonly StitchPlace[];
} {
  const [worked = 'run', ...others] = TRIGGERS[role].mustSee;
  if (role === 'unlock') return { worked: ['unlock'], atRest: ['lock', 'run'] };
  return { worked: [worked], atRest: others };
}

/** Whether two needs may be served by the same wire: lock and unlock are, where a ladder carries both. */
export function mayShareWire(one: string, other: string): boolean {
  return one !== other && SHARING.includes(one) && SHARING.includes(other);
}

const SHARING: readonly string[] = ['lock', 'unlock'] satisfies TriggerRole[];

/** Whether one wire may give two triggers at once: a ladder of resistors carries lock and unlock. */
export function isShared(of: CircuitFunction): boolean {
  return of === 'lockMultiplex';
}

/** Chance that a circuit gives a trigger, by entry of `HYPOTHESES` and "none of these" last. */
export function givenBy(role: TriggerRole): Float64Array {
  return Float64Array.from([...HYPOTHESES.map((one) => (gives(one, role) ? 1 : 0)), 0]);
}

function gives({ function: of, variant }: Hypothesis, role: TriggerRole): boolean {
  const { functions, variants = '' } = TRIGGERS[role];
  return functions.includes(of) && (isShared(of) || variant.startsWith(variants));
}
