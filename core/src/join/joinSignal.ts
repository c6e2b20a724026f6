import type { CircuitFunction } from '../vehicle';
import type { RelayDemand } from './relayDemand';

/** A lead of a device, as far as joining it to a signal goes. */
export interface SignalLead {
  /** Whether the device takes the signal or gives it. */
  readonly direction: 'in' | 'out';
  /** What it takes or gives; `set`: whichever it is set to. */
  readonly polarity: 'plus' | 'ground' | 'set';
  /** Where it is set, as the kit says; left out: the guide in the box knows. */
  readonly setAt?: string | undefined;
}

/** How a lead meets a wire. */
export type SignalJoint =
  | { readonly by: 'itself'; readonly because: string }
  | { readonly by: 'setting'; readonly set: 'plus' | 'ground'; readonly because: string }
  | { readonly by: 'relays'; readonly demand: RelayDemand; readonly because: string }
  | { readonly by: 'resistor'; readonly because: string }
  | { readonly by: 'module'; readonly because: string };

/** What a wire of each function is worked by, where it is a plain level. */
const WORKED_BY: Partial<Record<CircuitFunction, 'plus' | 'ground'>> = {
  lamps: 'plus',
  lampsNegative: 'ground',
  stopLamp: 'plus',
  reverse: 'plus',
  starter: 'plus',
  lowBeam: 'plus',
  highBeam: 'plus',
  amplifierTurnOn: 'plus',
  antennaTurnOn: 'plus',
  wiper: 'plus',
  turnHazard: 'plus',
  parkingBrakeSwitch: 'ground',
  lockNegative: 'ground',
  lockPositive: 'plus',
};

/**
 * How a device's lead is joined to a car's wire of a known function: as it is, by its setting, through relays, through a
 * resistor, or not at all. Undefined where nothing is known of the wire.
 *
 * @param worked what works the wire where its function alone does not tell, from the readings
 */
export function joinSignal(
  lead: SignalLead,
  wire: { readonly function: CircuitFunction; readonly worked?: 'plus' | 'ground' | undefined },
): SignalJoint | undefined {
  if (wire.function === 'dataBus' || wire.function === 'sensor')
    return {
      by: 'module',
      because: 'A data or sensor line is never spliced: an interface module made for the car.',
    };
  if (wire.function === 'lockMultiplex') return ladderJoint(lead);
  if (wire.function === 'lockReversing') return motorJoint(lead);
  if (wire.function === 'speaker')
    return {
      by: 'itself',
      because:
        'An amplifier’s output: to a speaker-level input only, never to plus or ground. Which speaker: balance and fader to one corner, meter on AC between two of them; which end is plus the maker’s diagram tells, and the phase test at the end.',
    };
  if (wire.function === 'dimmedIllumination')
    return {
      by: 'itself',
      because:
        'Dimmed by lowering or by pulses: only to an input that is made for either, and nothing that draws current.',
    };
  const worked = wire.worked ?? WORKED_BY[wire.function];
  if (worked === undefined)
    return wire.function === 'speedPulse' || wire.function === 'tachPulse'
      ? {
          by: 'itself',
          because: 'Pulses go straight to the input; nothing else hangs on the joint.',
        }
      : undefined;
  if (lead.polarity === 'set')
    return {
      by: 'setting',
      set: worked,
      because: `Set the lead to ${WORDS[worked]}: ${lead.setAt ?? 'where, says the guide in the box'}.`,
    };
  if (lead.polarity === worked)
    return { by: 'itself', because: `Both want ${WORDS[worked]}: joined as they are.` };
  return { by: 'relays', ...turnedRound(lead, worked) };
}

const WORDS = { plus: 'plus', ground: 'ground' } as const;

/** One relay that makes the other polarity. */
function turnedRound(
  lead: SignalLead,
  worked: 'plus' | 'ground',
): { readonly demand: RelayDemand; readonly because: string } {
  const [from, to] = lead.direction === 'out' ? [lead.polarity, worked] : [worked, lead.polarity];
  const gives = from === 'plus' ? 'plus' : 'ground';
  const wanted = to === 'plus' ? 'plus' : 'ground';
  return {
    demand: { kind: 'output', triggers: [{ gives }], when: 'any', worked: wanted, rest: 'open' },
    because: `${lead.direction === 'out' ? 'The lead gives' : 'The car gives'} ${gives}, ${wanted} is wanted: one relay between them.`,
  };
}

function ladderJoint(lead: SignalLead): SignalJoint {
  return lead.direction === 'out'
    ? {
        by: 'resistor',
        because:
          'A ladder: the resistor of the button is switched to ground, never ground itself unless the button is ground. Tools > Resistor for a button works it out from one reading more.',
      }
    : {
        by: 'module',
        because: 'A ladder’s steps are no trigger: watch the door or the lamps instead.',
      };
}

function motorJoint(lead: SignalLead): SignalJoint {
  const gives = lead.polarity === 'plus' ? 'plus' : 'ground';
  if (lead.direction === 'in')
    return {
      by: 'itself',
      because: 'The lead rises to plus while the motor runs; at rest it is ground.',
    };
  return {
    by: 'relays',
    demand: { kind: 'reversing', triggers: [{ gives }, { gives }], ownSwitch: true },
    because:
      'Both motor leads rest on ground through the switch: cut each, 30 to the motor side, 87a to the switch side, 87 to fused plus. Never plus onto an uncut lead: it is a short through the switch.',
  };
}
