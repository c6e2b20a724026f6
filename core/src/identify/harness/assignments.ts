/// <reference path="./munkres.d.ts" />
import munkres from 'munkres-js';
import { CAPACITY, WIRE_ROLES } from './roles';
import type { WireRole } from './roles';

/** A role for every wire. */
export interface Assignment {
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
 * @throws RangeError when there are more wires than the roles can take.
 */
export function bestAssignments(chances: readonly (readonly number[])[], k: number): Assignment[] {
  const seats = WIRE_ROLES.flatMap((role, index) => {
    const [least, most] = CAPACITY[role];
    return Array.from({ length: Math.min(most, chances.length) }, (_, seat) => ({
      role: index,
      bonus: seat < least ? NEEDED : 0,
    }));
  });
  if (seats.length < chances.length)
    throw new RangeError(`${chances.length} wires do not fit into ${seats.length} places`);
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

function solve(
  chances: readonly (readonly number[])[],
  seats: readonly { readonly role: number; readonly bonus: number }[],
  branch: Branch,
): { roles: number[]; cost: number } | undefined {
  const forbidden = new Set(branch.forbidden.map(([wire, role]) => `${wire}:${role}`));
  const costs = chances.map((row, wire) =>
    seats.map(({ role, bonus }) => {
      const forced = branch.forced.get(wire);
      if ((forced !== undefined && forced !== role) || forbidden.has(`${wire}:${role}`))
        return IMPOSSIBLE;
      return -Math.log(Math.max(row[role] ?? 0, FLOOR)) - bonus;
    }),
  );
  // Munkres wants costs of zero or more; a constant on every row changes no answer.
  const shift = NEEDED;
  const pairs = munkres(costs.map((row) => row.map((cost) => cost + shift)));
  const roles = chances.map(() => 0);
  let cost = 0;
  for (const [wire, seat] of pairs) {
    const own = costs[wire]?.[seat];
    const at = seats[seat];
    if (own === undefined || at === undefined) continue;
    roles[wire] = at.role;
    cost += own;
  }
  return cost >= IMPOSSIBLE / 2 ? undefined : { roles, cost };
}
