import type { DiagramLead } from '@lucky-thread/core/build/diagram';
import { layoutDiagram, netlistOf } from '@lucky-thread/core/build/diagram';
import type { StepLead } from '@lucky-thread/core/build';
import { bodyGraph, jobSteps, orderSteps, routeLeads } from '@lucky-thread/core/build';
import { seededRandom } from '@lucky-thread/core/bench';
import { searchFault, setFault } from '@lucky-thread/core/trial';
import { line, measure, median } from './measure';

const ROUNDS = 40;
const LEADS = 12;
const PLACES = ['column', 'kick.left', 'dash.left'] as const;
/** Faults that nothing was chosen on: the signatures were mended on 1 to 500, and 5001 to 5500 are a test’s. */
const FIRST_FAULT = 20_001;
const FAULTS = 500;

/** Route, order of work and diagram of the largest job: twelve leads to three places, two relays; and faults set in the bench. */
export async function buildBenchmark(): Promise<void> {
  const body = bodyGraph({ style: 'estate', steering: 'left' });
  const leads = Array.from({ length: LEADS }, (_, index) => ({
    id: `f${index}`,
    from: 'console.front',
    to: PLACES[index % PLACES.length] ?? PLACES[0],
  }));
  const steps = stepsOf(leads);
  const drawn = drawnOf(leads);
  const times = await measure(ROUNDS, {
    route: () => Promise.resolve(routeLeads(body, leads)),
    order: () => Promise.resolve(orderSteps(steps)),
    diagram: () => layoutDiagram(netlistOf({ name: 'Remote starter', mount: 'console' }, drawn)),
  });
  for (const [name, time] of Object.entries(times))
    line(
      `${name}, ${LEADS} leads, ${PLACES.length} places, 2 relays: median / p95`,
      `${time.median.toFixed(1)} / ${time.p95.toFixed(1)} ms`,
    );
  line(
    '  the three together, median',
    `${Object.values(times)
      .reduce((sum, one) => sum + one.median, 0)
      .toFixed(0)} ms`,
  );
  faults();
}

function stepsOf(leads: readonly { readonly id: string; readonly to: string }[]) {
  const body = bodyGraph({ style: 'estate', steering: 'left' });
  const laid = routeLeads(
    body,
    leads.map((one) => ({ ...one, from: 'console.front' })),
  );
  return jobSteps({
    leads: leads.map(({ id, to }, index): StepLead => ({
      ...{
        place: to,
        access: ['Open it.'],
        accessS: 40,
        accessTool: 'trim tool',
        slideOn: ['sleeve'],
      },
      passages: laid.leads.find((one) => one.id === id)?.passages ?? [],
      tap: {
        ...{
          feedId: id,
          feedName: id,
          fuseA: 5,
          awg: 18,
          oneWayM: 2,
          at: 'wire',
          position: `W${index}`,
        },
        ...{ method: 'sealed crimp splice', cuts: true },
      },
    })),
    device: { name: 'Remote starter', mount: 'console', cautions: [], starts: true },
    ground: { place: 'kick panel', ring: 'M6' },
    battery: 'disconnect first',
    notes: [],
  });
}

function drawnOf(leads: readonly { readonly id: string; readonly to: string }[]): DiagramLead[] {
  return leads.map(({ id, to }, index) => ({
    ...{ id, name: `Lead ${index}`, colour: 'RD', conductor: '0.82 mm², 2 m', fuseA: 5 },
    ...{ fuseAt: 'in its holder', relays: index < 2 ? '1 relay' : undefined, joint: 'splice' },
    ...{ source: { id: `${to} ${index}`, title: `W${index} BU`, place: to }, sourceColour: 'BU' },
    ...{ ground: false, why: [] },
  }));
}

function faults(): void {
  const searches = Array.from({ length: FAULTS }, (_, index) => {
    const seed = FIRST_FAULT + index;
    const fault = setFault(seededRandom(seed));
    const by = (rule: Parameters<typeof searchFault>[2]) =>
      searchFault(fault, seededRandom(seed + 7), rule);
    return { ours: by('by information'), listed: by('in the order of the list') };
  });
  const right = searches.filter(({ ours }) => ours.right).length;
  const sum = (of: 'ours' | 'listed'): number =>
    searches.reduce((total, one) => total + one[of].seconds, 0);
  const ratios = searches.map(({ ours, listed }) => ours.seconds / listed.seconds);
  line(`${FAULTS} faults set in the bench: right`, `${((100 * right) / FAULTS).toFixed(1)} %`);
  line(
    '  seconds against the order of the list: sum / median',
    `${(sum('ours') / sum('listed')).toFixed(2)} / ${median(ratios).toFixed(2)}`,
  );
}
