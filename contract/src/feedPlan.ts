import { INSULATIONS_C } from '@lucky-thread/core/size/terms';
import type { InsulationC } from '@lucky-thread/core/size';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
} from 'class-validator';
import { InRange, Nested, Optional } from './rules/fields';

/** What a feed is sized for where it differs from the shop's own way. */
export class SizingInput {
  /** Voltage that per cent refer to, V. */
  @Optional()
  @IsIn([12, 12.6, 13.8, 24], { message: 'the basis is 12.0, 12.6, 13.8 or 24 V' })
  systemV?: number;

  /** Most of it that may be lost in the lead, per cent. */
  @Optional()
  @InRange('dropLimitPercent')
  dropLimitPercent?: number;

  /** Insulation of the wire, °C. */
  @Optional()
  @IsIn(INSULATIONS_C, { message: `insulation is one of ${INSULATIONS_C.join(', ')} °C` })
  insulation?: InsulationC;

  /** Air around it, °C. */
  @Optional()
  @InRange('ambientC')
  ambientC?: number;

  /** Conductors lying together. */
  @Optional()
  @IsInt({ message: 'conductors are counted in whole numbers' })
  @InRange('bundle')
  bundle?: number;

  /** Whether it lies in the engine space. */
  @Optional()
  @IsBoolean()
  engineSpace?: boolean;

  /** Current that the conductor shall carry later beside the load, A. */
  @Optional()
  @InRange('spareA')
  spareA?: number;

  /** Length of a return lead of its own, m. */
  @Optional()
  @InRange('returnM')
  returnM?: number;
}

/** What was chosen and sized for one feed. */
export class FeedPlanInput {
  /** Feed of the device. */
  @IsString()
  @Length(1, 40)
  feedId!: string;

  /** Chosen slot. */
  @IsString()
  @Length(1, 80)
  sourceId!: string;

  /** Wires that its lead goes on to from there, in turn: a daisy chain. */
  @Optional()
  @IsString({ each: true })
  @Length(1, 80, { each: true })
  @ArrayMaxSize(4)
  @ArrayUnique({ message: 'a lead goes to each wire once' })
  alsoAt?: string[];

  /** Length of the lead one way, m; left out until it is known. */
  @Optional()
  @InRange('oneWayM')
  oneWayM?: number;

  /** How the current comes back. */
  @Optional()
  @IsIn(['body', 'lead'])
  returnPath?: 'body' | 'lead';

  /** Why a source was taken although its legend wants care; goes into the log. */
  @Optional()
  @IsString()
  @Length(3, 200, { message: 'say why in 3 to 200 characters' })
  reason?: string;

  /** The original circuit's load as measured with a clamp, A. */
  @Optional()
  @InRange('originalA')
  measuredA?: number;

  /** What another tap in the same slot already feeds, A; it is not in the measured load. */
  @Optional()
  @InRange('sharedA')
  sharedA?: number;

  /** Fuse of the car that feeds a wire, terminal or stud, A; left out until somebody has found it. */
  @Optional()
  @InRange('slotA')
  feedFuseA?: number;

  /** The slot that this fuse is in. */
  @Optional()
  @IsString()
  @Length(1, 80)
  fedBy?: string;

  /** Ground within reach of the device. */
  @Optional()
  @IsIn(['stud', 'harness', 'body'])
  ground?: 'stud' | 'harness' | 'body';

  /** What it is sized for where that differs from the shop's own way. */
  @Optional()
  @Nested(() => SizingInput)
  sizing?: SizingInput;
}
