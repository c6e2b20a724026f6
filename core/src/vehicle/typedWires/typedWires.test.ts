import fc from 'fast-check';
import { awgAreaMm2 } from '../../units';
import { WIRE_COLOURS } from '../wireColour';
import { MOST_WIRES } from '../typed/limits';
import { typedWires, writtenWires } from './typedWires';

const read = (text: string, start = '1', system?: 'german' | 'letters, B black') =>
  typedWires(text, { system, start });

describe('wires typed as they are seen', () => {
  it('have a name each, their colours, and their place in the connector', () => {
    const { wires, problems, columns, rows } = read('BK, RD/YE, OG-WH\n-, light green, 12: gy');
    expect(problems).toEqual([]);
    expect([columns, rows]).toEqual([3, 2]);
    expect(wires.map(({ name, colour, row, column }) => [name, colour, row, column])).toEqual([
      ['1', 'BK', 0, 0],
      ['2', 'RD/YE', 0, 1],
      ['3', 'OG/WH', 0, 2],
      // The empty cavity has its number too.
      ['5', 'LGN', 1, 1],
      ['12', 'GY', 1, 2],
    ]);
  });

  it('say their size, how they look now, and what else hangs on them', () => {
    const [measured, assumed, faded, unknown, gauge] = read(
      '0.75 RD/YE, ~0,5 BK, PK > WH "clock, lamp", ?, 18 AWG BU',
    ).wires;
    expect(measured).toMatchObject({ colour: 'RD/YE', gaugeMm2: 0.75, gaugeMeasured: true });
    expect(assumed).toMatchObject({ colour: 'BK', gaugeMm2: 0.5, gaugeMeasured: false });
    expect(faded).toMatchObject({ colour: 'PK', seenColour: 'WH', alsoFeeds: 'clock, lamp' });
    expect(unknown).toEqual({ name: '4', row: 0, column: 3 });
    // AWG 18 is 0.823 mm²: ASTM B258.
    expect(gauge?.gaugeMm2).toBe(0.82);
    expect(awgAreaMm2(18)).toBeCloseTo(0.823, 3);
  });

  it('are taped with the one before them, or with another by its name', () => {
    const { wires, problems } = read('VT, & VT/BK, GN, &1 GN/BK', 'W1');
    expect(problems[0]?.message).toBe('1 is no other wire here');
    expect(wires[1]).toMatchObject({ name: 'W2', tapedWith: 'W1' });
    expect(read('VT, BK, &1 GN').wires[2]?.tapedWith).toBe('1');
    expect(read('& VT').problems[0]?.message).toMatch(/no wire before it/);
    expect(read('5: & VT, &5 BK').problems).toHaveLength(1);
  });

  it('say by row and cell what is no colour, what clashes, and which name is there twice', () => {
    const { problems, clashes, wires } = read('BK, XX\n3: RD, 3: BU');
    expect(problems.map(({ row, cell }) => [row, cell])).toEqual([
      [1, 2],
      [2, 2],
    ]);
    expect(clashes).toBe(false);
    expect(wires[0]?.name).toBe('1');
    expect(read('B/W').clashes).toBe(true);
    expect(read('B/W', '1', 'letters, B black').wires[0]?.colour).toBe('BK/WH');
    expect(read('gr/sw', '1', 'german').wires[0]?.colour).toBe('GY/BK');
    // Codes of IEC 60757 are understood beside any other letters, and mean nothing else there.
    for (const code of Object.keys(WIRE_COLOURS))
      expect(read(`B, ${code}`, '1', 'letters, B black').wires[1]?.colour).toBe(code);
    expect(read('XX', '1', 'german').problems[0]?.message).toMatch(/in german/);
    expect(read('BK > WH > RD').problems[0]?.message).toMatch(/more than one colour as seen/);
    expect(read('A/1: BK').problems).toHaveLength(1);
  });

  it('are none where nothing is typed, and never too many', () => {
    expect(read(' \n')).toMatchObject({ wires: [], problems: [], rows: 0 });
    const many = Array.from({ length: 21 }, () => Array(10).fill('BK').join(',')).join('\n');
    expect(read(many).problems[0]?.message).toMatch(new RegExp(`more than ${MOST_WIRES}`));
  });

  const colour = fc
    .tuple(
      fc.constantFrom(...Object.keys(WIRE_COLOURS)),
      fc.option(fc.constantFrom(...Object.keys(WIRE_COLOURS)), { nil: undefined }),
    )
    .map(([base, stripe]) => (stripe === undefined ? base : `${base}/${stripe}`));
  const wire = fc.record(
    {
      cell: fc.tuple(fc.nat(4), fc.nat(6)),
      name: fc.stringMatching(/^[A-Za-z0-9._-]{1,5}$/),
      colour,
      seenColour: colour,
      gauge: fc.tuple(fc.constantFrom(0.35, 0.5, 0.75, 1, 2.5, 16), fc.boolean()),
      alsoFeeds: fc.constantFrom('clock', 'lamp, 2 doors', '> mirror', '& heater'),
      mate: fc.nat(),
    },
    { requiredKeys: ['cell', 'name'] },
  );

  it('read again as they are written are the same wires', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(wire, {
          minLength: 1,
          maxLength: 14,
          selector: (one) => one.cell.join('/'),
        }),
        (drawn) => {
          const names = [...new Set(drawn.map(({ name }) => name))];
          const wires = names
            .map((name) => drawn.find((one) => one.name === name) as (typeof drawn)[number])
            .map(({ cell: [row, column], gauge, mate, ...look }) => {
              const tapedWith = mate === undefined ? undefined : names[mate % names.length];
              return {
                ...look,
                row,
                column,
                ...(gauge === undefined ? {} : { gaugeMm2: gauge[0], gaugeMeasured: gauge[1] }),
                ...(tapedWith === undefined || tapedWith === look.name ? {} : { tapedWith }),
              };
            })
            .sort((left, right) => left.row - right.row || left.column - right.column);
          const { text, start } = writtenWires(wires);
          const again = read(text, start);
          expect(again.problems).toEqual([]);
          expect(again.wires).toEqual(wires);
        },
      ),
      { numRuns: 400 },
    );
  });
});
