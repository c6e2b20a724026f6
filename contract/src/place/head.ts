import type { BodySide, BodyZone, PlaceKind, Reach } from '@lucky-thread/core/vehicle';
import { BODY_SIDES, BODY_ZONES } from '@lucky-thread/core/vehicle';
import { ArrayMaxSize, IsIn, IsInt, IsString, Length, Matches, Max, Min } from 'class-validator';
import { MAX_VERSION, Optional } from '../rules/fields';

/** Longest time to get at a place, s. */
const MOST_SECONDS = 7200;

/** What every place says of itself, whatever it holds. */
export abstract class PlaceHead {
  /** What sort of place it is. */
  abstract kind: PlaceKind;

  /** The version of the place that the change was made on; 0 for one that is not there yet. */
  @IsInt({ message: 'say which version of the place this was made on' })
  @Min(0)
  @Max(MAX_VERSION)
  base!: number;

  /** What it is called. */
  @IsString()
  @Matches(/\S/, { message: 'name the place' })
  @Length(1, 40, { message: 'name the place, up to 40 characters' })
  name!: string;

  /** Where it is, in words. */
  @IsString()
  @Matches(/\S/, { message: 'say where it is' })
  @Length(1, 120, { message: 'say where it is, up to 120 characters' })
  location!: string;

  /** Part of the body. */
  @Optional()
  @IsIn(BODY_ZONES)
  zone?: BodyZone;

  /** Side of the body. */
  @Optional()
  @IsIn(BODY_SIDES)
  side?: BodySide;

  /** How to get at it, in order. */
  @IsString({ each: true })
  @Length(1, 200, { each: true })
  @ArrayMaxSize(12)
  steps!: string[];

  /** What has to be undone, e.g. "2 knobs"; none when left out. */
  @Optional()
  @IsString({ each: true })
  @Length(1, 80, { each: true })
  @ArrayMaxSize(12)
  fasteners?: string[];

  /** What is needed for that; nothing when left out. */
  @Optional()
  @IsString({ each: true })
  @Length(1, 80, { each: true })
  @ArrayMaxSize(12)
  tools?: string[];

  /** How long it takes to get at it, s; left out when nobody has timed it. */
  @Optional()
  @IsInt({ message: 'the time to get at it is a whole number of seconds' })
  @Min(0)
  @Max(MOST_SECONDS, { message: `the time to get at it is at most ${MOST_SECONDS} s` })
  seconds?: number;

  /** What the next person should know. */
  @IsString()
  @Length(0, 500)
  notes!: string;
}

/** What a place says of itself, as the core has it. */
export function headOf(input: PlaceHead): {
  readonly name: string;
  readonly location: string;
  readonly zone?: BodyZone;
  readonly side?: BodySide;
  readonly reach: Reach;
  readonly notes: string;
} {
  const { name, location, zone, side, steps, fasteners = [], tools = [], seconds, notes } = input;
  return {
    name,
    location,
    ...(zone === undefined ? {} : { zone }),
    ...(side === undefined ? {} : { side }),
    reach: { steps, fasteners, tools, ...(seconds === undefined ? {} : { seconds }) },
    notes,
  };
}
