/** A picture in shades of grey, row by row; 0 is black, 255 white. */
export interface Gray {
  /** Pixels across, 1 or more. */
  readonly width: number;
  /** Pixels down, 1 or more. */
  readonly height: number;
  readonly pixels: Uint8ClampedArray;
}

/** A part of a picture, pixels; edges may lie outside and are cut. */
export interface Box {
  /** First column, pixels from the left. */
  readonly left: number;
  /** First row, pixels from the top. */
  readonly top: number;
  /** Column behind the last, pixels. */
  readonly right: number;
  /** Row behind the last, pixels. */
  readonly bottom: number;
}

/** How bright red, green and blue seem: ITU-R BT.601. */
const LUMA = [0.299, 0.587, 0.114] as const;

/** A picture from its red, green, blue and opacity, four bytes a pixel. */
export function grayOf(rgba: Uint8ClampedArray, width: number, height: number): Gray {
  const pixels = new Uint8ClampedArray(width * height);
  const [red, green, blue] = LUMA;
  for (let at = 0; at < pixels.length; at += 1)
    pixels[at] =
      red * (rgba[4 * at] ?? 0) + green * (rgba[4 * at + 1] ?? 0) + blue * (rgba[4 * at + 2] ?? 0);
  return { width, height, pixels };
}

/** A picture as a portable grey map, the plainest file there is: Netpbm P5. */
export function fileOf({ width, height, pixels }: Gray): Uint8Array {
  const head = new TextEncoder().encode(`P5\n${width} ${height}\n255\n`);
  const file = new Uint8Array(head.length + pixels.length);
  file.set(head);
  file.set(pixels, head.length);
  return file;
}

/** A part of a picture in a size of its own, each pixel between its neighbours. */
export function cut(picture: Gray, box: Box, scale: number): Gray {
  const across = Math.max(1, Math.round((box.right - box.left) * scale));
  const down = Math.max(1, Math.round((box.bottom - box.top) * scale));
  const pixels = new Uint8ClampedArray(across * down);
  for (let y = 0; y < down; y += 1)
    for (let x = 0; x < across; x += 1)
      pixels[y * across + x] = shadeAt(
        picture,
        box.left + (x + 0.5) / scale - 0.5,
        box.top + (y + 0.5) / scale - 0.5,
      );
  return { width: across, height: down, pixels };
}

/** Pictures side by side on white, standing on one line, with room between them and around. */
export function beside(pictures: readonly Gray[], gapPx: number, marginPx: number): Gray {
  const tallest = Math.max(1, ...pictures.map((one) => one.height));
  const across = pictures.reduce((sum, one) => sum + one.width + gapPx, -gapPx);
  const width = Math.max(1, across + 2 * marginPx);
  const height = tallest + 2 * marginPx;
  const pixels = new Uint8ClampedArray(width * height).fill(255);
  let left = marginPx;
  for (const one of pictures) {
    const top = height - marginPx - one.height;
    for (let row = 0; row < one.height; row += 1)
      pixels.set(
        one.pixels.subarray(row * one.width, (row + 1) * one.width),
        (top + row) * width + left,
      );
    left += one.width + gapPx;
  }
  return { width, height, pixels };
}

/** The shade between four pixels; beyond the edge it is that of the edge. */
export function shadeAt({ width, height, pixels }: Gray, x: number, y: number): number {
  const left = Math.min(width - 1, Math.max(0, Math.floor(x)));
  const top = Math.min(height - 1, Math.max(0, Math.floor(y)));
  const right = Math.min(width - 1, left + 1);
  const bottom = Math.min(height - 1, top + 1);
  const across = Math.min(1, Math.max(0, x - left));
  const down = Math.min(1, Math.max(0, y - top));
  const at = (column: number, row: number): number => pixels[row * width + column] ?? 0;
  return (
    (1 - down) * ((1 - across) * at(left, top) + across * at(right, top)) +
    down * ((1 - across) * at(left, bottom) + across * at(right, bottom))
  );
}
