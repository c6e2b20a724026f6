import type { BodySide, BodyZone } from '../../vehicle';
import type { BodyMeasures, BodyStyle } from './bodyStyles';
import { BODY_SHAPES } from './bodyStyles';
import { cabinOf } from './cabin';
import { boatOf, buggyOf, twoWheelerOf } from './openBodies';
import type { RouteHazard } from './passageKinds';
import type { BodySketch, PassageSketch, Spot } from './sketch';
import { PASSAGE_KINDS } from './passageKinds';

/** A way between two spots as this vehicle has it. */
export interface Passage extends PassageSketch {
  /** Unique in the body: both spots and the kind. */
  readonly id: string;
  /** Along the lead, m. */
  readonly lengthM: number;
  /** What can hurt or be hurt there. */
  readonly hazards: readonly RouteHazard[];
  /** What somebody found free in its grommet or boot, mm; undefined while nobody has looked. */
  readonly roomMm?: number | undefined;
}

/** What is known of a model beyond its style. */
export interface BodyKnowledge {
  /** What kind of body it is. */
  readonly style: BodyStyle;
  /** On which side the wheel is. */
  readonly steering: 'left' | 'right';
  /** As measured or looked up; the style’s usual ones where left out. */
  readonly measures?: Partial<BodyMeasures> | undefined;
  /** Passages that somebody has measured, or found blocked, by id. */
  readonly passages?: Readonly<
    Record<
      string,
      {
        readonly lengthM?: number | undefined;
        readonly blocked?: boolean | undefined;
        readonly roomMm?: number | undefined;
      }
    >
  >;
}

/** A vehicle’s body to lay leads through. */
export interface BodyGraph {
  /** What it was made from. */
  readonly knowledge: BodyKnowledge;
  /** Its measures, as known or as common. */
  readonly measures: BodyMeasures;
  /** Places that leads can be at, by id. */
  readonly spots: ReadonlyMap<string, Spot>;
  /** Ways between them, blocked ones left out. */
  readonly passages: readonly Passage[];
  /** The spot of a place by its zone and side; undefined while nobody has said the zone. */
  readonly spotAt: (place: {
    readonly zone?: BodyZone | undefined;
    readonly side?: BodySide | undefined;
  }) => string | undefined;
}

/**
 * The body of a vehicle as spots and measured passages, mirrored by its steering side. A passage’s length is the straight line
 * between its spots, times how much its kind winds; what somebody measured stands instead, and what is blocked is not there.
 */
export function bodyGraph(knowledge: BodyKnowledge): BodyGraph {
  const { style, steering } = knowledge;
  const sketch = sketchOf(knowledge);
  const measures = { ...BODY_SHAPES[style].measures, ...known(knowledge.measures) };
  const spots = new Map(sketch.spots.map((spot) => [spot.id, spot]));
  const passages = sketch.passages.flatMap((one): Passage[] => {
    const [from, to] = [spots.get(one.from), spots.get(one.to)];
    if (from === undefined || to === undefined) return [];
    const id = `${one.from} ${one.to} ${one.kind}`;
    const own = knowledge.passages?.[id];
    if (own?.blocked === true) return [];
    const lengthM = own?.lengthM ?? PASSAGE_KINDS[one.kind].detour * apart(from, to, measures);
    const room = own?.roomMm === undefined ? {} : { roomMm: own.roomMm };
    return [{ ...one, id, lengthM, hazards: hazardsOf(one, steering), ...room }];
  });
  return {
    knowledge,
    measures,
    spots,
    passages,
    spotAt: ({ zone, side }) =>
      zone === undefined ? undefined : sketch.spotOf(zone, sideOf(zone, side, steering)),
  };
}

function sketchOf({ style, steering }: BodyKnowledge): BodySketch {
  switch (style) {
    case 'twoWheeler':
      return twoWheelerOf();
    case 'buggy':
      return buggyOf();
    case 'boat':
      return boatOf(steering);
    default:
      return cabinOf(BODY_SHAPES[style], steering);
  }
}

function known(measures: Partial<BodyMeasures> | undefined): Partial<BodyMeasures> {
  return Object.fromEntries(
    Object.entries(measures ?? {}).filter(([, value]) => value !== undefined),
  );
}

function apart(a: Spot, b: Spot, { lengthM, widthM, heightM }: BodyMeasures): number {
  return Math.hypot((a.x - b.x) * widthM, (a.y - b.y) * lengthM, (a.z - b.z) * heightM);
}

/** Pedals and column are on the driver’s side alone. */
function hazardsOf({ from, to, kind }: PassageSketch, steering: 'left' | 'right'): RouteHazard[] {
  const own: readonly RouteHazard[] = PASSAGE_KINDS[kind].hazards;
  const feet = [from, to].some((id) => id === `footwell.${steering}`);
  return feet && !own.includes('pedals') ? [...own, 'pedals'] : [...own];
}

function sideOf(
  zone: BodyZone,
  side: BodySide | undefined,
  steering: 'left' | 'right',
): 'left' | 'middle' | 'right' {
  const other = steering === 'left' ? 'right' : 'left';
  switch (side ?? (DRIVERS.includes(zone) ? 'driver' : 'middle')) {
    case 'left':
      return 'left';
    case 'right':
      return 'right';
    case 'middle':
      return 'middle';
    case 'driver':
      return steering;
    case 'passenger':
      return other;
  }
}

/** Zones that mean the driver’s side where nobody said otherwise. */
const DRIVERS: readonly BodyZone[] = [
  'column',
  'footwell',
  'kick panel',
  'pillar',
  'door',
  'sill',
  'seat',
];
