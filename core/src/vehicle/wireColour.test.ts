import fc from 'fast-check';
import { WIRE_COLOURS, describeWireColour, parseWireColour } from './index';
import type { WireColourCode } from './index';

const CODES = Object.keys(WIRE_COLOURS) as WireColourCode[];

function codesOf(...given: Parameters<typeof parseWireColour>): string {
  const { base, stripe } = parseWireColour(...given);
  return stripe === undefined ? base : `${base}/${stripe}`;
}

// Two letters after IEC 60757; German letters after DIN 47002, from memory; single letters and words: common practice.
describe('colours as people write them', () => {
  it.each([
    ['BU/PK', 'BU/PK'],
    ['GY-BK', 'GY/BK'],
    ['GNYE', 'GN/YE'],
    ['gr/sw', 'GY/BK'],
    ['ws', 'WH'],
    ['br', 'BN'],
    ['Br', 'BN'],
    ['L/R', 'BU/RD'],
    ['LG', 'LGN'],
    ['light green', 'LGN'],
    ['Lt. blue', 'LBU'],
    ['light blue/white', 'LBU/WH'],
    ['LBU/WH', 'LBU/WH'],
    ['gray', 'GY'],
    ['grey with black stripe', 'GY/BK'],
    ['BLK', 'BK'],
    ['V', 'VT'],
    ['rt/ge', 'RD/YE'],
  ])('reads %s as %s', (written, codes) => {
    expect(codesOf(written)).toBe(codes);
  });

  it.each([
    ['B', 'letters, B black', 'BK'],
    ['B', 'letters, B blue', 'BU'],
    ['W/B', 'letters, B black', 'WH/BK'],
    ['W/B', 'letters, B blue', 'WH/BU'],
  ] as const)('reads %s in %s as %s', (written, system, codes) => {
    expect(codesOf(written, system)).toBe(codes);
  });

  it.each(['B', 'W/B'])('does not guess what %s is, and names both readings', (written) => {
    expect(() => parseWireColour(written)).toThrow(
      /BK \(letters, B black\).*BU \(letters, B blue\).*choose the way of writing/,
    );
  });

  it.each(['', 'XX', 'RD/XX', 'RD/GN/BU', '12'])('refuses “%s”', (written) => {
    expect(() => parseWireColour(written)).toThrow(RangeError);
  });

  it('refuses what the chosen way of writing does not know', () => {
    expect(() => parseWireColour('sw', 'iec')).toThrow(/no colour in iec/);
  });

  it('keeps base and stripe apart for every pair of codes, and says both in words', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CODES), fc.constantFrom(...CODES), (base, stripe) => {
        expect(parseWireColour(`${base}/${stripe}`, 'iec')).toEqual({ base, stripe });
        expect(describeWireColour({ base, stripe })).toBe(
          `${WIRE_COLOURS[base]} with ${WIRE_COLOURS[stripe]} stripe`,
        );
      }),
    );
  });
});
