import type { VehicleState } from '../../vehicle';
import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import { BATTERY_POST } from './battery';
import { filamentOhm } from './bulb';
import { busNode, ghost } from './nodes';
import type { Unsettled } from './situation';
import type { BenchLadder, BenchWire, BenchWireKind } from './wire';
import { isPulsing, pullsUp, switchClosed } from './wire';
import { isClosed } from './supplies';

/** Wire from its source to the cut, Ω. */
const WIRE_OHM = 0.06;
/** Both lamps of one side, W, and a lock motor, Ω. */
const MOTOR_OHM = 2.5;
/** Bulb load beyond a lock-positive lead, Ω. */
const TRIGGER_OHM = 220;
/** A data line's bias and its source, Ω. */
const BUS_BIAS_OHM = 1200;
/** A sensor's 5 V and the resistance it comes through. */
const SENSOR_V = 5;
const SENSOR_OHM = 1000;
/** A resistive lock switch: pull-up, rest, lock and unlock, Ω. */
const LADDER: BenchLadder = {
  volts: 5,
  pullUpOhm: 1000,
  restOhm: 10_000,
  lockOhm: 330,
  unlockOhm: 1000,
};
/** An amplifier's output, Ω. */
const OUTPUT_OHM = 0.1;
/** What bare wires pick up when nothing else is said, V. */
const PICK_UP_V = 0.2;

/** One wire as elements; its node has the wire's id. */
export function wireElements(wire: BenchWire, state: VehicleState, now: Unsettled): Element[] {
  const { id, behind } = wire;
  const toGround = (ohm: number): Element => ({ kind: 'resistor', a: id, b: CHASSIS, ohm });
  const fromBattery = (ohm: number): Element => ({ kind: 'resistor', a: BATTERY_POST, b: id, ohm });
  const bulb = (watts: number): Element => toGround(filamentOhm(watts, now.bulbV.get(id) ?? 0));
  const awake = !state.asleep;
  switch (behind.is) {
    case 'feed':
      return [
        { kind: 'resistor', a: busNode(behind.supply), b: id, ohm: behind.wireOhm ?? WIRE_OHM },
        toGround(behind.loadOhm),
        ...ghost(id, PICK_UP_V),
      ];
    case 'illumination': {
      const on = state.lamps && (now.pulse === 'on' || !behind.pulsed || state.dimmed !== true);
      return on ? [fromBattery(WIRE_OHM), bulb(behind.bulbW)] : [bulb(behind.bulbW)];
    }
    case 'turnLamp': {
      const on = isPulsing(wire, state) && now.pulse === 'on';
      return on ? [fromBattery(WIRE_OHM), bulb(behind.bulbW)] : [bulb(behind.bulbW)];
    }
    case 'ground':
      return [toGround(behind.ohm)];
    case 'switchToGround': {
      const closed = switchClosed(behind.by, state) !== (behind.inverted ?? false);
      const up = pullUpElements(id, behind, { state, now });
      return closed ? [toGround(WIRE_OHM), ...up] : [...up, ...ghost(id, PICK_UP_V)];
    }
    case 'switchToPlus':
      return switchClosed(behind.by, state)
        ? [fromBattery(WIRE_OHM), toGround(behind.loadOhm)]
        : [toGround(behind.loadOhm)];
    case 'lockPositive':
      return switchClosed(behind.by, state)
        ? [fromBattery(WIRE_OHM), toGround(TRIGGER_OHM)]
        : [toGround(TRIGGER_OHM)];
    case 'lockMotor':
      return switchClosed(behind.by, state)
        ? [fromBattery(WIRE_OHM), toGround(MOTOR_OHM)]
        : [toGround(WIRE_OHM)];
    case 'lockResistive': {
      const ladder = behind.ladder ?? LADDER;
      const ohm = ladder[`${state.lockSwitch ?? 'rest'}Ohm`];
      const supply = awake ? through(id, ladder.volts, ladder.pullUpOhm) : [];
      return [...supply, ...(ohm === Infinity ? ghost(id, PICK_UP_V) : [toGround(ohm)])];
    }
    case 'speaker':
      return [
        { kind: 'resistor', a: id, b: `coil:${behind.speaker}`, ohm: behind.ohm / 2 },
        ...ghost(id, behind.ghostV ?? PICK_UP_V),
      ];
    case 'amplifierOutput':
      return isClosed('accessoryContact', state)
        ? through(id, HALF_RAIL_V, OUTPUT_OHM)
        : [toGround(20_000)];
    case 'turnOn':
      return [toGround(behind.loadOhm)];
    case 'data': {
      const between: Element[] =
        behind.pair === undefined
          ? []
          : [{ kind: 'resistor', a: id, b: `bus:${behind.pair}`, ohm: TERMINATION_OHM / 2 }];
      return [...between, ...dataElements(id, behind.biasV, awake)];
    }
    case 'sensor':
      return state.key === 'off' ? [toGround(SENSOR_OHM)] : through(id, SENSOR_V, SENSOR_OHM);
    case 'open':
      return ghost(id, behind.ghostV);
    case 'pulses':
      return pulseElements(wire, behind, { state, now });
  }
}

type Behind<Kind extends BenchWireKind['is']> = Extract<BenchWireKind, { readonly is: Kind }>;
/** The state, and which half of a pulse it is. */
interface Instant {
  readonly state: VehicleState;
  readonly now: Unsettled;
}

/** Volts of modules that pull their switches up themselves. */
const MODULE_V = { module5: 5, module8: 8 } as const;

function pullUpElements(
  id: string,
  { from = 'battery', pullUpOhm }: Behind<'switchToGround'>,
  { state, now }: Instant,
): Element[] {
  if (!pullsUp(from, state) || (from === 'strokes' && now.pulse === 'off')) return [];
  if (from === 'module5' || from === 'module8') return through(id, MODULE_V[from], pullUpOhm);
  return [{ kind: 'resistor', a: BATTERY_POST, b: id, ohm: pullUpOhm }];
}

/** Pull-up of a pulse, Ω, and what the input behind a dead one is, Ω. */
const PULSE_OHM = 2200;
const INPUT_OHM = 47_000;

function pulseElements(
  wire: BenchWire,
  { highV, rest }: Behind<'pulses'>,
  { state, now }: Instant,
): Element[] {
  const on = state.key !== 'off' && state.key !== 'crank' && !state.asleep;
  const high = isPulsing(wire, state) ? now.pulse === 'on' : on && rest === 'high';
  return high
    ? through(wire.id, highV, PULSE_OHM)
    : [{ kind: 'resistor', a: wire.id, b: CHASSIS, ohm: on ? PULSE_OHM : INPUT_OHM }];
}

/** Two resistors of 120 Ω at the ends of a data pair (ISO 11898). */
const TERMINATION_OHM = 60;

function dataElements(id: string, biasV: number, awake: boolean): Element[] {
  return awake
    ? through(id, biasV, BUS_BIAS_OHM)
    : [{ kind: 'resistor', a: id, b: CHASSIS, ohm: BUS_BIAS_OHM }];
}

/** Half of a nominal supply, V. */
const HALF_RAIL_V = 6.2;

/** A voltage behind a resistance, as its equal current source (Norton). */
function through(node: string, volts: number, ohm: number): Element[] {
  return [
    { kind: 'resistor', a: node, b: CHASSIS, ohm },
    { kind: 'current', from: CHASSIS, to: node, amperes: volts / ohm },
  ];
}
