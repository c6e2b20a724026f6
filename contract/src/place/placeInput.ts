import type {
  CavitySource,
  GroundSource,
  Place,
  PlaceKind,
  SlotSource,
  StudSource,
  WireSource,
} from '@lucky-thread/core/vehicle';
import { PLACE_KINDS } from '@lucky-thread/core/vehicle';
import type { Validated } from '../validate';
import { validate } from '../validate';
import type { CavityInput, WireLookInput } from './conductors';
import { ConnectorInput, LoomInput, connectorPlace, loomPlace } from './conductors';
import type { SlotInput } from './panel';
import type { SlotLook } from './slot';
import { PanelInput, panelPlace } from './panel';
import { PointsInput, RelaySocketInput, pointsPlace, relaySocketPlace } from './points';

/** A place of a model as it is entered, of any kind. */
export type PlaceInput = PanelInput | ConnectorInput | LoomInput | RelaySocketInput | PointsInput;

/** A place as the server keeps it. */
export interface PlaceView extends Place {
  /** Grows with every change; a change made on an older one is refused. */
  readonly version: number;
}

/** The class that a place of each kind is checked against. */
const CLASSES: Record<PlaceKind, new () => PlaceInput> = {
  fusePanel: PanelInput,
  connector: ConnectorInput,
  loom: LoomInput,
  socketOutlet: LoomInput,
  relaySocket: RelaySocketInput,
  stud: PointsInput,
  groundPoint: PointsInput,
};

/** Checks a place against the rules of its kind. */
export function validatePlace(plain: unknown): Validated<PlaceInput> {
  const kind = typeof plain === 'object' && plain !== null && 'kind' in plain ? plain.kind : null;
  const known = PLACE_KINDS.find((one) => one === kind);
  if (known === undefined)
    return {
      ok: false,
      problems: [{ path: 'kind', message: `a place is one of ${PLACE_KINDS.join(', ')}` }],
    };
  return validate(CLASSES[known], plain);
}

/** A place of a model with its sources, from what was entered. */
export function placeOf(id: string, input: PlaceInput): Place {
  switch (input.kind) {
    case 'fusePanel':
      return panelPlace(id, input);
    case 'connector':
      return connectorPlace(id, input);
    case 'loom':
    case 'socketOutlet':
      return loomPlace(id, input);
    case 'relaySocket':
      return relaySocketPlace(id, input);
    case 'stud':
    case 'groundPoint':
      return pointsPlace(id, input);
  }
}

/** A place as it would be entered: what {@link placeOf} makes of it is that place again. */
export function inputOf(place: PlaceView): PlaceInput {
  const { kind, version: base, name, location, zone, side, reach, notes } = place;
  const head = {
    base,
    name,
    location,
    ...(zone === undefined ? {} : { zone }),
    ...(side === undefined ? {} : { side }),
    steps: [...reach.steps],
    fasteners: [...reach.fasteners],
    tools: [...reach.tools],
    ...(reach.seconds === undefined ? {} : { seconds: reach.seconds }),
    notes,
  };
  switch (kind) {
    case 'fusePanel':
      return { kind, ...head, ...panelParts(place.sources.filter((one) => one.kind === 'slot')) };
    case 'connector': {
      const cavities = place.sources.filter((one) => one.kind === 'cavity');
      return { kind, ...head, ...harnessOf(place), wires: cavities.map(cavityInput) };
    }
    case 'loom':
    case 'socketOutlet': {
      const wires = place.sources.filter((one) => one.kind === 'wire');
      const { harness } = harnessOf(place);
      const family = harness === undefined ? {} : { harness };
      return { kind, ...head, ...family, wires: wires.map(wireInput) };
    }
    case 'relaySocket':
      return { kind, ...head, terminals: place.sources.map((one) => one.id.split('/')[1] ?? '') };
    case 'stud':
    case 'groundPoint': {
      const points = place.sources.filter((one) => one.kind === 'stud' || one.kind === 'ground');
      return { kind, ...head, points: points.map(pointInput) };
    }
  }
}

/** What is said of the wires as a whole; what nobody has said is left out. */
function harnessOf({ keying, harness }: PlaceView) {
  return {
    ...(keying === undefined ? {} : { keying }),
    ...(harness === undefined ? {} : { harness }),
  };
}

function pointInput({ name, threadMm }: StudSource | GroundSource) {
  return { name, ...(threadMm === undefined ? {} : { threadMm }) };
}

function cavityInput(cavity: CavitySource): CavityInput {
  return { ...wireInput(cavity), column: cavity.column, row: cavity.row };
}

function wireInput(wire: WireSource | CavitySource): WireLookInput {
  const { name, colour, seenColour, gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds } = wire;
  return {
    name,
    ...(colour === undefined ? {} : { colour }),
    ...(seenColour === undefined ? {} : { seenColour }),
    ...(gaugeMm2 === undefined ? {} : { gaugeMm2 }),
    ...(gaugeMeasured === undefined ? {} : { gaugeMeasured }),
    ...(tapedWith === undefined ? {} : { tapedWith: tapedWith.split('/')[1] ?? tapedWith }),
    ...(alsoFeeds === undefined ? {} : { alsoFeeds }),
  };
}

/** The look that most slots share stands once; the others carry their own. */
function panelParts(slots: readonly SlotSource[]): Pick<PanelInput, 'look' | 'slots'> {
  const looks = slots.map(slotLook);
  const keys = looks.map((look) => JSON.stringify(look));
  const count = (key: string): number => keys.filter((one) => one === key).length;
  const most = keys.reduce((best, key) => (count(key) > count(best) ? key : best), keys[0] ?? '');
  const shared = looks[keys.indexOf(most)] ?? USUAL_LOOK;
  return {
    look: shared,
    slots: slots.map((slot, index): SlotInput => ({
      position: slot.position,
      column: slot.column,
      row: slot.row,
      ...(slot.legend === undefined ? {} : { legend: slot.legend }),
      ...(slot.ratingA === undefined ? {} : { ratingA: slot.ratingA }),
      ...(keys[index] === most ? {} : { look: looks[index] as SlotLook }),
    })),
  };
}

/** A panel without slots looks like most. */
const USUAL_LOOK: SlotLook = {
  family: 'mini',
  lie: 'tall',
  landmarkA: 'upper contact',
  landmarkB: 'lower contact',
  clearance: 'clear',
};

function slotLook({ family, lie, contacts, clearance }: SlotSource): SlotLook {
  return {
    family,
    lie,
    landmarkA: contacts[0].landmark,
    landmarkB: contacts[1].landmark,
    clearance,
  };
}
