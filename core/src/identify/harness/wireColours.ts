import type { WireColourCode } from '../../vehicle';
import { WIRE_COLOURS } from '../../vehicle';
import type { WireRole } from './roles';
import { WIRE_ROLES } from './roles';
import type { HarnessFamily } from './session';

/** A colour as base and stripe, as far as it can be read. */
interface Seen {
  readonly base: WireColourCode | undefined;
  readonly stripe: WireColourCode | undefined;
}

type Leaning = Partial<Record<WireRole, number>>;

/** What a base colour suggests in a car's own harness: little, and never alone. Common practice. */
const FACTORY: Partial<Record<WireColourCode, Leaning>> = {
  BK: { ground: 5, constant: 0.3, switched: 0.4 },
  BN: { ground: 3.5 },
  YE: { constant: 2.5 },
  RD: { constant: 2, switched: 2.5, ground: 0.2, speaker: 0.5 },
  OG: { lamps: 2.5 },
};

/** What the leads of an aftermarket radio are, by base colour. Common practice; see the table of leads. */
const AFTERMARKET: Partial<Record<WireColourCode, Leaning>> = {
  YE: { constant: 30, sensor: 0.5 },
  RD: { switched: 30 },
  BK: { ground: 30 },
  OG: { lamps: 20 },
  BU: { leftOver: 15 },
  BN: { leftOver: 6 },
  PK: { leftOver: 4 },
  WH: { speaker: 15 },
  GY: { speaker: 15 },
  GN: { speaker: 15 },
  VT: { speaker: 15 },
};
const BY_FAMILY: Record<HarnessFamily, Partial<Record<WireColourCode, Leaning>>> = {
  factory: FACTORY,
  aftermarket: AFTERMARKET,
};

/** How much likelier a colour is on a wire of each role than on any wire; 1 says nothing. */
export function colourEvidence(
  colour: string | undefined,
  family: HarnessFamily,
): Record<WireRole, number> {
  const { base } = seenColour(colour);
  const leaning = base === undefined ? undefined : BY_FAMILY[family][base];
  return Object.fromEntries(WIRE_ROLES.map((role) => [role, leaning?.[role] ?? 1])) as Record<
    WireRole,
    number
  >;
}

/** How likely two wires' colours make them leads of one speaker: same base, one of them striped, most of all. */
export function mateEvidence(left: string | undefined, right: string | undefined): number {
  const [a, b] = [seenColour(left), seenColour(right)];
  if (a.base === undefined || b.base === undefined) return 1;
  if (a.base === b.base) return a.stripe === b.stripe ? 3 : 8;
  return 0.35;
}

/** A wire with a dark stripe is mostly the negative lead. Common practice. */
export function isStriped(colour: string | undefined): boolean {
  return seenColour(colour).stripe !== undefined;
}

function seenColour(colour: string | undefined): Seen {
  const [base, stripe] = (colour ?? '').toUpperCase().split('/');
  return { base: known(base), stripe: known(stripe) };
}

function known(code: string | undefined): WireColourCode | undefined {
  return code !== undefined && code in WIRE_COLOURS ? (code as WireColourCode) : undefined;
}
