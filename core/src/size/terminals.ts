import { assertNumbers } from './ranges';

/** One class of insulated crimp sleeve. */
export interface Sleeve {
  /** Of the insulation. */
  readonly colour: 'red' | 'blue' | 'yellow';
  /** Copper that it takes in all, mm². */
  readonly fromMm2: number;
  /** Thickest conductor, mm². */
  readonly toMm2: number;
  /** The same in AWG numbers. */
  readonly awg: string;
  /** Bare copper for its barrel, mm. Common practice. */
  readonly stripMm: number;
}

/** Insulated sleeves by the copper they take. Source: DIN 46237 and common practice, from memory. */
export const SLEEVES: readonly Sleeve[] = [
  { colour: 'red', fromMm2: 0.5, toMm2: 1.5, awg: '22–16', stripMm: 6 },
  { colour: 'blue', fromMm2: 1.5, toMm2: 2.5, awg: '16–14', stripMm: 6 },
  { colour: 'yellow', fromMm2: 4, toMm2: 6, awg: '12–10', stripMm: 9 },
];
/** 22 AWG is 0.33 mm² and goes into red sleeves, 10 AWG is 5.26 mm²: the sleeves' own words, DIN 46237. */
const LEAST_MM2 = 0.32;
/** What lies between blue and yellow (12 AWG, 3.3 mm²) goes into yellow. */
const YELLOW_FROM_MM2 = 2.5;

/** A terminal for some conductors, or why none fits. */
export type TerminalChoice =
  | {
      readonly ok: true;
      readonly sleeve: Sleeve;
      /** Copper in all, mm²: areas add. */
      readonly totalMm2: number;
      readonly because: string;
      /** To be slid on before the crimp. */
      readonly first: readonly string[];
    }
  | { readonly ok: false; readonly problem: string; readonly wayOut: string };

/**
 * Which sleeve takes some conductors in one crimp: their areas add.
 *
 * @param moist whether water may come to it: then sealed sleeves
 * @throws RangeError when a conductor is out of range.
 */
export function sleeveFor(areasMm2: readonly number[], moist = false): TerminalChoice {
  for (const areaMm2 of areasMm2) assertNumbers({ areaMm2 });
  const totalMm2 = areasMm2.reduce((sum, area) => sum + area, 0);
  const sleeve =
    totalMm2 > YELLOW_FROM_MM2
      ? SLEEVES.find(({ colour, toMm2 }) => colour === 'yellow' && totalMm2 <= toMm2)
      : SLEEVES.find(({ toMm2 }) => totalMm2 <= toMm2 && totalMm2 >= LEAST_MM2);
  if (sleeve === undefined)
    return {
      ok: false,
      problem: `${mm2(totalMm2)} of copper fits no insulated sleeve (0.5 to 6 mm²).`,
      wayOut:
        totalMm2 > 6
          ? 'Bring the conductors to a stud or bus bar, each with its own ring.'
          : 'Fold the bare end back to double the copper, or solder it.',
    };
  return {
    ok: true,
    sleeve,
    totalMm2,
    because:
      areasMm2.length > 1
        ? `${areasMm2.map(mm2).join(' + ')} is ${mm2(totalMm2)}: ${sleeve.colour}, ${sleeve.fromMm2}–${sleeve.toMm2} mm².`
        : `${mm2(totalMm2)}: ${sleeve.colour}, ${sleeve.fromMm2}–${sleeve.toMm2} mm² (${sleeve.awg} AWG).`,
    first: moist
      ? ['the boot or plug housing', 'adhesive-lined heat-shrink']
      : ['the boot or plug housing', 'heat-shrink'],
  };
}

/** Rings by metric bolt with their hole, mm, and the inch bolt that they take. Source: DIN 46237, from memory. */
const RINGS: readonly {
  readonly boltMm: number;
  readonly holeMm: number;
  readonly inch: string;
}[] = [
  { boltMm: 4, holeMm: 4.3, inch: 'No. 8' },
  { boltMm: 5, holeMm: 5.3, inch: 'No. 10' },
  { boltMm: 6, holeMm: 6.5, inch: '1/4 in' },
  { boltMm: 8, holeMm: 8.4, inch: '5/16 in' },
  { boltMm: 10, holeMm: 10.5, inch: '3/8 in' },
  { boltMm: 12, holeMm: 13, inch: '1/2 in' },
  { boltMm: 14, holeMm: 15, inch: '9/16 in' },
  { boltMm: 16, holeMm: 17, inch: '5/8 in' },
];
/** Least play of a bolt in its ring, mm: No. 8 is 4.17 mm and goes through 4.3. */
const PLAY_MM = 0.1;

/**
 * The ring for a bolt: the smallest whose hole lets it through; a larger hole leaves too little face.
 *
 * @throws RangeError for a bolt out of range.
 */
export function ringFor(boltMm: number): { readonly name: string; readonly holeMm: number } {
  assertNumbers({ boltMm });
  const ring = RINGS.find((one) => one.holeMm >= boltMm + PLAY_MM);
  if (ring === undefined)
    throw new RangeError(`boltMm: no ring for a ${boltMm} mm bolt; up to 16 mm`);
  return { name: `M${ring.boltMm} (${ring.inch})`, holeMm: ring.holeMm };
}

/** One size of an insulation-displacement wire tap: what it grips on the car's side and on the added one. */
const WIRE_TAPS = [
  { colour: 'red', fromMm2: 0.5, toMm2: 1.0 },
  { colour: 'blue', fromMm2: 1.0, toMm2: 2.5 },
  { colour: 'yellow', fromMm2: 4, toMm2: 6 },
] as const;

/** A wire tap for two wires, or why there is none. */
export type WireTapChoice =
  | { readonly ok: true; readonly colour: 'red' | 'blue' | 'yellow'; readonly because: string }
  | { readonly ok: false; readonly problem: string; readonly wayOut: string };

/** Which wire tap grips the car's wire as well as the added one: both must lie in its range. Common practice. */
export function wireTapFor(carMm2: number, addedMm2: number): WireTapChoice {
  assertNumbers({ areaMm2: carMm2 });
  assertNumbers({ areaMm2: addedMm2 });
  const grips = (tap: (typeof WIRE_TAPS)[number], area: number): boolean =>
    area >= tap.fromMm2 * 0.95 && area <= tap.toMm2 * 1.05;
  const tap = WIRE_TAPS.find((one) => grips(one, carMm2) && grips(one, addedMm2));
  if (tap !== undefined)
    return {
      ok: true,
      colour: tap.colour,
      because: `Grips ${tap.fromMm2}–${tap.toMm2} mm²: the car’s ${mm2(carMm2)} and the added ${mm2(addedMm2)}.`,
    };
  return {
    ok: false,
    problem: `No wire tap grips both ${mm2(carMm2)} of the car and ${mm2(addedMm2)} added: too thin it falls off, too thick it is cut.`,
    wayOut: 'Strip and solder, or crimp a splice that both fit into.',
  };
}

function mm2(area: number): string {
  return `${Number(area.toFixed(2))} mm²`;
}
