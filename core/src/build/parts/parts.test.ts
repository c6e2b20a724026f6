import fc from 'fast-check';
import type { PartsLead } from '../index';
import { bodyGraph, cutList, partsList, routeLeads, sumParts, toolList } from '../index';

const LEAD = fc.record({
  cutM: fc.integer({ min: 3, max: 80 }).map((tenths) => tenths / 10),
  clips: fc.nat(20),
  conductor: fc.constantFrom('0.75 mm²', '1.5 mm²'),
  fuseA: fc.constantFrom(2, 5, 10),
  slot: fc.boolean(),
});
const LEADS = fc.array(LEAD, { minLength: 1, maxLength: 12 }).map((rows) =>
  rows.map(({ slot, fuseA, ...row }, index): PartsLead => {
    const common = {
      feedId: `f${index}`,
      feedName: `Feed ${index}`,
      fuseA,
      awg: 18,
      oneWayM: row.cutM,
    };
    return {
      ...row,
      ...{ feedId: `f${index}`, name: `Feed ${index}`, colour: 'red', terminal: 'red butt' },
      slideOn: slot ? [] : ['heat-shrink'],
      tap: slot
        ? {
            ...common,
            at: 'slot',
            position: `F${index}`,
            family: 'mini',
            originalA: 10,
            supplyLandmark: 'up',
          }
        : { ...common, at: 'wire', position: `W${index} BU`, method: 'sealed splice', cuts: true },
    };
  }),
);

describe('the parts of a job', () => {
  it('add up exactly, lead by lead, and the packs cover them by less than one more', () => {
    fc.assert(
      fc.property(LEADS, (leads) => {
        const parts = partsList({ leads, ground: undefined, stock: undefined });
        const needOf = (begins: string): number =>
          parts
            .filter(({ what }) => what.startsWith(begins))
            .reduce((sum, one) => sum + one.need, 0);
        const metres = leads.reduce((sum, one) => sum + one.cutM, 0);
        expect(needOf('wire ')).toBeCloseTo(metres, 6);
        expect(needOf('clip')).toBe(leads.reduce((sum, one) => sum + one.clips, 0));
        const fuses = parts.filter(({ what }) => / fuse \d/.test(what));
        expect(fuses.reduce((sum, one) => sum + one.need, 0)).toBe(leads.length);
        expect(needOf('red butt')).toBe(leads.length);
        expect(needOf('heat-shrink')).toBe(leads.filter(({ tap }) => tap.at === 'wire').length);
        for (const { need, packOf, packs } of parts) {
          expect(packs * packOf).toBeGreaterThanOrEqual(need - 1e-9);
          expect((packs - 1) * packOf).toBeLessThan(need);
        }
        const names = parts.map(({ what }) => what);
        expect(new Set(names).size).toBe(names.length);
      }),
    );
  });

  it('has the ground lead and its ring, and says what the van lacks', () => {
    const [lead] = fc.sample(LEADS, { numRuns: 1, seed: 1 })[0] ?? [];
    if (lead === undefined) throw new Error('no lead');
    const parts = partsList({
      leads: [{ ...lead, conductor: '0.75 mm²' }],
      ground: { cutM: 1.2, conductor: '2.5 mm²', ring: 'M6' },
      stock: { conductors: ['0.75 mm²'], fusesA: [] },
    });
    const row = (what: RegExp) => parts.find((one) => what.test(one.what));
    expect(row(/^wire 2\.5/)).toMatchObject({ need: 1.2, unit: 'm', packs: 3, missing: true });
    expect(row(/^wire 0\.75/)?.missing).toBe(false);
    expect(row(/ fuse \d/)?.missing).toBe(true);
    expect(row(/^ring M6/)?.need).toBe(1);
    expect(
      partsList({ leads: [lead], ground: undefined, stock: undefined })[0]?.missing,
    ).toBeUndefined();
  });

  it('say what passes as well of what is in the van, where something is missing', () => {
    const [lead] = fc.sample(LEADS, { numRuns: 1, seed: 1 })[0] ?? [];
    if (lead === undefined) throw new Error('no lead');
    const leads = [{ ...lead, conductor: '0.75 mm²', instead: { conductor: '1 mm²', fuseA: 7.5 } }];
    const rows = (stock: { conductors: string[]; fusesA: number[] }) =>
      partsList({ leads, ground: undefined, stock });
    const lacking = rows({ conductors: ['1 mm²'], fusesA: [7.5] });
    const insteadOf = (all: typeof lacking, begins: RegExp) =>
      all.find(({ what }) => begins.test(what))?.instead;
    // Chosen for one another: the larger fuse never without the wire that stands it.
    expect(insteadOf(lacking, /^wire/)).toBe('1 mm² with a fuse of 7.5 A');
    expect(insteadOf(lacking, / fuse \d/)).toBe('7.5 A on 1 mm²');
    // The wire is there, the fuse is not: the fuse still names its wire.
    const fuseless = rows({ conductors: ['0.75 mm²', '1 mm²'], fusesA: [7.5] });
    expect(insteadOf(fuseless, / fuse \d/)).toBe('7.5 A on 1 mm²');
    // Two leads of one row that want different things get no advice at all.
    const other = { ...lead, conductor: '0.75 mm²', instead: { conductor: '2.5 mm²', fuseA: 7.5 } };
    const two = partsList({
      leads: [...leads, other],
      ground: { cutM: 1, conductor: '0.75 mm²', ring: undefined },
      stock: { conductors: [], fusesA: [] },
    });
    expect(insteadOf(two, /^wire/)).toBeUndefined();
    const days = sumParts([lacking, two]);
    expect(days.find(({ what }) => /^wire/.test(what))?.instead).toBeUndefined();
    expect(sumParts([lacking, lacking]).find(({ what }) => /^wire/.test(what))?.instead).toBe(
      '1 mm² with a fuse of 7.5 A',
    );
    const whole = rows({ conductors: ['0.75 mm²'], fusesA: [lead.tap.fuseA] });
    for (const row of whole) expect(row.instead).toBeUndefined();
  });

  const WORKED: readonly PartsLead[] = [
    {
      ...{
        feedId: 'm',
        name: 'Parking supply',
        colour: 'YE',
        conductor: '18 AWG',
        cutM: 2.7,
        clips: 5,
      },
      ...{ terminal: 'red sleeve', slideOn: ['heat-shrink', 'the boot'] },
      tap: {
        ...{ feedId: 'm', feedName: 'Parking supply', fuseA: 2, awg: 18, oneWayM: 2.7 },
        ...{
          at: 'slot',
          position: 'F3 BACK UP',
          family: 'mini',
          originalA: 10,
          supplyLandmark: 'up',
        },
      },
    },
    {
      ...{ feedId: 's', name: 'Wake', colour: undefined, conductor: '18 AWG', cutM: 1.3, clips: 0 },
      ...{ terminal: undefined, slideOn: [] },
      tap: {
        ...{ feedId: 's', feedName: 'Wake', fuseA: 3, awg: 18, oneWayM: 1.3 },
        ...{ at: 'wire', position: 'W4 BU', method: 'sealed splice', cuts: true },
      },
    },
  ];

  it('come out row by row as a worked example has them', () => {
    const rows = partsList({ leads: WORKED, ground: undefined, stock: undefined });
    expect(rows.map(({ what, need, unit, packs }) => [what, need, unit, packs])).toEqual([
      ['clip or tie', 5, 'pieces', 1],
      ['heat-shrink', 1, 'pieces', 1],
      ['in-line holder', 1, 'pieces', 1],
      ['label', 4, 'pieces', 1],
      ['mini blade fuse 2 A', 1, 'pieces', 1],
      ['mini blade fuse tap', 1, 'pieces', 1],
      ['red sleeve', 1, 'pieces', 1],
      ['standard blade fuse 3 A', 1, 'pieces', 1],
      ['wire 18 AWG', 4, 'm', 8],
    ]);
    const ringless = { cutM: 1, conductor: '18 AWG', ring: undefined };
    const bare = partsList({ leads: WORKED, ground: ringless, stock: undefined });
    expect(bare.some(({ what }) => what.startsWith('ring'))).toBe(false);
    expect(cutList(WORKED)).toEqual([
      {
        ...{ name: 'Parking supply', colour: 'YE', conductor: '18 AWG', cutM: 2.7 },
        deviceEnd: 'the kit’s own plug or sleeve',
        carEnd: 'mini blade fuse tap, red sleeve',
        label: 'Parking supp F3 2A',
      },
      {
        ...{ name: 'Wake', colour: undefined, conductor: '18 AWG', cutM: 1.3 },
        deviceEnd: 'the kit’s own plug or sleeve',
        carEnd: 'in-line holder, then sealed splice',
        label: 'Wake W4 3A',
      },
    ]);
  });

  it('is cut with both ends and a label that fits a wrap', () => {
    fc.assert(
      fc.property(LEADS, (leads) => {
        const rows = cutList(leads);
        expect(rows).toHaveLength(leads.length);
        for (const { label, carEnd } of rows) {
          expect(label.length).toBeLessThanOrEqual(18);
          expect(label).toMatch(/ [FW]\d+ \d+A$/);
          expect(carEnd).not.toBe('');
        }
      }),
    );
  });
});

it('names each tool once, with the socket of the ground bolt (ISO 4014, from memory)', () => {
  const body = bodyGraph({ style: 'hatch', steering: 'left' });
  const { opened } = routeLeads(body, [{ id: 'a', from: 'screenTop', to: 'dash.left' }]);
  const tools = toolList({ steps: [], opened, ring: 'M6, 6.5 mm hole' });
  expect(tools).toContain('trim tool');
  expect(tools).toContain('socket 10 mm');
  expect(new Set(tools).size).toBe(tools.length);
  expect(toolList({ steps: [], opened: [], ring: undefined })).toEqual(['meter']);
});

it('takes the die for each colour of terminal (DIN 46237, from memory), and bits where a grommet’s room is not known', () => {
  const body = bodyGraph({ style: 'hatch', steering: 'left' });
  const { opened } = routeLeads(body, [{ id: 'a', from: 'footwell.left', to: 'engine.left' }]);
  const id = opened.find(({ kind }) => kind === 'grommet')?.id ?? '';
  const bundles = new Map([[id, 7]]);
  const tools = toolList({
    ...{ steps: [], opened, ring: undefined, bundles },
    terminals: ['red sleeve', 'red sleeve', 'yellow sleeve'],
  });
  expect(tools.filter((one) => /die/.test(one))).toEqual([
    'crimper’s red die, 0.5 to 1.5 mm²',
    'crimper’s yellow die, 4 to 6 mm²',
  ]);
  expect(tools.join()).toMatch(/step bit to 11 mm \(7\/16 in\) and a grommet of 8 mm/);
  const seen = opened.map((one) => ({ ...one, roomMm: 12 }));
  expect(toolList({ steps: [], opened: seen, ring: undefined, bundles }).join()).not.toMatch(/bit/);
});

describe('the parts of a day', () => {
  it('add up over its jobs, and are rounded to packs once', () => {
    fc.assert(
      fc.property(fc.array(LEADS, { minLength: 1, maxLength: 5 }), (jobs) => {
        const lists = jobs.map((leads) =>
          partsList({ leads, ground: undefined, stock: undefined }),
        );
        const day = sumParts(lists);
        for (const { what, need, packs, packOf, jobs: wanting } of day) {
          const rows = lists.flat().filter((one) => one.what === what);
          expect(need).toBeCloseTo(
            rows.reduce((sum, one) => sum + one.need, 0),
            6,
          );
          expect(wanting).toBe(rows.length);
          expect(packs * packOf).toBeGreaterThanOrEqual(need - 1e-9);
          expect((packs - 1) * packOf).toBeLessThan(need);
          // Never more packs than job by job.
          expect(packs).toBeLessThanOrEqual(rows.reduce((sum, one) => sum + one.packs, 0));
        }
        expect(new Set(day.map(({ what }) => what)).size).toBe(day.length);
      }),
      { numRuns: 50 },
    );
  });
});
