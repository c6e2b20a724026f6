/** What can hurt a person, the car or the lead along a passage. */
export const ROUTE_HAZARDS = {
  curtainAirbag: {
    name: 'curtain airbag',
    caution:
      'Behind the airbag, never in front of it or tied to it; trim clips as its maker says. Look again once the trim is back.',
    penaltyS: 90,
  },
  pedals: {
    name: 'pedals',
    caution: 'Tied up high, under the carpet: nothing may hang where feet and pedals move.',
    penaltyS: 60,
  },
  column: {
    name: 'steering column',
    caution: 'Clear of the turning column and its joints; the yellow sleeve is the airbag’s.',
    penaltyS: 40,
  },
  belt: {
    name: 'belt and retractor',
    caution: 'Clear of belt and retractor; a pretensioner is left alone.',
    penaltyS: 60,
  },
  heat: {
    name: 'heat',
    caution: 'A hand away from exhaust, heater and engine; heat sleeve.',
    penaltyS: 60,
  },
  movingParts: {
    name: 'moving parts',
    caution: 'Clear of fan, belts, shafts and hinges through their whole travel.',
    penaltyS: 60,
  },
  sharpEdge: {
    name: 'sharp edge',
    caution:
      'Grommet or edge strip: never bare through metal. No blade into a boot or a taped loom; a rusted wiper arm comes off with a puller, not a hammer.',
    penaltyS: 30,
  },
  water: {
    name: 'water',
    caution: 'Sealed joints, a drip loop below the entry, the grommet closed.',
    penaltyS: 30,
  },
  glass: {
    name: 'window glass',
    caution: 'Clear of the window’s travel and its regulator.',
    penaltyS: 60,
  },
  tailgate: {
    name: 'tailgate joint',
    caution:
      'Through the boot with slack for full travel, on the hinge side; open and shut it ten times.',
    penaltyS: 60,
  },
  roll: {
    name: 'the car can roll',
    caution:
      'Level ground, wheels chocked, parking brake on, before a selector or its console comes out.',
    penaltyS: 20,
  },
  highVoltage: {
    name: 'high voltage',
    caution:
      'Orange sheaths are not touched, crossed or tied to; the maker’s shut-down comes first.',
    penaltyS: 120,
  },
} as const satisfies Record<
  string,
  { readonly name: string; readonly caution: string; readonly penaltyS: number }
>;
/** One hazard of a route. */
export type RouteHazard = keyof typeof ROUTE_HAZARDS;

/** What a kind of passage asks for. Seconds are common practice. */
export interface PassageKind {
  /** Where the lead lies, as a step says it. */
  readonly along: string;
  /** Trim that has to come off; undefined where nothing does. */
  readonly trim?: string;
  /** What holds that trim. */
  readonly fasteners?: string;
  readonly tools: readonly string[];
  /** Time to get the trim off and on again, s; paid once however many leads lie there. */
  readonly openS: number;
  /** Time to lay a metre, s. */
  readonly layS: number;
  /** How much longer the way is than the straight line: a factor of 1 or more. */
  readonly detour: number;
  readonly hazards: readonly RouteHazard[];
  /** It goes through a grommet or rubber boot, which takes so much and no more. */
  readonly narrow?: boolean;
  /** What is looked at as its trim goes back, beside clips and seals. */
  readonly back?: string;
}

const TRIM_TOOL = 'trim tool';
const CABLE_PULLER = 'cable puller';

/** Every kind of passage through a vehicle. */
export const PASSAGE_KINDS = {
  behindDash: passage('tied to the dash’s cross beam', {
    openS: 120,
    layS: 60,
    detour: 1.25,
    trim: 'lower dash cover',
    fasteners: 'screws or clips',
    tools: [TRIM_TOOL, CABLE_PULLER],
  }),
  underDash: passage('up under the dash', { openS: 30, layS: 40, detour: 1.2 }),
  dashEnd: passage('down the dash end', {
    openS: 30,
    layS: 40,
    detour: 1.2,
    trim: 'dash end flap',
    fasteners: 'clips',
    tools: [TRIM_TOOL],
  }),
  column: passage('beside the column', {
    back: 'Column adjusts through its whole travel; horn and lock tried.',
    openS: 90,
    layS: 40,
    detour: 1.2,
    trim: 'column lower cover',
    fasteners: 'screws',
    tools: ['screwdriver'],
    hazards: ['column'],
  }),
  kickPanel: passage('behind the kick panel', {
    openS: 40,
    layS: 30,
    detour: 1.15,
    trim: 'kick panel',
    fasteners: 'plastic nut and clips',
    tools: [TRIM_TOOL],
  }),
  console: passage('along the console', {
    back: 'Selector through all its positions; every plug of the console in again.',
    openS: 240,
    layS: 40,
    detour: 1.15,
    trim: 'console side',
    fasteners: 'screws and clips',
    tools: [TRIM_TOOL, 'screwdriver'],
    hazards: ['roll'],
  }),
  carpet: passage('under the carpet', { openS: 30, layS: 40, detour: 1.1 }),
  sill: passage('under the sill trim', {
    openS: 40,
    layS: 20,
    detour: 1.05,
    trim: 'sill trim',
    fasteners: 'clips, pulled straight up',
    tools: [TRIM_TOOL],
  }),
  aPillar: passage('behind the A-pillar trim, behind the airbag', {
    back: 'Airbag, its cable and its plug lie as they did; a tethered clip is a new one.',
    openS: 90,
    layS: 60,
    detour: 1.1,
    trim: 'A-pillar trim',
    fasteners: 'clips, often a tethered one',
    tools: [TRIM_TOOL],
    hazards: ['curtainAirbag'],
  }),
  bPillar: passage('behind the B-pillar trim', {
    back: 'Belt anchor to its maker’s torque; belt runs free and locks at a tug.',
    openS: 240,
    layS: 60,
    detour: 1.1,
    trim: 'B-pillar trim',
    fasteners: 'belt anchor bolt and clips',
    tools: [TRIM_TOOL, 'socket 17 mm', 'torque wrench'],
    hazards: ['belt', 'curtainAirbag'],
  }),
  cPillar: passage('behind the C-pillar trim', {
    back: 'Antenna and its amplifier plugged in; belt runs free.',
    openS: 180,
    layS: 60,
    detour: 1.1,
    trim: 'C-pillar trim',
    fasteners: 'clips',
    tools: [TRIM_TOOL],
    hazards: ['belt', 'curtainAirbag'],
  }),
  headlinerFront: passage('tucked under the headliner’s front edge', {
    openS: 0,
    layS: 60,
    detour: 1.05,
    tools: ['plastic tucking tool'],
  }),
  headlinerSide: passage('over the door, behind the headliner’s edge', {
    back: 'Seal all round, not pinched: shut the door and look along it.',
    openS: 60,
    layS: 60,
    detour: 1.05,
    trim: 'door seal, upper part',
    fasteners: 'pushed on',
    tools: ['plastic tucking tool'],
    hazards: ['curtainAirbag'],
  }),
  headlinerMiddle: passage('over the headliner', {
    back: 'Lamps plugged in and lit before they are pushed home; handles hold.',
    openS: 300,
    layS: 120,
    detour: 1.05,
    trim: 'headliner lamps, grab handles',
    fasteners: 'clips and screws',
    tools: [TRIM_TOOL, CABLE_PULLER],
  }),
  headlinerRear: passage('along the headliner’s rear edge', {
    back: 'Antenna and rear lamps plugged in.',
    openS: 60,
    layS: 60,
    detour: 1.05,
    trim: 'rear header trim',
    fasteners: 'clips',
    tools: [TRIM_TOOL],
  }),
  loadSide: passage('behind the load space’s side trim', {
    back: 'Rear lamps and any fuel or lock motor behind it tried.',
    openS: 150,
    layS: 40,
    detour: 1.1,
    trim: 'load space side trim',
    fasteners: 'clips and hooks',
    tools: [TRIM_TOOL],
  }),
  loadFloor: passage('under the load floor', { openS: 40, layS: 30, detour: 1.1 }),
  tailgate: passage('through the tailgate’s rubber boot', {
    back: 'Boot seated at both ends; wiper, lamp, camera and heater tried; open and shut ten times.',
    narrow: true,
    openS: 240,
    layS: 120,
    detour: 1.4,
    trim: 'tailgate trim',
    fasteners: 'clips',
    tools: [TRIM_TOOL, CABLE_PULLER],
    hazards: ['tailgate', 'water', 'movingParts'],
  }),
  door: passage('through the door’s rubber boot', {
    back: 'Membrane glued down again; window, lock and speaker tried before the card goes on.',
    narrow: true,
    openS: 300,
    layS: 120,
    detour: 1.4,
    trim: 'door card',
    fasteners: 'screws and clips',
    tools: [TRIM_TOOL, CABLE_PULLER, 'screwdriver'],
    hazards: ['movingParts', 'water', 'glass'],
  }),
  grommet: passage('through the bulkhead’s grommet', {
    narrow: true,
    openS: 180,
    layS: 120,
    detour: 1.5,
    tools: [CABLE_PULLER, 'grommet awl'],
    hazards: ['sharpEdge', 'water'],
  }),
  engineSpace: passage('along the engine bay’s own loom', {
    openS: 30,
    layS: 60,
    detour: 1.3,
    tools: ['convoluted sleeve'],
    hazards: ['heat', 'movingParts', 'water'],
  }),
  underneath: passage('along the underbody’s own lines', {
    openS: 300,
    layS: 120,
    detour: 1.2,
    tools: ['convoluted sleeve', 'axle stands'],
    hazards: ['heat', 'movingParts', 'water', 'highVoltage'],
  }),
  floorGrommet: passage('up through a floor grommet', {
    narrow: true,
    openS: 180,
    layS: 120,
    detour: 1.3,
    tools: [CABLE_PULLER],
    hazards: ['sharpEdge', 'water'],
  }),
  bed: passage('along the bed’s inner rail', {
    openS: 60,
    layS: 60,
    detour: 1.1,
    tools: ['convoluted sleeve'],
    hazards: ['water', 'sharpEdge'],
  }),
  frame: passage('along the frame, with its own loom', {
    openS: 30,
    layS: 60,
    detour: 1.2,
    tools: ['convoluted sleeve'],
    hazards: ['water', 'movingParts', 'heat'],
  }),
  steeringHead: passage('past the steering head, with slack both ways', {
    openS: 60,
    layS: 120,
    detour: 1.5,
    hazards: ['movingParts', 'water'],
  }),
  cage: passage('tied along the cage’s tubes', {
    openS: 0,
    layS: 60,
    detour: 1.15,
    tools: ['convoluted sleeve'],
    hazards: ['water', 'sharpEdge'],
  }),
  cableRun: passage('along the boat’s cable run, above the bilge', {
    openS: 120,
    layS: 60,
    detour: 1.15,
    trim: 'hatch or liner panel',
    fasteners: 'screws',
    tools: ['screwdriver', CABLE_PULLER],
    hazards: ['water'],
  }),
} as const satisfies Record<string, PassageKind>;
/** One kind. */
export type PassageKindId = keyof typeof PASSAGE_KINDS;

function passage(
  along: string,
  of: Pick<PassageKind, 'openS' | 'layS' | 'detour'> & Partial<PassageKind>,
): PassageKind {
  return { tools: [], hazards: [], along, ...of };
}
