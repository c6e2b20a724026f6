import type { Corners, Gray } from '@lucky-thread/core/card';
import { grayOf } from '@lucky-thread/core/card';

/** A picture that was chosen. */
export interface Picture {
  /** Its brightness, pixel by pixel. */
  readonly gray: Gray;
  /** Address to show it by; given back by {@link release}. */
  readonly url: string;
}

/** Longest side that is worked with, px: letters of 3 mm on a lid of 20 cm have 30. */
const LONGEST_PX = 2000;
/** Larger files are no pictures of a lid, MB. */
const MOST_MB = 40;
/** Smaller pictures show no legible card, px. */
const LEAST_PX = 200;

/**
 * A chosen file as a picture in shades of grey, upright as its camera meant it, scaled to what reading needs.
 *
 * @throws Error saying what is wrong with the file and what to do.
 */
export async function pictureFrom(file: Blob): Promise<Picture> {
  if (file.size > MOST_MB * 1e6)
    throw new Error(
      `That file has more than ${MOST_MB} MB. Take the picture anew, or type the lid.`,
    );
  const bitmap = await bitmapOf(file);
  try {
    if (Math.max(bitmap.width, bitmap.height) < LEAST_PX)
      throw new Error('That picture is too small to read. Take one that the lid fills.');
    const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(bitmap.width * scale);
    canvas.height = Math.round(bitmap.height * scale);
    const context = contextOf(canvas);
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return { gray: grayOf(data, canvas.width, canvas.height), url: await urlOf(canvas) };
  } finally {
    bitmap.close();
  }
}

async function bitmapOf(file: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(file);
  } catch (cause) {
    throw new Error(
      'That file is no picture that this browser can open. Choose another, or type the lid.',
      {
        cause,
      },
    );
  }
}

function contextOf(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = canvas.getContext('2d');
  if (context === null)
    throw new Error('This browser cannot work with pictures. Type the lid instead.');
  return context;
}

async function urlOf(canvas: HTMLCanvasElement): Promise<string> {
  const blob = await new Promise<Blob | null>((resolve) =>
    canvas.toBlob(resolve, 'image/jpeg', 0.85),
  );
  if (blob === null)
    throw new Error('This browser cannot work with pictures. Type the lid instead.');
  return URL.createObjectURL(blob);
}

/** A grey picture as one that can be shown. */
export async function shown({ width, height, pixels }: Gray): Promise<string> {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = contextOf(canvas);
  const image = context.createImageData(width, height);
  pixels.forEach((shade, at) => {
    image.data.set([shade, shade, shade, 255], 4 * at);
  });
  context.putImageData(image, 0, 0);
  return urlOf(canvas);
}

/** Gives back what an address holds. */
export function release(url: string | undefined): void {
  if (url !== undefined) URL.revokeObjectURL(url);
}

/** Where the corners stand before somebody pulls them: a little inside. */
export function firstCorners({ width, height }: Pick<Gray, 'width' | 'height'>): Corners {
  const [left, right] = [0.08 * width, 0.92 * width];
  const [top, bottom] = [0.08 * height, 0.92 * height];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}

/** Corners of a card that lies upside down on the picture: the upper left one is where the lower right was. */
export function turnedOver([a, b, c, d]: Corners): Corners {
  return [c, d, a, b];
}
