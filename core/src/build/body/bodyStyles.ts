/** Bodies that a route can be laid through. */
export const BODY_STYLES = [
  'saloon',
  'hatch',
  'estate',
  'van',
  'pickup',
  'bus',
  'twoWheeler',
  'buggy',
  'boat',
] as const;
/** One body style. */
export type BodyStyle = (typeof BODY_STYLES)[number];

/** What each is called. */
export const BODY_STYLE_NAMES: Record<BodyStyle, string> = {
  saloon: 'saloon',
  hatch: 'hatchback',
  estate: 'estate',
  van: 'van',
  pickup: 'pick-up',
  bus: 'bus',
  twoWheeler: 'two-wheeler',
  buggy: 'buggy',
  boat: 'boat',
};

/** Outer measures, m. */
export interface BodyMeasures {
  /** Bumper to bumper, m. */
  readonly lengthM: number;
  /** Without mirrors, m. */
  readonly widthM: number;
  /** Road to roof, m. */
  readonly heightM: number;
}

/** Where a closed body’s pillars stand, as shares of its length from the front. */
export interface BodyAnchors {
  /** Where the engine space ends, as a share of the length from the front. */
  readonly bulkhead: number;
  /** Face of the dashboard, as a share of the length from the front. */
  readonly dash: number;
  /** Upper edge of the windscreen, as a share of the length from the front. */
  readonly screenTop: number;
  /** Pillar behind the front doors, as a share of the length from the front. */
  readonly bPillar: number;
  /** Pillar behind the rear seats, as a share of the length from the front. */
  readonly cPillar: number;
  /** Upper edge of the rear glass, as a share of the length from the front. */
  readonly rearTop: number;
  /** Inside of the tail, as a share of the length from the front. */
  readonly tail: number;
}

/** A body style: its usual measures, and its pillars where it has any. Usual sizes, our own choice; the tape is right. */
export interface BodyShape {
  /** What cars of this body commonly measure. */
  readonly measures: BodyMeasures;
  /** Where its landmarks lie; undefined for a body without a cabin. */
  readonly anchors: BodyAnchors | undefined;
  /** What closes it at the rear. */
  readonly rear: 'boot' | 'tailgate' | 'bed' | 'open';
}

/** Every style’s shape. */
export const BODY_SHAPES: Record<BodyStyle, BodyShape> = {
  saloon: shape([4.6, 1.8, 1.45], [0.28, 0.33, 0.42, 0.53, 0.69, 0.72, 0.97], 'boot'),
  hatch: shape([4.1, 1.75, 1.5], [0.27, 0.32, 0.42, 0.56, 0.78, 0.88, 0.98], 'tailgate'),
  estate: shape([4.7, 1.8, 1.48], [0.27, 0.32, 0.4, 0.52, 0.7, 0.9, 0.98], 'tailgate'),
  van: shape([5, 1.95, 1.95], [0.2, 0.25, 0.32, 0.4, 0.7, 0.95, 0.99], 'tailgate'),
  pickup: shape([5.2, 1.85, 1.8], [0.25, 0.3, 0.37, 0.46, 0.56, 0.57, 0.98], 'bed'),
  bus: shape([7, 2.1, 2.7], [0.12, 0.16, 0.22, 0.3, 0.72, 0.96, 0.99], 'tailgate'),
  twoWheeler: shape([1.9, 0.7, 1.1], undefined, 'open'),
  buggy: shape([2.9, 1.5, 1.8], undefined, 'open'),
  boat: shape([6, 2.3, 1.6], undefined, 'open'),
};

function shape(
  [lengthM, widthM, heightM]: readonly [number, number, number],
  anchors: readonly [number, number, number, number, number, number, number] | undefined,
  rear: BodyShape['rear'],
): BodyShape {
  const measures = { lengthM, widthM, heightM };
  if (anchors === undefined) return { measures, anchors: undefined, rear };
  const [bulkhead, dash, screenTop, bPillar, cPillar, rearTop, tail] = anchors;
  return {
    measures,
    anchors: { bulkhead, dash, screenTop, bPillar, cPillar, rearTop, tail },
    rear,
  };
}
