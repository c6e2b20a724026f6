import { mayShareWire } from '../identify';

/** A source that could serve a feed, with its worth for it. */
export interface SetCandidate {
  readonly sourceId: string;
  readonly panelId: string;
  /** Worth of this source for this feed; more is better. */
  readonly score: number;
}

/** A feed with its candidates. */
export interface SetFeed {
  readonly feedId: string;
  /** What it is for; two roles that may share a wire may take the same one. */
  readonly role?: string | undefined;
  /** Continuous current at 12 V, A. */
  readonly currentA: number;
  /** Slots that could serve it, in any order. */
  readonly candidates: readonly SetCandidate[];
}

/** What the whole set costs beside its parts. */
export interface SetRules {
  /** Cost of each panel that has to be opened. */
  readonly panelCost: number;
  /** Most that may be added to one panel in all, A. */
  readonly panelLimitA: number;
  /** How many sets are wanted. */
  readonly count: number;
}

/** Sources for all feeds together. */
export interface SourceSet {
  /** Slot by feed. */
  readonly slots: Readonly<Record<string, string>>;
  /** Panels that have to be opened, by id. */
  readonly panels: readonly string[];
  /** The higher the better; comparable within one job only. */
  readonly score: number;
}

/** What opening one more panel is worth, and what may be added to one in all. Common practice. */
export const SET_RULES: SetRules = { panelCost: 0.25, panelLimitA: 30, count: 2 };

/**
 * The best sets of sources over all feeds of a job, best first: no source serves two feeds unless both go by its ohms, no panel is overloaded, and every
 * panel opened costs. True optima, by branch and bound: per feed and panel only so many candidates can matter as there are
 * feeds and sets wanted. Ties go to the slot ids in their order.
 */
export function bestSets(feeds: readonly SetFeed[], rules: SetRules = SET_RULES): SourceSet[] {
  const trimmed = feeds.map((feed) => ({
    ...feed,
    candidates: trim(feed.candidates, feeds.length - 1 + rules.count),
  }));
  // Feeds with the fewest candidates first: the tree stays narrow.
  const order = [...trimmed].sort(
    (left, right) =>
      left.candidates.length - right.candidates.length || left.feedId.localeCompare(right.feedId),
  );
  const bounds = remainingBest(order);
  const found: SourceSet[] = [];
  const search = (depth: number, so: Partial): void => {
    const feed = order[depth];
    if (feed === undefined) {
      keep(found, toSet(order, so), rules.count);
      return;
    }
    for (const candidate of feed.candidates) {
      const taken = (one: string, at: number): boolean =>
        one === candidate.sourceId && !mayShareWire(order[at]?.role ?? '', feed.role ?? '');
      if (so.slotIds.some(taken)) continue;
      const load = (so.loads.get(candidate.panelId) ?? 0) + feed.currentA;
      if (load > rules.panelLimitA) continue;
      const opened = so.loads.has(candidate.panelId) ? 0 : rules.panelCost;
      const score = so.score + candidate.score - opened;
      const worst = found.length < rules.count ? -Infinity : (found[found.length - 1]?.score ?? 0);
      if (score + (bounds[depth + 1] ?? 0) < worst) continue;
      search(depth + 1, {
        score,
        slotIds: [...so.slotIds, candidate.sourceId],
        loads: new Map(so.loads).set(candidate.panelId, load),
      });
    }
  };
  search(0, { score: 0, slotIds: [], loads: new Map() });
  return found;
}

interface Partial {
  readonly score: number;
  readonly slotIds: readonly string[];
  readonly loads: ReadonlyMap<string, number>;
}

function trim(candidates: readonly SetCandidate[], perPanel: number): SetCandidate[] {
  const counts = new Map<string, number>();
  return [...candidates]
    .sort((left, right) => right.score - left.score || left.sourceId.localeCompare(right.sourceId))
    .filter(({ panelId }) => {
      const count = (counts.get(panelId) ?? 0) + 1;
      counts.set(panelId, count);
      return count <= perPanel;
    });
}

/** The most that the feeds from each depth on could still add. */
function remainingBest(order: readonly SetFeed[]): number[] {
  const bounds = new Array<number>(order.length + 1).fill(0);
  for (let depth = order.length - 1; depth >= 0; depth -= 1)
    bounds[depth] = (bounds[depth + 1] ?? 0) + (order[depth]?.candidates[0]?.score ?? 0);
  return bounds;
}

function toSet(order: readonly SetFeed[], so: Partial): SourceSet {
  return {
    slots: Object.fromEntries(
      order.map((feed, index) => [feed.feedId, so.slotIds[index] as string]),
    ),
    panels: [...so.loads.keys()].sort(),
    score: so.score,
  };
}

function keep(found: SourceSet[], set: SourceSet, count: number): void {
  found.push(set);
  found.sort((left, right) => right.score - left.score || key(left).localeCompare(key(right)));
  found.length = Math.min(found.length, count);
}

function key(set: SourceSet): string {
  return Object.entries(set.slots)
    .sort(([left], [right]) => left.localeCompare(right))
    .map(([, sourceId]) => sourceId)
    .join(' ');
}
