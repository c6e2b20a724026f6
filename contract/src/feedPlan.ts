import { PROOF_KINDS } from '@lucky-thread/core/prove';
import type { ProofKind } from '@lucky-thread/core/prove';
import { INSULATIONS_C } from '@lucky-thread/core/size';
import type { InsulationC } from '@lucky-thread/core/size';
import {
  ArrayUnique,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
} from 'class-validator';
import { Nested, Optional } from './rules/fields';

const PLAIN_NUMBER = { allowNaN: false, allowInfinity: false } as const;

/** What a feed is sized for where it differs from the shop's own way. */
export class SizingInput {
  /** Voltage that per cent refer to, V. */
  @Optional()
  @IsIn([12, 12.6, 13.8, 24], { message: 'the basis is 12.0, 12.6, 13.8 or 24 V' })
  systemV?: number;

  /** Most of it that may be lost in the lead, per cent. */
  @Optional()
  @IsNumber(PLAIN_NUMBER)
  @Min(0.1, { message: 'the drop limit is at least 0.1 %' })
  @Max(20, { message: 'the drop limit is at most 20 %' })
  dropLimitPercent?: number;

  /** Insulation of the wire, °C. */
  @Optional()
  @IsIn(INSULATIONS_C, { message: `insulation is one of ${INSULATIONS_C.join(', ')} °C` })
  insulation?: InsulationC;

  /** Air around it, °C. */
  @Optional()
  @IsNumber(PLAIN_NUMBER)
  @Min(-40, { message: 'the air has at least -40 °C' })
  @Max(100, { message: 'the air has at most 100 °C' })
  ambientC?: number;

  /** Conductors lying together. */
  @Optional()
  @IsInt({ message: 'conductors are counted in whole numbers' })
  @Min(1)
  @Max(60)
  bundle?: number;

  /** Whether it lies in the engine space. */
  @Optional()
  @IsBoolean()
  engineSpace?: boolean;

  /** Current that the conductor shall carry later beside the load, A. */
  @Optional()
  @IsNumber(PLAIN_NUMBER)
  @Min(0, { message: 'spare capacity is at least 0 A' })
  @Max(40, { message: 'spare capacity is at most 40 A' })
  spareA?: number;

  /** Length of a return lead of its own, m. */
  @Optional()
  @IsNumber(PLAIN_NUMBER)
  @Min(0.05, { message: 'the return is at least 0.05 m long' })
  @Max(30, { message: 'the return is at most 30 m long' })
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
  slotId!: string;

  /** Length of the lead one way, m; left out until it is known. */
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'the length must be a number' })
  @Min(0.05, { message: 'the length must be at least 0.05 m' })
  @Max(30, { message: 'the length must be at most 30 m' })
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
  @IsNumber(PLAIN_NUMBER, { message: 'the measured load must be a number' })
  @Min(0, { message: 'the measured load is at least 0 A' })
  @Max(100, { message: 'the measured load is at most 100 A' })
  measuredA?: number;

  /** Ground within reach of the device. */
  @Optional()
  @IsIn(['stud', 'harness', 'body'])
  ground?: 'stud' | 'harness' | 'body';

  /** What it is sized for where that differs from the shop's own way. */
  @Optional()
  @Nested(() => SizingInput)
  sizing?: SizingInput;

  /** Closing proofs shown so far. */
  @Optional()
  @ArrayUnique()
  @IsIn(PROOF_KINDS, { each: true })
  proofs?: ProofKind[];
}
