import { ringFor, sleeveFor, wireTapFor } from './index';

describe('terminals', () => {
  // Sleeve colours: DIN 46237 and common practice, from memory.
  it.each([
    [[0.5], 'red'],
    [[1.5], 'red'],
    [[2.5], 'blue'],
    [[4], 'yellow'],
    [[6], 'yellow'],
    [[0.75, 0.75], 'red'],
    [[1, 1], 'blue'],
    [[1.5, 1.5, 1], 'yellow'],
  ])('%p mm² go into a %s sleeve: areas add', (areas, colour) => {
    const choice = sleeveFor(areas);
    expect(choice.ok && choice.sleeve.colour).toBe(colour);
  });

  // 22 AWG is 0.326 mm², 12 AWG 3.31 mm² and 10 AWG 5.26 mm² (ASTM B258): the sleeves are printed 22–16, 16–14 and 12–10.
  it.each([
    [0.326, 'red'],
    [1.31, 'red'],
    [1.52, 'blue'],
    [2.08, 'blue'],
    [2.52, 'yellow'],
    [3.31, 'yellow'],
    [5.26, 'yellow'],
  ])('%d mm² goes into a %s sleeve, by its AWG number or the next one up', (area, colour) => {
    const choice = sleeveFor([area]);
    expect(choice.ok && choice.sleeve.colour).toBe(colour);
  });

  it('refuses what is too thin or too thick for any, each with its way out', () => {
    for (const [area, wayOut] of [
      [0.3, /^Fold the bare end back/],
      [6.1, /^Bring the conductors to a stud/],
    ] as const)
      expect(sleeveFor([area])).toEqual({
        ok: false,
        problem: expect.stringMatching(/fits no insulated sleeve \(0\.5 to 6 mm²\)\.$/),
        wayOut: expect.stringMatching(wayOut),
      });
    expect(() => sleeveFor([1, -1])).toThrow(/areaMm2/);
  });

  it('says what it counted, and what is slid on before the crimp', () => {
    expect(sleeveFor([0.75, 0.5])).toMatchObject({
      totalMm2: 1.25,
      because: '0.75 mm² + 0.5 mm² is 1.25 mm²: red, 0.5–1.5 mm².',
      first: ['the boot or plug housing', 'heat-shrink'],
    });
    expect(sleeveFor([2], true)).toMatchObject({
      because: '2 mm²: blue, 1.5–2.5 mm² (16–14 AWG).',
      first: ['the boot or plug housing', 'adhesive-lined heat-shrink'],
    });
  });

  it('sends what is too thick to a stud, and says what goes on first', () => {
    expect(sleeveFor([4, 4])).toMatchObject({ ok: false, wayOut: expect.stringContaining('stud') });
    const moist = sleeveFor([1], true);
    expect(moist.ok && moist.first.join()).toMatch(/adhesive/);
  });

  it('gives the ring of the bolt, and a wire tap that grips both wires', () => {
    expect(ringFor(6).name).toBe('M6 (1/4 in)');
    expect(ringFor(6.35).name).toContain('M6');
    expect(() => ringFor(40)).toThrow(/boltMm/);
    expect(wireTapFor(0.75, 0.5)).toMatchObject({ ok: true, colour: 'red' });
    expect(wireTapFor(4, 0.5)).toMatchObject({ ok: false });
  });
});

// DIN 46237, from memory: hole of each ring, and the inch bolts that go through.
it.each([
  [4, 4.3, 'M4'],
  [4.17, 4.3, 'M4'],
  [4.83, 5.3, 'M5'],
  [5, 5.3, 'M5'],
  [6, 6.5, 'M6'],
  [6.35, 6.5, 'M6'],
  [7.94, 8.4, 'M8'],
  [8, 8.4, 'M8'],
  [9.53, 10.5, 'M10'],
  [12, 13, 'M12'],
  [12.7, 13, 'M12'],
  [14, 15, 'M14'],
])('a bolt of %d mm takes the ring with a %d mm hole, %s', (boltMm, holeMm, name) => {
  expect(ringFor(boltMm)).toMatchObject({ holeMm, name: expect.stringMatching(`^${name} `) });
});

// Unified bolts by their diameter in millimetres (ASME B1.1): 4.17, 4.83, 6.35, 7.94, 9.53, 12.7, 14.29, 15.88; from memory.
it.each([
  [4, 'M4 (No. 8)'],
  [5, 'M5 (No. 10)'],
  [6, 'M6 (1/4 in)'],
  [8, 'M8 (5/16 in)'],
  [10, 'M10 (3/8 in)'],
  [12, 'M12 (1/2 in)'],
  [14, 'M14 (9/16 in)'],
  [16, 'M16 (5/8 in)'],
])('the ring of a %d mm bolt is called %s', (boltMm, name) => {
  expect(ringFor(boltMm).name).toBe(name);
});

it('names the bolt that no ring takes, and up to what there are', () => {
  expect(() => ringFor(17.5)).toThrow(/boltMm: the bolt must lie between 3 mm and 16 mm, got 17.5/);
});

describe('a sleeve', () => {
  it('is explained by its copper, one conductor or several', () => {
    const because = (areas: readonly number[]): string => {
      const choice = sleeveFor(areas);
      return choice.ok ? choice.because : choice.problem;
    };
    expect(because([1])).toBe('1 mm²: red, 0.5–1.5 mm² (22–16 AWG).');
    expect(because([2])).toBe('2 mm²: blue, 1.5–2.5 mm² (16–14 AWG).');
    expect(because([6])).toBe('6 mm²: yellow, 4–6 mm² (12–10 AWG).');
    expect(because([1, 1])).toMatch(/^1 mm² \+ 1 mm² is 2 mm²: blue, 1\.5–2\.5 mm²\.$/);
  });

  it('takes exactly what it is made for, and says another way out above and below', () => {
    expect(sleeveFor([6])).toMatchObject({ ok: true, totalMm2: 6 });
    expect(sleeveFor([6, 0.35])).toMatchObject({
      wayOut: expect.stringMatching(/stud or bus bar/),
    });
    expect(sleeveFor([0.2])).toMatchObject({
      problem: expect.stringMatching(/fits no insulated sleeve \(0\.5 to 6 mm²\)/),
      wayOut: expect.stringMatching(/Fold the bare end back/),
    });
    expect(() => sleeveFor([0])).toThrow(RangeError);
    expect(sleeveFor([1])).toMatchObject({ first: ['the boot or plug housing', 'heat-shrink'] });
  });
});
