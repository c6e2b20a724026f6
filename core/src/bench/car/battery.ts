import type { VehicleState } from '../../vehicle';
import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import type { BenchBattery } from './circuit';

/** The battery's positive post. */
export const BATTERY_POST = 'battery+';
/** Alternator and its lead, Ω. */
const CHARGING_OHM = 0.02;

/** Battery, starter and alternator as elements: it sags while cranking and rises with the engine running. */
export function batteryElements(battery: BenchBattery, state: VehicleState): Element[] {
  const elements: Element[] = [
    { kind: 'voltage', plus: 'cells', minus: CHASSIS, volts: battery.restV },
    { kind: 'resistor', a: 'cells', b: BATTERY_POST, ohm: battery.internalOhm },
  ];
  if (state.key === 'crank')
    elements.push({
      kind: 'current',
      from: BATTERY_POST,
      to: CHASSIS,
      amperes: battery.crankingA,
    });
  if (state.key === 'engine')
    elements.push(
      { kind: 'voltage', plus: 'alternator', minus: CHASSIS, volts: battery.chargingV },
      { kind: 'resistor', a: 'alternator', b: BATTERY_POST, ohm: CHARGING_OHM },
    );
  return elements;
}

/** Open-circuit voltages of a flooded battery by state of charge, about 25 °C. BCI table, from memory. */
const REST_V: readonly (readonly [charge: number, volts: number])[] = [
  [0, 11.89],
  [0.25, 12.06],
  [0.5, 12.24],
  [0.75, 12.45],
  [1, 12.65],
];

/**
 * Voltage of a rested flooded battery, V, for a state of charge from 0 to 1.
 *
 * @throws RangeError outside 0 to 1.
 */
export function restVoltage(charge: number): number {
  if (!(charge >= 0 && charge <= 1))
    throw new RangeError(`State of charge must lie between 0 and 1, got ${charge}`);
  const upper = Math.max(
    1,
    REST_V.findIndex(([at]) => charge <= at),
  );
  const [fromCharge, fromV] = REST_V[upper - 1] ?? [0, 0];
  const [toCharge, toV] = REST_V[upper] ?? [1, 0];
  return fromV + ((charge - fromCharge) / (toCharge - fromCharge)) * (toV - fromV);
}
