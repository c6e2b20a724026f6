import fc from 'fast-check';
import { bestAssignments } from './assignments';
import type { WireRole } from './roles';
import { CAPACITY, WIRE_ROLES } from './roles';

/** One row of chances, in the order of the roles; most of them cannot be at all, so that wires want the same ones. */
const ROW = fc.array(
  fc.oneof(
    { weight: 4, arbitrary: fc.constant(0) },
    { weight: 1, arbitrary: fc.double({ min: 0.001, max: 1, noNaN: true }) },
  ),
  { minLength: WIRE_ROLES.length, maxLength: WIRE_ROLES.length },
);

/** Every way to give so many wires a role, by trying all of them. */
function everyWay(wires: number): WireRole[][] {
  if (wires === 0) return [[]];
  return everyWay(wires - 1).flatMap((rest) => WIRE_ROLES.map((role) => [...rest, role]));
}

/** Weight of one way: what its wires' chances say, and 200 times likelier for every wire that a bunch must have. */
function weightOf(roles: readonly WireRole[], chances: readonly (readonly number[])[]): number {
  let weight = 0;
  roles.forEach((role, wire) => {
    weight += Math.log(Math.max(chances[wire]?.[WIRE_ROLES.indexOf(role)] ?? 0, 1e-9));
  });
  for (const role of WIRE_ROLES) {
    const count = roles.filter((one) => one === role).length;
    if (count > CAPACITY[role][1]) return -Infinity;
    weight += Math.min(count, CAPACITY[role][0]) * Math.log(200);
  }
  return weight;
}

describe('the likeliest ways to give wires their roles', () => {
  it('are the first of all ways there are, in their order', () => {
    fc.assert(
      fc.property(
        fc.array(ROW, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 6 }),
        (chances, k) => {
          const every = everyWay(chances.length)
            .map((roles) => weightOf(roles, chances))
            .sort((left, right) => right - left);
          const found = bestAssignments(chances, k);
          expect(found).toHaveLength(k);
          found.forEach(({ roles, logWeight }, index) => {
            expect(logWeight).toBeCloseTo(weightOf(roles, chances), 6);
            expect(logWeight).toBeCloseTo(every[index] ?? NaN, 6);
          });
        },
      ),
      { numRuns: 40 },
    );
  });

  it('end where there are no more ways', () => {
    const row = WIRE_ROLES.map(() => 1 / WIRE_ROLES.length);
    const found = bestAssignments([row], 99);
    expect(found).toHaveLength(WIRE_ROLES.length);
    expect(new Set(found.map(({ roles }) => roles[0])).size).toBe(WIRE_ROLES.length);
    expect(bestAssignments([row], 0)).toEqual([]);
  });
});
