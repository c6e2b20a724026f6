import { amps } from './feedLoad';
import { assertNumbers } from './ranges';

/** What switches a load. */
export interface Switching {
  /** Continuous current of the load, A. */
  readonly currentA: number;
  /** What the switch, or the source that triggers, may carry, A. */
  readonly switchA: number;
  /** Whether the trigger gives plus or ground when it is on. */
  readonly trigger: 'positive' | 'negative';
  /** Current at switching on, A; the load's when left out. Motors and lamps draw several times their load. */
  readonly peakA?: number | undefined;
  /** Whether the load must be live while the trigger is off. */
  readonly inverted?: boolean | undefined;
  /** Whether the switch has a lamp of its own. */
  readonly litSwitch?: boolean | undefined;
  /** Current of the relay's coil, A. */
  readonly coilA?: number | undefined;
}

/** One row of a terminal table. */
export interface TerminalRow {
  /** Number on the base (DIN 72552 / ISO 7588), or of the switch. */
  readonly terminal: string;
  /** What the terminal is, in words. */
  readonly what: string;
  /** What is connected to it. */
  readonly goesTo: string;
}

/** How a load is switched. */
export type SwitchPlan =
  | {
      readonly ok: true;
      readonly relay: boolean;
      readonly because: string;
      /** What the trigger's source has to carry, A. */
      readonly triggerA: number;
      readonly relayTerminals: readonly TerminalRow[];
      readonly switchTerminals: readonly TerminalRow[];
      readonly cautions: readonly string[];
    }
  | { readonly ok: false; readonly problem: string; readonly wayOut: string };

/** Coil of a common 12 V relay, Ω: 80 to 100. Common practice. */
const COIL_OHM = 85;
/** Voltage on the road, V. */
const ON_THE_ROAD_V = 14.4;
/** What it draws on the road, A: 0.169. */
export const COIL_A = Number((ON_THE_ROAD_V / COIL_OHM).toFixed(3));
/** A common relay's contacts, A: normally open and normally closed. Common practice. */
const CONTACT_A = { open: 40, closed: 30 } as const;
/** Share of a contact's rating that may flow for good. Common practice. */
const CONTACT_SHARE = 0.75;
/** A lit switch's own lamp, A. Common practice. */
const SWITCH_LAMP_A = 0.02;

/**
 * Whether a load needs a relay, which contacts it uses, and what each terminal of relay and switch goes to.
 *
 * @throws RangeError naming the field when a number is out of range.
 */
export function planSwitching(given: Switching): SwitchPlan {
  const coilA = given.coilA ?? COIL_A;
  assertNumbers({
    currentA: given.currentA,
    switchA: given.switchA,
    peakA: given.peakA,
    coilA,
  });
  const lampA = given.litSwitch === true ? SWITCH_LAMP_A : 0;
  const peakA = given.peakA ?? given.currentA;
  const inverted = given.inverted === true;
  const tooMuch = given.currentA > given.switchA || peakA > 2 * given.switchA;
  const turned = given.trigger === 'negative' || inverted;
  if (!tooMuch && !turned)
    return {
      ok: true,
      relay: false,
      because: `${amps(given.currentA)} is within the ${amps(given.switchA)} of the switch.`,
      triggerA: given.currentA + lampA,
      relayTerminals: [],
      switchTerminals: switchRows(given, false),
      cautions: [],
    };
  const contact = inverted ? 'closed' : 'open';
  const contactA = CONTACT_A[contact] * CONTACT_SHARE;
  if (given.currentA > contactA)
    return {
      ok: false,
      problem: `${amps(given.currentA)} is more than the ${amps(contactA)} that a relay’s normally ${contact} contact carries for good.`,
      wayOut: 'Split the load over two relays, or take a continuous-duty solenoid.',
    };
  const triggerA = coilA + lampA;
  if (triggerA > given.switchA)
    return {
      ok: false,
      problem: `The coil’s ${amps(triggerA)} is more than the ${amps(given.switchA)} of the trigger.`,
      wayOut: 'Put a transistor stage or a relay with a smaller coil between.',
    };
  return {
    ok: true,
    relay: true,
    because: tooMuch
      ? `${amps(given.currentA)}${peakA > given.currentA ? `, ${amps(peakA)} at switching on,` : ''} is more than the ${amps(given.switchA)} of the switch: it only drives the coil.`
      : inverted
        ? 'The load is live while the trigger is off: only a relay’s 87a does that.'
        : 'The trigger gives ground, the load wants plus: a relay turns it round.',
    triggerA,
    relayTerminals: relayRows(given, inverted),
    switchTerminals: switchRows(given, true),
    cautions: [
      'The coil gives back a spike of some hundred volts: take a relay with a resistor or a diode across the coil, the diode’s band at plus.',
      'The lead to 30 gets its own fuse near the battery, within about 45 cm (18 in).',
      ...(inverted ? [] : ['87a stays open: cap it.']),
    ],
  };
}

function relayRows(given: Switching, inverted: boolean): TerminalRow[] {
  const positive = given.trigger === 'positive';
  return [
    { terminal: '30', what: 'common contact', goesTo: 'battery plus, through its own fuse' },
    {
      terminal: '87',
      what: 'normally open',
      goesTo: inverted ? 'nothing: cap it' : 'the load',
    },
    {
      terminal: '87a',
      what: 'normally closed',
      goesTo: inverted ? 'the load' : 'nothing: cap it',
    },
    {
      terminal: '86',
      what: 'coil',
      goesTo: positive ? 'the trigger (plus when on)' : 'a fused plus',
    },
    {
      terminal: '85',
      what: 'coil',
      goesTo: positive ? 'ground' : 'the trigger (ground when on)',
    },
  ];
}

function switchRows(given: Switching, relay: boolean): TerminalRow[] {
  const out = relay ? (given.trigger === 'positive' ? 'relay 86' : 'relay 85') : 'the load';
  const supply = given.trigger === 'positive' ? 'fused plus' : 'ground';
  return [
    { terminal: '1', what: 'supply', goesTo: supply },
    { terminal: '2', what: 'switched', goesTo: out },
    ...(given.litSwitch === true
      ? [
          {
            terminal: '3',
            what: 'lamp of the switch',
            goesTo:
              given.trigger === 'positive'
                ? 'ground: without it the switch works and stays dark'
                : 'fused plus: without it the switch works and stays dark',
          },
        ]
      : []),
  ];
}
