import type { BenchCar } from '../car/benchCar';
import { filamentOhm } from '../car/bulb';
import type { Port } from '../network/solveNetwork';
import type { BenchTouch } from './touch';
import { portsAt } from './touch';

/** How a tester burns. */
export type Burns = 'lit' | 'dim' | 'dark' | 'pulsing';

/** What a lamp showed, and what it did to the car. */
export interface LampShows {
  readonly burns: Burns;
  /** Its load pulled a sleeping module's input down: the car is awake now. */
  readonly woke: boolean;
}

/** Bulb of a test lamp, W. */
const LAMP_W = 5;
/** Volts across the bulb from which it burns brightly, and at all. Common practice. */
const LIT_V = 7;
const DIM_V = 2.5;
/** Rounds until the filament's resistance agrees with its voltage. */
const ROUNDS = 40;
/** A module takes its input for pulled down below this share of what it was. */
const PULLED_DOWN = 0.5;

/**
 * How a simulated filament lamp burns at a touch.
 *
 * @throws RangeError when the car has no such point.
 */
export function lampShows(car: BenchCar, touch: BenchTouch): LampShows {
  const { on, off } = portsAt(car, touch);
  const [high, low] = [acrossLamp(on), acrossLamp(off)];
  const wire = (car.vehicle.wires ?? []).find((one) => one.id === touch.pointId);
  const wakes =
    touch.state.asleep &&
    wire?.behind.is === 'switchToGround' &&
    Math.abs(high) < PULLED_DOWN * Math.abs(on.volts);
  const [brighter, darker] = [burnsAt(high), burnsAt(low)];
  return { burns: brighter === darker ? brighter : 'pulsing', woke: wakes };
}

/** Volts across the filament behind a port: it warms up until resistance and voltage agree. */
function acrossLamp(port: Port): number {
  let volts = port.volts;
  for (let round = 0; round < ROUNDS; round += 1) {
    const ohm = filamentOhm(LAMP_W, volts);
    volts = 0.5 * volts + 0.5 * ((port.volts * ohm) / (ohm + port.ohm));
  }
  return volts;
}

function burnsAt(volts: number): Burns {
  const size = Math.abs(volts);
  if (size >= LIT_V) return 'lit';
  return size >= DIM_V ? 'dim' : 'dark';
}

/** Drop of the diode and its resistor, and the currents from which it glows and shines. */
const DIODE_V = 1.9;
const SERIES_OHM = 1500;
const GLOWS_A = 0.0002;
const SHINES_A = 0.003;

/**
 * How a simulated LED tester burns at a touch: it loads little, so that it can glow on a pull-up.
 *
 * @throws RangeError when the car has no such point.
 */
export function ledShows(car: BenchCar, touch: BenchTouch): Burns {
  const { on, off } = portsAt(car, touch);
  const burns = (port: Port): Burns => {
    const amperes = (Math.abs(port.volts) - DIODE_V) / (SERIES_OHM + port.ohm);
    if (amperes >= SHINES_A) return 'lit';
    return amperes >= GLOWS_A ? 'dim' : 'dark';
  };
  const [brighter, darker] = [burns(on), burns(off)];
  return brighter === darker ? brighter : 'pulsing';
}
