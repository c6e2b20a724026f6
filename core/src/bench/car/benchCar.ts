import type { VehicleState } from '../../vehicle';
import { stateId } from '../../vehicle';
import type { SolvedNetwork } from '../network/solveNetwork';
import { solveNetwork } from '../network/solveNetwork';
import type { BenchVehicle } from './circuit';
import { compileCar } from './compileCar';
import { RELAY_COIL, slotNode } from './nodes';
import { isPulsing } from './wire';
import type { Situation, Unsettled } from './situation';

/** The two instants of a pulsed feed; the same network twice where nothing pulses. */
export interface Instants {
  readonly on: SolvedNetwork;
  readonly off: SolvedNetwork;
}

/** A simulated car, solved state by state as it is asked. */
export interface BenchCar {
  readonly vehicle: BenchVehicle;
  readonly situation: Situation;
  /** The solved network in a state. */
  readonly at: (state: VehicleState) => Instants;
  /** The same car with the fuse of a slot out as well. */
  readonly without: (slotId: string) => BenchCar;
}

/** A car as it left the works. */
export const UNTOUCHED: Situation = { pulled: new Set(), taps: [], opened: new Set() };

/** A relay pulls in from about this voltage on its coil, V. Common practice: at most 8 V on a 12 V relay. */
const PULL_IN_V = 7;
/** Relays and bulbs settle within a few rounds; more means that a relay chatters. */
const MOST_ROUNDS = 12;
/** Bulbs have settled when none changes by more than this, V. */
const SETTLED_V = 0.01;

/** Prepares a car; every state is solved once and kept. */
export function benchCar(vehicle: BenchVehicle, situation: Situation = UNTOUCHED): BenchCar {
  const solved = new Map<string, Instants>();
  const emptied = new Map<string, BenchCar>();
  const bulbs = bulbNodes(vehicle);
  return {
    vehicle,
    situation,
    without: (slotId) => {
      const pulled = new Set([...situation.pulled, slotId]);
      const car = emptied.get(slotId) ?? benchCar(vehicle, { ...situation, pulled });
      emptied.set(slotId, car);
      return car;
    },
    at: (state) => {
      const id = `${stateId(state)}|${state.driverDoor}|${state.minutesSinceKeyOff ?? 0}`;
      const known = solved.get(id);
      if (known !== undefined) return known;
      const on = settle(vehicle, state, { situation, bulbs, pulse: 'on' });
      const pulsing = (vehicle.wires ?? []).some((wire) => isPulsing(wire, state));
      const off = pulsing ? settle(vehicle, state, { situation, bulbs, pulse: 'off' }) : on;
      const instants = { on, off };
      solved.set(id, instants);
      return instants;
    },
  };
}

function bulbNodes(vehicle: BenchVehicle): string[] {
  const slots = vehicle.circuits
    .filter((circuit) => circuit.bulbW !== undefined)
    .map((circuit) => slotNode(circuit.slotId, circuit.supplyContact === 'a' ? 'b' : 'a'));
  const wires = (vehicle.wires ?? [])
    .filter(({ behind }) => behind.is === 'illumination' || behind.is === 'turnLamp')
    .map((wire) => wire.id);
  return [...slots, ...wires];
}

/** Solves again and again until relays and warm filaments agree with the voltages they get. */
function settle(
  vehicle: BenchVehicle,
  state: VehicleState,
  given: {
    readonly situation: Situation;
    readonly bulbs: readonly string[];
    readonly pulse: 'on' | 'off';
  },
): SolvedNetwork {
  let unsettled: Unsettled = { relayIn: false, bulbV: new Map(), pulse: given.pulse };
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const network = solveNetwork(
      compileCar(vehicle, state, { situation: given.situation, unsettled }),
    );
    const relayIn = network.voltage(RELAY_COIL) >= PULL_IN_V;
    const bulbV = new Map(given.bulbs.map((node) => [node, network.voltage(node)]));
    const moved = [...bulbV].some(
      ([node, volts]) => Math.abs(volts - (unsettled.bulbV.get(node) ?? 0)) > SETTLED_V,
    );
    if (!moved && relayIn === unsettled.relayIn) return network;
    unsettled = { ...unsettled, relayIn, bulbV };
  }
  throw new Error('A relay of the simulated car chatters: no steady state');
}
