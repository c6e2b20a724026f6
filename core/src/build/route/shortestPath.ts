import type { Passage } from '../body/bodyGraph';

/** Passages from one spot to another, in order, and what they cost together. */
export interface Path {
  readonly passages: readonly Passage[];
  /** Sum of the costs along it, 0 or more. */
  readonly cost: number;
}

/**
 * The cheapest path between two spots (Dijkstra 1959); undefined where there is none. Ties go to the path found first, and
 * passages are looked at in their own order, so that the same body gives the same path.
 *
 * @param costOf cost of a passage, above 0
 */
export function shortestPath(
  passages: readonly Passage[],
  { from, to }: { readonly from: string; readonly to: string },
  costOf: (passage: Passage) => number,
): Path | undefined {
  const ways = waysFrom(passages);
  const best = new Map<string, Path>([[from, { passages: [], cost: 0 }]]);
  const open = new Set([from]);
  while (open.size > 0) {
    const here = nearest(open, best);
    open.delete(here);
    const so = best.get(here);
    if (so === undefined) break;
    if (here === to) return so;
    for (const passage of ways.get(here) ?? []) {
      const there = passage.from === here ? passage.to : passage.from;
      const cost = so.cost + costOf(passage);
      if (cost >= (best.get(there)?.cost ?? Infinity)) continue;
      best.set(there, { passages: [...so.passages, passage], cost });
      open.add(there);
    }
  }
  return undefined;
}

function waysFrom(passages: readonly Passage[]): ReadonlyMap<string, readonly Passage[]> {
  const ways = new Map<string, Passage[]>();
  for (const passage of passages)
    for (const end of [passage.from, passage.to]) {
      const list = ways.get(end);
      if (list === undefined) ways.set(end, [passage]);
      else list.push(passage);
    }
  return ways;
}

/** A body has some forty spots: looking through the open ones is as quick as a heap. */
function nearest(open: ReadonlySet<string>, best: ReadonlyMap<string, Path>): string {
  let found = '';
  let least = Infinity;
  for (const one of open) {
    const cost = best.get(one)?.cost ?? Infinity;
    if (cost < least) [found, least] = [one, cost];
  }
  return found;
}
