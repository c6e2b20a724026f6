import type { Slot } from './panel';

/** Kinds of source that a place can hold. */
export const SOURCE_KINDS = ['slot', 'cavity', 'wire', 'relayTerminal', 'stud', 'ground'] as const;
/** One kind. */
export type SourceKind = (typeof SOURCE_KINDS)[number];

/** What every source has, whatever its kind. */
interface Named {
  /** Unique within the vehicle, e.g. `radio/W3`. */
  readonly id: string;
  /** Name in instructions, e.g. "W3". */
  readonly name: string;
}

/** What can be seen of a wire. */
export interface WireLook {
  /** Colour as the drawing or the maker has it, IEC 60757: base, then stripe; left out when it can't be told. */
  readonly colour?: string | undefined;
  /** Colour as seen where it has faded or was written down otherwise; left out when it is the same. */
  readonly seenColour?: string | undefined;
  /** Cross-section, mm², above 0. */
  readonly gaugeMm2?: number | undefined;
  /** Whether the cross-section was measured; left out: assumed. */
  readonly gaugeMeasured?: boolean | undefined;
  /** Wire it is taped or twisted with, by id. */
  readonly tapedWith?: string | undefined;
  /** What else is known to hang on it, in words. */
  readonly alsoFeeds?: string | undefined;
}

/** A fuse slot. */
export interface SlotSource extends Slot {
  /** A fuse’s place. */
  readonly kind: 'slot';
}

/** One cavity of a connector, seen from the side that the wires go in. */
export interface CavitySource extends Named, WireLook {
  /** A terminal of a connector. */
  readonly kind: 'cavity';
  /** Column in the connector, from 0. */
  readonly column: number;
  /** Row in the connector, from 0. */
  readonly row: number;
}

/** One wire of a loom. */
export interface WireSource extends Named, WireLook {
  /** A wire of a loom. */
  readonly kind: 'wire';
}

/** Terminals that a relay socket can have: coil, contacts, and a second output of make-contact relays. DIN 72552. */
export const RELAY_TERMINALS = ['30', '85', '86', '87', '87a', '87b'] as const;

/** One terminal of a relay socket. */
export interface RelayTerminalSource extends Named {
  /** A terminal of a relay’s socket. */
  readonly kind: 'relayTerminal';
  /** Number after DIN 72552, e.g. "87". */
  readonly terminal: string;
}

/** A stud or one bolt of a bus bar. */
export interface StudSource extends Named {
  /** A bolt that carries supply. */
  readonly kind: 'stud';
  /** Thread, mm; left out when nobody has measured it. */
  readonly threadMm?: number | undefined;
}

/** A ground point of the body. */
export interface GroundSource extends Named {
  /** A bolt or bare metal of the body. */
  readonly kind: 'ground';
  /** Thread, mm; left out when nobody has measured it. */
  readonly threadMm?: number | undefined;
}

/** Anything in a vehicle that could feed a device or that can be read. */
export type Source =
  | SlotSource
  | CavitySource
  | WireSource
  | RelayTerminalSource
  | StudSource
  | GroundSource;

/** A source that is a conductor one can splice into. */
export type Conductor = CavitySource | WireSource;

/** Whether one can splice into it: a wire, or the wire behind a cavity. */
export function isConductor(source: Source): source is Conductor {
  return source.kind === 'wire' || source.kind === 'cavity';
}

/** A source that is live without a fuse of its own in front of it: a terminal of a relay socket, a stud. */
export type PowerPoint = RelayTerminalSource | StudSource;

/** Whether it is a terminal or a stud. */
export function isPowerPoint(source: Source): source is PowerPoint {
  return source.kind === 'relayTerminal' || source.kind === 'stud';
}

/** A source that a lead is joined to rather than put into with a tap. */
export type Joinable = Conductor | PowerPoint;

/** Whether a lead is joined to it. */
export function isJoinable(source: Source): source is Joinable {
  return isConductor(source) || isPowerPoint(source);
}

/** What a source is called in instructions. */
export function nameOf(source: Source): string {
  return source.kind === 'slot' ? source.position : source.name;
}

/**
 * What one goes by at a source: the printed legend of a slot, the colour as seen of a wire, the terminal of a relay
 * socket; undefined where there is nothing to go by.
 */
export function markOf(source: Source): string | undefined {
  switch (source.kind) {
    case 'slot':
      return source.legend;
    case 'cavity':
    case 'wire':
      return source.seenColour ?? source.colour;
    case 'relayTerminal':
      return source.terminal;
    case 'stud':
    case 'ground':
      return undefined;
  }
}
