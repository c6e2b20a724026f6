import type { FieldProblem } from '@lucky-thread/contract';
import { LONGEST_CAPTION } from '@lucky-thread/contract';
import type { Place, Source } from '@lucky-thread/core/vehicle';
import type { Unzipped } from 'fflate';
import { readPicture } from '../vehicles/photos/jpeg';
import type { Part, Tables } from './readTable';
import { at } from './readTable';
import type { Cell } from './tables';

/** A photo of a pack. */
export interface PackedPhoto {
  /** The place that it shows; one of the pack's. */
  readonly placeId: string;
  /** What it shows; may be empty. */
  readonly caption: string;
  /** The picture, without the data that cameras add. */
  readonly jpeg: Uint8Array;
  /** Pixels. */
  readonly width: number;
  /** Pixels. */
  readonly height: number;
  /** Sources pinned on it; x and y are shares of width and height, 0 to 1. */
  readonly pins: readonly { readonly sourceId: string; readonly x: number; readonly y: number }[];
}

/** The photos of a pack with their pins. */
export function photosIn(
  rows: Tables,
  files: Unzipped,
  known: { readonly places: readonly Place[]; readonly sources: ReadonlyMap<string, Source> },
): Part<readonly PackedPhoto[]> {
  const problems: FieldProblem[] = [];
  const names = new Set(rows['photos.csv'].map(({ cells }) => cells.file));
  for (const { number, cells } of rows['photo_pins.csv']) {
    if (!names.has(cells.file ?? null))
      problems.push({
        path: at('photo_pins.csv', number, 'file'),
        message: 'photos.csv has no such file',
      });
    if (!known.sources.has(textOr(cells.source ?? null)))
      problems.push({
        path: at('photo_pins.csv', number, 'source'),
        message: 'the pack has no such source',
      });
    for (const column of ['x', 'y'] as const) {
      const share = Number(cells[column]);
      if (!(share >= 0 && share <= 1))
        problems.push({
          path: at('photo_pins.csv', number, column),
          message: 'lies between 0 and 1',
        });
    }
  }
  const value = rows['photos.csv'].flatMap(({ number, cells }): PackedPhoto[] => {
    const placeId = textOr(cells.place ?? null);
    const caption = textOr(cells.caption ?? null);
    const jpeg = files[textOr(cells.file ?? null)];
    const picture = jpeg === undefined ? undefined : readPicture(jpeg);
    const wrong = (column: string, message: string): void =>
      void problems.push({ path: at('photos.csv', number, column), message });
    if (!known.places.some(({ id }) => id === placeId))
      wrong('place', 'the pack has no such place');
    if (caption.length > LONGEST_CAPTION)
      wrong('caption', `has more than ${LONGEST_CAPTION} characters`);
    if (jpeg === undefined || picture === undefined) {
      wrong('file', 'is missing in the zip');
      return [];
    }
    if (!picture.ok) {
      wrong('file', picture.problem.message);
      return [];
    }
    const { width, height } = picture;
    const pins = rows['photo_pins.csv']
      .filter((pin) => pin.cells.file === cells.file)
      .map((pin) => ({
        sourceId: textOr(pin.cells.source ?? null),
        x: Number(pin.cells.x),
        y: Number(pin.cells.y),
      }));
    return [{ placeId, caption, jpeg, width, height, pins }];
  });
  return { value, problems };
}

function textOr(cell: Cell): string {
  return typeof cell === 'string' ? cell : '';
}
