import type { BenchCar, BenchWireKind, GeneratedBunch } from '../bench';
import { portsAt } from '../bench';
import type { SignalJoint, SignalLead } from '../join';
import { joinSignal } from '../join';
import type { CircuitFunction, StitchPlace } from '../vehicle';
import { stateAt } from '../vehicle';

/** How somebody would join a signal's lead: as it is, by one relay, by two that cut the wires, by a resistor, or not at all. */
export const JOINT_CHOICES = ['itself', 'relay', 'twoRelays', 'resistor', 'module'] as const;
/** One of them. */
export type JointChoice = (typeof JOINT_CHOICES)[number];

/** A signal's lead with what its output stands. */
export interface JoinedLead extends SignalLead {
  readonly polarity: 'plus' | 'ground';
  /** A, of an output. */
  readonly standsA: number;
}

/** What comes of a joint. */
export interface JointOutcome {
  /** It does what is wanted, and nothing else. */
  readonly works: boolean;
  /** The largest current through the joint in any state of the car, A; 0 for what the device only listens to. */
  readonly amps: number;
  /** State in which it flows. */
  readonly at: StitchPlace | undefined;
  /** More than the output, or the relay's fuse, stands. */
  readonly burns: boolean;
  /** Driven or loaded, where nothing may be spliced. */
  readonly disturbs: boolean;
  /** The joint that is right on this wire; undefined where none is. */
  readonly wanted: SignalJoint | undefined;
}

/** A relay's contact is fed by a fuse of this, A. */
const RELAY_FUSE_A = 10;
/** The output, its lead and the joint, Ω; the battery's plus on the bench, V. */
const OUTPUT_OHM = 0.1;
const PLUS_V = 12.6;
/** A resistor for a button is nowhere below this, Ω. */
const BUTTON_OHM = 100;

/** States in which somebody works the car while the device works the wire. */
const STATES: readonly StitchPlace[] = [
  ...(['off', 'acc', 'run', 'crank', 'lamps', 'brake', 'reverse'] as const),
  ...(['parkingBrake', 'hood', 'lock', 'unlock', 'horn'] as const),
];

/**
 * What would come of joining a lead to a wire, on the solved network of the car: whatever the wire was taken for.
 *
 * @throws RangeError when the bunch has no such wire.
 */
export function jointOutcome(
  bunch: GeneratedBunch,
  car: BenchCar,
  joint: { readonly wireId: string; readonly lead: JoinedLead; readonly choice: JointChoice },
): JointOutcome {
  const wire = bunch.wires.find(({ id }) => id === joint.wireId);
  if (wire === undefined) throw new RangeError(`The bunch has no wire ${joint.wireId}`);
  const wanted = jointFor(joint.lead, wire.behind);
  const { amps, at } = worst(car, joint);
  const fuse = joint.choice === 'relay' ? RELAY_FUSE_A : joint.lead.standsA;
  const isBus = wire.behind.is === 'data' || wire.behind.is === 'sensor';
  return {
    works: wanted !== undefined && choiceOf(wanted) === joint.choice,
    ...{ amps, at, wanted },
    burns: amps > fuse,
    disturbs: isBus && joint.choice !== 'module',
  };
}

/** Which of the choices a joint is. */
export function choiceOf(joint: SignalJoint): JointChoice {
  switch (joint.by) {
    case 'relays':
      return joint.demand.kind === 'reversing' ? 'twoRelays' : 'relay';
    case 'setting':
      return 'itself';
    default:
      return joint.by;
  }
}

/** The right joint on what is really behind a wire; undefined where no signal of the car is. */
export function jointFor(lead: SignalLead, behind: BenchWireKind): SignalJoint | undefined {
  return joinSignal(lead, { function: functionOf(behind), worked: workedOf(behind) });
}

function functionOf({ is }: BenchWireKind): CircuitFunction {
  switch (is) {
    case 'data':
      return 'dataBus';
    case 'sensor':
      return 'sensor';
    case 'lockMotor':
      return 'lockReversing';
    case 'lockResistive':
      return 'lockMultiplex';
    case 'pulses':
      return 'speedPulse';
    default:
      return 'constant';
  }
}

function workedOf(behind: BenchWireKind): 'plus' | 'ground' | undefined {
  switch (behind.is) {
    case 'switchToGround':
      return 'ground';
    case 'switchToPlus':
    case 'lockPositive':
    case 'turnLamp':
    case 'illumination':
      return 'plus';
    case 'feed':
      return behind.supply === 'battery' ? undefined : 'plus';
    default:
      return undefined;
  }
}

/** The largest current that the device's output would drive into the wire, or take from it. */
function worst(
  car: BenchCar,
  {
    wireId,
    lead,
    choice,
  }: { readonly wireId: string; readonly lead: JoinedLead; readonly choice: JointChoice },
): { readonly amps: number; readonly at: StitchPlace | undefined } {
  // What only listens drives nothing; relays that cut the wire stand on the device's own side of it.
  if (lead.direction === 'in' || choice === 'module' || choice === 'twoRelays')
    return { amps: 0, at: undefined };
  const [own, other] = lead.polarity === 'plus' ? [PLUS_V, 0] : [0, PLUS_V];
  const volts = choice === 'relay' ? other : choice === 'resistor' ? 0 : own;
  const ohm = choice === 'resistor' ? BUTTON_OHM : OUTPUT_OHM;
  let most = { amps: 0, at: STATES[0] };
  for (const place of STATES) {
    const { on } = portsAt(car, { pointId: wireId, state: stateAt(place) });
    const amps = Math.abs(volts - on.volts) / (on.ohm + ohm);
    if (amps > most.amps) most = { amps, at: place };
  }
  return most;
}
