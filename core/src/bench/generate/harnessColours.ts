import type { CircuitFunction } from '../../vehicle';
import { pick, weighted } from './draw';

/** Functions of wires in a generated bunch. */
export type GeneratedRole = Exclude<CircuitFunction, 'none'>;

/** A wire that wants a colour. */
interface Unpainted {
  readonly role: GeneratedRole;
  readonly pair: string | undefined;
  readonly positive: boolean | undefined;
}

/** Colours that an invented maker gives the usual functions, by weight; anything else may be any colour. */
const USUAL: Partial<Record<GeneratedRole, readonly (readonly [string, number])[]>> = {
  constant: [
    ['YE', 4],
    ['RD', 2],
    ['RD/YE', 2],
    ['WH/RD', 1],
    ['BU/RD', 1],
  ],
  accessory: [
    ['RD', 3],
    ['GY', 2],
    ['BU/YE', 1],
    ['RD/BU', 2],
    ['GN/BK', 1],
  ],
  ground: [
    ['BK', 6],
    ['BN', 3],
    ['BK/WH', 1],
    ['WH/BK', 1],
  ],
  lamps: [
    ['OG', 3],
    ['GN', 1],
    ['OG/WH', 2],
    ['GY/RD', 1],
  ],
  dataBus: [
    ['GN', 1],
    ['WH', 1],
    ['YE/GN', 1],
    ['OG/BN', 1],
  ],
};
const BASES = ['BK', 'BN', 'RD', 'OG', 'YE', 'GN', 'BU', 'VT', 'GY', 'WH', 'PK', 'TQ'] as const;
/** Share of wires with the usual colour; makers differ. */
const KEEPS_TO_USUAL = 0.7;

/** A colour for every wire; mates of a pair share their base, the negative one is striped. */
export function paint(wires: readonly Unpainted[], random: () => number): string[] {
  const pairs = new Map<string, string>();
  return wires.map((wire) => {
    if (wire.pair !== undefined) {
      const base = pairs.get(wire.pair) ?? pick(BASES.slice(3), random);
      pairs.set(wire.pair, base);
      if (wire.role === 'speaker')
        return wire.positive === true ? base : `${base}/${stripeOf(base)}`;
    }
    const usual = USUAL[wire.role];
    return usual !== undefined && random() < KEEPS_TO_USUAL ? weighted(usual, random) : any(random);
  });
}

function stripeOf(base: string): string {
  return base === 'BK' ? 'WH' : 'BK';
}

function any(random: () => number): string {
  const base = pick(BASES, random);
  const stripe = pick(BASES, random);
  return random() < 0.5 || stripe === base ? base : `${base}/${stripe}`;
}

/** What sun and years make of a colour; an earlier installer's splice may be any colour. */
const FADES: Readonly<Record<string, string>> = {
  PK: 'WH',
  VT: 'BU',
  OG: 'YE',
  RD: 'OG',
  TQ: 'GN',
  GY: 'WH',
  YE: 'WH',
  BN: 'BK',
};
const SPLICED = 0.3;

/** A colour as it is seen after years, or after an earlier installer. */
export function fade(colour: string, random: () => number): string {
  if (random() < SPLICED) return any(random);
  const [base = 'BK', stripe] = colour.split('/');
  const seen = FADES[base] ?? base;
  // Thin stripes go first.
  return stripe === undefined || random() < 0.5 || stripe === seen ? seen : `${seen}/${stripe}`;
}
