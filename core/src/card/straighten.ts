import { Matrix, solve } from 'ml-matrix';
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
 * Where a point of the unit square lies on a picture, given where its corners lie: the plane projective map through four
 * points (Hartley and Zisserman, Multiple View Geometry, 2nd ed., 4.1, from memory).
 *
 * @throws RangeError when three corners lie in one line or the card is turned inside out.
 */
export function projection(corners: Corners): (u: number, v: number) => Point {
  if (!isConvex(corners))
    throw new RangeError('The four corners must go round the card: pull each onto its own');
  const square = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ] as const;
  const rows: number[][] = [];
  const right: number[] = [];
  square.forEach(([u, v], at) => {
    const { x, y } = corners[at] as Point;
    rows.push([u, v, 1, 0, 0, 0, -u * x, -v * x], [0, 0, 0, u, v, 1, -u * y, -v * y]);
    right.push(x, y);
  });
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = solve(
    new Matrix(rows),
    Matrix.columnVector(right),
  ).to1DArray();
  return (u, v) => {
    const depth = g * u + h * v + 1;
    return { x: (a * u + b * v + c) / depth, y: (d * u + e * v + f) / depth };
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
