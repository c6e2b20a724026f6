import { KEY_POSITIONS } from '@lucky-thread/core/vehicle';
import type { KeyPosition, LockSwitch, VehicleState } from '@lucky-thread/core/vehicle';
import { IsBoolean, IsIn, IsNumber, Max, Min } from 'class-validator';
import { Optional } from './rules/fields';

/** Minutes in a week: no car is probed later than that after its key went off. */
const MOST_MINUTES = 10_080;

/** The state the car is in, as the installer set it. What is left out is at rest. */
export class VehicleStateInput implements VehicleState {
  /** Ignition switch. */
  @IsIn(KEY_POSITIONS)
  key!: KeyPosition;

  /** Parking lamps on. */
  @IsBoolean()
  lamps!: boolean;

  /** Driver's door. */
  @IsIn(['closed', 'open'])
  driverDoor!: 'closed' | 'open';

  /** Whether the door was opened since the key went off. */
  @IsBoolean()
  doorOpenedSinceKeyOff!: boolean;

  /** Modules asleep. */
  @IsBoolean()
  asleep!: boolean;

  /** Panel dimmer turned down. */
  @Optional()
  @IsBoolean()
  dimmed?: boolean;

  /** Brake pedal pressed. */
  @Optional()
  @IsBoolean()
  brake?: boolean;

  /** Gear in reverse. */
  @Optional()
  @IsBoolean()
  reverse?: boolean;

  /** Parking brake on. */
  @Optional()
  @IsBoolean()
  parkingBrake?: boolean;

  /** Lock switch as it is held. */
  @Optional()
  @IsIn(['rest', 'lock', 'unlock'])
  lockSwitch?: LockSwitch;

  /** Hazard lamps on. */
  @Optional()
  @IsBoolean()
  hazard?: boolean;

  /** Hood open. */
  @Optional()
  @IsBoolean()
  hood?: boolean;

  /** Turn lever to the left. */
  @Optional()
  @IsBoolean()
  turnLeft?: boolean;

  /** Turn lever to the right. */
  @Optional()
  @IsBoolean()
  turnRight?: boolean;

  /** Horn pressed. */
  @Optional()
  @IsBoolean()
  horn?: boolean;

  /** Wiper switch on. */
  @Optional()
  @IsBoolean()
  wiper?: boolean;

  /** A driven wheel turned by hand. */
  @Optional()
  @IsBoolean()
  rolling?: boolean;

  /** Main beam on. */
  @Optional()
  @IsBoolean()
  highBeam?: boolean;

  /** The car's own radio plays the tuner. */
  @Optional()
  @IsBoolean()
  tuner?: boolean;

  /** The car's own radio plays anything but the tuner. */
  @Optional()
  @IsBoolean()
  otherSource?: boolean;

  /** Minutes since the key went off. */
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(MOST_MINUTES)
  minutesSinceKeyOff?: number;
}
