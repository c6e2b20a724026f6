import fc from 'fast-check';
import Graph from 'graphology';
import { dijkstra } from 'graphology-shortest-path';
import { BODY_ZONES } from '../../vehicle';
import type { BodyKnowledge, BodyStyle, LaidRoute, Passage } from '../index';
import {
  BODY_STYLES,
  PASSAGE_KINDS,
  ROUTE_AIMS,
  bodyGraph,
  leadLength,
  mountSpots,
  routeCost,
  routeLeads,
  shortestPath,
  usualMount,
} from '../index';

const KNOWLEDGE = fc.record({
  style: fc.constantFrom(...BODY_STYLES),
  steering: fc.constantFrom('left' as const, 'right' as const),
});
/** Two spots of a body by their place among all. */
const ENDS = fc.tuple(fc.nat(60), fc.nat(60));

function spotsOf(knowledge: BodyKnowledge, [a, b]: readonly [number, number]) {
  const body = bodyGraph(knowledge);
  const ids = [...body.spots.keys()];
  return { body, from: ids[a % ids.length] ?? '', to: ids[b % ids.length] ?? '' };
}

describe('a body', () => {
  it.each(BODY_STYLES)('%s: every spot is reached from every other', (style) => {
    const { spots, passages } = bodyGraph({ style, steering: 'left' });
    const [first = ''] = spots.keys();
    for (const to of spots.keys())
      expect(shortestPath(passages, { from: first, to }, () => 1)).toBeDefined();
    for (const { from, to } of passages)
      expect([spots.has(from), spots.has(to)]).toEqual([true, true]);
  });

  it('has a spot for every zone of a vehicle, on every side', () => {
    for (const style of BODY_STYLES)
      for (const zone of BODY_ZONES)
        for (const side of ['left', 'middle', 'right', 'driver', 'passenger', undefined] as const) {
          const body = bodyGraph({ style, steering: 'right' });
          expect(body.spots.has(body.spotAt({ zone, side }) ?? '')).toBe(true);
        }
    expect(bodyGraph({ style: 'van', steering: 'left' }).spotAt({})).toBeUndefined();
  });

  it('is mirrored by the steering side, with pedals and column on the driver’s', () => {
    const hazardOf = (steering: 'left' | 'right', spot: string): readonly string[] =>
      bodyGraph({ style: 'hatch', steering }).passages.find(({ id }) =>
        id.startsWith(`footwell.${spot} dash.${spot}`),
      )?.hazards ?? [];
    expect(hazardOf('left', 'left')).toContain('pedals');
    expect(hazardOf('left', 'right')).not.toContain('pedals');
    expect(hazardOf('right', 'right')).toContain('pedals');
    const driver = { zone: 'kick panel', side: 'driver' } as const;
    expect(bodyGraph({ style: 'hatch', steering: 'right' }).spotAt(driver)).toBe('kick.right');
    // A route and its mirror image are equally long.
    fc.assert(
      fc.property(fc.constantFrom<BodyStyle>('saloon', 'van', 'bus'), (style) => {
        const way = (steering: 'left' | 'right'): number => {
          const body = bodyGraph({ style, steering });
          const to = body.spotAt({ zone: 'kick panel', side: 'driver' }) ?? '';
          return routeLeads(body, [{ id: 'a', from: 'screenTop', to }]).leads[0]?.wayM ?? 0;
        };
        expect(way('left')).toBeCloseTo(way('right'), 9);
      }),
    );
  });

  it('scales with its measures, and takes a measured passage before them', () => {
    const base = { style: 'estate', steering: 'left' } as const;
    const sill = (knowledge: BodyKnowledge): number =>
      bodyGraph(knowledge).passages.find(({ id }) => id === 'kick.left sill.left sill')?.lengthM ??
      0;
    const twice = sill({ ...base, measures: { lengthM: 9.4, widthM: 3.6, heightM: 2.96 } });
    expect(twice / sill(base)).toBeCloseTo(2, 6);
    const passages = { 'kick.left sill.left sill': { lengthM: 1.23 } };
    expect(sill({ ...base, passages })).toBe(1.23);
    expect(sill({ ...base, passages: { 'kick.left sill.left sill': { blocked: true } } })).toBe(0);
  });
});

describe('the shortest path', () => {
  it('is that of a general graph library, whatever the body and the ends (graphology)', () => {
    fc.assert(
      fc.property(KNOWLEDGE, ENDS, (knowledge, ends) => {
        const { body, from, to } = spotsOf(knowledge, ends);
        const graph = new Graph({ type: 'undirected', multi: true });
        for (const id of body.spots.keys()) graph.addNode(id);
        for (const one of body.passages)
          graph.addEdgeWithKey(one.id, one.from, one.to, { weight: one.lengthM });
        const nodes = dijkstra.bidirectional(graph, from, to) ?? [];
        const weight = nodes
          .slice(1)
          .reduce(
            (sum, node, index) => sum + leastBetween(body.passages, nodes[index] ?? '', node),
            0,
          );
        const ours = shortestPath(body.passages, { from, to }, ({ lengthM }) => lengthM);
        expect(ours?.cost).toBeCloseTo(weight, 9);
      }),
      { numRuns: 400 },
    );
  });

  it('is undefined where everything is blocked, and empty from a spot to itself', () => {
    expect(shortestPath([], { from: 'a', to: 'b' }, () => 1)).toBeUndefined();
    expect(shortestPath([], { from: 'a', to: 'a' }, () => 1)).toEqual({ passages: [], cost: 0 });
  });
});

function leastBetween(passages: readonly Passage[], a: string, b: string): number {
  return Math.min(
    ...passages
      .filter(({ from, to }) => (from === a && to === b) || (from === b && to === a))
      .map(({ lengthM }) => lengthM),
  );
}

/** Every loop-free path between two spots, no longer than so many passages: the reference for small jobs. */
function everyPath(
  passages: readonly Passage[],
  from: string,
  to: string,
  most: number,
): Passage[][] {
  const found: Passage[][] = [];
  const walk = (here: string, so: Passage[], been: ReadonlySet<string>): void => {
    if (here === to) return void found.push(so);
    if (so.length === most) return;
    for (const one of passages) {
      if (one.from !== here && one.to !== here) continue;
      const there = one.from === here ? one.to : one.from;
      if (!been.has(there)) walk(there, [...so, one], new Set([...been, there]));
    }
  };
  walk(from, [], new Set([from]));
  return found;
}

describe('the leads of a job', () => {
  it('are laid as cheaply as any two paths together, on small bodies (every pair tried)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<BodyStyle>('twoWheeler', 'buggy', 'boat'),
        ENDS,
        fc.nat(20),
        fc.constantFrom(...ROUTE_AIMS),
        (style, ends, third, aim) => {
          const { body, from, to } = spotsOf({ style, steering: 'left' }, ends);
          const other = [...body.spots.keys()][third % body.spots.size] ?? '';
          const laid = routeLeads(
            body,
            [
              { id: 'a', from, to },
              { id: 'b', from, to: other },
            ],
            aim,
          );
          const [one, two] = [to, other].map((end) => everyPath(body.passages, from, end, 8));
          const best = Math.min(
            ...(one ?? []).flatMap((a) => (two ?? []).map((b) => routeCost([a, b], aim))),
          );
          expect(laid.cost).toBeCloseTo(best, 6);
        },
      ),
      // Found by chance once: the leads part behind the spot where each by itself would leave the other.
      { numRuns: 60, examples: [['buggy', [0, 59], 11, 'quick']] },
    );
  });

  it('share the trim that is off: two by one pillar open it once', () => {
    const body = bodyGraph({ style: 'saloon', steering: 'left' });
    const one = routeLeads(body, [{ id: 'a', from: 'screenTop', to: 'dash.left' }]);
    const two = routeLeads(body, [
      { id: 'a', from: 'screenTop', to: 'dash.left' },
      { id: 'b', from: 'screenTop', to: 'kick.left' },
    ]);
    const opened = (route: LaidRoute): string[] => route.opened.map(({ kind }) => kind);
    expect(opened(one)).toContain('aPillar');
    expect(opened(two).filter((kind) => kind === 'aPillar')).toHaveLength(1);
    expect(two.leads.every(({ hazards }) => hazards.includes('curtainAirbag'))).toBe(true);
  });

  it('trade length, work and hazards: each aim is the best at its own', () => {
    fc.assert(
      fc.property(KNOWLEDGE, ENDS, (knowledge, ends) => {
        const { body, from, to } = spotsOf(knowledge, ends);
        const by = Object.fromEntries(
          ROUTE_AIMS.map((aim) => [aim, routeLeads(body, [{ id: 'a', from, to }], aim)]),
        ) as Record<(typeof ROUTE_AIMS)[number], LaidRoute>;
        for (const aim of ROUTE_AIMS)
          for (const other of ROUTE_AIMS) {
            const paths = by[other].leads.map(({ passages }) => passages);
            expect(by[aim].cost).toBeLessThanOrEqual(routeCost(paths, aim) + 1e-6);
          }
      }),
      { numRuns: 100 },
    );
  });

  it('say what no way leads to, and lay the rest', () => {
    const passages = Object.fromEntries(
      bodyGraph({ style: 'boat', steering: 'left' })
        .passages.filter(({ to }) => to === 'mast')
        .map(({ id }) => [id, { blocked: true }]),
    );
    const body = bodyGraph({ style: 'boat', steering: 'left', passages });
    const laid = routeLeads(body, [
      { id: 'a', from: 'helm', to: 'mast' },
      { id: 'b', from: 'helm', to: 'stern' },
    ]);
    expect(laid.unreachable).toEqual(['a']);
    expect(laid.leads.map(({ id }) => id)).toEqual(['b']);
  });

  it('come out the same whatever the order they are named in', () => {
    fc.assert(
      fc.property(
        KNOWLEDGE,
        fc.array(fc.nat(60), { minLength: 2, maxLength: 5 }),
        (knowledge, ends) => {
          const body = bodyGraph(knowledge);
          const ids = [...body.spots.keys()];
          const from = usualMount(body, 'dashcamKit');
          const leads = ends.map((end, index) => ({
            id: `l${index}`,
            from,
            to: ids[end % ids.length] ?? '',
          }));
          const there = routeLeads(body, leads);
          const back = routeLeads(body, [...leads].reverse());
          expect(back.cost).toBeCloseTo(there.cost, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are none for no lead', () => {
    const body = bodyGraph({ style: 'hatch', steering: 'left' });
    expect(routeLeads(body, [])).toMatchObject({ leads: [], opened: [], seconds: 0, cost: 0 });
  });
});

describe('what is cut', () => {
  it('is the way with slack and a loop at both ends, in steps of 0.1 m, clipped every 0.45 m', () => {
    expect(leadLength(2)).toEqual({ wayM: 2, cutM: 2.5, clips: 5 });
    expect(leadLength(0)).toEqual({ wayM: 0, cutM: 0.3, clips: 0 });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20, noNaN: true }), (wayM) => {
        const { cutM, clips } = leadLength(wayM);
        expect(cutM).toBeGreaterThan(wayM);
        expect(cutM - (wayM * 1.1 + 0.3)).toBeLessThan(0.1 + 1e-9);
        // ABYC E-11, from memory: no more than 18 in between supports.
        if (clips > 0) expect(wayM / clips).toBeLessThanOrEqual(0.45 + 1e-9);
      }),
    );
  });

  it('comes to what an installer lays: windscreen to a fuse panel at the dash end in 2 to 3.5 m (common practice)', () => {
    for (const style of ['saloon', 'hatch', 'estate', 'pickup'] as const) {
      const body = bodyGraph({ style, steering: 'left' });
      const [lead] = routeLeads(body, [{ id: 'a', from: 'screenTop', to: 'dash.left' }]).leads;
      const { cutM } = leadLength(lead?.wayM ?? 0);
      expect(cutM).toBeGreaterThan(1.6);
      expect(cutM).toBeLessThan(3.5);
    }
  });
});

it('mounts a device at spots that the body has, each with its cautions', () => {
  for (const style of BODY_STYLES) {
    const body = bodyGraph({ style, steering: 'left' });
    const spots = mountSpots(body);
    expect(spots.length).toBeGreaterThan(2);
    for (const family of ['radio', 'dashcamKit', 'remoteStart', 'camera', undefined] as const)
      expect(body.spots.has(usualMount(body, family))).toBe(true);
    for (const { cautions } of spots) expect(cautions.length).toBeGreaterThan(0);
  }
});

it('every kind of passage that opens trim names its tools or needs none', () => {
  for (const kind of Object.values(PASSAGE_KINDS)) {
    expect(kind.detour).toBeGreaterThanOrEqual(1);
    if (kind.trim !== undefined && kind.openS >= 60) expect(kind.tools.length).toBeGreaterThan(0);
  }
});
