import { seededRandom } from '@lucky-thread/core/bench';
import type { Corners, Gray, Point } from '@lucky-thread/core/card';

/** A picture of a card, and where its corners were pulled to. */
export interface Photograph {
  readonly picture: Gray;
  readonly corners: Corners;
}

/** Size of the picture, px: a phone's, scaled as the app scales it. */
const WIDTH = 1800;
const HEIGHT = 1350;
/** Farthest that a thumb misses a corner, px of the picture. */
const MISSED_PX = 4;
const DEGREES_MOST = 5;

/**
 * A card as a phone sees it: turned by up to 5 degrees, from aslant, unsharp, in uneven light with a patch of glare, with
 * grain; the thumb misses each corner by a few pixels.
 */
export function photograph(card: Gray, seed: number): Photograph {
  const random = seededRandom(seed * 15_485_863 + 3);
  const truth = cornersAt(random);
  const place = inverse(truth);
  const blurPx = random() * 1.1;
  const lightAt = light(random);
  const grain = 2 + random() * 7;
  const sharp = new Float64Array(WIDTH * HEIGHT);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const { x: u, y: v } = place({ x: x + 0.5, y: y + 0.5 });
      sharp[y * WIDTH + x] = u < 0 || v < 0 || u > 1 || v > 1 ? TABLE : sampled(card, u, v);
    }
  const soft = blurred(sharp, blurPx);
  const pixels = new Uint8ClampedArray(WIDTH * HEIGHT);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const at = y * WIDTH + x;
      pixels[at] = lightAt(soft[at] ?? 0, x / WIDTH, y / HEIGHT) + grain * gauss(random);
    }
  const missed = truth.map(({ x, y }) => ({
    x: x + MISSED_PX * (2 * random() - 1),
    y: y + MISSED_PX * (2 * random() - 1),
  }));
  return {
    picture: { width: WIDTH, height: HEIGHT, pixels },
    corners: missed as unknown as Corners,
  };
}

/** Shade of what lies around the card. */
const TABLE = 70;

function cornersAt(random: () => number): Corners {
  const angle = ((2 * random() - 1) * DEGREES_MOST * Math.PI) / 180;
  const [halfWidth, halfHeight] = [0.42 * WIDTH, (0.42 * WIDTH * 900) / 1400];
  const signs = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const;
  // Aslant: each corner comes nearer or lies farther by up to 5 %.
  const corners = signs.map(([across, down]): Point => {
    const near = 1 + 0.1 * (random() - 0.5);
    const [x, y] = [across * halfWidth * near, down * halfHeight * near];
    return {
      x: WIDTH / 2 + x * Math.cos(angle) - y * Math.sin(angle),
      y: HEIGHT / 2 + x * Math.sin(angle) + y * Math.cos(angle),
    };
  });
  return corners as unknown as Corners;
}

/**
 * Where a point of the picture lies on the card, 0 to 1: the projective map of the unit square onto the corners (Heckbert,
 * Fundamentals of Texture Mapping and Image Warping, 1989, from memory), turned round by its adjugate.
 */
function inverse([p0, p1, p2, p3]: Corners): (point: Point) => Point {
  const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  const [a, b, c] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x, p0.x];
  const [d, e, f] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y, p0.y];
  return ({ x, y }) => {
    const depth = (d * h - e * g) * x + (b * g - a * h) * y + (a * e - b * d);
    return {
      x: ((e - f * h) * x + (c * h - b) * y + (b * f - c * e)) / depth,
      y: ((f * g - d) * x + (a - c * g) * y + (c * d - a * f)) / depth,
    };
  };
}

function sampled({ width, height, pixels }: Gray, u: number, v: number): number {
  const x = Math.min(width - 1.001, Math.max(0, u * width - 0.5));
  const y = Math.min(height - 1.001, Math.max(0, v * height - 0.5));
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const at = (column: number, row: number): number => pixels[row * width + column] ?? 0;
  const [across, down] = [x - left, y - top];
  return (
    (1 - down) * ((1 - across) * at(left, top) + across * at(left + 1, top)) +
    down * ((1 - across) * at(left, top + 1) + across * at(left + 1, top + 1))
  );
}

/** Light that falls off to one side, and a patch of glare. */
function light(random: () => number): (shade: number, x: number, y: number) => number {
  const [fromX, fromY, dim] = [random() - 0.5, random() - 0.5, 0.55 + 0.4 * random()];
  const [glareX, glareY, glare] = [random(), random(), random() < 0.6 ? 90 * random() : 0];
  return (shade, x, y) => {
    const falloff = 1 - 0.6 * Math.max(0, fromX * (x - 0.5) + fromY * (y - 0.5));
    const patch = glare * Math.exp(-((x - glareX) ** 2 + (y - glareY) ** 2) / 0.02);
    return shade * dim * falloff + patch;
  };
}

function blurred(values: Float64Array, sigmaPx: number): Float64Array {
  if (sigmaPx < 0.2) return values;
  const reach = Math.ceil(3 * sigmaPx);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-((at - reach) ** 2) / (2 * sigmaPx ** 2)),
  );
  const total = kernel.reduce((sum, one) => sum + one, 0);
  const pass = (from: Float64Array, stepX: number, stepY: number): Float64Array => {
    const to = new Float64Array(from.length);
    for (let y = 0; y < HEIGHT; y += 1)
      for (let x = 0; x < WIDTH; x += 1) {
        let sum = 0;
        for (let k = -reach; k <= reach; k += 1) {
          const column = Math.min(WIDTH - 1, Math.max(0, x + k * stepX));
          const row = Math.min(HEIGHT - 1, Math.max(0, y + k * stepY));
          sum += (kernel[k + reach] ?? 0) * (from[row * WIDTH + column] ?? 0);
        }
        to[y * WIDTH + x] = sum / total;
      }
    return to;
  };
  return pass(pass(values, 1, 0), 0, 1);
}

function gauss(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
