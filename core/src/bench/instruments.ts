import type { VehicleState } from '../vehicle';
import type { BenchVehicle } from './circuit';
import { slotVoltage } from './slotVoltage';

/** Where the simulated probe touches. */
export interface BenchTouch {
  readonly slotId: string;
  /** Contact of the empty slot; undefined with the fuse in, on either of its test points. */
  readonly contact: 'a' | 'b' | undefined;
  readonly state: VehicleState;
}

/** Input resistance of the simulated meter, Ω. */
const METER_OHM = 10e6;
/** Spread of its reading: share of the value, and volts. */
const METER_GAIN_SIGMA = 0.003;
const METER_OFFSET_SIGMA_V = 0.012;
/** Its last digit, V. */
const METER_COUNT_V = 0.01;
/** A 5 W filament at working temperature, Ω (12 V squared over 5 W). */
const LAMP_OHM = 28.8;
const LAMP_LIT_V = 7;
const LAMP_DIM_V = 2.5;

/**
 * What a simulated meter shows at a touch, V.
 *
 * @param random uniform in [0, 1)
 * @throws RangeError when the car has no such slot.
 */
export function meterReading(
  vehicle: BenchVehicle,
  touch: BenchTouch,
  random: () => number,
): number {
  const trueV = voltageAt(vehicle, touch, METER_OHM);
  const shown =
    trueV * (1 + METER_GAIN_SIGMA * gaussian(random)) + METER_OFFSET_SIGMA_V * gaussian(random);
  return Math.round(shown / METER_COUNT_V) * METER_COUNT_V;
}

/**
 * How a simulated filament lamp, clipped to a good ground, burns at a touch.
 *
 * @throws RangeError when the car has no such slot.
 */
export function lampReading(vehicle: BenchVehicle, touch: BenchTouch): 'lit' | 'dim' | 'dark' {
  const volts = voltageAt(vehicle, touch, LAMP_OHM);
  if (volts >= LAMP_LIT_V) return 'lit';
  return volts >= LAMP_DIM_V ? 'dim' : 'dark';
}

function voltageAt(vehicle: BenchVehicle, touch: BenchTouch, instrumentOhm: number): number {
  const circuit = vehicle.circuits.find((one) => one.slotId === touch.slotId);
  if (circuit === undefined)
    throw new RangeError(`The simulated car has no slot ${touch.slotId} to probe`);
  return slotVoltage(vehicle.battery, circuit, touch.state, {
    contact: touch.contact ?? circuit.supplyContact,
    fuseIn: touch.contact === undefined,
    instrumentOhm,
  });
}

/** A standard normal number (Box–Muller). */
function gaussian(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}
