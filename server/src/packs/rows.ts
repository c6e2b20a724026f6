import type { ModelView, PhotoView, TapPointView } from '@lucky-thread/contract';
import type { Place } from '@lucky-thread/core/vehicle';
import { tapRecord } from '../taps/csv/writeTaps';
import { rowsOf } from '../vehicles/placeRows';
import type { Cell, Row, TableName } from './tables';

/** All rows of a pack. */
export type Rows = Readonly<Record<TableName, readonly Row[]>>;

/** A model with its log as the rows of a pack. */
export function rowsOfPack(model: ModelView, taps: readonly TapPointView[]): Rows {
  const files = filesOf(model.photos);
  return {
    'model.csv': [modelRow(model)],
    'places.csv': model.places.map(placeRow),
    'sources.csv': sourceRows(model.places),
    'tap_points.csv': taps.map((tap, index) => ({ number: index + 1, ...tapRecord(tap) })),
    'tap_readings.csv': taps.flatMap((tap, index) =>
      tap.readings.map(({ highVolts, ...reading }) => ({
        tap_point: index + 1,
        ...reading,
        high_volts: highVolts,
      })),
    ),
    'photos.csv': model.photos.map(({ id, placeId, caption }) => ({
      file: files.get(id) ?? '',
      place: placeId,
      caption,
    })),
    'photo_pins.csv': model.photos.flatMap(({ id, pins }) =>
      pins.map(({ sourceId, x, y }) => ({ file: files.get(id) ?? '', source: sourceId, x, y })),
    ),
  };
}

/** What the photos are called in a pack, by their ids. */
export function filesOf(photos: readonly PhotoView[]): ReadonlyMap<string, string> {
  return new Map(photos.map(({ id }, index) => [id, `photos/${index + 1}.jpg`]));
}

function modelRow(model: ModelView): Row {
  return {
    make: model.make,
    model: model.model,
    generation: model.generation,
    year_from: model.yearFrom,
    year_to: model.yearTo,
    trims: model.trims,
    markets: model.markets,
    steering: model.steering,
    key_type: model.keyType,
    use: model.use,
  };
}

function placeRow(place: Place): Row {
  const { id, kind, name, location, zone, side, reach, notes } = place;
  return {
    ...{ id, kind, name, location, zone: zone ?? null, side: side ?? null },
    steps: reach.steps,
    fasteners: reach.fasteners,
    tools: reach.tools,
    seconds: reach.seconds ?? null,
    notes,
  };
}

/** The rows that sources are stored in, by the names of the pack's columns; what a pack has no column for is left out of it. */
function sourceRows(places: readonly Place[]): Row[] {
  return rowsOf('', places).sources.map((source) => {
    const named = Object.fromEntries(
      Object.entries(source).map(([key, cell]): [string, Cell] => [snake(key), cell as Cell]),
    );
    return {
      ...named,
      place: source.placeId,
      column: source.gridColumn ?? null,
      row: source.gridRow ?? null,
      taped_with: source.tapedWith?.split('/')[1] ?? null,
    };
  });
}

function snake(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
