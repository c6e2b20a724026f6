import type { Gray } from './gray';
import { shadeAt } from './gray';

/** A point of a picture, pixels from its upper left. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The corners of a card on a picture: upper left, upper right, lower right, lower left. */
export type Corners = readonly [Point, Point, Point, Point];

/** Most pixels across or down of a straightened card: letters of 3 mm on a card of 20 cm have 30. */
const LONGEST_PX = 2000;

/**
 * Where a point of the unit square lies on a picture, given where its corners lie: the projective map of the square onto a
 * quadrilateral in closed form (Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, 2.2.3, from memory).
 *
 * @throws RangeError when three corners lie in one line or the card is turned inside out.
 */
export function projection(corners: Corners): (u: number, v: number) => Point {
  if (!isConvex(corners))
    throw new RangeError('The four corners must go round the card: pull each onto its own');
  const [p0, p1, p2, p3] = corners;
  const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  return (u, v) => {
    const depth = g * u + h * v + 1;
    return {
      x: ((p1.x - p0.x + g * p1.x) * u + (p3.x - p0.x + h * p3.x) * v + p0.x) / depth,
      y: ((p1.y - p0.y + g * p1.y) * u + (p3.y - p0.y + h * p3.y) * v + p0.y) / depth,
    };
  };
}

/** Whether the corners go round once, each turning the same way. */
function isConvex(corners: Corners): boolean {
  const turns = corners.map((corner, at) => {
    const next = corners[(at + 1) % 4] as Point;
    const after = corners[(at + 2) % 4] as Point;
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x);
  });
  return turns.every((turn) => turn > 0);
}

/**
 * A card seen straight on, from where its corners lie on a picture.
 *
 * @throws RangeError as {@link projection}.
 */
export function straighten(picture: Gray, corners: Corners): Gray {
  const [upperLeft, upperRight, lowerRight, lowerLeft] = corners;
  const across = Math.max(apart(upperLeft, upperRight), apart(lowerLeft, lowerRight));
  const down = Math.max(apart(upperLeft, lowerLeft), apart(upperRight, lowerRight));
  const scale = Math.min(1, LONGEST_PX / Math.max(across, down));
  const width = Math.max(1, Math.round(across * scale));
  const height = Math.max(1, Math.round(down * scale));
  const at = projection(corners);
  const pixels = new Uint8ClampedArray(width * height);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const { x, y } = at((column + 0.5) / width, (row + 0.5) / height);
      pixels[row * width + column] = shadeAt(picture, x - 0.5, y - 0.5);
    }
  return { width, height, pixels };
}

function apart(one: Point, other: Point): number {
  return Math.hypot(one.x - other.x, one.y - other.y);
}
