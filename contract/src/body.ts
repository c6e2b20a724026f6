import { BODY_STYLES, ROUTE_AIMS } from '@lucky-thread/core/build/terms';
import type { BodyStyle, RouteAim } from '@lucky-thread/core/build';
import { IsBoolean, IsIn, IsString, Length } from 'class-validator';
import { InRange, NestedList, Optional, UniqueBy } from './rules/fields';

/** One passage of a body as somebody found it. */
export class PassageInput {
  /** Which one: both spots and the kind, as the body names it. */
  @IsString()
  @Length(3, 80)
  id!: string;

  /** Its length by the tape, m; left out where nobody measured it. */
  @Optional()
  @InRange('oneWayM')
  lengthM?: number;

  /** What is free in its grommet or boot, mm; left out where nobody looked. */
  @Optional()
  @InRange('roomMm')
  roomMm?: number;

  /** Nothing goes through here. */
  @Optional()
  @IsBoolean()
  blocked?: boolean;
}

/** What is known of a model’s body: its style, its measures, and passages that somebody measured or found blocked. */
export class BodyInput {
  /** Which kind of body. */
  @IsIn(BODY_STYLES)
  style!: BodyStyle;

  /** Outer length, m; left out: usual for the style. */
  @Optional()
  @InRange('bodyM')
  lengthM?: number;

  /** Outer width, m. */
  @Optional()
  @InRange('bodyM')
  widthM?: number;

  /** Outer height, m. */
  @Optional()
  @InRange('bodyM')
  heightM?: number;

  /** Passages as found. */
  @NestedList(() => PassageInput, { max: 100 })
  @UniqueBy<PassageInput>('id', 'a passage is there twice')
  passages!: PassageInput[];
}

/** Where the device of a job sits, and what its route is to be good at. */
export class RouteInput {
  /** Spot of the body; left out: where such devices usually sit. */
  @Optional()
  @IsString()
  @Length(1, 40)
  mount?: string;

  /** What the route is to be good at; left out: all of it. */
  @Optional()
  @IsIn(ROUTE_AIMS)
  aim?: RouteAim;
}
