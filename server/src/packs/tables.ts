import { INSTRUMENTS, TAP_CSV_COLUMNS } from '@lucky-thread/contract';
import { CONES, GLOWS } from '@lucky-thread/core/identify/reading';
import {
  BODY_SIDES,
  BODY_ZONES,
  FUSE_FAMILIES,
  PLACE_KINDS,
  SOURCE_KINDS,
  STITCH_PLACES,
} from '@lucky-thread/core/vehicle';

/** One column, in the terms of a Table Schema (Frictionless specifications, version 1). */
export interface Column {
  /** Heading in the pack's file. */
  readonly name: string;
  /** What a value must be. */
  readonly type: 'string' | 'integer' | 'number' | 'boolean' | 'array';
  /** The only values that it takes. */
  readonly values?: readonly string[];
  /** A cell may not be empty. */
  readonly required?: boolean;
}

const text = (name: string): Column => ({ name, type: 'string' });
const needed = (name: string, values?: readonly string[]): Column => ({
  ...{ name, type: 'string', required: true },
  ...(values === undefined ? {} : { values }),
});
const choice = (name: string, values: readonly string[]): Column => ({
  ...{ name, type: 'string', values },
});
const whole = (name: string, required = false): Column => ({ name, type: 'integer', required });
const number = (name: string, required = false): Column => ({ name, type: 'number', required });
const list = (name: string): Column => ({ name, type: 'array', required: true });

/** The columns of tap points that a file of them has too; a number of the pack stands for the id. */
const TAP_COLUMNS = TAP_CSV_COLUMNS.filter((name) => name !== 'id').map(text);

/** The tables of a pack, by the names of their files. */
export const TABLES = {
  'model.csv': [
    needed('make'),
    needed('model'),
    text('generation'),
    whole('year_from', true),
    whole('year_to', true),
    list('trims'),
    list('markets'),
    list('steering'),
    needed('key_type'),
    text('use'),
  ],
  'places.csv': [
    needed('id'),
    needed('kind', PLACE_KINDS),
    needed('name'),
    needed('location'),
    choice('zone', BODY_ZONES),
    choice('side', BODY_SIDES),
    list('steps'),
    list('fasteners'),
    list('tools'),
    whole('seconds'),
    text('notes'),
  ],
  'sources.csv': [
    needed('place'),
    needed('kind', SOURCE_KINDS),
    needed('name'),
    text('legend'),
    number('rating_a'),
    choice('family', FUSE_FAMILIES),
    whole('column'),
    whole('row'),
    choice('lie', ['tall', 'wide']),
    text('landmark_a'),
    text('landmark_b'),
    choice('clearance', ['clear', 'tight', 'none']),
    text('colour'),
    text('seen_colour'),
    number('gauge_mm2'),
    { name: 'gauge_measured', type: 'boolean' },
    text('taped_with'),
    text('also_feeds'),
    text('terminal'),
    number('thread_mm'),
  ],
  'tap_points.csv': [whole('number', true), ...TAP_COLUMNS],
  'tap_readings.csv': [
    whole('tap_point', true),
    needed('place', STITCH_PLACES),
    needed('instrument', INSTRUMENTS),
    number('volts'),
    number('high_volts'),
    choice('glow', GLOWS),
    number('ohms'),
    choice('cone', CONES),
    text('speaker'),
  ],
  'photos.csv': [needed('file'), needed('place'), text('caption')],
  'photo_pins.csv': [needed('file'), needed('source'), number('x', true), number('y', true)],
} as const satisfies Record<string, readonly Column[]>;

/** The file of one table. */
export type TableName = keyof typeof TABLES;
/** The files of all tables, in the order in which they refer to each other. */
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** What a cell holds: null where it is empty. */
export type Cell = string | number | boolean | readonly string[] | null;
/** One row by its columns. */
export type Row = Readonly<Record<string, Cell>>;

/** What describes the tables: a Data Package (Frictionless specifications, version 1). */
export function dataPackage(title: string): object {
  return {
    profile: 'tabular-data-package',
    name: 'vehicle-model',
    title,
    resources: TABLE_NAMES.map((path) => ({
      profile: 'tabular-data-resource',
      name: path.replace('.csv', '').replaceAll('_', '-'),
      path,
      encoding: 'utf-8',
      schema: { fields: TABLES[path].map(described) },
    })),
  };
}

function described({ name, type, values, required }: Column): object {
  const constraints = {
    ...(required === true ? { required } : {}),
    ...(values === undefined ? {} : { enum: values }),
  };
  return { name, type, ...(Object.keys(constraints).length > 0 ? { constraints } : {}) };
}
