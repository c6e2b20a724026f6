import type { VehicleState } from '../../vehicle';
import type { BenchSupply } from './supplies';

/** What is really behind a wire that was cut or bared. */
export type BenchWireKind =
  /** Fed through a contact; the load, if any, lies beyond. */
  | { readonly is: 'feed'; readonly supply: BenchSupply; readonly loadOhm: number }
  /** Panel bulbs from the light switch; `pulsed` when the dimmer switches it on and off quickly. */
  | { readonly is: 'illumination'; readonly bulbW: number; readonly pulsed: boolean }
  | { readonly is: 'ground'; readonly ohm: number }
  /** To ground through its switch; otherwise pulled up, for a module that wakes when it falls. */
  | {
      readonly is: 'switchToGround';
      readonly by: 'door' | 'parkingBrake' | 'lock' | 'unlock';
      readonly pullUpOhm: number;
    }
  | { readonly is: 'lockPositive'; readonly by: 'lock' | 'unlock' }
  /** One lead of a lock motor: both rest on ground, one rises. */
  | { readonly is: 'lockMotor'; readonly by: 'lock' | 'unlock' }
  /** A module's 5 V behind a pull-up, loaded by resistors of the switch. */
  | { readonly is: 'lockResistive' }
  /** One lead of a speaker; the other end of the same speaker has the same name. */
  | {
      readonly is: 'speaker';
      readonly speaker: string;
      readonly positive: boolean;
      readonly ohm: number;
      /** What couples into the pair, V; left out: little. */
      readonly ghostV?: number;
    }
  /** An output of an amplifier that is on: half the supply, behind little. */
  | { readonly is: 'amplifierOutput'; readonly speaker: string; readonly positive: boolean }
  /** An input that a radio drives: a load to ground and nothing else. */
  | { readonly is: 'turnOn'; readonly loadOhm: number }
  /** A data line; two of one pair have its terminating resistors between them. */
  | { readonly is: 'data'; readonly biasV: number; readonly pair?: string }
  | { readonly is: 'sensor' }
  | { readonly is: 'turnLamp'; readonly bulbW: number }
  /** Ends somewhere in the car; picks up what its neighbours carry. */
  | { readonly is: 'open'; readonly ghostV: number };

/** One wire of a bunch. */
export interface BenchWire {
  readonly id: string;
  readonly behind: BenchWireKind;
}

/** Whether a wire's own switch is closed in a state. */
export function switchClosed(
  by: 'door' | 'parkingBrake' | 'lock' | 'unlock',
  state: VehicleState,
): boolean {
  if (by === 'door') return state.driverDoor === 'open';
  if (by === 'parkingBrake') return state.parkingBrake === true;
  return state.lockSwitch === by;
}
