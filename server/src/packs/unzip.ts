import type { FieldProblem } from '@lucky-thread/contract';
import { MOST_PHOTO_BYTES } from '@lucky-thread/contract';
import type { Unzipped } from 'fflate';
import { unzip } from 'fflate';

/** Largest pack that is taken, bytes. */
export const LARGEST_PACK = 60 * 1024 * 1024;
/** Most that it may hold when unpacked, bytes: a small zip must not fill the memory. */
const MOST_UNPACKED = 120 * 1024 * 1024;
/** Most files in it. */
const MOST_FILES = 1000;
/** Largest table, bytes. */
const LARGEST_TABLE = 12 * 1024 * 1024;
/** The files of a pack; anything else in the zip is left in it. */
const WANTED = /^([a-z_]+\.csv|photos\/\d{1,4}\.jpg)$/;

/** The files in a zip by their names, or why they are not taken. */
export async function unzipped(zip: Uint8Array): Promise<Unzipped | FieldProblem> {
  let total = 0;
  let files = 0;
  let over: string | undefined;
  const filter = ({ name, originalSize }: { name: string; originalSize: number }): boolean => {
    if (!WANTED.test(name)) return false;
    files += 1;
    total += originalSize;
    const most = name.endsWith('.csv') ? LARGEST_TABLE : MOST_PHOTO_BYTES;
    if (originalSize > most) over ??= `${name} has more than ${most / 2 ** 20} MB`;
    if (files > MOST_FILES) over ??= `has more than ${MOST_FILES} files`;
    if (total > MOST_UNPACKED) over ??= `unpacks to more than ${MOST_UNPACKED / 2 ** 20} MB`;
    return over === undefined;
  };
  const found = await new Promise<Unzipped | undefined>((resolve) =>
    unzip(zip, { filter }, (error, data) => resolve(error === null ? data : undefined)),
  );
  if (over !== undefined) return { path: 'file', message: over };
  return found ?? { path: 'file', message: 'is no zip, or one that was cut off' };
}
