import type { BodyGraph, Passage } from '../body/bodyGraph';
import type { RouteHazard } from '../body/passageKinds';
import { PASSAGE_KINDS, ROUTE_HAZARDS } from '../body/passageKinds';
import type { RouteAim } from './routeAims';
import { shortestPath } from './shortestPath';

/** What a metre of lead, a second of work and a second of a hazard’s price weigh. Our own choice: a metre is worth half a minute. */
const WEIGHTS: Record<
  RouteAim,
  { readonly perM: number; readonly work: number; readonly hazard: number }
> = {
  balanced: { perM: 30, work: 1, hazard: 1 },
  short: { perM: 300, work: 0.2, hazard: 0.2 },
  quick: { perM: 10, work: 3, hazard: 0.2 },
  clear: { perM: 15, work: 0.3, hazard: 6 },
};

/** A lead to be laid: from the device to its source. */
export interface LeadToLay {
  /** The feed’s id. */
  readonly id: string;
  /** Spot of the device. */
  readonly from: string;
  /** Spot of its source. */
  readonly to: string;
}

/** A lead as it is laid. */
export interface LaidLead extends LeadToLay {
  /** Its way, from the device on. */
  readonly passages: readonly Passage[];
  /** Along the passages, without slack, m. */
  readonly wayM: number;
  /** Everything to mind along it, once each. */
  readonly hazards: readonly RouteHazard[];
}

/** All leads of a job as they are laid together. */
export interface LaidRoute {
  /** Leads with their ways. */
  readonly leads: readonly LaidLead[];
  /** Leads that no way leads to. */
  readonly unreachable: readonly string[];
  /** Trim that comes off, each once, with what holds it and the tools for it. */
  readonly opened: readonly Passage[];
  /** Work of opening, laying and closing, s. */
  readonly seconds: number;
  /** By the aim’s weights; comparable within one aim. */
  readonly cost: number;
}

/** Rounds of laying each lead anew beside the others; each one makes it no dearer, and a few settle it. */
const MOST_ROUNDS = 8;

/**
 * Lays all leads of a job: each by the cheapest path beside the others, since trim that is off for one is off for all. Begun once in
 * each order of the leads’ lengths and from the best trunk that all share, then laid anew one by one until nothing gets cheaper. Of two
 * leads from one device that is the cheapest way there is.
 */
export function routeLeads(
  body: BodyGraph,
  leads: readonly LeadToLay[],
  aim: RouteAim = 'balanced',
): LaidRoute {
  const alone = leads.map((lead) => ({ lead, path: pathOf(body, lead, aim, new Set()) }));
  const unreachable = alone.flatMap(({ lead, path }) => (path === undefined ? [lead.id] : []));
  const reachable = leads.filter((lead) => !unreachable.includes(lead.id));
  const wayOf = (lead: LeadToLay): number => lengthOf(pathOf(body, lead, aim, new Set()) ?? []);
  const byLength = [...reachable].sort((a, b) => wayOf(b) - wayOf(a) || a.id.localeCompare(b.id));
  const orders = [
    byLength,
    [...byLength].reverse(),
    ...byLength.map((one) => [one, ...byLength.filter((other) => other !== one)]),
  ];
  const starts = [
    ...orders.map((order) => ({ order, paths: layInOrder(body, order, aim) })),
    ...bestFork(body, byLength, aim),
  ];
  const laid = starts.map((start) => untilSteady(body, start, aim));
  const best = laid.reduce(
    (least, one) => (one.cost < least.cost - 1e-9 ? one : least),
    laid[0] ?? EMPTY,
  );
  const paths = best.paths;
  const opened = openedBy([...paths.values()]);
  return {
    leads: reachable.map((lead): LaidLead => {
      const passages = paths.get(lead.id) ?? [];
      return {
        ...lead,
        passages,
        wayM: lengthOf(passages),
        hazards: [...new Set(passages.flatMap((one) => one.hazards))],
      };
    }),
    unreachable,
    opened,
    seconds:
      opened.reduce((sum, one) => sum + PASSAGE_KINDS[one.kind].openS, 0) +
      [...paths.values()]
        .flat()
        .reduce((sum, one) => sum + PASSAGE_KINDS[one.kind].layS * one.lengthM, 0),
    cost: best.cost,
  };
}

interface SteadyRoute {
  readonly paths: ReadonlyMap<string, readonly Passage[]>;
  readonly cost: number;
}

const EMPTY: SteadyRoute = { paths: new Map(), cost: 0 };

/** A first way for every lead, and the order in which they are laid anew. */
interface Start {
  readonly order: readonly LeadToLay[];
  readonly paths: ReadonlyMap<string, readonly Passage[]>;
}

/** Each lead beside those before it; `trunk` lies already and is every lead’s beginning. */
function layInOrder(
  body: BodyGraph,
  order: readonly LeadToLay[],
  aim: RouteAim,
  trunk: readonly Passage[] = [],
): Map<string, readonly Passage[]> {
  const paths = new Map<string, readonly Passage[]>();
  const open = new Set(trunk.map(({ id }) => id));
  for (const lead of order) {
    const path = pathOf(body, lead, aim, open) ?? [];
    paths.set(lead.id, [...trunk, ...path]);
    for (const { id } of path) open.add(id);
  }
  return paths;
}

/**
 * Leads from one device run together to a fork and part there: the fork that makes them cheapest. Two that part never meet again to
 * any gain, so that for two leads no other way can be cheaper.
 */
function bestFork(body: BodyGraph, order: readonly LeadToLay[], aim: RouteAim): Start[] {
  const [first, ...others] = order;
  if (first === undefined || others.length === 0) return [];
  if (others.some(({ from }) => from !== first.from)) return [];
  let best: (Start & { readonly cost: number }) | undefined;
  for (const fork of body.spots.keys()) {
    const trunk = shortestPath(
      body.passages,
      { from: first.from, to: fork },
      (one) => order.length * ownCost(one, aim) + openCost(one, aim),
    );
    if (trunk === undefined) continue;
    const parted = order.map((lead) => ({ ...lead, from: fork }));
    const paths = layInOrder(body, parted, aim, trunk.passages);
    const cost = routeCost([...paths.values()], aim);
    if (cost < (best?.cost ?? Infinity) - 1e-9) best = { order, paths, cost };
  }
  return best === undefined ? [] : [best];
}

function untilSteady(body: BodyGraph, { order, ...from }: Start, aim: RouteAim): SteadyRoute {
  const paths = new Map(from.paths);
  let cost = routeCost([...paths.values()], aim);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    for (const lead of order) {
      const others = [...paths].filter(([id]) => id !== lead.id).flatMap(([, path]) => path);
      paths.set(lead.id, pathOf(body, lead, aim, new Set(others.map((one) => one.id))) ?? []);
    }
    const now = routeCost([...paths.values()], aim);
    if (now >= cost - 1e-9) break;
    cost = now;
  }
  return { paths, cost: routeCost([...paths.values()], aim) };
}

function pathOf(
  body: BodyGraph,
  lead: LeadToLay,
  aim: RouteAim,
  open: ReadonlySet<string>,
): readonly Passage[] | undefined {
  const path = shortestPath(
    body.passages,
    lead,
    (passage) => ownCost(passage, aim) + (open.has(passage.id) ? 0 : openCost(passage, aim)),
  );
  return path?.passages;
}

/** What a lead costs along a passage whether or not others lie there: metres and laying. */
function ownCost(passage: Passage, aim: RouteAim): number {
  const { perM, work } = WEIGHTS[aim];
  return passage.lengthM * (perM + work * PASSAGE_KINDS[passage.kind].layS) + LEAST_COST;
}

/** Every passage costs something, so that of two equal ways the one with fewer corners is taken. */
const LEAST_COST = 0.01;

/** What a passage costs once: its trim and its hazards. */
function openCost({ kind, hazards }: Passage, aim: RouteAim): number {
  const { work, hazard } = WEIGHTS[aim];
  const price = hazards.reduce((sum, one) => sum + ROUTE_HAZARDS[one].penaltyS, 0);
  return work * PASSAGE_KINDS[kind].openS + hazard * price;
}

/** What paths cost together: every lead its metres, every passage once. */
export function routeCost(paths: readonly (readonly Passage[])[], aim: RouteAim): number {
  const own = paths.flat().reduce((sum, one) => sum + ownCost(one, aim), 0);
  return own + openedBy(paths).reduce((sum, one) => sum + openCost(one, aim), 0);
}

function openedBy(paths: readonly (readonly Passage[])[]): Passage[] {
  return [...new Map(paths.flat().map((one) => [one.id, one])).values()];
}

function lengthOf(passages: readonly Passage[]): number {
  return passages.reduce((sum, one) => sum + one.lengthM, 0);
}
