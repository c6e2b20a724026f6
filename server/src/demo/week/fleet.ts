import type { BodySide, BodyZone } from '@lucky-thread/core/vehicle';
import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';
import { cabOf, toGround } from '../cab';
import type { PointRows } from '../points';
import { benchPoints, pointsFrom } from '../points';

/** What a vehicle of the fleet is, as briefly as it can be said. */
interface Told extends Omit<DemoVehicle, 'places' | 'bench' | 'generation' | 'trims' | 'markets'> {
  readonly generation?: string;
  readonly trims?: string[];
  readonly panel: PanelRows;
  /** Relay sockets, studs, grounds and connectors; left out where it has none. */
  readonly points?: readonly PointRows[];
  /** Seed of its bunch of wires; left out where there is none. */
  readonly bunch?: number;
}

const BATTERY = { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 } as const;
/** A bunch that every simulated car has behind it, laid open or not. */
const ANY_BUNCH = 7;

function vehicle({
  panel,
  bunch,
  points = [],
  generation = '',
  trims = [],
  ...told
}: Told): DemoVehicle {
  return {
    ...told,
    generation,
    trims,
    markets: ['Islands'],
    places: [
      panelFrom(panel),
      ...(bunch === undefined ? [] : [bunchFrom(bunch)]),
      ...points.map(pointsFrom),
    ],
    bench: benchFrom(BATTERY, [panel], bunch ?? ANY_BUNCH, benchPoints(points)),
  };
}

const PACKET: PanelRows = {
  id: 'dash',
  name: 'Dash panel',
  location: 'Left dash end, behind the flap',
  zone: 'dash',
  side: 'left',
  access: ['Open the passenger’s door.', 'Pull the flap off.'],
  columns: 6,
  family: 'mini',
  lie: 'tall',
  landmarks: ['upper contact', 'lower contact'],
  slots: [
    ['F1', 'BATT', 15, 'battery', 'a'],
    ['F2', 'CIG', 15, 'accessoryContact', 'b'],
    ['F3', 'AUDIO', 10, 'accessoryContact', 'a'],
    ['F4', 'AIRBAG', 10, 'runCrankContact', 'a'],
    ['F5', 'DOME', 10, 'battery', 'b'],
    ['F6', 'ILLUM', 7.5, 'lampSwitch', 'a'],
    ['F7', 'ABS', 30, 'battery', 'a'],
    ['F8', 'IGN 1', 10, 'runContact', 'a'],
    ['F9', 'CLOCK', 7.5, 'battery', 'a'],
    ['F10', 'MIRROR', 7.5, 'accessoryContact', 'b'],
    ['F11', 'FUEL PMP', 20, 'runCrankContact', 'a'],
    ['F12', 'SPARE', 0, 'unfed', 'a'],
  ],
};
/** What the revision changed: the socket lives on the battery, the mirrors on the run contact. */
const REVISED: PanelRows = {
  ...PACKET,
  slots: PACKET.slots.map((row) =>
    row[0] === 'F2'
      ? (['F2', 'CIG', 20, 'battery', 'b'] as const)
      : row[0] === 'F10'
        ? (['F10', 'MIRROR', 7.5, 'runContact', 'b'] as const)
        : row,
  ),
};

/** What the load space of the parcel van has besides: a base that was wired and never used, a bar, a ground, the radio's plug. */
const LOAD_SPACE: readonly PointRows[] = [
  {
    id: 'relay-base',
    kind: 'relaySocket',
    name: 'Empty relay base',
    location: 'Behind the passenger’s kick panel, left empty by the works',
    zone: 'kick panel',
    side: 'left',
    access: ['Pull the kick panel off.'],
    seconds: 50,
    points: [
      ['30', 0, { is: 'feed', supply: 'battery', loadOhm: 1e9 }],
      ['86', 0, { is: 'feed', supply: 'runContact', loadOhm: 1e9 }],
      ['85', 0, { is: 'ground', ohm: 0.05 }],
      ['87', 0, { is: 'turnOn', loadOhm: 40 }],
    ],
  },
  {
    id: 'bus-bar',
    kind: 'stud',
    name: 'Bus bar',
    location: 'Under the driver’s seat, beneath the red cap',
    zone: 'seat',
    side: 'right',
    access: ['Slide the seat forward.', 'Lift the red cap.'],
    seconds: 40,
    points: [
      ['B1', 8, { is: 'feed', supply: 'battery', loadOhm: 1e9 }],
      ['B2', 6, { is: 'feed', supply: 'battery', loadOhm: 1e9 }],
    ],
  },
  {
    id: 'ground-post',
    kind: 'groundPoint',
    name: 'Ground post',
    location: 'Foot of the B pillar, behind the sill trim',
    zone: 'sill',
    side: 'left',
    access: ['Unclip the sill trim.'],
    seconds: 30,
    points: [['G1', 6, { is: 'ground', ohm: 0.01 }]],
  },
  {
    id: 'tail-plug',
    kind: 'connector',
    name: 'Tail-lamp plug',
    location: 'Behind the left tail lamp, two nuts',
    zone: 'tailgate',
    side: 'left',
    access: ['Undo two nuts.', 'Pull the lamp out by its foot.'],
    seconds: 80,
    columns: 3,
    points: [
      ['1', 'GY', { is: 'illumination', bulbW: 5, pulsed: false }],
      ['2', 'RD', { is: 'feed', supply: 'brakeSwitch', loadOhm: 7 }],
      ['3', 'BU/WH', { is: 'turnLamp', bulbW: 21 }],
      ['4', 'GN', { is: 'feed', supply: 'reverseSwitch', loadOhm: 7 }],
      ['5', 'BN', { is: 'ground', ohm: 0.05 }],
    ],
  },
  {
    id: 'radio-plug',
    kind: 'connector',
    name: 'Radio plug',
    location: 'Behind the radio, power half',
    zone: 'dash',
    side: 'middle',
    access: ['Unclip the trim round the radio.', 'Pull the radio out.'],
    seconds: 90,
    columns: 4,
    points: [
      ['1', 'GN/BK', { is: 'sensor' }],
      ['2', 'BU', { is: 'open', ghostV: 1.1 }],
      ['4', 'YE', { is: 'feed', supply: 'battery', loadOhm: 1e9 }],
      ['5', 'BU/WH', { is: 'turnOn', loadOhm: 150 }],
      ['6', 'OG', { is: 'illumination', bulbW: 4, pulsed: true }],
      ['7', 'RD', { is: 'feed', supply: 'accessoryContact', loadOhm: 1e9 }],
      ['8', 'BK', { is: 'ground', ohm: 0.05 }],
    ],
  },
];

/** The rest of the demo shop's round: two revisions of a van, a buggy, a moped, a boat, an electric car, an old saloon. */
export const FLEET: readonly DemoVehicle[] = [
  vehicle({
    make: 'Skerrick',
    model: 'Packet',
    generation: 'I',
    trims: ['Short', 'Long'],
    yearFrom: 2014,
    yearTo: 2018,
    steering: ['right'],
    keyType: 'key',
    use: 'parcel van',
    body: { style: 'van', passages: [] },
    panel: PACKET,
    points: [...LOAD_SPACE, ...cabOf(toGround)],
  }),
  vehicle({
    make: 'Skerrick',
    model: 'Packet',
    generation: 'II',
    trims: ['Short', 'Long'],
    yearFrom: 2019,
    yearTo: 2024,
    steering: ['right'],
    keyType: 'push button',
    use: 'parcel van',
    body: { style: 'van', passages: [] },
    panel: REVISED,
    points: [...LOAD_SPACE, ...cabOf(toGround)],
  }),
  vehicle({
    make: 'Marram',
    model: 'Gadfly',
    yearFrom: 2017,
    yearTo: 2024,
    steering: ['left'],
    keyType: 'key',
    use: 'trail buggy',
    body: { style: 'buggy', passages: [] },
    panel: small(
      ['tray', 'Fuse tray', 'Under the seat, in the tray', 'seat', 'middle'],
      'standard',
      [
        ['1', 'BATT', 20, 'battery', 'a'],
        ['2', 'ACC', 15, 'accessoryContact', 'a'],
        ['3', 'IGN', 15, 'runContact', 'b'],
        ['4', 'LIGHTS', 15, 'lampSwitch', 'a'],
        ['5', 'FAN', 20, 'runContact', 'a'],
        ['6', 'EFI', 10, 'runCrankContact', 'a'],
      ],
    ),
  }),
  vehicle({
    make: 'Marram',
    model: 'Sandpiper',
    yearFrom: 2020,
    yearTo: 2024,
    steering: ['left'],
    keyType: 'key',
    use: 'delivery moped',
    body: { style: 'twoWheeler', passages: [] },
    panel: small(
      ['box', 'Fuse box', 'Under the seat, behind the battery', 'seat', 'middle'],
      'mini',
      [
        ['A', 'MAIN', 20, 'battery', 'a'],
        ['B', 'ACC', 10, 'accessoryContact', 'b'],
        ['C', 'CLOCK', 5, 'battery', 'a'],
        ['D', 'IGN', 10, 'runContact', 'a'],
        ['E', 'TAIL', 7.5, 'lampSwitch', 'b'],
      ],
    ),
  }),
  vehicle({
    make: 'Tidewell',
    model: 'Dabchick',
    yearFrom: 2012,
    yearTo: 2024,
    steering: ['right'],
    keyType: 'key',
    use: 'workboat',
    body: { style: 'boat', passages: [] },
    panel: small(
      ['console', 'Console panel', 'Under the wheel, behind the hatch', 'dash', 'driver'],
      'standard',
      [
        ['1', 'BATT', 25, 'battery', 'a'],
        ['2', 'VHF RADIO', 10, 'battery', 'b'],
        ['3', 'NAV LIGHTS', 10, 'lampSwitch', 'a'],
        ['4', 'ACC', 15, 'accessoryContact', 'a'],
        ['5', 'BILGE PUMP', 15, 'battery', 'a'],
        ['6', 'GAUGES', 5, 'runContact', 'a'],
        ['7', 'USB', 10, 'accessoryContact', 'b'],
        ['8', 'SPARE', 0, 'unfed', 'a'],
      ],
    ),
  }),
  vehicle({
    make: 'Ness',
    model: 'Kittiwake E',
    yearFrom: 2021,
    yearTo: 2024,
    steering: ['left', 'right'],
    keyType: 'push button',
    use: 'clinic’s electric car',
    body: { style: 'hatch', passages: [] },
    panel: small(
      ['knee', 'Knee panel', 'Below the wheel, behind the tray', 'dash', 'driver'],
      'micro2',
      [
        ['1', 'HV CTRL', 10, 'battery', 'a'],
        ['2', 'ACC SOCKET', 15, 'accessoryContact', 'a'],
        ['3', 'USB', 10, 'accessoryContact', 'b'],
        ['4', 'AUDIO', 15, 'battery', 'a'],
        ['5', 'DC CONV', 15, 'battery', 'b'],
        ['6', 'SEAT HTR', 20, 'runContact', 'a'],
        ['7', 'CLOCK', 5, 'battery', 'b'],
        ['8', 'ILLUM', 5, 'lampSwitch', 'a'],
        ['9', 'SRS', 10, 'runCrankContact', 'a'],
        ['10', 'MIRROR', 7.5, 'accessoryContact', 'a'],
      ],
    ),
  }),
  vehicle({
    make: 'Tidewell',
    model: 'Heron',
    yearFrom: 1994,
    yearTo: 2001,
    steering: ['right'],
    keyType: 'key',
    use: 'piano tuner’s saloon',
    body: { style: 'saloon', passages: [] },
    bunch: 19,
    panel: small(
      ['kick', 'Kick-panel box', 'Right kick panel, behind the carpet', 'kick panel', 'right'],
      'standard',
      [
        ['1', 'CIGAR', 15, 'accessoryContact', 'a'],
        ['2', 'RADIO', 10, 'accessoryContact', 'b'],
        ['3', 'ROOM', 10, 'battery', 'a'],
        ['4', 'STOP', 15, 'battery', 'a'],
        ['5', 'METER', 10, 'runContact', 'a'],
        ['6', 'TAIL', 10, 'lampSwitch', 'b'],
        ['7', 'WIPER', 20, 'runContact', 'b'],
        ['8', 'HORN', 10, 'battery', 'b'],
      ],
    ),
  }),
];

function small(
  [id, name, location, zone, side]: readonly [
    id: string,
    name: string,
    location: string,
    zone: BodyZone,
    side: BodySide,
  ],
  family: PanelRows['family'],
  slots: PanelRows['slots'],
): PanelRows {
  return {
    id,
    name,
    location,
    zone,
    side,
    access: ['Lift the cover.'],
    columns: 4,
    family,
    lie: 'tall',
    landmarks: ['upper contact', 'lower contact'],
    slots,
  };
}
