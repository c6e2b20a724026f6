import { KEY_POSITIONS } from '@lucky-thread/core/vehicle';
import type { KeyPosition, VehicleState } from '@lucky-thread/core/vehicle';
import { IsBoolean, IsIn } from 'class-validator';

/** The state the car is in, as the installer set it. */
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
}
