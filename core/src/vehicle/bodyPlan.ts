import type { BodySide, BodyZone, Place } from './place';

/** A spot on a body seen from above: from its left side, 0 to 1, and from its front, 0 to 1. */
export interface PlanSpot {
  readonly x: number;
  readonly y: number;
}

/** Where a part of the body lies: how far from the front, and how far off the middle its sides are. */
const ZONES: Readonly<Record<BodyZone, { readonly y: number; readonly aside: number }>> = {
  'engine space': { y: 0.12, aside: 0.26 },
  dash: { y: 0.39, aside: 0.34 },
  column: { y: 0.44, aside: 0.18 },
  console: { y: 0.53, aside: 0.08 },
  footwell: { y: 0.45, aside: 0.3 },
  'kick panel': { y: 0.43, aside: 0.42 },
  pillar: { y: 0.37, aside: 0.44 },
  door: { y: 0.52, aside: 0.47 },
  roof: { y: 0.6, aside: 0.2 },
  seat: { y: 0.54, aside: 0.2 },
  sill: { y: 0.58, aside: 0.47 },
  rear: { y: 0.8, aside: 0.32 },
  tailgate: { y: 0.95, aside: 0.28 },
  underneath: { y: 0.66, aside: 0.16 },
};

/** Closer than this two pins cover each other, as a share of the body's length. */
const APART = 0.075;

/**
 * Where a place is seen on a body from above; undefined as long as nobody has said which part of the body it is in.
 * What lies on the driver's or passenger's side, and the column, follows the wheel.
 *
 * @example planSpot({ zone: 'column' }, 'right')?.x // 0.7
 */
export function planSpot(
  { zone, side }: Pick<Place, 'zone' | 'side'>,
  steering: 'left' | 'right',
): PlanSpot | undefined {
  if (zone === undefined) return undefined;
  const { y, aside } = ZONES[zone];
  return { x: 0.5 + aside * sign(side ?? (zone === 'column' ? 'driver' : 'middle'), steering), y };
}

function sign(side: BodySide, steering: 'left' | 'right'): -1 | 0 | 1 {
  switch (side) {
    case 'middle':
      return 0;
    case 'left':
    case 'right':
      return side === 'left' ? -1 : 1;
    case 'driver':
      return steering === 'left' ? -1 : 1;
    case 'passenger':
      return steering === 'left' ? 1 : -1;
  }
}

/**
 * The spots of a vehicle's places by their ids, moved apart along the body where they would cover each other.
 *
 * @param lengthToWidth how much longer than wide the drawing is
 */
export function planSpots(
  places: readonly Place[],
  steering: 'left' | 'right',
  lengthToWidth: number,
): ReadonlyMap<string, PlanSpot> {
  const taken: PlanSpot[] = [];
  return new Map(
    places.flatMap((place) => {
      const wanted = planSpot(place, steering);
      if (wanted === undefined) return [];
      const spot = freeSpot(wanted, taken, lengthToWidth);
      taken.push(spot);
      return [[place.id, spot] as const];
    }),
  );
}

/** Spots are tried in steps of this share of what keeps two apart. */
const STEP = APART / 3;
/** Going aside may take a place over to the other side of the car, so it counts so many times as far. */
const ASIDE = 3;
/** Ways along or across a body, as shares of its length; backwards first. */
const WAYS = Array.from({ length: 81 }, (_, at) => (40 - at) * STEP);

/** The wanted spot, or the nearest free one: before or behind it where there is room, else aside. */
function freeSpot(wanted: PlanSpot, taken: readonly PlanSpot[], lengthToWidth: number): PlanSpot {
  const isFree = ({ x, y }: PlanSpot): boolean =>
    taken.every((one) => Math.hypot((one.x - x) / lengthToWidth, one.y - y) >= APART - 1e-9);
  let nearest: PlanSpot | undefined;
  let least = Infinity;
  for (const along of WAYS)
    for (const aside of WAYS) {
      const far = Math.hypot(along, ASIDE * aside);
      const spot = { x: wanted.x + aside * lengthToWidth, y: wanted.y + along };
      const onBody = spot.x > 0 && spot.x < 1 && spot.y > 0 && spot.y < 1;
      if (far < least && onBody && isFree(spot)) [nearest, least] = [spot, far];
    }
  return nearest ?? wanted;
}
