import { munkres } from 'munkres';
import { CAPACITY, WIRE_ROLES } from './roles';
import type { WireRole } from './roles';

/** A role for every wire. */
export interface Assignment {
  /** One role per wire, in the order of the wires. */
  readonly roles: readonly WireRole[];
  /** Natural logarithm of its weight; differences tell how much likelier one assignment is than another. */
  readonly logWeight: number;
}

/** What is settled beforehand in one branch of the search. */
interface Branch {
  readonly forced: ReadonlyMap<number, number>;
  readonly forbidden: readonly (readonly [wire: number, role: number])[];
}

/** Weight of what cannot be; keeps logarithms finite. */
const FLOOR = 1e-9;
/** Cost that no possible assignment reaches. */
const IMPOSSIBLE = 1e6;
/** Reward for giving a role its least number of wires: a radio's bunch without a constant is not believed. */
const NEEDED = Math.log(200);

/**
 * The k likeliest assignments of roles to wires, each role within its number of wires: Hungarian algorithm for the
 * best one, Murty's partition (1968) for the next ones, branching on roles so that no two answers are the same.
 *
 * @param chances one row per wire, in the order of `WIRE_ROLES`
 */
export function bestAssignments(chances: readonly (readonly number[])[], k: number): Assignment[] {
  const seats = seatsFor(chances.length);
  const answers: Assignment[] = [];
  const waiting: { readonly branch: Branch; readonly roles: number[]; readonly cost: number }[] =
    [];
  const queue = (branch: Branch): void => {
    const solved = solve(chances, seats, branch);
    if (solved !== undefined) waiting.push({ branch, ...solved });
  };
  queue({ forced: new Map(), forbidden: [] });
  while (answers.length < k) {
    waiting.sort((left, right) => left.cost - right.cost);
    const best = waiting.shift();
    if (best === undefined) break;
    answers.push({
      roles: best.roles.map((role) => WIRE_ROLES[role] ?? 'leftOver'),
      logWeight: -best.cost,
    });
    const forced = new Map(best.branch.forced);
    best.roles.forEach((role, wire) => {
      if (forced.has(wire)) return;
      queue({ forced: new Map(forced), forbidden: [...best.branch.forbidden, [wire, role]] });
      forced.set(wire, role);
    });
  }
  return answers;
}

/** A place in a role, or in whichever of the roles without a limit suits a wire best. */
interface Seat {
  readonly role: number | 'free';
  readonly bonus: number;
}

/** Roles that take any number of wires: of these each wire has its best one, so that one seat per wire is enough. */
const FREE_ROLES = WIRE_ROLES.flatMap((role, index) =>
  CAPACITY[role][1] === Infinity ? [index] : [],
);

function seatsFor(wires: number): Seat[] {
  const limited = WIRE_ROLES.flatMap((role, index): Seat[] => {
    const [least, most] = CAPACITY[role];
    const places = most === Infinity ? least : most;
    return Array.from({ length: Math.min(places, wires) }, (_, seat) => ({
      role: index,
      bonus: seat < least ? NEEDED : 0,
    }));
  });
  return [...limited, ...Array.from({ length: wires }, (): Seat => ({ role: 'free', bonus: 0 }))];
}

function solve(
  chances: readonly (readonly number[])[],
  seats: readonly Seat[],
  branch: Branch,
): { roles: number[]; cost: number } | undefined {
  const forbidden = new Set(branch.forbidden.map(([wire, role]) => `${wire}:${role}`));
  const costOf = (wire: number, role: number): number => {
    const forced = branch.forced.get(wire);
    if ((forced !== undefined && forced !== role) || forbidden.has(`${wire}:${role}`))
      return IMPOSSIBLE;
    return -Math.log(Math.max(chances[wire]?.[role] ?? 0, FLOOR));
  };
  const freely = chances.map((_, wire) =>
    FREE_ROLES.reduce((best, role) => (costOf(wire, role) < costOf(wire, best) ? role : best)),
  );
  const roleAt = (wire: number, { role }: Seat): number =>
    role === 'free' ? (freely[wire] ?? 0) : role;
  const costs = chances.map((_, wire) =>
    seats.map((seat) => costOf(wire, roleAt(wire, seat)) - seat.bonus),
  );
  const pairs = munkres(costs);
  const roles = chances.map(() => 0);
  let cost = 0;
  for (const [wire, at] of pairs) {
    const seat = seats[at];
    const own = costs[wire]?.[at];
    if (own === undefined || seat === undefined) continue;
    roles[wire] = roleAt(wire, seat);
    cost += own;
  }
  return cost >= IMPOSSIBLE / 2 ? undefined : { roles, cost };
}
