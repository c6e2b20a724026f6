import type { FieldProblem } from '@lucky-thread/contract';
import { LONGEST_PHOTO_PX, MOST_PHOTO_BYTES } from '@lucky-thread/contract';
import { imageSize } from 'image-size';

/** Where a JPEG begins to tell of its camera, its time and its place (Exif 2.3, 4.7.2, from memory). */
const CAMERA_DATA = Buffer.from('Exif\0\0', 'latin1');

/** A picture as its bytes have it, or why it is none that is kept. */
export type ReadPicture =
  | { readonly ok: true; readonly width: number; readonly height: number }
  | { readonly ok: false; readonly problem: FieldProblem };

/**
 * Looks at what a file is rather than at what it is called: a JPEG of a size that can be kept, and nothing of where it
 * was taken.
 */
export function readPicture(bytes: Uint8Array): ReadPicture {
  if (bytes.length > MOST_PHOTO_BYTES) return no(`has more than ${MOST_PHOTO_BYTES / 2 ** 20} MB`);
  const size = sizeOf(bytes);
  if (size === undefined) return no('is no JPEG');
  if (Math.max(size.width, size.height) > LONGEST_PHOTO_PX)
    return no(`is longer than ${LONGEST_PHOTO_PX} px`);
  if (Buffer.from(bytes).includes(CAMERA_DATA))
    return no('still carries what its camera wrote into it, perhaps where it was taken');
  return { ok: true, ...size };
}

function no(message: string): ReadPicture {
  return { ok: false, problem: { path: 'photo', message } };
}

/** Width and height in px; undefined for what is no JPEG, or one that is cut off before it says so. */
function sizeOf(
  bytes: Uint8Array,
): { readonly width: number; readonly height: number } | undefined {
  try {
    const { type, width, height } = imageSize(bytes);
    return type === 'jpg' && width > 0 && height > 0 ? { width, height } : undefined;
  } catch (error) {
    // What it cannot tell apart it says by throwing a TypeError or a RangeError.
    if (error instanceof TypeError || error instanceof RangeError) return undefined;
    throw error;
  }
}
