import {
  FUNCTION_NAMES,
  CIRCUIT_FUNCTIONS,
  FUSE_FAMILY_FACTS,
  FUSE_FAMILIES,
  WIRE_COLOURS,
  applies,
  describeWireColour,
  parseWireColour,
} from './index';

// DIN 72552, from memory.
it.each([
  ['constant', '30'],
  ['accessory', '15R'],
  ['ignitionRun', '15'],
  ['starter', '50'],
  ['lamps', '58'],
] as const)('%s carries its terminal number %s', (name, terminal) => {
  expect(FUNCTION_NAMES[name].term).toContain(terminal);
});

it('gives every function a code of its own', () => {
  const codes = CIRCUIT_FUNCTIONS.map((name) => FUNCTION_NAMES[name].code);
  expect(new Set(codes).size).toBe(codes.length);
});

// IEC 60757.
it('knows the colour codes, base before stripe', () => {
  expect(Object.keys(WIRE_COLOURS)).toEqual([
    'BK',
    'BN',
    'RD',
    'OG',
    'YE',
    'GN',
    'BU',
    'VT',
    'GY',
    'WH',
    'PK',
    'TQ',
    // Two shades beside the standard's twelve.
    'LBU',
    'LGN',
  ]);
  expect(describeWireColour(parseWireColour('bu/pk'))).toBe('blue with pink stripe');
  expect(parseWireColour('PK/BU')).not.toEqual(parseWireColour('BU/PK'));
  expect(() => parseWireColour('XX')).toThrow(/XX/);
  expect(() => parseWireColour('BU/PK/RD')).toThrow(RangeError);
});

it('lists the ratings of each family in order, none above its contact', () => {
  for (const family of FUSE_FAMILIES) {
    const { ratingsA, contactMaxA } = FUSE_FAMILY_FACTS[family];
    expect([...ratingsA].sort((a, b) => a - b)).toEqual(ratingsA);
    expect(ratingsA.at(-1)).toBe(contactMaxA);
  }
});

describe('applies', () => {
  const range = { yearFrom: 2015, yearTo: 2018, trims: ['Base'], markets: [] };
  it.each([
    [2016, 'Base', 'exact'],
    [2016, 'Pilot', 'near'],
    [2019, 'Base', 'near'],
    [2021, 'Base', 'none'],
  ] as const)('%d %s is %s', (year, trim, match) => {
    expect(applies(range, { year, trim, market: '' }).match).toBe(match);
  });
  it('says what keeps it from applying', () => {
    expect(applies(range, { year: 2021, trim: 'Pilot', market: '' }).reasons).toHaveLength(2);
  });
});
