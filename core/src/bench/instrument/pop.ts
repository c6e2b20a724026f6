import type { VehicleState } from '../../vehicle';
import type { BenchCar } from '../car/benchCar';
import type { BenchWire } from '../car/wire';
import type { Port } from '../network/solveNetwork';
import { nodeOf } from './touch';

/** What a 9 V battery touched across two wires did. */
export interface PopShows {
  /** Name of the speaker that popped; undefined when none did. */
  readonly speaker: string | undefined;
  /** Which way its cone moved, with plus on the first wire. */
  readonly cone: 'out' | 'in' | 'none';
  /** The source met a live, data or sensor wire, or an amplifier’s output: damage. */
  readonly harm: string | undefined;
}

const SOURCE_V = 9;
const SOURCE_OHM = 2;
/** Current from which a cone visibly moves, A. */
const MOVES_A = 0.2;
/** A wire above this is live, V. */
const LIVE_V = 0.5;
/** Behind less than this it can deliver something, Ω. */
const FED_OHM = 1e5;

/**
 * What a 9 V source does between two wires, plus on the first.
 *
 * @throws RangeError when the car has no such wire.
 */
export function popShows(
  car: BenchCar,
  touch: { readonly plusId: string; readonly minusId: string; readonly state: VehicleState },
): PopShows {
  const network = car.at(touch.state).on;
  const [plus, minus] = [wireOf(car, touch.plusId), wireOf(car, touch.minusId)];
  const harm = [plus, minus].map((wire) => harmOn(wire, network.port(wire.id))).find(Boolean);
  const port = network.port(plus.id, minus.id);
  const amperes = (SOURCE_V - port.volts) / (SOURCE_OHM + port.ohm);
  const [a, b] = [plus.behind, minus.behind];
  const same = a.is === 'speaker' && b.is === 'speaker' && a.speaker === b.speaker;
  if (!same || amperes < MOVES_A) return { speaker: undefined, cone: 'none', harm };
  return { speaker: a.speaker, cone: a.positive ? 'out' : 'in', harm };
}

function wireOf(car: BenchCar, id: string): BenchWire {
  nodeOf(car, { pointId: id });
  const wire = (car.vehicle.wires ?? []).find((one) => one.id === id);
  if (wire === undefined) throw new RangeError(`${id} is a slot: only wires can be popped`);
  return wire;
}

function harmOn(wire: BenchWire, seen: Port): string | undefined {
  if (wire.behind.is === 'data') return `${wire.id} is a data wire`;
  if (wire.behind.is === 'amplifierOutput') return `${wire.id} is an amplifier’s output`;
  if (wire.behind.is === 'sensor') return `${wire.id} is a sensor wire`;
  // A ghost behind megohms is no supply.
  const isFed = Math.abs(seen.volts) > LIVE_V && seen.ohm < FED_OHM;
  return isFed ? `${wire.id} is live` : undefined;
}
