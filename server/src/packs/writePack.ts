import { promisify } from 'node:util';
import type { ModelView, TapPointView } from '@lucky-thread/contract';
import { modelName } from '@lucky-thread/contract';
import { stringify } from 'csv-stringify/sync';
import type { AsyncZippable } from 'fflate';
import { strToU8, zip } from 'fflate';
import { written } from './cells';
import { filesOf, rowsOfPack } from './rows';
import type { Column, Row } from './tables';
import { TABLES, TABLE_NAMES, dataPackage } from './tables';

const zipped = promisify<AsyncZippable, Uint8Array>(zip);
/** One moment for every file: the same model makes the same pack, byte for byte. */
const MOMENT = '2000-01-01T00:00:00';
/** A byte order mark: without it spreadsheets take UTF-8 for the encoding of their own country. */
const MARK = '\uFEFF';

/**
 * A model with its places, sources, tap points and photos as one zip: a table in CSV for each, and a description of them.
 *
 * @param jpegs the pictures, by the ids of the photos
 */
export function writePack(
  model: ModelView,
  taps: readonly TapPointView[],
  jpegs: ReadonlyMap<string, Uint8Array>,
): Promise<Uint8Array> {
  const rows = rowsOfPack(model, taps);
  const files: AsyncZippable = {
    'datapackage.json': strToU8(`${JSON.stringify(dataPackage(modelName(model)), null, 2)}\n`),
  };
  for (const name of TABLE_NAMES) files[name] = strToU8(csvOf(TABLES[name], rows[name]));
  for (const [id, file] of filesOf(model.photos))
    // A JPEG does not get smaller.
    files[file] = [jpegs.get(id) ?? new Uint8Array(), { level: 0 }];
  return zipped(
    Object.fromEntries(
      Object.entries(files).map(([name, file]) => [
        name,
        Array.isArray(file)
          ? [file[0], { ...file[1], mtime: MOMENT }]
          : [file as Uint8Array, { mtime: MOMENT }],
      ]),
    ),
  );
}

function csvOf(columns: readonly Column[], rows: readonly Row[]): string {
  const cells = rows.map((row) => columns.map(({ name }) => written(row[name] ?? null)));
  return (
    MARK + stringify([columns.map(({ name }) => name), ...cells], { record_delimiter: 'windows' })
  );
}
