import type { Place, RelayTerminalSource } from '@lucky-thread/core/vehicle';
import { POSITION, RELAY_TERMINALS } from '@lucky-thread/core/vehicle';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsIn,
  IsNumber,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { NestedList, Optional, UniqueBy } from '../rules/fields';
import { PlaceHead, headOf } from './head';

/** Most studs of one bus bar, or bolts of one ground point. */
const MOST_POINTS = 40;
/** Smallest and largest thread of a stud, mm. */
const THREADS_MM = [3, 16] as const;

/** A relay socket of a model. */
export class RelaySocketInput extends PlaceHead {
  @Equals('relaySocket')
  kind!: 'relaySocket';

  /** The terminals that it has, by their numbers. */
  @IsIn(RELAY_TERMINALS, { each: true, message: 'a relay socket has the terminals of DIN 72552' })
  @ArrayMinSize(1, { message: 'name the terminals of the socket' })
  @ArrayMaxSize(RELAY_TERMINALS.length)
  @ArrayUnique()
  terminals!: string[];
}

/** One stud, or one bolt of a ground point. */
export class PointInput {
  /** What it is called; unique in its place. */
  @Matches(POSITION, { message: 'a name is up to 12 letters or digits' })
  name!: string;

  /** Thread, mm; left out when nobody has measured it. */
  @Optional()
  @IsNumber({}, { message: 'a thread is a number of mm' })
  @Min(THREADS_MM[0], { message: `a thread is at least ${THREADS_MM[0]} mm` })
  @Max(THREADS_MM[1], { message: `a thread is at most ${THREADS_MM[1]} mm` })
  threadMm?: number;
}

/** A stud, a bus bar or a ground point of a model. */
export class PointsInput extends PlaceHead {
  @IsIn(['stud', 'groundPoint'])
  kind!: 'stud' | 'groundPoint';

  /** Its studs or bolts. */
  @NestedList(() => PointInput, {
    min: 1,
    max: MOST_POINTS,
    tooFew: 'name at least one stud or bolt',
  })
  @UniqueBy<PointInput>('name', 'two of them have the same name')
  points!: PointInput[];
}

/** A relay socket as a place of its model. */
export function relaySocketPlace(id: string, socket: RelaySocketInput): Place {
  return {
    id,
    kind: 'relaySocket',
    ...headOf(socket),
    columns: 0,
    rows: 0,
    sources: socket.terminals.map((terminal): RelayTerminalSource => ({
      kind: 'relayTerminal',
      id: `${id}/${terminal}`,
      name: terminal,
      terminal,
    })),
  };
}

/** A bus bar or ground point as a place of its model. */
export function pointsPlace(id: string, { kind, points, ...head }: PointsInput): Place {
  return {
    id,
    kind,
    ...headOf({ kind, ...head }),
    columns: 0,
    rows: 0,
    sources: points.map(({ name, threadMm }) => ({
      kind: kind === 'stud' ? 'stud' : 'ground',
      id: `${id}/${name}`,
      name,
      ...(threadMm === undefined ? {} : { threadMm }),
    })),
  };
}
