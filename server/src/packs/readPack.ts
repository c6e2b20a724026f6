import type { FieldProblem, ModelInput, TapReadingView } from '@lucky-thread/contract';
import { CreateModelRequest, ReadingRequest, TapCsvRow, validate } from '@lucky-thread/contract';
import type { Place, Source, StitchPlace } from '@lucky-thread/core/vehicle';
import { stateAt } from '@lucky-thread/core/vehicle';
import { sourcesOf } from '@lucky-thread/work';
import type { Unzipped } from 'fflate';
import { sourceProblem } from '../taps/importTaps';
import type { PackedPhoto } from './readPhotos';
import { photosIn } from './readPhotos';
import { readPlaces } from './readPlaces';
import type { Part, ReadTable, TableRow, Tables } from './readTable';
import { at, readTable } from './readTable';
import type { Cell, Row, TableName } from './tables';
import { TABLE_NAMES } from './tables';

/** A tap point of a pack with what it was logged with. */
export interface PackedTap {
  /** The tap point as a row of the CSV form. */
  readonly tap: TapCsvRow;
  /** What it was logged with. */
  readonly readings: readonly TapReadingView[];
}

/** What a pack holds. */
export interface Pack {
  /** Make, model, generation and years. */
  readonly model: ModelInput;
  /** Its places with their sources. */
  readonly places: readonly Place[];
  /** Its tap points. */
  readonly taps: readonly PackedTap[];
  /** Pictures of its places. */
  readonly photos: readonly PackedPhoto[];
}

/** A pack, or everything that is wrong with it. */
export type ReadPack =
  | { readonly ok: true; readonly pack: Pack }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Reads the files of a pack. Nothing of it counts as long as anything is wrong. */
export function readPack(files: Unzipped, newId: () => string): ReadPack {
  const tables = tablesIn(files);
  if (tables.problems.length > 0) return { ok: false, problems: tables.problems };
  const { value: rows } = tables;
  const model = modelIn(rows['model.csv']);
  const places = readPlaces(rows['places.csv'], rows['sources.csv']);
  const sources = new Map(sourcesOf({ places: places.value }).map((source) => [source.id, source]));
  const taps = tapsIn(rows, sources, newId);
  const photos = photosIn(rows, files, { places: places.value, sources });
  const problems = [model, places, taps, photos].flatMap((part) => part.problems);
  return problems.length > 0 || model.value === undefined
    ? { ok: false, problems }
    : {
        ok: true,
        pack: {
          model: model.value,
          places: places.value,
          taps: taps.value,
          photos: photos.value,
        },
      };
}

function tablesIn(files: Unzipped): Part<Tables> {
  const read = TABLE_NAMES.map((name): readonly [TableName, ReadTable] => {
    const bytes = files[name];
    if (bytes === undefined)
      return [name, { rows: [], problems: [{ path: name, message: 'is missing in the zip' }] }];
    const text = textOf(bytes);
    return [
      name,
      text === undefined
        ? { rows: [], problems: [{ path: name, message: 'is not in UTF-8' }] }
        : readTable(name, text),
    ];
  });
  return {
    value: Object.fromEntries(read.map(([name, { rows }]) => [name, rows])) as unknown as Tables,
    problems: read.flatMap(([, { problems }]) => problems),
  };
}

function textOf(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch (error) {
    if (error instanceof TypeError) return undefined;
    throw error;
  }
}

/** Fields of a model by its columns. */
const MODEL_FIELDS: Readonly<Record<string, keyof ModelInput>> = {
  make: 'make',
  model: 'model',
  generation: 'generation',
  year_from: 'yearFrom',
  year_to: 'yearTo',
  trims: 'trims',
  markets: 'markets',
  steering: 'steering',
  key_type: 'keyType',
  use: 'use',
};

function modelIn(rows: readonly TableRow[]): Part<ModelInput | undefined> {
  const [row, ...more] = rows;
  if (row === undefined || more.length > 0)
    return {
      value: undefined,
      problems: [{ path: 'model.csv', message: 'has one row: the model' }],
    };
  const read = validate(
    CreateModelRequest,
    Object.fromEntries(
      Object.entries(MODEL_FIELDS).map(([column, field]) => [field, row.cells[column] ?? '']),
    ),
  );
  if (!read.ok)
    return {
      value: undefined,
      problems: read.problems.map(({ path, message }) => ({
        path: at('model.csv', row.number, columnOf(path)),
        message,
      })),
    };
  const { like: _like, ...model } = read.value;
  return model.yearTo < model.yearFrom
    ? {
        value: undefined,
        problems: [
          { path: at('model.csv', row.number, 'year_to'), message: 'ends before it begins' },
        ],
      }
    : { value: model, problems: [] };
}

function columnOf(path: string): string {
  const field = path.split('.')[0];
  return Object.entries(MODEL_FIELDS).find(([, one]) => one === field)?.[0] ?? path;
}

function tapsIn(
  rows: Tables,
  sources: ReadonlyMap<string, Source>,
  newId: () => string,
): Part<readonly PackedTap[]> {
  const problems: FieldProblem[] = [];
  const readings = new Map<unknown, TapReadingView[]>();
  const numbers = new Set(rows['tap_points.csv'].map(({ cells }) => cells.number));
  for (const row of rows['tap_readings.csv']) {
    const { number, cells } = row;
    if (!numbers.has(cells.tap_point ?? null))
      problems.push({
        path: at('tap_readings.csv', number, 'tap_point'),
        message: 'no tap point has that number',
      });
    const before = readings.get(cells.tap_point) ?? [];
    const reading = readingIn(row);
    problems.push(...reading.problems);
    if (reading.value !== undefined) readings.set(cells.tap_point, [...before, reading.value]);
  }
  const value = rows['tap_points.csv'].flatMap(({ number, cells }): PackedTap[] => {
    const read = validate(TapCsvRow, { ...texts(cells), id: newId() });
    if (!read.ok) {
      problems.push(
        ...read.problems.map(({ path, message }) => ({
          path: at('tap_points.csv', number, path),
          message,
        })),
      );
      return [];
    }
    problems.push(...sourceProblem({ number, row: read.value }, sources, 'tap_points.csv, '));
    if (read.value.year_to < read.value.year_from)
      problems.push({
        path: at('tap_points.csv', number, 'year_to'),
        message: 'ends before it begins',
      });
    return [{ tap: read.value, readings: readings.get(cells.number) ?? [] }];
  });
  return { value, problems };
}

/** The cells of a tap point as its own file would have them. */
function texts(cells: Row): Record<string, string> {
  return Object.fromEntries(
    Object.entries(cells)
      .filter(([name]) => name !== 'number')
      .map(([name, cell]) => [name, textOr(cell)]),
  );
}

function textOr(cell: Cell): string {
  return typeof cell === 'string' ? cell : '';
}

/** A reading that a tap point was logged with, checked as one that is taken now. */
function readingIn({ number, cells }: TableRow): Part<TapReadingView | undefined> {
  const { tap_point: _tap, high_volts: highVolts = null, place, ...shown } = cells;
  const given = { ...shown, highVolts };
  const read = validate(ReadingRequest, {
    ...Object.fromEntries(Object.entries(given).filter(([, cell]) => cell !== null)),
    ...(shown.instrument === 'pop' ? { otherId: 'other' } : {}),
    sourceId: 'source',
    state: stateAt(place as StitchPlace),
    takenAt: '2000-01-01T00:00:00.000Z',
  });
  return read.ok
    ? { value: { ...given, place } as unknown as TapReadingView, problems: [] }
    : {
        value: undefined,
        problems: read.problems.map(({ path, message }) => ({
          path: at('tap_readings.csv', number, path === 'highVolts' ? 'high_volts' : path),
          message,
        })),
      };
}
