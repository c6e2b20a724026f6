import type { FieldProblem } from '@lucky-thread/contract';
import { inputOf, placeOf, validatePlace } from '@lucky-thread/contract/places';
import type { Place, PlaceKind, SourceKind } from '@lucky-thread/core/vehicle';
import { mateProblems } from '../vehicles/mates';
import type { PlaceRow, SourceRow } from '../vehicles/placeRows';
import { placesFrom } from '../vehicles/placeRows';
import type { TableRow } from './readTable';
import { at } from './readTable';
import type { Row } from './tables';

/** Ids of places, as they are given. */
const PLACE_ID = /^[a-z0-9-]{1,20}$/;

/**
 * The places of a pack with their sources. They are checked against the same rules as places that are typed.
 */
export function readPlaces(
  placeRows: readonly TableRow[],
  sourceRows: readonly TableRow[],
): { readonly value: readonly Place[]; readonly problems: readonly FieldProblem[] } {
  const ids = placeRows.map(({ cells }) => String(cells.id));
  const problems: FieldProblem[] = [
    ...placeRows.flatMap(({ number }, index) => idProblem(ids, index, number)),
    ...sourceRows
      .filter(({ cells }) => !ids.includes(String(cells.place)))
      .map(({ number }) => ({
        path: at('sources.csv', number, 'place'),
        message: 'places.csv has no such place',
      })),
    ...sourceRows.flatMap((row) => kindProblem(placeRows, row)),
  ];
  if (problems.length > 0) return { value: [], problems };
  const value = placeRows.flatMap(({ number, cells }): Place[] => {
    const own = sourceRows.filter((row) => row.cells.place === cells.id);
    const [place] = placesFrom(
      [placeRow(cells)],
      own.map((row) => sourceRow(row.cells)),
    );
    const read = validatePlace(place === undefined ? undefined : inputOf(place));
    const made = read.ok ? placeOf(String(cells.id), read.value) : undefined;
    const wrong = read.ok ? mateProblems(made) : read.problems;
    problems.push(...wrong.map((one) => inItsRow(one, number, own)));
    return made === undefined ? [] : [made];
  });
  return { value, problems };
}

/** What each kind of place holds. */
const HOLDS: Readonly<Record<PlaceKind, SourceKind>> = {
  fusePanel: 'slot',
  connector: 'cavity',
  loom: 'wire',
  socketOutlet: 'wire',
  relaySocket: 'relayTerminal',
  stud: 'stud',
  groundPoint: 'ground',
};

function kindProblem(placeRows: readonly TableRow[], { number, cells }: TableRow): FieldProblem[] {
  const place = placeRows.find((one) => one.cells.id === cells.place);
  const wanted = HOLDS[place?.cells.kind as PlaceKind];
  return place === undefined || wanted === cells.kind
    ? []
    : [{ path: at('sources.csv', number, 'kind'), message: `its place holds a ${wanted} only` }];
}

function idProblem(ids: readonly string[], index: number, number: number): FieldProblem[] {
  const id = ids[index] ?? '';
  const path = at('places.csv', number, 'id');
  if (!PLACE_ID.test(id)) return [{ path, message: 'must be a short word in small letters' }];
  return ids.indexOf(id) === index ? [] : [{ path, message: 'another place has it' }];
}

/** Lists of sources in a place as it is entered. */
const LISTS = new Set(['slots', 'wires', 'terminals', 'points']);

/** A problem of a place, at the row of the source that it is about, or of the place. */
function inItsRow(
  { path, message }: FieldProblem,
  placeNumber: number,
  own: readonly TableRow[],
): FieldProblem {
  const [list = '', index = ''] = path.split('.');
  const row = LISTS.has(list) ? own[Number(index)] : undefined;
  return row === undefined || index === ''
    ? { path: at('places.csv', placeNumber), message: `${path}: ${message}` }
    : {
        path: at('sources.csv', row.number),
        message: `${path.split('.').slice(2).join('.')}: ${message}`,
      };
}

function placeRow(cells: Row): PlaceRow {
  return {
    ...(cells as unknown as PlaceRow),
    notes: typeof cells.notes === 'string' ? cells.notes : '',
    modelId: '',
    position: 0,
    columns: 0,
    rows: 0,
    version: 0,
  };
}

function sourceRow(cells: Row): SourceRow {
  const { place, name, column, row, taped_with: mate } = cells;
  return {
    ...(Object.fromEntries(
      Object.entries(cells).map(([key, cell]) => [camel(key), cell]),
    ) as unknown as SourceRow),
    id: `${String(place)}/${String(name)}`,
    placeId: String(place),
    gridColumn: typeof column === 'number' ? column : null,
    gridRow: typeof row === 'number' ? row : null,
    tapedWith: typeof mate === 'string' ? `${String(place)}/${mate}` : null,
  };
}

function camel(key: string): string {
  return key.replace(/_[a-z]/g, (letters) => letters.slice(1).toUpperCase());
}
