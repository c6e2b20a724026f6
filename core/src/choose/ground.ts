import { ringFor } from '../size';

/** Places a device's ground lead can go to. */
export type GroundPlace = 'harness' | 'stud' | 'chassis';

/** What is known for choosing a ground. */
export interface GroundGiven {
  /** Current that comes back, A. */
  readonly currentA: number;
  /** Whether a ground wire of the car's harness is at hand; no when left out. */
  readonly harness?: boolean | undefined;
  /** Cross-section of that wire, mm². */
  readonly harnessMm2?: number | undefined;
  /** Bolt of a factory ground stud within reach, mm. */
  readonly studMm?: number | undefined;
  /** Whether airbag, engine or brake units are grounded at that stud. */
  readonly studIsCritical?: boolean | undefined;
  /** The shop's school: the car's stud or a harness ground first. */
  readonly school: 'stud' | 'harness';
  /** Whether the adapter used has its ground cavity filled on the car's side; undefined when no adapter is used. */
  readonly adapterGround?: boolean | undefined;
}

/** Where the ground goes, with what to do and how it is proved. */
export interface GroundChoice {
  /** Where the ring goes. */
  readonly place: GroundPlace;
  /** Why there. */
  readonly because: string;
  /** Size of the ring; undefined where none is used. */
  readonly ring: string | undefined;
  /** How the joint is made, in order. */
  readonly steps: readonly string[];
  /** Largest drop over the joint with the load on, V, and what that is in ohms. */
  readonly limitV: number;
  /** Most that the joint may have, Ω. */
  readonly limitOhm: number;
  /** What another place would give and cost. */
  readonly tradeOff: string;
}

/** A good ground joint loses no more than this under load, V. Common practice: 0.1 V. */
export const GROUND_LIMIT_V = 0.1;
/** Current that a square millimetre of a shared ground wire is trusted with beside its own, A. Common practice. */
const SHARED_A_PER_MM2 = 3;
/** Bolts that hold people are tightened to a torque and nothing else goes under them. */
const NOT_THESE =
  'Never under a bolt of a seat, a belt, an airbag or the steering: these hold people.';
/** Bolt taken where nothing is there yet, mm. */
const NEW_BOLT_MM = 6;

/** Where a device is grounded: factory stud, harness or bare body. */
export function chooseGround(given: GroundGiven): GroundChoice {
  const limits = { limitV: GROUND_LIMIT_V, limitOhm: GROUND_LIMIT_V / given.currentA };
  const wireCarries =
    given.harness === true && (given.harnessMm2 ?? 0.75) * SHARED_A_PER_MM2 >= given.currentA;
  const studUsable = given.studMm !== undefined && given.studIsCritical !== true;
  const missing =
    given.adapterGround === false
      ? [
          'The adapter’s ground cavity is empty on the car’s side: run a ground lead of its own, or the set finds its ground through the antenna.',
        ]
      : [];
  const harnessFirst = given.school === 'harness' && wireCarries;
  if (!harnessFirst && studUsable)
    return {
      place: 'stud',
      because: `A factory stud of ${given.studMm ?? 0} mm within reach is made for it.`,
      ring: ringFor(given.studMm ?? NEW_BOLT_MM).name,
      steps: [...missing, NOT_THESE, 'Clean the face, ring under the nut, tighten, tug.'],
      ...limits,
      tradeOff: 'A stud is bare and tested; a harness ground is nearer and leaves no mark.',
    };
  if (wireCarries)
    return {
      place: 'harness',
      because: `The car’s own ground wire carries ${given.currentA} A beside its load.`,
      ring: undefined,
      steps: [
        ...missing,
        'Prove it is ground with every lamp on: a lamp wire rests at ground too.',
      ],
      ...limits,
      tradeOff: 'A harness ground shares its wire: fine for small loads, noisy for amplifiers.',
    };
  const critical =
    given.studIsCritical === true
      ? 'The stud carries airbag, engine or brake units and is not yours to use; '
      : '';
  const alone = critical === '' && given.harness !== true;
  return {
    place: 'chassis',
    because: `${critical}${given.harness === true ? `the ground wire is too thin for ${given.currentA} A beside its own load: ` : ''}${alone ? 'Bare' : 'bare'} metal of the body.`,
    ring: ringFor(NEW_BOLT_MM).name,
    steps: [
      ...missing,
      NOT_THESE,
      'See what lies behind before any hole: loom, tank, airbag, glass.',
      'Scrape to bare metal the size of the ring: painted metal is no ground. Seal it after.',
      'Ring, toothed washer, bolt; tug.',
    ],
    ...limits,
    tradeOff: 'A new point leaves a mark and must be sealed; it shares nothing.',
  };
}
