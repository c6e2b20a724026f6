import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import type { Diagram, DiagramLead, DrawnBox } from './index';
import { diagramSvg } from './drawing';
import { layoutDiagram, netlistOf } from './index';

const COLOURS = ['RD', 'YE', 'BK/WH', undefined] as const;
const LEAD = fc.record({
  colour: fc.constantFrom(...COLOURS),
  fuseA: fc.constantFrom(2, 10, undefined),
  relays: fc.constantFrom('2 relays', undefined, undefined),
  place: fc.constantFrom('Dash panel', 'Kick-panel plug', 'Boot panel, behind the left trim'),
  source: fc.nat(9),
  sourceColour: fc.constantFrom('BU/PK', undefined),
  length: fc.integer({ min: 1, max: 120 }),
});
const JOBS = fc.array(LEAD, { minLength: 1, maxLength: 12 }).map((rows) => [
  ...rows.map((row, index): DiagramLead => ({
    ...{ id: `f${index}`, name: `Feed ${index}`, colour: row.colour, fuseA: row.fuseA },
    ...{ conductor: `0.82 mm², ${row.length / 10} m`, fuseAt: 'in the tap, outer place' },
    ...{ relays: row.relays, joint: 'sealed crimp splice', sourceColour: row.sourceColour },
    source: {
      id: `${row.place}/${row.source}`,
      title: `F${row.source} P/OUTLET`,
      place: row.place,
    },
    ...{ ground: false, why: ['read live in run alone'] },
  })),
  {
    ...{ id: 'ground', name: 'Ground', colour: 'BK', conductor: '2 mm², 1.1 m', fuseA: undefined },
    ...{ fuseAt: '', relays: undefined, joint: 'ring M6', sourceColour: undefined, ground: true },
    ...{ source: { id: 'stud', title: 'stud M6', place: 'driver’s kick panel' }, why: [] },
  },
]);

const layout = (leads: readonly DiagramLead[]): Promise<Diagram> =>
  layoutDiagram(netlistOf({ name: 'Remote starter', mount: 'under the column' }, leads));

function overlap(a: DrawnBox, b: DrawnBox): boolean {
  const EPS = 1e-6;
  return (
    a.x < b.x + b.width - EPS &&
    b.x < a.x + a.width - EPS &&
    a.y < b.y + b.height - EPS &&
    b.y < a.y + a.height - EPS
  );
}

function overlaps(boxes: readonly DrawnBox[]): number {
  return boxes.reduce(
    (sum, one, index) => sum + boxes.slice(index + 1).filter((other) => overlap(one, other)).length,
    0,
  );
}

/** Proper crossings of lines of different wires. */
function crossings({ wires }: Diagram): number {
  const parts = wires.flatMap(({ id, points }) =>
    points.slice(1).map((to, index) => ({ id, from: points[index] ?? to, to })),
  );
  const between = (value: number, a: number, b: number): boolean =>
    value > Math.min(a, b) + 0.5 && value < Math.max(a, b) - 0.5;
  let count = 0;
  parts.forEach((one, index) => {
    for (const other of parts.slice(index + 1)) {
      if (one.id === other.id) continue;
      const [level, upright] = one.from.y === one.to.y ? [one, other] : [other, one];
      if (level.from.y !== level.to.y || upright.from.x !== upright.to.x) continue;
      if (
        between(upright.from.x, level.from.x, level.to.x) &&
        between(level.from.y, upright.from.y, upright.to.y)
      )
        count += 1;
    }
  });
  return count;
}

const SVG_DTD = '/usr/share/xml/w3c-sgml-lib/schema/dtd/REC-SVG11-20110816/svg11.dtd';

/** Those of some drawings that are no valid SVG, by their place in the list, with what is wrong. */
function invalid(drawings: readonly string[]): string[] {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-svg-'));
  try {
    const files = drawings.map((svg, index) => {
      const file = path.join(folder, `${index}.svg`);
      writeFileSync(file, svg);
      return file;
    });
    // All at once: the definition takes longer to read than a drawing.
    const args = ['--noout', '--nonet', '--dtdvalid', SVG_DTD, ...files];
    const { status, stderr, error } = spawnSync('xmllint', args, { encoding: 'utf8' });
    if (error !== undefined) throw error;
    const told = stderr.split('\n');
    const wrong = files.flatMap((file) => told.find((line) => line.includes(file)) ?? []);
    return status === 0 || wrong.length > 0 ? wrong : [stderr];
  } finally {
    rmSync(folder, { recursive: true });
  }
}

describe('the wiring diagram', () => {
  it('has no box or label over another, every line at right angles, on 40 made-up jobs', async () => {
    await fc.assert(
      fc.asyncProperty(JOBS, async (leads) => {
        const diagram = await layout(leads);
        const labels = diagram.wires.flatMap(({ labelBox }) => labelBox ?? []);
        expect(overlaps([...diagram.nodes, ...labels])).toBe(0);
        // Chains from one device, joined at their sources, can be laid in a plane: the fewest crossings of a job are none.
        expect(crossings(diagram)).toBe(0);
        for (const { points } of diagram.wires) {
          expect(points.length).toBeGreaterThanOrEqual(2);
          points.slice(1).forEach((to, index) => {
            const from = points[index] ?? to;
            expect(Math.min(Math.abs(to.x - from.x), Math.abs(to.y - from.y))).toBeLessThan(1e-6);
          });
        }
      }),
      { numRuns: 40 },
    );
  });

  it('joins what the job joins: every lead once from the device to its source', async () => {
    await fc.assert(
      fc.asyncProperty(JOBS, async (leads) => {
        const { nodes, wires } = netlistOf({ name: 'x', mount: 'y' }, leads);
        for (const lead of leads) {
          let at = 'device';
          for (const wire of wires.filter(({ id }) => id.startsWith(`${lead.id} `))) {
            expect(wire.from).toBe(at);
            at = wire.to;
          }
          expect(at).toBe(`source ${lead.source.id}`);
        }
        expect(new Set(nodes.map(({ id }) => id)).size).toBe(nodes.length);
      }),
      { numRuns: 50 },
    );
  });

  it('counts a crossing where there is one, and none where lines only meet', async () => {
    const drawn = await layout(fc.sample(JOBS, { numRuns: 1, seed: 7 })[0] ?? []);
    const [first, second] = drawn.wires;
    if (first === undefined || second === undefined) throw new Error('two lines');
    const line = (of: typeof first, ...points: [number, number][]) => ({
      ...of,
      points: points.map(([x, y]) => ({ x, y })),
    });
    const across = [line(first, [0, 10], [20, 10]), line(second, [10, 0], [10, 20])];
    expect(crossings({ ...drawn, wires: across })).toBe(1);
    const meeting = [line(first, [0, 10], [20, 10]), line(second, [20, 10], [20, 30])];
    expect(crossings({ ...drawn, wires: meeting })).toBe(0);
  });

  // SVG 1.1 (second edition), W3C Recommendation of 16 August 2011: its own document type definition, by xmllint.
  it('is valid SVG by the W3C’s definition, whatever the words in it', async () => {
    const jobs = fc.sample(JOBS, { numRuns: 15, seed: 11 });
    const words = fc.sample(fc.string({ unit: 'binary', maxLength: 20 }), { numRuns: 15, seed: 3 });
    const drawings = await Promise.all(
      jobs.map(async (job, index) =>
        diagramSvg(
          await layout(
            job.map((lead) => ({ ...lead, name: `${words[index] ?? ''}<&">\u0000\u001b` })),
          ),
        ),
      ),
    );
    expect(invalid(drawings)).toEqual([]);
    // The validator sees a wrong element, attribute or place.
    const [drawing = ''] = drawings;
    expect(invalid([drawing.replace('<polyline ', '<polyline colour="red" ')])).toHaveLength(1);
    expect(invalid([drawing.replace('</svg>', '<wire/></svg>')])).toHaveLength(1);
    expect(invalid([drawing.replace(' points="', ' pts="')])).toHaveLength(1);
  });

  it('is the same for the same job', async () => {
    const [job] = fc.sample(JOBS, { numRuns: 1, seed: 5 });
    expect(await layout(job ?? [])).toEqual(await layout(job ?? []));
  });
});
