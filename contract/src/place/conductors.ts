import type { CavitySource, Place, WireLook, WireSource } from '@lucky-thread/core/vehicle';
import { MOST_WIRES, POSITION } from '@lucky-thread/core/vehicle';
import {
  Equals,
  IsBoolean,
  IsIn,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { WIRE_COLOUR } from '../rules/wireColour';
import { GridIndex, NestedList, Optional, UniqueBy } from '../rules/fields';
import { PlaceHead, headOf } from './head';

/** Smallest and largest cross-section of a vehicle's wire, mm². */
const GAUGES_MM2 = [0.05, 120] as const;

/** What can be seen of a wire. */
export class WireLookInput {
  /** What it is called, e.g. "W3" or "12"; unique in its place. */
  @Matches(POSITION, { message: 'a name is up to 12 letters or digits' })
  name!: string;

  /** Colour as the drawing or the maker has it, IEC 60757; left out when it can't be told. */
  @Optional()
  @Matches(WIRE_COLOUR, { message: 'a colour is a code such as BU or BU/PK' })
  colour?: string;

  /** Colour as it is seen where that differs: faded, or written down otherwise. */
  @Optional()
  @Matches(WIRE_COLOUR, { message: 'a colour is a code such as BU or BU/PK' })
  seenColour?: string;

  /** Cross-section, mm². */
  @Optional()
  @IsNumber({}, { message: 'a cross-section is a number of mm²' })
  @Min(GAUGES_MM2[0], { message: `a wire has at least ${GAUGES_MM2[0]} mm²` })
  @Max(GAUGES_MM2[1], { message: `a wire has at most ${GAUGES_MM2[1]} mm²` })
  gaugeMm2?: number;

  /** Whether the cross-section was measured; left out: assumed. */
  @Optional()
  @IsBoolean()
  gaugeMeasured?: boolean;

  /** Name of the wire that it is taped or twisted with. */
  @Optional()
  @Matches(POSITION, { message: 'name the wire that it is taped with' })
  tapedWith?: string;

  /** What else is known to hang on it. */
  @Optional()
  @IsString()
  @Length(1, 80, { message: 'what hangs on it takes up to 80 characters' })
  alsoFeeds?: string;
}

/** One cavity of a connector, seen from the side that the wires go in. */
export class CavityInput extends WireLookInput {
  /** Column, from 0. */
  @GridIndex()
  column!: number;

  /** Row, from 0. */
  @GridIndex()
  row!: number;
}

/** What every place with wires says of itself. */
abstract class WiresHead extends PlaceHead {
  /** The harness family that its wires belong to, e.g. "body harness, 2016 on": colours mean something inside it only. */
  @Optional()
  @IsString()
  @Length(1, 60, { message: 'name the harness in up to 60 characters' })
  harness?: string;
}

/** A loom, or the wires behind a socket outlet. */
export class LoomInput extends WiresHead {
  @IsIn(['loom', 'socketOutlet'])
  kind!: 'loom' | 'socketOutlet';

  /** Its wires. */
  @NestedList(() => WireLookInput, {
    min: 1,
    max: MOST_WIRES,
    tooFew: 'a loom has at least one wire',
  })
  @UniqueBy<WireLookInput>('name', 'two wires have the same name')
  wires!: WireLookInput[];
}

/** A connector. */
export class ConnectorInput extends WiresHead {
  @Equals('connector')
  kind!: 'connector';

  /** How it is keyed: its colour, its tabs, what it cannot be turned by. */
  @Optional()
  @IsString()
  @Length(1, 80, { message: 'say in up to 80 characters how it is keyed' })
  keying?: string;

  /** Its cavities that hold a wire. */
  @NestedList(() => CavityInput, {
    min: 1,
    max: MOST_WIRES,
    tooFew: 'a connector has at least one wire',
  })
  @UniqueBy<CavityInput>('name', 'two cavities have the same name')
  wires!: CavityInput[];
}

function lookOf(placeId: string, wire: WireLookInput): WireLook {
  const { colour, seenColour, gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds } = wire;
  return {
    ...(colour === undefined ? {} : { colour }),
    ...(seenColour === undefined ? {} : { seenColour }),
    ...(gaugeMm2 === undefined ? {} : { gaugeMm2 }),
    ...(gaugeMeasured === undefined ? {} : { gaugeMeasured }),
    ...(tapedWith === undefined ? {} : { tapedWith: `${placeId}/${tapedWith}` }),
    ...(alsoFeeds === undefined ? {} : { alsoFeeds }),
  };
}

/** A loom as a place of its model. */
export function loomPlace(id: string, loom: LoomInput): Place {
  return {
    id,
    kind: loom.kind,
    ...headOf(loom),
    ...(loom.harness === undefined ? {} : { harness: loom.harness }),
    columns: 0,
    rows: 0,
    sources: loom.wires.map((wire): WireSource => ({
      kind: 'wire',
      id: `${id}/${wire.name}`,
      name: wire.name,
      ...lookOf(id, wire),
    })),
  };
}

/** A connector as a place of its model. */
export function connectorPlace(id: string, connector: ConnectorInput): Place {
  return {
    id,
    kind: 'connector',
    ...headOf(connector),
    ...(connector.harness === undefined ? {} : { harness: connector.harness }),
    ...(connector.keying === undefined ? {} : { keying: connector.keying }),
    columns: 1 + Math.max(...connector.wires.map((wire) => wire.column)),
    rows: 1 + Math.max(...connector.wires.map((wire) => wire.row)),
    sources: connector.wires.map((wire): CavitySource => ({
      kind: 'cavity',
      id: `${id}/${wire.name}`,
      name: wire.name,
      column: wire.column,
      row: wire.row,
      ...lookOf(id, wire),
    })),
  };
}
