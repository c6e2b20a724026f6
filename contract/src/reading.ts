import { GLOWS, MAX_READING_V } from '@lucky-thread/core/identify';
import type { Glow, Reading } from '@lucky-thread/core/identify';
import { Type } from 'class-transformer';
import {
  IsDefined,
  IsIn,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { VehicleStateInput } from './vehicleState';

/** How a value reached the log. */
export const INSTRUMENTS = ['meter', 'lamp', 'simulatedMeter'] as const;
/** One instrument. */
export type InstrumentName = (typeof INSTRUMENTS)[number];

/** Where an instrument touches, and in which state of the car. */
export class MeterRequest {
  /** Slot id, e.g. `dash/F12`. */
  @IsString()
  @Length(1, 80)
  sourceId!: string;

  /** Contact of the empty slot; left out with the fuse in. */
  @IsOptional()
  @IsIn(['a', 'b'])
  contact?: 'a' | 'b';

  /** State of the car. */
  @IsDefined({ message: 'the state of the car is missing' })
  @ValidateNested()
  @Type(() => VehicleStateInput)
  state!: VehicleStateInput;
}

/** One observation at a slot, sent under the id its maker gave it. */
export class ReadingRequest extends MeterRequest {
  /** What it was read with. */
  @IsIn(INSTRUMENTS)
  instrument!: InstrumentName;

  /** Volts against ground, for a meter. */
  @ValidateIf((reading: ReadingRequest) => reading.instrument !== 'lamp')
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'volts must be a number' })
  @Min(-MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  @Max(MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  volts?: number;

  /** Glow, for a lamp. */
  @ValidateIf((reading: ReadingRequest) => reading.instrument === 'lamp')
  @IsIn(GLOWS)
  glow?: Glow;

  /** When it was taken, by the installer's clock. */
  @IsISO8601()
  takenAt!: string;
}

/** A stored reading. */
export interface ReadingView {
  readonly id: string;
  readonly sourceId: string;
  readonly contact: 'a' | 'b' | null;
  readonly state: VehicleStateInput;
  readonly instrument: InstrumentName;
  readonly volts: number | null;
  readonly glow: Glow | null;
  readonly takenAt: string;
  readonly takenBy: string;
  /** When it was withdrawn; null while it counts. */
  readonly withdrawnAt: string | null;
}

/** A stored or pending reading as the core takes it. */
export function toCoreReading(
  view: Pick<ReadingView, 'id' | 'sourceId' | 'contact' | 'state' | 'volts' | 'glow'>,
): Reading {
  return {
    id: view.id,
    sourceId: view.sourceId,
    contact: view.contact ?? undefined,
    state: view.state,
    value:
      view.glow !== null
        ? { kind: 'glow', glow: view.glow }
        : { kind: 'volts', volts: view.volts ?? 0 },
  };
}

/** What the simulated meter shows. */
export interface MeterView {
  readonly volts: number;
}
