import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { STEERING_SIDES, YEAR_RANGE } from './job';
import { Optional } from './rules/fields';
import type { SteeringSide } from './job';

/** What is known of a model as a whole. */
export class ModelInput {
  /** Make. */
  @IsString()
  @Matches(/\S/, { message: 'name the make' })
  @Length(1, 40, { message: 'name the make' })
  make!: string;

  /** Model. */
  @IsString()
  @Matches(/\S/, { message: 'name the model' })
  @Length(1, 40, { message: 'name the model' })
  model!: string;

  /** Generation or body code; empty when nobody knows. */
  @IsString()
  @Length(0, 20)
  generation!: string;

  /** First model year that it holds for. */
  @IsInt({ message: 'the first year is a whole number' })
  @Min(YEAR_RANGE[0], { message: `the first year is ${YEAR_RANGE[0]} or later` })
  @Max(YEAR_RANGE[1], { message: `the first year is ${YEAR_RANGE[1]} or earlier` })
  yearFrom!: number;

  /** Last model year that it holds for. */
  @IsInt({ message: 'the last year is a whole number' })
  @Min(YEAR_RANGE[0], { message: `the last year is ${YEAR_RANGE[0]} or later` })
  @Max(YEAR_RANGE[1], { message: `the last year is ${YEAR_RANGE[1]} or earlier` })
  yearTo!: number;

  /** Trims that it is sold in; empty for any. */
  @IsString({ each: true })
  @Length(1, 40, { each: true })
  @ArrayUnique()
  @ArrayMaxSize(20)
  trims!: string[];

  /** Markets; empty for any. */
  @IsString({ each: true })
  @Length(1, 40, { each: true })
  @ArrayUnique()
  @ArrayMaxSize(20)
  markets!: string[];

  /** Sides that the wheel is on. */
  @IsIn(STEERING_SIDES, { each: true })
  @ArrayMinSize(1, { message: 'say on which side the wheel is' })
  @ArrayUnique()
  @ArrayMaxSize(2)
  steering!: SteeringSide[];

  /** How it is started. */
  @IsIn(['key', 'push button'])
  keyType!: 'key' | 'push button';

  /** Who drives it; empty when it does not matter. */
  @IsString()
  @Length(0, 60)
  use!: string;
}

/** A new model, perhaps like one that the shop has. */
export class CreateModelRequest extends ModelInput {
  /** The model whose places it probably has too: its places, and its tap points as asserted, never as probed. */
  @Optional()
  @IsUUID('7', { message: 'the model that it is like is named by its id' })
  like?: string;
}

/** A model is two from some year on. */
export class SplitModelRequest {
  /** The model that was taken for one. */
  @IsUUID('7', { message: 'the model that is split is named by its id' })
  of!: string;

  /** First model year of the later one. */
  @IsInt({ message: 'the year is a whole number' })
  @Min(YEAR_RANGE[0], { message: `the year is ${YEAR_RANGE[0]} or later` })
  @Max(YEAR_RANGE[1], { message: `the year is ${YEAR_RANGE[1]} or earlier` })
  fromYear!: number;

  /** Generation of the later one; empty when nobody knows. */
  @IsString()
  @Length(0, 20)
  generation!: string;
}
