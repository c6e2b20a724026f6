/** Ways to join a lead to a car. */
export const JOIN_METHODS = [
  'fuseTap',
  'plugHarness',
  'mirrorPlug',
  'relaySpade',
  'busBarRing',
  'inlineFusedTap',
  'crimpSealed',
  'crimpPlain',
  'solderShrink',
  'displacementTap',
  'hiddenSocket',
] as const;
/** One way. */
export type JoinMethod = (typeof JOIN_METHODS)[number];

/** Where a lead is joined to. */
export type JoinPlace =
  | 'slot'
  | 'wire'
  | 'connector'
  | 'stud'
  | 'relaySocket'
  | 'mirror'
  | 'socket';

/** What a join leaves behind: nothing, a wire that is whole again when it is undone, or a cut. */
export type Trace = 'none' | 'mended' | 'cut';

/** Tools that a method wants. */
export type JoinTool = 'crimper' | 'iron' | 'heatGun' | 'stripper' | 'spanner';

/** What is true of a method wherever it is used. Common practice. */
export interface MethodFacts {
  readonly name: string;
  /** Where it can be used. */
  readonly places: readonly JoinPlace[];
  /** Most continuous current, A. */
  readonly maxA: number;
  /** Car's wire that it grips, mm²; undefined where no wire is gripped. */
  readonly carMm2: readonly [number, number] | undefined;
  /** What it leaves behind. */
  readonly trace: Trace;
  /** What it takes without harm; heat in °C. */
  readonly stands: {
    readonly moisture: boolean;
    readonly vibration: boolean;
    readonly heatC: number;
  };
  /** Room that it needs, mm of free wire or space. */
  readonly roomMm: number;
  /** What is needed for it. */
  readonly tools: readonly JoinTool[];
  /** 1 anybody, 2 practised, 3 skilled. */
  readonly skill: 1 | 2 | 3;
  /** How good it is where nothing speaks against it, 0 to 1. */
  readonly worth: number;
  /** Named as a last resort wherever it is offered. */
  readonly lastResort: boolean;
  /** Whether the tapped lead still needs a fuse of its own near the source. */
  readonly wantsFuse: boolean;
}

/** Facts of every method. Common practice. */
export const METHOD_FACTS: Record<JoinMethod, MethodFacts> = {
  fuseTap: {
    name: 'fuse tap',
    places: ['slot'],
    maxA: 15,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 30,
    tools: ['crimper'],
    skill: 1,
    worth: 1,
    wantsFuse: false,
    lastResort: false,
  },
  plugHarness: {
    name: 'plug-in harness',
    places: ['connector'],
    maxA: 15,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 60,
    tools: [],
    skill: 1,
    worth: 1,
    wantsFuse: true,
    lastResort: false,
  },
  mirrorPlug: {
    name: 'mirror plug harness',
    places: ['mirror'],
    maxA: 3,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 30,
    tools: [],
    skill: 1,
    worth: 0.9,
    wantsFuse: true,
    lastResort: false,
  },
  relaySpade: {
    name: 'spade in an unused relay socket',
    places: ['relaySocket'],
    maxA: 20,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 25,
    tools: ['crimper'],
    skill: 2,
    worth: 0.9,
    wantsFuse: true,
    lastResort: false,
  },
  busBarRing: {
    name: 'ring at a stud or bus bar',
    places: ['stud'],
    maxA: 80,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: true, vibration: true, heatC: 125 },
    roomMm: 40,
    tools: ['crimper', 'spanner'],
    skill: 1,
    worth: 0.95,
    wantsFuse: true,
    lastResort: false,
  },
  inlineFusedTap: {
    name: 'in-line fused splice',
    places: ['wire'],
    maxA: 20,
    carMm2: [0.5, 6],
    trace: 'cut',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 60,
    tools: ['crimper', 'stripper'],
    skill: 2,
    worth: 0.75,
    wantsFuse: false,
    lastResort: false,
  },
  crimpSealed: {
    name: 'adhesive-lined crimp splice',
    places: ['wire', 'connector'],
    maxA: 25,
    carMm2: [0.35, 6],
    trace: 'cut',
    stands: { moisture: true, vibration: true, heatC: 125 },
    roomMm: 50,
    tools: ['crimper', 'stripper', 'heatGun'],
    skill: 2,
    worth: 0.85,
    wantsFuse: true,
    lastResort: false,
  },
  crimpPlain: {
    name: 'plain crimp splice',
    places: ['wire', 'connector'],
    maxA: 25,
    carMm2: [0.5, 6],
    trace: 'cut',
    stands: { moisture: false, vibration: true, heatC: 105 },
    roomMm: 40,
    tools: ['crimper', 'stripper'],
    skill: 1,
    worth: 0.7,
    wantsFuse: true,
    lastResort: false,
  },
  solderShrink: {
    name: 'solder and heat-shrink',
    places: ['wire', 'connector'],
    maxA: 25,
    carMm2: [0.22, 6],
    trace: 'mended',
    stands: { moisture: true, vibration: false, heatC: 125 },
    roomMm: 50,
    tools: ['iron', 'stripper', 'heatGun'],
    skill: 3,
    worth: 0.8,
    wantsFuse: true,
    lastResort: false,
  },
  displacementTap: {
    name: 'insulation-displacement tap',
    places: ['wire'],
    maxA: 5,
    carMm2: [0.5, 2.5],
    trace: 'mended',
    stands: { moisture: false, vibration: false, heatC: 80 },
    roomMm: 20,
    tools: [],
    skill: 1,
    worth: 0.35,
    wantsFuse: true,
    lastResort: true,
  },
  hiddenSocket: {
    name: 'hidden socket for the kit’s own plug',
    // The socket itself has to be joined to a slot or wire first: there it is no joint.
    places: ['socket'],
    maxA: 10,
    carMm2: undefined,
    trace: 'none',
    stands: { moisture: false, vibration: true, heatC: 85 },
    roomMm: 90,
    tools: ['crimper'],
    skill: 1,
    worth: 0.6,
    wantsFuse: true,
    lastResort: false,
  },
};
