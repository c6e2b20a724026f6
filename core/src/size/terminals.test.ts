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
