import type { ModelView, PhotoView, TapPointView } from '@lucky-thread/contract';
import type { Place, Source, WireLook } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import type { Row, TableName } from './tables';

/** All rows of a pack. */
export type Rows = Readonly<Record<TableName, readonly Row[]>>;

/** A model with its log as the rows of a pack. */
export function rowsOfPack(model: ModelView, taps: readonly TapPointView[]): Rows {
  const files = filesOf(model.photos);
  return {
    'model.csv': [modelRow(model)],
    'places.csv': model.places.map(placeRow),
    'sources.csv': model.places.flatMap((place) =>
      place.sources.map((source) => sourceRow(place.id, source)),
    ),
    'tap_points.csv': taps.map((tap, index) => tapRow(index + 1, tap)),
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

function sourceRow(place: string, source: Source): Row {
  const shared = { place, kind: source.kind, name: nameOf(source) };
  switch (source.kind) {
    case 'slot':
      return {
        ...shared,
        legend: source.legend ?? null,
        rating_a: source.ratingA ?? null,
        family: source.family,
        column: source.column,
        row: source.row,
        lie: source.lie,
        landmark_a: source.contacts[0].landmark,
        landmark_b: source.contacts[1].landmark,
        clearance: source.clearance,
      };
    case 'cavity':
      return { ...shared, ...looked(source), column: source.column, row: source.row };
    case 'wire':
      return { ...shared, ...looked(source) };
    case 'relayTerminal':
      return { ...shared, terminal: source.terminal };
    case 'stud':
    case 'ground':
      return { ...shared, thread_mm: source.threadMm ?? null };
  }
}

function looked(wire: WireLook): Row {
  return {
    colour: wire.colour ?? null,
    seen_colour: wire.seenColour ?? null,
    gauge_mm2: wire.gaugeMm2 ?? null,
    gauge_measured: wire.gaugeMeasured ?? null,
    taped_with: wire.tapedWith?.split('/')[1] ?? null,
    also_feeds: wire.alsoFeeds ?? null,
  };
}

function tapRow(number: number, tap: TapPointView): Row {
  return {
    number,
    source: tap.sourceId,
    function: tap.function,
    supply_contact: tap.supplyContact,
    year_from: tap.yearFrom,
    year_to: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    grade: tap.grade,
    fuse_a: tap.fuseA,
    wire_awg: tap.awg,
    note: tap.note,
    logged_by: tap.loggedBy,
    logged_at: tap.loggedAt,
  };
}
