import type { Gray } from './gray';

/** Half the side of the neighbourhood that tells paper from ink, as a share of the picture's shorter side. */
const REACH = 0.06;
/** Share of the pixels that count as darkest and as brightest. */
const TAIL = 0.01;

/**
 * A picture with its paper evenly white and its ink black, whichever way round it was printed: each pixel against the brightness of the paper around it, so
 * that shadow and glare fall out.
 */
export function even(seen: Gray): Gray {
  const picture = inkIsBright(seen) ? turned(seen) : seen;
  const { width, height, pixels } = picture;
  const paper = paperOf(picture);
  const flat = new Float64Array(pixels.length);
  for (let at = 0; at < flat.length; at += 1)
    flat[at] = (pixels[at] ?? 0) / Math.max(1, paper[at] ?? 0);
  const [dark, bright] = tails(flat);
  const span = Math.max(0.05, bright - dark);
  const evened = new Uint8ClampedArray(pixels.length);
  for (let at = 0; at < evened.length; at += 1)
    evened[at] = (255 * ((flat[at] ?? 0) - dark)) / span;
  return { width, height, pixels: evened };
}

/** Whether print is brighter than its ground: few pixels stand out from what is around them, and ink is what does. */
function inkIsBright(picture: Gray): boolean {
  const means = boxMean(picture, picture.pixels, reachOf(picture));
  let skew = 0;
  for (let at = 0; at < means.length; at += 1)
    skew += ((picture.pixels[at] ?? 0) - (means[at] ?? 0)) ** 3;
  return skew > 0;
}

function turned({ width, height, pixels }: Gray): Gray {
  return { width, height, pixels: pixels.map((shade) => 255 - shade) };
}

function reachOf({ width, height }: Gray): number {
  return Math.max(4, Math.round(REACH * Math.min(width, height)));
}

/** How bright the paper is around each pixel: the mean of what is brighter than the mean there. */
function paperOf(picture: Gray): Float64Array {
  const reach = reachOf(picture);
  const means = boxMean(picture, picture.pixels, reach);
  const clipped = new Float64Array(picture.pixels.length);
  for (let at = 0; at < clipped.length; at += 1)
    clipped[at] = Math.max(picture.pixels[at] ?? 0, means[at] ?? 0);
  return boxMean(picture, clipped, reach);
}

/** The mean over a square around each pixel, by sums from the corner. */
function boxMean(
  { width, height }: Pick<Gray, 'width' | 'height'>,
  values: ArrayLike<number>,
  reach: number,
): Float64Array {
  const stride = width + 1;
  const sums = new Float64Array(stride * (height + 1));
  for (let y = 0; y < height; y += 1) {
    let line = 0;
    for (let x = 0; x < width; x += 1) {
      line += values[y * width + x] ?? 0;
      sums[(y + 1) * stride + x + 1] = (sums[y * stride + x + 1] ?? 0) + line;
    }
  }
  const sum = (x: number, y: number): number => sums[y * stride + x] ?? 0;
  const means = new Float64Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const top = Math.max(0, y - reach);
    const bottom = Math.min(height, y + reach + 1);
    for (let x = 0; x < width; x += 1) {
      const left = Math.max(0, x - reach);
      const right = Math.min(width, x + reach + 1);
      const total = sum(right, bottom) - sum(left, bottom) - sum(right, top) + sum(left, top);
      means[y * width + x] = total / ((right - left) * (bottom - top));
    }
  }
  return means;
}

/** The values below and above which only a few lie; from a sample, since a picture has millions. */
function tails(values: Float64Array): readonly [number, number] {
  const step = Math.max(1, Math.floor(values.length / 20_000));
  const sample = values.filter((_, at) => at % step === 0).sort();
  const dark = sample[Math.floor(TAIL * sample.length)] ?? 0;
  const bright = sample[Math.floor((1 - TAIL) * (sample.length - 1))] ?? 1;
  return [dark, bright];
}
