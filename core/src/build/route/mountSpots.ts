import type { LeadFamily } from '../../choose';
import type { BodyGraph } from '../body/bodyGraph';
import type { BodyStyle } from '../body/bodyStyles';

/** Where a device can sit, with what speaks against it. */
export interface MountSpot {
  readonly spotId: string;
  /** What it is called, e.g. "windscreen, top". */
  readonly name: string;
  /** What to look out for there. */
  readonly cautions: readonly string[];
}

const GLASS =
  'Within the wiped area and out of the driver’s view; local codes say how far down. Clear of rain sensor and camera.';
const BAG = 'No box where an airbag opens: dash top, pillars, seat sides.';
const HEAT = 'Sun and heater: leave air around it, never on a duct.';
const SCREWS =
  'Before a screw or a hole: what is behind, on its far side, how deep? Tank, loom, glass and airbag are not to be met. Pilot hole first, slowly, with a stop on the bit.';
const WET = 'Water gets there: sealed box, joints downwards.';
const UNDER_SEAT = 'Clear of the seat’s travel, its yellow plugs and the heater duct.';

/** Places to mount at by spot, of every body. */
const CAUTIONS: Readonly<Record<string, readonly string[]>> = {
  screenTop: [GLASS],
  rearTop: [GLASS, 'Heated window lines: nothing stuck on them.'],
  'dash.middle': [
    HEAT,
    'Depth behind the opening: plug and bend of the leads need 5 cm (2 in) more than the box.',
  ],
  'dash.left': [BAG, HEAT],
  'dash.right': [BAG, HEAT],
  column: ['Not on the column itself: it gives way in a crash, and turns.', BAG],
  'console.front': [HEAT, SCREWS],
  'seat.left': [UNDER_SEAT, WET],
  'seat.right': [UNDER_SEAT, WET],
  'load.left': [SCREWS],
  'load.right': [SCREWS],
  tail: [WET, SCREWS],
  roof: [SCREWS, WET],
  'engine.left': [WET, 'Heat of the engine: not on it, not above the exhaust.'],
  'engine.right': [WET, 'Heat of the engine: not on it, not above the exhaust.'],
  bars: [WET, 'Both ends of the steering’s travel.'],
  front: [WET],
  seat: [WET],
  helm: [WET],
  bow: [WET],
  stern: [WET],
};

/** Where each family of devices usually sits in a closed body. Common practice. */
const USUAL: Partial<Record<LeadFamily, string>> = {
  dashcamKit: 'screenTop',
  radio: 'dash.middle',
  camera: 'tail',
  remoteStart: 'column',
  socket: 'console.front',
};

/** Where it sits instead where a body has no such spot. */
const OPEN_BODIES: Partial<Record<BodyStyle, string>> = {
  twoWheeler: 'bars',
  buggy: 'dash.middle',
  boat: 'helm',
};

/** The places of a body that a device can be mounted at. */
export function mountSpots(body: BodyGraph): readonly MountSpot[] {
  return Object.entries(CAUTIONS).flatMap(([spotId, cautions]) => {
    const spot = body.spots.get(spotId);
    return spot === undefined ? [] : [{ spotId, name: spot.name, cautions }];
  });
}

/** Where a device of a family is mounted unless somebody says otherwise. */
export function usualMount(body: BodyGraph, family: LeadFamily | undefined): string {
  const wanted = family === undefined ? undefined : USUAL[family];
  if (wanted !== undefined && body.spots.has(wanted)) return wanted;
  return OPEN_BODIES[body.knowledge.style] ?? 'dash.middle';
}
