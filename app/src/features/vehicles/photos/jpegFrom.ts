/** Longest side of a photo that is kept, px: a fuse's figures can be read on it, and it goes out over a weak signal. */
const LONGEST_PX = 1600;
/** How well it is packed, 0 to 1. */
const QUALITY = 0.82;
/** How a JPEG begins as a data URL. */
const JPEG = 'data:image/jpeg;base64,';
/** Larger files are not opened, MB. */
const MOST_MB = 60;

/**
 * A chosen file as a JPEG (base64, as it waits on the device for a signal) that may leave it: upright, scaled, and drawn anew, so that nothing of what the camera
 * wrote beside it (where, when, with what) comes along.
 *
 * @throws Error saying what is wrong with the file and what to do.
 */
export async function jpegFrom(file: Blob): Promise<string> {
  if (file.size > MOST_MB * 1e6)
    throw new Error(`That file has more than ${MOST_MB} MB. Take the photo anew, smaller.`);
  const bitmap = await bitmapOf(file);
  try {
    const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(bitmap.width * scale));
    canvas.height = Math.max(1, Math.round(bitmap.height * scale));
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const jpeg = canvas.toDataURL('image/jpeg', QUALITY);
    if (!jpeg.startsWith(JPEG)) throw new Error('This browser cannot work with pictures.');
    return jpeg.slice(JPEG.length);
  } finally {
    bitmap.close();
  }
}

async function bitmapOf(file: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(file);
  } catch (cause) {
    throw new Error('That file is no picture that this browser can open. Choose another.', {
      cause,
    });
  }
}
