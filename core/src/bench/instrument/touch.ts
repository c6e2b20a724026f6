import type { VehicleState } from '../../vehicle';
import type { BenchCar, Instants } from '../car/benchCar';
import { BATTERY_POST } from '../car/battery';
import { leadEnd, leadFuse, leadGround, tappedSlots } from '../car/addedLeads';
import { slotNode } from '../car/nodes';
import { CHASSIS } from '../network/element';
import type { Port, SolvedNetwork } from '../network/solveNetwork';

/** Where an instrument's clip sits. */
export interface Clip {
  /** Bare metal, the battery's plus post, or a wire or slot known to be constant. */
  readonly to: 'ground' | 'battery' | { readonly pointId: string };
  /** Resistance of the clip's contact, Ω: paint and rust make it kilohms. */
  readonly ohm: number;
}

/** A clip on bright metal. */
export const GOOD_CLIP: Clip = { to: 'ground', ohm: 0.05 };

/** Where the probe touches. */
export interface BenchTouch {
  /** A slot or a wire. */
  readonly pointId: string;
  /** Contact of the empty slot; undefined with the fuse in, on either of its test points, and for wires. */
  readonly contact?: 'a' | 'b' | undefined;
  readonly state: VehicleState;
  /** A good clip on ground by default. */
  readonly clip?: Clip;
}

/**
 * The node under the probe.
 *
 * @throws RangeError when the car has no such slot or wire.
 */
export function nodeOf(car: BenchCar, touch: Pick<BenchTouch, 'pointId' | 'contact'>): string {
  const circuit = car.vehicle.circuits.find((one) => one.slotId === touch.pointId);
  if (circuit !== undefined)
    return slotNode(circuit.slotId, touch.contact ?? circuit.supplyContact);
  if ((car.vehicle.wires ?? []).some((wire) => wire.id === touch.pointId)) return touch.pointId;
  if (isLeadNode(car, touch.pointId)) return touch.pointId;
  throw new RangeError(`The simulated car has no slot or wire ${touch.pointId} to probe`);
}

function isLeadNode({ situation }: BenchCar, id: string): boolean {
  return (situation.leads ?? []).some(({ id: lead }) =>
    [leadEnd(lead), leadGround(lead), leadFuse(lead)].includes(id),
  );
}

/** Touching one contact of a slot takes its fuse out, unless it is out or a tap stands in it. */
function asTouched(car: BenchCar, touch: BenchTouch): BenchCar {
  if (touch.contact === undefined) return car;
  const { pulled, taps, leads = [] } = car.situation;
  const isOut =
    pulled.has(touch.pointId) ||
    taps.some((tap) => tap.slotId === touch.pointId) ||
    tappedSlots(leads).has(touch.pointId);
  return isOut ? car : car.without(touch.pointId);
}

function clipNode(car: BenchCar, to: Clip['to']): string {
  if (to === 'ground') return CHASSIS;
  return to === 'battery' ? BATTERY_POST : nodeOf(car, to);
}

/** What lies between probe and clip at both instants of a pulse. */
export function portsAt(
  car: BenchCar,
  touch: BenchTouch,
): { readonly on: Port; readonly off: Port } {
  const clip = touch.clip ?? GOOD_CLIP;
  const node = nodeOf(car, touch);
  const against = clipNode(car, clip.to);
  const instants: Instants = asTouched(car, touch).at(touch.state);
  const seen = (network: SolvedNetwork): Port => {
    const port = network.port(node, against);
    return { volts: port.volts, ohm: port.ohm + clip.ohm };
  };
  const on = seen(instants.on);
  return { on, off: instants.off === instants.on ? on : seen(instants.off) };
}
