import type { Panel } from './panel';
import type { SlotSource, Source } from './source';

/** Where sources sit in a vehicle. */
export const PLACE_KINDS = [
  'fusePanel',
  'connector',
  'loom',
  'relaySocket',
  'stud',
  'groundPoint',
  'socketOutlet',
] as const;
/** One kind of place. */
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** What each kind is called. */
export const PLACE_KIND_NAMES: Record<PlaceKind, string> = {
  fusePanel: 'fuse panel',
  connector: 'connector',
  loom: 'loom',
  relaySocket: 'relay socket',
  stud: 'stud or bus bar',
  groundPoint: 'ground point',
  socketOutlet: 'socket outlet',
};

/** Parts of a body, front to rear. */
export const BODY_ZONES = [
  'engine space',
  'dash',
  'column',
  'console',
  'footwell',
  'kick panel',
  'pillar',
  'door',
  'roof',
  'seat',
  'sill',
  'rear',
  'tailgate',
  'underneath',
] as const;
/** One part of the body. */
export type BodyZone = (typeof BODY_ZONES)[number];

/** Sides of a body; `driver` and `passenger` follow the steering wheel. */
export const BODY_SIDES = ['left', 'middle', 'right', 'driver', 'passenger'] as const;
/** One side. */
export type BodySide = (typeof BODY_SIDES)[number];

/** How one gets at a place. */
export interface Reach {
  /** Steps in order. */
  readonly steps: readonly string[];
  /** What has to be undone, e.g. "2 knobs". */
  readonly fasteners: readonly string[];
  /** What is needed for that, e.g. "trim tool". */
  readonly tools: readonly string[];
  /** How long it takes, s, 0 or more; left out when nobody has timed it. */
  readonly seconds?: number | undefined;
}

/** A spot of a vehicle that holds sources. */
export interface Place {
  /** Unique within the vehicle, e.g. `dash`. */
  readonly id: string;
  /** What sort of place it is. */
  readonly kind: PlaceKind;
  /** What it is called, e.g. "Dash panel". */
  readonly name: string;
  /** Where it is, in words that need no picture. */
  readonly location: string;
  /** Part of the body; left out when it was not said. */
  readonly zone?: BodyZone | undefined;
  /** Side of the body; left out when it was not said. */
  readonly side?: BodySide | undefined;
  /** How one gets at it. */
  readonly reach: Reach;
  /** What the next person should know; empty for nothing. */
  readonly notes: string;
  /** Width of a panel or connector in positions; 0 where there is no grid. */
  readonly columns: number;
  /** Height of it in positions; 0 where there is no grid. */
  readonly rows: number;
  /** How a connector is keyed, in words: its colour, tabs, what it cannot be turned by; left out when nobody has said. */
  readonly keying?: string | undefined;
  /** The harness family that its wires belong to: colours mean something inside it only; left out when nobody has said. */
  readonly harness?: string | undefined;
  /** In the order in which they are named. */
  readonly sources: readonly Source[];
}

/** The fuse panels among places, as maps of their slots. */
export function panelsIn(places: readonly Place[]): Panel[] {
  return places
    .filter((place) => place.kind === 'fusePanel')
    .map((place) => ({
      id: place.id,
      name: place.name,
      location: place.location,
      access: place.reach.steps,
      columns: place.columns,
      rows: place.rows,
      slots: place.sources.filter((one): one is SlotSource => one.kind === 'slot'),
    }));
}
