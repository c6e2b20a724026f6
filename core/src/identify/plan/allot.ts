import type { FindScope } from '../need/findScope';
import type { PreparedNeed } from '../need/needs';
import type { Circumstances } from './checks';
import type { Pursuit } from './pursuit';
import { pursuitsFor } from './pursuit';
import { byScarcity, fillsFor } from '../need/fills';
import { isSignal } from '../need/needs';
import { lampWantedAt } from '../verdict/settled';
import type { Verdict } from '../verdict/verdict';

/** What serves the needs so far, and what to follow up for the others. No source twice. */
export interface Allotment {
  /** Source of each need that has one, by need id. */
  readonly filled: ReadonlyMap<string, string>;
  readonly leaders: readonly Pursuit[];
}

/** A source this likely to be safety-critical serves only when nothing better is left to follow. */
const WARY = 0.1;
/** Something better promises at least this much. */
const PROMISING = 0.03;
/** What a need without any source is worth in seconds of work: another panel, or a wire in the harness. */
const GIVEN_UP_SECONDS = 300;
/** Up to so many needs every order is tried; more only in the order of scarcity. */
const MOST_ORDERED = 4;

/**
 * A source for every need that has one, and one to follow up for the others. Needs compete for sources: of the orders
 * in which they may choose, the one with the least expected work over all of them is taken, the scarcest need first
 * when that makes no difference.
 */
export function allot(scope: FindScope, at: Circumstances): Allotment {
  const options = new Map<PreparedNeed, Options>();
  const optionsOf = (wanted: PreparedNeed): Options => {
    const known = options.get(wanted) ?? optionsFor(wanted, scope, at);
    options.set(wanted, known);
    return known;
  };
  let best: (Allotment & { readonly seconds: number }) | undefined;
  for (const order of ordersOf(byScarcity(scope))) {
    const made = allotInOrder(order, optionsOf);
    if (best === undefined || made.seconds < best.seconds - SAME_SECONDS) best = made;
  }
  return best ?? { filled: new Map(), leaders: [] };
}

/** Orders closer than this are the same. */
const SAME_SECONDS = 0.01;

/** What may serve a need, whoever else wants it. */
interface Options {
  /** Sources that fill it, most welcome first. */
  readonly fills: readonly Verdict[];
  /** Sources to follow up, best first; worked out when asked for. */
  readonly pursuits: () => readonly Pursuit[];
}

/** Whether a wire is tried with a lamp before it is taken: a slot’s legend speaks for it, nothing for a wire. */
function isLampWanted(verdict: Verdict, wanted: PreparedNeed, { lamp }: Circumstances): boolean {
  return lamp && !isSignal(wanted.need) && lampWantedAt(verdict) !== undefined;
}

function optionsFor(wanted: PreparedNeed, scope: FindScope, at: Circumstances): Options {
  let pursuits: readonly Pursuit[] | undefined;
  return {
    fills: fillsFor(wanted, scope).filter((one) => !isLampWanted(one, wanted, at)),
    pursuits: () => (pursuits ??= pursuitsFor(wanted, scope, at)),
  };
}

function allotInOrder(
  order: readonly PreparedNeed[],
  optionsOf: (wanted: PreparedNeed) => Options,
): Allotment & { readonly seconds: number } {
  const filled = new Map<string, string>();
  const leaders: Pursuit[] = [];
  const taken = new Set<string>();
  let seconds = 0;
  for (const wanted of order) {
    const { fills, pursuits } = optionsOf(wanted);
    const fill = fills.find(({ sourceId }) => !taken.has(sourceId));
    const isWary = fill !== undefined && fill.posterior.critical > WARY;
    const open =
      fill !== undefined && !isWary
        ? []
        : pursuits().filter(
            (one) =>
              !taken.has(one.verdict.sourceId) &&
              (!isWary || (one.danger < WARY && one.chance >= PROMISING)),
          );
    const leader = open[0];
    if (leader !== undefined) {
      leaders.push(leader);
      taken.add(leader.verdict.sourceId);
    } else if (fill !== undefined) {
      filled.set(wanted.need.id, fill.sourceId);
      taken.add(fill.sourceId);
    }
    seconds += secondsToFill(open, fill === undefined ? GIVEN_UP_SECONDS : 0);
  }
  return { filled, leaders, seconds };
}

/** Expected seconds until one of the pursuits, followed in their order, fills the need; `otherwise` when none does. */
function secondsToFill(pursuits: readonly Pursuit[], otherwise: number): number {
  let seconds = 0;
  let failing = 1;
  for (const one of pursuits) {
    seconds += failing * (one.seconds + one.chance * one.price);
    failing *= 1 - one.chance;
  }
  return seconds + failing * otherwise;
}

function ordersOf(needs: readonly PreparedNeed[]): readonly (readonly PreparedNeed[])[] {
  return needs.length > MOST_ORDERED ? [needs] : permutations(needs);
}

/** Every order, the given one first. */
function permutations<T>(of: readonly T[]): T[][] {
  if (of.length < 2) return [[...of]];
  return of.flatMap((first, index) =>
    permutations(of.filter((_, at) => at !== index)).map((rest) => [first, ...rest]),
  );
}
