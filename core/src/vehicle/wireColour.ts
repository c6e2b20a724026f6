/** Wire colours by their IEC 60757 codes, and the light shades that harnesses have besides. */
export const WIRE_COLOURS = {
  BK: 'black',
  BN: 'brown',
  RD: 'red',
  OG: 'orange',
  YE: 'yellow',
  GN: 'green',
  BU: 'blue',
  VT: 'violet',
  GY: 'grey',
  WH: 'white',
  PK: 'pink',
  TQ: 'turquoise',
  LBU: 'light blue',
  LGN: 'light green',
} as const;
/** A colour code: two letters, an L before them for a light shade. */
export type WireColourCode = keyof typeof WIRE_COLOURS;

/** A wire's colour: base, then stripe. */
export interface WireColour {
  readonly base: WireColourCode;
  readonly stripe: WireColourCode | undefined;
}

/**
 * Which colour a code such as `BU/PK` stands for; the base comes first, so `PK/BU` is another wire.
 *
 * @throws RangeError when the text is no IEC 60757 colour.
 */
export function parseWireColour(text: string): WireColour {
  const parts = text.trim().toUpperCase().split('/');
  if (parts.length > 2) throw new RangeError(`A wire has a base and at most one stripe: "${text}"`);
  const [base, stripe] = parts.map((part) => {
    if (!(part in WIRE_COLOURS))
      throw new RangeError(`"${part}" is no colour code of IEC 60757 (in "${text}")`);
    return part as WireColourCode;
  });
  if (base === undefined) throw new RangeError('No colour code given');
  return { base, stripe };
}

/** The colour in words, e.g. "blue with pink stripe". */
export function describeWireColour(colour: WireColour): string {
  const base = WIRE_COLOURS[colour.base];
  return colour.stripe === undefined ? base : `${base} with ${WIRE_COLOURS[colour.stripe]} stripe`;
}
