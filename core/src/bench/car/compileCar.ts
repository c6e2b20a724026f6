import type { VehicleState } from '../../vehicle';
import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import { BATTERY_POST, batteryElements } from './battery';
import { filamentOhm } from './bulb';
import type { BenchCircuit, BenchVehicle } from './circuit';
import type { FittedTap, Situation, Unsettled } from './situation';
import { wireElements } from './compileWire';
import { leadElements, tappedSlots } from './addedLeads';
import { RELAY_COIL, busNode, fuseOhm, ghost, slotNode } from './nodes';
import { BENCH_SUPPLIES, isClosed } from './supplies';

/** Wire and contacts from the battery to a bus, and from a bus to a slot, Ω. */
const BUS_OHM = 0.004;
const FEED_OHM = 0.026;
const USUAL_RATING_A = 10;
/** Resistance from the bus into a back-fed circuit, Ω. */
const BACK_FEED_OHM = 0.05;
/** A relay's coil, Ω. */
const COIL_OHM = 85;
/** Beyond this a load is no load, Ω. */
const NO_LOAD_OHM = 1e9;

/** The car in one state at one instant, as elements. */
export function compileCar(
  vehicle: BenchVehicle,
  state: VehicleState,
  given: { readonly situation: Situation; readonly unsettled: Unsettled },
): Element[] {
  const elements = batteryElements(vehicle.battery, state);
  for (const supply of BENCH_SUPPLIES) {
    const closed = supply === 'accessoryRelay' ? given.unsettled.relayIn : isClosed(supply, state);
    if (closed)
      elements.push({ kind: 'resistor', a: BATTERY_POST, b: busNode(supply), ohm: BUS_OHM });
  }
  elements.push({ kind: 'resistor', a: RELAY_COIL, b: CHASSIS, ohm: COIL_OHM });
  for (const circuit of vehicle.circuits) pushCircuit(elements, circuit, given);
  for (const tap of given.situation.taps) pushTap(elements, vehicle, tap);
  for (const lead of given.situation.leads ?? []) elements.push(...leadElements(lead));
  for (const wire of vehicle.wires ?? [])
    elements.push(...wireElements(wire, state, given.unsettled));
  return elements;
}

function pushCircuit(
  elements: Element[],
  circuit: BenchCircuit,
  given: { readonly situation: Situation; readonly unsettled: Unsettled },
): void {
  const supplySide = slotNode(circuit.slotId, circuit.supplyContact);
  const loadSide = slotNode(circuit.slotId, circuit.supplyContact === 'a' ? 'b' : 'a');
  elements.push({ kind: 'resistor', a: busNode(circuit.supply), b: supplySide, ohm: FEED_OHM });
  const { pulled, opened, taps } = given.situation;
  const tapped =
    taps.some((tap) => tap.slotId === circuit.slotId) ||
    tappedSlots(given.situation.leads ?? []).has(circuit.slotId);
  const fuseIn = !pulled.has(circuit.slotId) && !tapped;
  if (fuseIn && !circuit.blown && !opened.has(circuit.slotId))
    elements.push({
      kind: 'resistor',
      a: supplySide,
      b: loadSide,
      ohm: fuseOhm(circuit.ratingA ?? USUAL_RATING_A),
    });
  const loadOhm = loadOf(circuit, given.unsettled.bulbV.get(loadSide) ?? 0);
  if (loadOhm < NO_LOAD_OHM)
    elements.push({
      kind: 'resistor',
      a: loadSide,
      b: CHASSIS,
      ohm: loadOhm + (circuit.groundOhm ?? 0),
    });
  if (circuit.backFeed !== undefined)
    elements.push({
      kind: 'resistor',
      a: busNode(circuit.backFeed),
      b: loadSide,
      ohm: BACK_FEED_OHM,
    });
  for (const node of [supplySide, loadSide]) elements.push(...ghost(node, circuit.ghostV));
}

function loadOf(circuit: BenchCircuit, bulbV: number): number {
  return circuit.bulbW === undefined ? circuit.loadOhm : filamentOhm(circuit.bulbW, bulbV);
}

function pushTap(elements: Element[], vehicle: BenchVehicle, tap: FittedTap): void {
  const other = tap.lineBladeAt === 'a' ? 'b' : 'a';
  const line = slotNode(tap.slotId, tap.lineBladeAt);
  if (!vehicle.circuits.some((one) => one.slotId === tap.slotId))
    throw new RangeError(`The simulated car has no slot ${tap.slotId} to tap`);
  if (tap.originalFuseA !== undefined)
    elements.push({
      kind: 'resistor',
      a: line,
      b: slotNode(tap.slotId, other),
      ohm: fuseOhm(tap.originalFuseA),
    });
  if (tap.addedFuseA === undefined) return;
  const lead = `${tap.slotId}#added`;
  elements.push(
    { kind: 'resistor', a: line, b: lead, ohm: fuseOhm(tap.addedFuseA) },
    { kind: 'resistor', a: lead, b: CHASSIS, ohm: tap.addedLoadOhm },
  );
}
