import type { VehicleState } from '../../vehicle';
import type { BenchSupply } from './supplies';

/** What is really behind a wire that was cut or bared. */
export type BenchWireKind =
  /** Fed through a contact; the load, if any, lies beyond. */
  | {
      readonly is: 'feed';
      readonly supply: BenchSupply;
      readonly loadOhm: number;
      /** From the battery to the place where it lies open, Ω; a thin wire's when left out. */
      readonly wireOhm?: number;
    }
  /** Panel bulbs from the light switch; `pulsed` when the dimmer switches it on and off quickly. */
  | { readonly is: 'illumination'; readonly bulbW: number; readonly pulsed: boolean }
  | { readonly is: 'ground'; readonly ohm: number }
  /** To ground through its switch; otherwise pulled up, for a module that wakes when it falls. */
  | {
      readonly is: 'switchToGround';
      readonly by: SwitchedBy;
      /** The switch is closed when it is not worked. */
      readonly inverted?: boolean;
      readonly pullUpOhm: number;
      /** What pulls it up; left out: the battery. */
      readonly from?: PullUp;
    }
  /** To plus through its switch; a load lies beyond. */
  | { readonly is: 'switchToPlus'; readonly by: SwitchedBy; readonly loadOhm: number }
  | { readonly is: 'lockPositive'; readonly by: 'lock' | 'unlock' }
  /** One lead of a lock motor: both rest on ground, one rises. */
  | { readonly is: 'lockMotor'; readonly by: 'lock' | 'unlock' }
  /** A module's 5 V behind a pull-up, loaded by resistors of the switch. */
  | { readonly is: 'lockResistive'; readonly ladder?: BenchLadder }
  /** A wheel or an engine that gives pulses, pulled up while the key is on or not at all. */
  | {
      readonly is: 'pulses';
      readonly by: 'rolling' | 'engine';
      readonly highV: number;
      readonly rest: 'high' | 'low';
    }
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
  | { readonly is: 'turnLamp'; readonly bulbW: number; readonly side?: 'turnLeft' | 'turnRight' }
  /** Ends somewhere in the car; picks up what its neighbours carry. */
  | { readonly is: 'open'; readonly ghostV: number };

/** One wire of a bunch. */
export interface BenchWire {
  /** Its own in the bunch. */
  readonly id: string;
  /** What it is connected to. */
  readonly behind: BenchWireKind;
}

/** What works a switch. */
export type SwitchedBy =
  | 'door'
  | 'parkingBrake'
  | 'lock'
  | 'unlock'
  | 'hood'
  | 'horn'
  | 'lamps'
  | 'turnLeft'
  | 'turnRight'
  | 'highBeam'
  | 'tuner'
  /** The car's own radio, whatever it plays. */
  | 'radio';

/** What may pull a switch wire up. */
export type PullUp = 'battery' | 'key' | 'module5' | 'module8' | 'nothing' | 'strokes';

/** A resistive lock switch: the module's volts and pull-up, and the ohms to ground of each way of the switch. */
export interface BenchLadder {
  /** What the module feeds the ladder with, V. */
  readonly volts: number;
  /** Resistor in the module, Ω. */
  readonly pullUpOhm: number;
  /** Infinity: open. */
  readonly restOhm: number;
  /** To ground while lock is held, Ω. */
  readonly lockOhm: number;
  /** To ground while unlock is held, Ω. */
  readonly unlockOhm: number;
}

/** Whether a wire's own switch is worked in a state. */
export function switchClosed(by: SwitchedBy, state: VehicleState): boolean {
  switch (by) {
    case 'door':
      return state.driverDoor === 'open';
    case 'lock':
    case 'unlock':
      return state.lockSwitch === by;
    case 'lamps':
      return state.lamps;
    case 'highBeam':
      return state.highBeam === true && (state.key === 'run' || state.key === 'engine');
    case 'radio':
      return state.tuner === true || state.otherSource === true;
    default:
      return state[by] === true;
  }
}

/** Whether what pulls a switch wire up is there in a state; strokes come and go by themselves. */
export function pullsUp(from: PullUp, state: VehicleState): boolean {
  if (from === 'nothing') return false;
  if (from === 'key') return state.key === 'run' || state.key === 'engine';
  return from === 'battery' || !state.asleep;
}

/** Whether a wire's volts come and go by themselves in a state. */
export function isPulsing({ behind }: BenchWire, state: VehicleState): boolean {
  switch (behind.is) {
    case 'turnLamp':
      return state.hazard === true || (behind.side !== undefined && state[behind.side] === true);
    case 'illumination':
      return behind.pulsed && state.dimmed === true;
    case 'switchToGround':
      return behind.from === 'strokes' && !state.asleep;
    case 'pulses':
      return behind.by === 'engine'
        ? state.key === 'engine'
        : state.rolling === true && state.key !== 'off';
    default:
      return false;
  }
}
