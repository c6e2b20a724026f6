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
  /** Colour of most of the insulation. */
  readonly base: WireColourCode;
  /** Colour of the stripe; undefined without one. */
  readonly stripe: WireColourCode | undefined;
}

/**
 * Ways of writing colours: IEC 60757; German letters (DIN 47002, from memory); two sets of single letters, which differ in
 * what B is; English words and their shortenings. The latter four as makers' drawings use them, common practice.
 */
export const COLOUR_SYSTEMS = [
  'iec',
  'german',
  'letters, B black',
  'letters, B blue',
  'english',
] as const;
/** One of them. */
export type ColourSystem = (typeof COLOUR_SYSTEMS)[number];

const LETTERS = 'W WH, R RD, G GN, Y YE, P PK, O OG, BR BN, GR GY, LG LGN, SB LBU, V VT';
const WRITTEN: Record<ColourSystem, ReadonlyMap<string, WireColourCode>> = {
  iec: new Map(Object.keys(WIRE_COLOURS).map((code) => [code, code as WireColourCode])),
  german: table(
    'SW BK, BR BN, RT RD, OR OG, GE YE, GN GN, BL BU, VI VT, LI VT, GR GY, WS WH, RS PK, TK TQ, HBL LBU, HGN LGN',
  ),
  'letters, B black': table(`${LETTERS}, B BK, L BU`),
  'letters, B blue': table(`${LETTERS}, B BU, S BK, N BK`),
  english: table(
    `BLACK BK, BLK BK, BROWN BN, BRN BN, RED RD, ORANGE OG, ORG OG, ORN OG, YELLOW YE, YEL YE, GREEN GN, GRN GN, BLUE BU, BLU BU,
     VIOLET VT, VIO VT, PURPLE VT, PUR VT, PPL VT, GREY GY, GRAY GY, GRY GY, WHITE WH, WHT WH, PINK PK, PNK PK, TURQUOISE TQ,
     TURQ TQ, LIGHTBLUE LBU, LTBLUE LBU, LTBLU LBU, SKYBLUE LBU, LIGHTGREEN LGN, LTGREEN LGN, LTGRN LGN`,
  ),
};

function table(list: string): ReadonlyMap<string, WireColourCode> {
  return new Map(
    list.split(',').map((entry) => {
      const [written = '', code] = entry.trim().split(' ');
      return [written, code as WireColourCode];
    }),
  );
}

/**
 * Which colour is meant by what people write: `BU/PK`, `GY-BK`, `GNYE`, `gr/sw`, `W/B`, `light green`. The base comes
 * first, so `PK/BU` is another wire.
 *
 * @param system how it is written; needed only where letters clash
 * @throws RangeError when it is no colour, or when it is another one in another way of writing and none was chosen.
 */
export function parseWireColour(text: string, system?: ColourSystem): WireColour {
  const parts = partsOf(text);
  if (parts.length > 2) throw new RangeError(`A wire has a base and at most one stripe: "${text}"`);
  const ways = system === undefined ? COLOUR_SYSTEMS : [system];
  const meant = new Map<string, ColourSystem>();
  for (const way of ways) {
    const codes = codesIn(parts, way);
    if (codes !== undefined && !meant.has(codes.join('/'))) meant.set(codes.join('/'), way);
  }
  const [first, ...others] = [...meant];
  if (first === undefined)
    throw new RangeError(
      `"${text}" is no colour ${system === undefined ? 'in any way of writing known here' : `in ${system}`}`,
    );
  if (others.length > 0)
    throw new RangeError(
      `"${text}" may be ${[first, ...others].map(([codes, way]) => `${codes} (${way})`).join(' or ')}: choose the way of writing`,
    );
  const [base, stripe] = first[0].split('/') as [WireColourCode, WireColourCode?];
  return { base, stripe };
}

/** Base and stripe: apart by a stroke, a dash or “with”; shades stay with their colour. */
function partsOf(text: string): string[] {
  return text
    .trim()
    .toUpperCase()
    .replace(/\bSTRIPES?\b|\bTRACER\b/g, ' ')
    .replace(/\b(LIGHT|LT|SKY)[\s.-]*(?=[A-Z])/g, '$1')
    .split(/\s*[/\-+]\s*|\s+WITH\s+|\s+/)
    .filter((part) => part !== '');
}

function codesIn(parts: readonly string[], way: ColourSystem): WireColourCode[] | undefined {
  const codes = parts.map((part) => WRITTEN[way].get(part));
  if (parts.length > 0 && codes.every((code) => code !== undefined)) return codes;
  const [only] = parts;
  return parts.length === 1 && only !== undefined ? runTogether(only, way) : undefined;
}

/** Two codes of two letters run together, `GNYE`. */
function runTogether(text: string, way: ColourSystem): WireColourCode[] | undefined {
  if (text.length !== 4) return undefined;
  const base = WRITTEN[way].get(text.slice(0, 2));
  const stripe = WRITTEN[way].get(text.slice(2));
  return base === undefined || stripe === undefined ? undefined : [base, stripe];
}

/** The colour in words, e.g. "blue with pink stripe". */
export function describeWireColour(colour: WireColour): string {
  const base = WIRE_COLOURS[colour.base];
  return colour.stripe === undefined ? base : `${base} with ${WIRE_COLOURS[colour.stripe]} stripe`;
}
