import type {
  BenchBattery,
  BenchCircuit,
  BenchSupply,
  BenchVehicle,
  BenchWire,
} from '@lucky-thread/core/bench';
import type { BodySide, BodyZone, FuseFamily, Place, Slot } from '@lucky-thread/core/vehicle';
import type { BodyInput, SteeringSide } from '@lucky-thread/contract';
import { generateHarness } from '@lucky-thread/core/bench';

/** A demo model: what is printed, and the simulated car behind it. */
export interface DemoVehicle {
  /** An invented make. */
  readonly make: string;
  /** An invented model. */
  readonly model: string;
  /** Which of the model, as the shop writes it, e.g. "second". */
  readonly generation: string;
  /** First model year that it stands for. */
  readonly yearFrom: number;
  /** Last model year, at least `yearFrom`. */
  readonly yearTo: number;
  /** Trims that a job can choose from. */
  readonly trims: string[];
  /** Markets that it was sold in. */
  readonly markets: string[];
  /** Sides that the steering wheel can be on. */
  readonly steering: SteeringSide[];
  /** What it is switched on with: it says which states one person can hold alone. */
  readonly keyType: 'key' | 'push button';
  /** What it is driven for, as the battery forecast asks. */
  readonly use: string;
  /** What it is laid through; left out where nobody has said. */
  readonly body?: BodyInput;
  /** Panels, connectors, looms and points, with their sources. */
  readonly places: readonly Place[];
  /** What is behind them: the simulated car that the demo is probed on. */
  readonly bench: BenchVehicle;
}

/**
 * One slot: position, legend ('' for none), rating in A (0 for an empty position), what feeds it, and the contact that
 * the supply enters.
 */
export type SlotRow = readonly [
  position: string,
  legend: string,
  ratingA: number,
  supply: BenchSupply,
  supplyContact: 'a' | 'b',
  extra?: SlotExtra,
];

/** What differs from the panel's ordinary slots. */
export interface SlotExtra {
  /** Fuse family, where it is not the panel's. */
  readonly family?: FuseFamily;
  /** Room in front of the fuse, where it is not the usual. */
  readonly clearance?: Slot['clearance'];
  /** What feeds the load side when the fuse is out. */
  readonly backFeed?: BenchSupply;
}

/** A panel as its demo data is written down. */
export interface PanelRows {
  /** Unique in its model. */
  readonly id: string;
  /** As it stands on the screens. */
  readonly name: string;
  /** Where it is, in a phrase. */
  readonly location: string;
  /** Zone of the body, for routes. */
  readonly zone?: BodyZone;
  /** Side of the body; left and right as seen by the driver. */
  readonly side?: BodySide;
  /** How one gets at it, a step each. */
  readonly access: readonly string[];
  /** Slots in one row of the drawing. */
  readonly columns: number;
  /** Fuse family of most of its slots. */
  readonly family: FuseFamily;
  /** How its slots lie, which says what the two contacts are called. */
  readonly lie: Slot['lie'];
  /** Landmarks of contacts a and b as the slots lie in the car. */
  readonly landmarks: readonly [string, string];
  /** Its slots in the order of the drawing. */
  readonly slots: readonly SlotRow[];
}

/** The panel as it can be seen. */
export function panelFrom(rows: PanelRows): Place {
  return {
    id: rows.id,
    kind: 'fusePanel',
    name: rows.name,
    location: rows.location,
    zone: rows.zone,
    side: rows.side,
    reach: { steps: rows.access, fasteners: [], tools: [] },
    notes: '',
    columns: rows.columns,
    rows: Math.ceil(rows.slots.length / rows.columns),
    sources: rows.slots.map(([position, legend, ratingA, , , extra], index) => ({
      kind: 'slot',
      id: `${rows.id}/${position}`,
      position,
      legend: legend === '' ? undefined : legend,
      ratingA: ratingA === 0 ? undefined : ratingA,
      family: extra?.family ?? rows.family,
      column: index % rows.columns,
      row: Math.floor(index / rows.columns),
      lie: rows.lie,
      contacts: [
        { id: 'a', landmark: rows.landmarks[0] },
        { id: 'b', landmark: rows.landmarks[1] },
      ],
      clearance: extra?.clearance ?? 'clear',
    })),
  };
}

/** The bunch of wires behind a demo car's radio, as it can be seen. */
export function bunchFrom(seed: number): Place {
  return {
    id: 'harness',
    kind: 'loom',
    name: 'Behind the radio',
    location: 'The bunch of wires in the radio cavity',
    zone: 'dash',
    side: 'middle',
    reach: {
      steps: ['Unclip the trim round the radio.', 'Pull the radio out.'],
      fasteners: [],
      tools: ['trim tool'],
    },
    notes: '',
    columns: 0,
    rows: 0,
    sources: generateHarness(seed).wires.map((wire) => ({
      kind: 'wire',
      id: `harness/${wire.id}`,
      name: wire.id,
      colour: wire.colour,
      ...(wire.tapedWith === undefined ? {} : { tapedWith: `harness/${wire.tapedWith}` }),
    })),
  };
}

/** The simulated car behind panels, a bunch of wires, and points of its own: terminals, studs, grounds, cavities. */
export function benchFrom(
  battery: BenchBattery,
  panels: readonly PanelRows[],
  bunchSeed: number,
  points: readonly BenchWire[] = [],
): BenchVehicle {
  const { wires = [] } = generateHarness(bunchSeed).truth;
  return {
    battery,
    wires: [...wires.map((wire) => ({ ...wire, id: `harness/${wire.id}` })), ...points],
    circuits: panels.flatMap((panel) =>
      panel.slots.map((row, index) => circuitFrom(panel.id, row, index)),
    ),
  };
}

/** Share of a fuse's rating that its circuit draws in the simulated car. */
const LOAD_SHARE = 0.4;
/** Load of a circuit with nothing behind it, as JSON can keep it (JSON has no infinity), Ω. */
const NOTHING_OHM = 1e12;

function circuitFrom(panelId: string, row: SlotRow, index: number): BenchCircuit {
  const [position, , ratingA, supply, supplyContact, extra] = row;
  const empty = supply === 'unfed' || ratingA === 0;
  return {
    slotId: `${panelId}/${position}`,
    supply,
    supplyContact,
    backFeed: extra?.backFeed,
    loadOhm: empty ? NOTHING_OHM : 12 / (LOAD_SHARE * ratingA),
    blown: false,
    // Every third open wire picks something up from its neighbours.
    ghostV: index % 3 === 0 ? 3.1 : 0,
  };
}
