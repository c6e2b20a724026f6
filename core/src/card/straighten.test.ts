import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import type { Corners, Point } from './straighten';
import { projection, straighten } from './straighten';

/**
 * The plane projective map through four points by its eight equations, solved by a general-purpose library (Hartley and
 * Zisserman, Multiple View Geometry, 2nd ed., 4.1, from memory). Another way than the one in use, which is a closed form.
 */
function solved(corners: Corners): (u: number, v: number) => Point {
  const square = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ] as const;
  const rows = square.flatMap(([u, v], at) => {
    const { x, y } = corners[at] as Point;
    return [
      [u, v, 1, 0, 0, 0, -u * x, -v * x],
      [0, 0, 0, u, v, 1, -u * y, -v * y],
    ];
  });
  const right = corners.flatMap(({ x, y }) => [x, y]);
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = solve(
    new Matrix(rows),
    Matrix.columnVector(right),
  ).to1DArray();
  return (u, v) => {
    const depth = g * u + h * v + 1;
    return { x: (a * u + b * v + c) / depth, y: (d * u + e * v + f) / depth };
  };
}

const near = (middle: number) => fc.double({ min: middle - 60, max: middle + 60, noNaN: true });
const corners = fc
  .tuple(near(100), near(100), near(500), near(100), near(500), near(400), near(100), near(400))
  .map(([a, b, c, d, e, f, g, h]): Corners => [
    { x: a, y: b },
    { x: c, y: d },
    { x: e, y: f },
    { x: g, y: h },
  ]);

describe('where a point of a card lies on its picture', () => {
  it('is as the eight equations have it, corners first', () => {
    fc.assert(
      fc.property(
        corners,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (card, u, v) => {
          const [here, there] = [projection(card)(u, v), solved(card)(u, v)];
          expect(here.x).toBeCloseTo(there.x, 6);
          expect(here.y).toBeCloseTo(there.y, 6);
          const [a] = card;
          expect(projection(card)(0, 0).x).toBeCloseTo(a.x, 6);
        },
      ),
    );
  });

  it('cannot be told for corners in one line, or that cross', () => {
    const at = (x: number, y: number): Point => ({ x, y });
    expect(() => projection([at(0, 0), at(1, 1), at(2, 2), at(0, 2)])).toThrow(RangeError);
    expect(() => projection([at(0, 0), at(9, 9), at(9, 0), at(0, 9)])).toThrow(RangeError);
    // Turned inside out, as by pulling left and right past each other.
    expect(() => projection([at(9, 0), at(0, 0), at(0, 9), at(9, 9)])).toThrow(/round the card/);
  });
});

describe('a card seen straight on', () => {
  it('has at each place what the picture has where that place lies', () => {
    const size = 200;
    // Brighter to the right, so that a shade tells its column.
    const pixels = Uint8ClampedArray.from({ length: size * size }, (_, at) => at % size);
    const picture = { width: size, height: size, pixels };
    const card: Corners = [
      { x: 40, y: 20 },
      { x: 160, y: 40 },
      { x: 150, y: 170 },
      { x: 30, y: 180 },
    ];
    const straight = straighten(picture, card);
    const at = projection(card);
    for (const [u, v] of [
      [0.1, 0.2],
      [0.5, 0.5],
      [0.9, 0.7],
    ] as const) {
      const column = Math.floor(u * straight.width);
      const row = Math.floor(v * straight.height);
      const shade = straight.pixels[row * straight.width + column] ?? 0;
      const wanted = at((column + 0.5) / straight.width, (row + 0.5) / straight.height).x - 0.5;
      expect(Math.abs(shade - wanted)).toBeLessThan(1);
    }
  });

  it('is never larger than what can be worked with', () => {
    const pixels = new Uint8ClampedArray(4000 * 20);
    const wide = straighten({ width: 4000, height: 20, pixels }, [
      { x: 0, y: 0 },
      { x: 4000, y: 0 },
      { x: 4000, y: 20 },
      { x: 0, y: 20 },
    ]);
    expect([wide.width, wide.height]).toEqual([2000, 10]);
  });
});
