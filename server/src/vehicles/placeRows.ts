import type { PlaceView } from '@lucky-thread/contract';
import type { Place, Source, WireLook } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import type { places, sources } from '../db/schema';

/** A stored place. */
export type PlaceRow = typeof places.$inferSelect;
/** A stored source. */
export type SourceRow = typeof sources.$inferSelect;

/** Places with their sources, from rows in the order of their positions. */
export function placesFrom(
  placeRows: readonly PlaceRow[],
  sourceRows: readonly SourceRow[],
): PlaceView[] {
  return placeRows.map((row) => ({
    version: row.version,
    id: row.id,
    kind: row.kind,
    name: row.name,
    location: row.location,
    ...without({ zone: row.zone, side: row.side }),
    reach: {
      steps: row.steps,
      fasteners: row.fasteners,
      tools: row.tools,
      ...without({ seconds: row.seconds }),
    },
    notes: row.notes,
    columns: row.columns,
    rows: row.rows,
    ...without({ keying: row.keying, harness: row.harness }),
    sources: sourceRows.filter((source) => source.placeId === row.id).map(sourceFrom),
  }));
}

/** A stored source as its kind has it. The table's checks see to it that a slot has what slots have. */
export function sourceFrom(row: SourceRow): Source {
  const { id, name, kind } = row;
  switch (kind) {
    case 'slot':
      return {
        kind,
        id,
        position: name,
        legend: row.legend ?? undefined,
        ratingA: row.ratingA ?? undefined,
        family: row.family ?? 'mini',
        column: row.gridColumn ?? 0,
        row: row.gridRow ?? 0,
        lie: row.lie ?? 'tall',
        contacts: [
          { id: 'a', landmark: row.landmarkA ?? '' },
          { id: 'b', landmark: row.landmarkB ?? '' },
        ],
        clearance: row.clearance ?? 'clear',
      };
    case 'cavity':
      return { kind, id, name, column: row.gridColumn ?? 0, row: row.gridRow ?? 0, ...look(row) };
    case 'wire':
      return { kind, id, name, ...look(row) };
    case 'relayTerminal':
      return { kind, id, name, terminal: row.terminal ?? '' };
    case 'stud':
    case 'ground':
      return { kind, id, name, ...without({ threadMm: row.threadMm }) };
  }
}

function look(row: SourceRow) {
  const { colour, seenColour, gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds } = row;
  return without({ colour, seenColour, gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds });
}

/** The fields that are there: what nobody has said is left out, not null. */
function without<T extends object>(fields: T): { [Key in keyof T]?: Exclude<T[Key], null> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null)) as {
    [Key in keyof T]?: Exclude<T[Key], null>;
  };
}

/** A model's places as rows. */
export function rowsOf(
  modelId: string,
  all: readonly Place[],
): {
  readonly places: (typeof places.$inferInsert)[];
  readonly sources: (typeof sources.$inferInsert)[];
} {
  return {
    places: all.map((place, position) => ({
      modelId,
      position,
      id: place.id,
      kind: place.kind,
      name: place.name,
      location: place.location,
      zone: place.zone ?? null,
      side: place.side ?? null,
      steps: [...place.reach.steps],
      fasteners: [...place.reach.fasteners],
      tools: [...place.reach.tools],
      seconds: place.reach.seconds ?? null,
      notes: place.notes,
      columns: place.columns,
      rows: place.rows,
      keying: place.keying ?? null,
      harness: place.harness ?? null,
    })),
    sources: all.flatMap((place) =>
      place.sources.map((source, position) => rowOf(modelId, place.id, source, position)),
    ),
  };
}

function rowOf(
  modelId: string,
  placeId: string,
  source: Source,
  position: number,
): typeof sources.$inferInsert {
  const shared = {
    modelId,
    placeId,
    position,
    id: source.id,
    kind: source.kind,
    name: nameOf(source),
  };
  switch (source.kind) {
    case 'slot':
      return {
        ...shared,
        legend: source.legend ?? null,
        ratingA: source.ratingA ?? null,
        family: source.family,
        gridColumn: source.column,
        gridRow: source.row,
        lie: source.lie,
        landmarkA: source.contacts[0].landmark,
        landmarkB: source.contacts[1].landmark,
        clearance: source.clearance,
      };
    case 'cavity':
      return { ...shared, ...looked(source), gridColumn: source.column, gridRow: source.row };
    case 'wire':
      return { ...shared, ...looked(source) };
    case 'relayTerminal':
      return { ...shared, terminal: source.terminal };
    case 'stud':
    case 'ground':
      return { ...shared, threadMm: source.threadMm ?? null };
  }
}

function looked(wire: WireLook) {
  return {
    colour: wire.colour ?? null,
    seenColour: wire.seenColour ?? null,
    gaugeMm2: wire.gaugeMm2 ?? null,
    gaugeMeasured: wire.gaugeMeasured ?? null,
    tapedWith: wire.tapedWith ?? null,
    alsoFeeds: wire.alsoFeeds ?? null,
  };
}
