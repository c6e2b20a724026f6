import fc from 'fast-check';
import { DirectedGraph } from 'graphology';
import { hasCycle, topologicalSort } from 'graphology-dag';
import type { JobStep, StepLead, StepsGiven } from '../index';
import { EXACT_STEPS, bodyGraph, changeCost, jobSteps, orderSteps, routeLeads } from '../index';

const PLACES = ['Dash panel', 'Kick panel', 'Boot panel'] as const;

/** A lead of a made-up job, laid through a real body. */
function leadOf(index: number, of: { slot: boolean; place: number; slides: boolean }): StepLead {
  const body = bodyGraph({ style: 'estate', steering: 'left' });
  const to = ['dash.left', 'kick.left', 'load.left'][of.place] ?? 'dash.left';
  const [laid] = routeLeads(body, [{ id: 'x', from: 'screenTop', to }]).leads;
  const common = {
    feedId: `f${index}`,
    feedName: `Feed ${index}`,
    fuseA: 5,
    awg: 18,
    oneWayM: 3.2,
  };
  return {
    place: PLACES[of.place] ?? PLACES[0],
    access: ['Pull the flap off.'],
    accessS: 30,
    accessTool: 'trim tool',
    passages: laid?.passages ?? [],
    slideOn: of.slides ? ['heat-shrink'] : [],
    tap: of.slot
      ? {
          ...common,
          at: 'slot',
          position: `F${index}`,
          family: 'mini',
          originalA: 15,
          supplyLandmark: 'door side',
        }
      : { ...common, at: 'wire', position: `W${index}`, method: 'sealed crimp splice', cuts: true },
  };
}

const LEAD = fc.record({ slot: fc.boolean(), place: fc.nat(2), slides: fc.boolean() });
const GIVEN = fc
  .record({
    leads: fc.array(LEAD, { minLength: 1, maxLength: 5 }),
    battery: fc.constantFrom('probe live' as const, 'disconnect first' as const),
    starts: fc.boolean(),
  })
  .map(({ leads, battery, starts }): StepsGiven => ({
    leads: leads.map((one, index) => leadOf(index, one)),
    device: { name: 'dashcam', mount: 'windscreen, top', cautions: ['Out of view.'], starts },
    ground: { place: 'stud behind the kick panel', ring: 'M6' },
    battery,
    notes: [{ place: 'Dash panel', text: 'One clip stays behind.' }],
  }));

describe('the order of work', () => {
  it('keeps every rule of the trade, whatever the job', () => {
    fc.assert(
      fc.property(GIVEN, (given) => {
        const order = orderSteps(jobSteps(given)).steps.map(({ id }) => id);
        const at = (begins: string): number =>
          order.findIndex(
            (id) => id === begins || id.startsWith(`${begins}@`) || id.startsWith(`${begins}:`),
          );
        const all = (begins: string): number[] =>
          order.flatMap((id, index) => (id.startsWith(begins) ? [index] : []));
        const fuses = all('fuse:');
        // All added fuses last of the work; far ends, ground and joints before any of them.
        for (const before of [
          ...all('far:'),
          ...all('fit:'),
          ...all('lay:'),
          at('ground'),
          at('mount'),
        ])
          expect(before).toBeLessThan(Math.min(...fuses));
        // Prove before trim.
        expect(at('prove')).toBeGreaterThan(Math.max(...fuses));
        for (const after of [...all('refit:'), ...all('close:')])
          expect(after).toBeGreaterThan(at('prove'));
        for (const { tap, slideOn, place } of given.leads) {
          const { feedId } = tap;
          const fit = at(`fit:${feedId}`);
          // The key off, ground made, the place open, the far end safe, before a joint.
          for (const id of ['off', 'ground', `far:${feedId}`, `open:${place.replaceAll(' ', '_')}`])
            expect(at(id)).toBeLessThan(fit);
          // Slide-on parts before the crimp; read before cutting.
          if (slideOn.length > 0) expect(at(`slide:${feedId}`)).toBeLessThan(fit);
          if (tap.at === 'wire') expect(at(`read:${feedId}`)).toBeLessThan(fit);
        }
        if (given.battery === 'disconnect first') {
          // Measured before it comes off, on again before anything is proved.
          for (const read of all('read:')) expect(read).toBeLessThan(at('battery-off'));
          for (const fit of all('fit:')) {
            expect(fit).toBeGreaterThan(at('battery-off'));
            expect(fit).toBeLessThan(at('battery-on'));
          }
          expect(at('battery-on')).toBeLessThan(Math.min(...fuses));
        }
        // The last look is the last by its own rule, not by luck of the order.
        const last = jobSteps(given).find(({ id }) => id === 'last-look');
        for (const id of ['airbags', 'hand-over'])
          if (order.includes(id)) expect(last?.after).toContain(id);
        expect(order[order.length - 1]).toBe('last-look');
      }),
      { numRuns: 25 },
    );
  });

  it('puts back last what came off first, wherever trims lie over one another', () => {
    const body = bodyGraph({ style: 'estate', steering: 'left' });
    const touched = ['headlinerSide', 'aPillar', 'sill', 'kickPanel', 'cPillar'];
    const passages = body.passages.filter(({ kind }) => touched.includes(kind));
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 2 }) as [StepsGiven];
    const leads = given.leads.slice(0, 1).map((lead) => ({ ...lead, passages }));
    const order = orderSteps(jobSteps({ ...given, leads })).steps.map(({ id }) => id);
    const pairs = [
      ['headlinerSide', 'aPillar'],
      ['sill', 'kickPanel'],
      ['sill', 'cPillar'],
    ] as const;
    // A door’s seal lies over the pillars, the sill over kick panel and C-pillar. Common practice.
    for (const [over, under] of pairs) {
      const touching = passages
        .filter(({ kind }) => kind === over)
        .flatMap((one) =>
          passages
            .filter(({ kind }) => kind === under)
            .filter(({ from, to }) =>
              [one.from, one.to].some((spot) => spot === from || spot === to),
            )
            .map((other) => [one.id.replaceAll(' ', '_'), other.id.replaceAll(' ', '_')] as const),
        );
      expect(touching.length).toBeGreaterThan(0);
      for (const [top, below] of touching) {
        expect(order.indexOf(`trim:${top}`)).toBeLessThan(order.indexOf(`trim:${below}`));
        expect(order.indexOf(`refit:${top}`)).toBeGreaterThan(order.indexOf(`refit:${below}`));
      }
    }
  });

  it('says of every step that has a place where that is on the body', () => {
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 2 }) as [StepsGiven];
    const spots = new Map([
      ['windscreen, top', 'screenTop'],
      ...given.leads.map(({ place }): [string, string] => [place, 'kick.left']),
    ]);
    for (const step of jobSteps({ ...given, spots })) {
      if (/^(trim|refit):/.test(step.id)) expect(step.spots).toHaveLength(2);
      if (/^(open|fit|fuse|close):/.test(step.id)) expect(step.spots).toEqual(['kick.left']);
      if (step.id.startsWith('mount:')) expect(step.spots).toEqual(['screenTop']);
      if (step.id === 'off') expect(step.spots).toBeUndefined();
    }
  });

  it('says how thick the leads are at a rubber, and what is drilled where none has room', () => {
    const body = bodyGraph({ style: 'estate', steering: 'left' });
    const [laid] = routeLeads(body, [{ id: 'x', from: 'footwell.left', to: 'engine.left' }]).leads;
    const passages = laid?.passages ?? [];
    const grommet = passages.find(({ kind }) => kind === 'grommet');
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 2 }) as [StepsGiven];
    const cautions = (roomMm: number | undefined): string => {
      const leads = given.leads.slice(0, 1).map((lead) => ({
        ...lead,
        passages: passages.map((one) => (one === grommet ? { ...one, roomMm } : one)),
      }));
      const bundles = new Map([[grommet?.id ?? '', 5.2]]);
      return jobSteps({ ...given, leads, bundles })
        .filter(({ id }) => id.startsWith('lay:'))
        .flatMap((one) => one.cautions)
        .join(' ');
    };
    expect(cautions(undefined)).toMatch(/5\.2 mm thick.*9\.5 mm \(3\/8 in\) for a grommet of 6 mm/);
    expect(cautions(undefined)).toMatch(/far side first/);
    expect(cautions(9)).toMatch(/its rubber has 9 mm free/);
    expect(cautions(9)).not.toMatch(/a hole of/);
  });

  it('is a topological order of a graph without a circle, as a general graph library has it', () => {
    fc.assert(
      fc.property(GIVEN, (given) => {
        const steps = jobSteps(given);
        const graph = new DirectedGraph();
        for (const { id } of steps) graph.addNode(id);
        for (const { id, after } of steps) for (const one of new Set(after)) graph.addEdge(one, id);
        expect(hasCycle(graph)).toBe(false);
        expect(topologicalSort(graph)).toHaveLength(steps.length);
        const order = orderSteps(steps).steps.map(({ id }) => id);
        expect(new Set(order).size).toBe(steps.length);
        graph.forEachEdge((_edge, _of, before, after) =>
          expect(order.indexOf(before)).toBeLessThan(order.indexOf(after)),
        );
      }),
      { numRuns: 25 },
    );
  });

  it('names its steps so that they can be kept: no blanks, strokes or marks that are none, at most 80 letters', () => {
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 4 }) as [StepsGiven];
    fc.assert(
      fc.property(fc.string({ unit: 'binary', minLength: 1, maxLength: 40 }), (odd) => {
        const leads = given.leads.map((lead) => ({
          ...lead,
          place: odd,
          tap: { ...lead.tap, feedId: odd, position: `${odd} ${odd}` },
        }));
        for (const { id } of jobSteps({ ...given, leads }))
          expect(id).toMatch(/^[^\s/\p{C}]{1,80}$/u);
      }),
    );
  });

  it('sets the device up step after step after the proofs, by the guide that is named', () => {
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 9 });
    const setUp = {
      ...{ guide: '3.2', dated: '2025-02' },
      steps: [
        { say: 'Key to run.' },
        { say: 'Hold the button.', seconds: 10, answer: 'three flashes' },
      ],
    };
    const steps = jobSteps({ ...(given as StepsGiven), setUp });
    const order = orderSteps(steps).steps.map(({ id }) => id);
    expect(order.indexOf('set-up:1')).toBeGreaterThan(order.indexOf('prove'));
    expect(order.indexOf('set-up:2')).toBeGreaterThan(order.indexOf('set-up:1'));
    const [first, second] = steps.filter(({ id }) => id.startsWith('set-up'));
    expect(first?.cautions.join(' ')).toMatch(/By guide 3\.2 of 2025-02\..*in the box/);
    expect(second).toMatchObject({
      waitS: 10,
      what: 'Hold the button. It answers: three flashes.',
    });
  });

  it.each([
    [{ version: '3.2', dated: '2025-02' }, /By guide 3\.2 of 2025-02, the one in the box\./],
    [{ version: '3.4', dated: '2026-03' }, /3\.4 of 2026-03, is newer than 3\.2 of 2025-02/],
    [{ version: '3.0', dated: '2024-01' }, /3\.0 of 2024-01, is older.*ask the maker/],
    [{ version: 'B' }, /The guide in the box, B, is another one/],
  ])('says at the set-up what guide %o in the box means for it', (inBox, words) => {
    const [given] = fc.sample(GIVEN, { numRuns: 1, seed: 9 });
    const setUp = { guide: '3.2', dated: '2025-02', inBox, steps: [{ say: 'Key to run.' }] };
    const first = jobSteps({ ...(given as StepsGiven), setUp }).find(({ id }) => id === 'set-up:1');
    expect(first?.cautions.join(' ')).toMatch(words);
  });

  it('never names left or right of a tap, only landmarks', () => {
    for (const step of jobSteps({ ...fc.sample(GIVEN, { numRuns: 1, seed: 3 })[0] } as StepsGiven))
      if (step.id.startsWith('fit:')) expect(step.what).not.toMatch(/\b(left|right)\b/);
  });
});

const STEP = fc.record({
  state: fc.constantFrom('any' as const, 'off' as const, 'battery off' as const),
  where: fc.constantFrom('dash', 'boot', 'bay'),
  tool: fc.constantFrom(undefined, 'crimper', 'meter'),
});

function stepsFrom(
  rows: readonly Pick<JobStep, 'state' | 'where' | 'tool'>[],
  waits: readonly (readonly [number, number])[],
): JobStep[] {
  return rows.map((row, index) => ({
    ...row,
    ...{ id: `s${index}`, what: '', seconds: 1, cautions: [], hold: false },
    // Only on earlier ones: no circle.
    after: waits.flatMap(([a, b]) => {
      const [low, high] = [Math.min(a, b) % rows.length, Math.max(a, b) % rows.length];
      return high === index && low < index ? [`s${low}`] : [];
    }),
  }));
}

/** Changes of an order, counted the plain way: what the car, the hand and the place are is carried along. */
function costOf(order: readonly JobStep[]): number {
  let stands: JobStep | undefined;
  let cost = 0;
  for (const step of order) {
    cost += changeCost(stands, step);
    stands = {
      ...step,
      state: step.state === 'any' ? (stands?.state ?? 'any') : step.state,
      tool: step.tool ?? stands?.tool,
    };
  }
  return cost;
}

function everyOrder(steps: readonly JobStep[], so: readonly JobStep[] = []): readonly JobStep[][] {
  if (so.length === steps.length) return [[...so]];
  return steps
    .filter((step) => !so.includes(step))
    .filter((step) => step.after.every((id) => so.some((one) => one.id === id)))
    .flatMap((step) => everyOrder(steps, [...so, step]));
}

describe('the cheapest order', () => {
  it('is the true optimum on small cases (every order tried)', () => {
    fc.assert(
      fc.property(
        fc.array(STEP, { minLength: 1, maxLength: 6 }),
        fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 6 }),
        (rows, waits) => {
          const steps = stepsFrom(rows, waits);
          const found = orderSteps(steps);
          const best = Math.min(...everyOrder(steps).map(costOf));
          expect(found.changeS).toBe(best);
          expect(costOf(found.steps)).toBe(found.changeS);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('of many steps is never dearer than in the order of the list', () => {
    fc.assert(
      fc.property(
        fc.array(STEP, { minLength: EXACT_STEPS + 1, maxLength: 40 }),
        fc.array(fc.tuple(fc.nat(39), fc.nat(39)), { maxLength: 30 }),
        (rows, waits) => {
          const steps = stepsFrom(rows, waits);
          const found = orderSteps(steps);
          expect(found.steps).toHaveLength(steps.length);
          expect(costOf(found.steps)).toBe(found.changeS);
          expect(found.changeS).toBeLessThanOrEqual(costOf(steps));
        },
      ),
      { numRuns: 15 },
    );
  });

  it('refuses steps that wait for each other, or for none', () => {
    const [one] = stepsFrom([{ state: 'any', where: 'dash', tool: undefined }], []);
    if (one === undefined) throw new Error('no step');
    const a = { ...one, id: 'a', after: ['b'] };
    const b = { ...one, id: 'b', after: ['a'] };
    expect(() => orderSteps([a, b])).toThrow(/circle/);
    expect(() => orderSteps([a])).toThrow(/waits for b, which is none/);
    expect(orderSteps([])).toEqual({ steps: [], changeS: 0 });
  });
});
