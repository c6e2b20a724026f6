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
  'slot' | 'wire' | 'connector' | 'stud' | 'relaySocket' | 'mirror' | 'socket';

/** What a join leaves behind: nothing, a wire that is whole again when it is undone, or a cut. */
export type Trace = 'none' | 'mended' | 'cut';

/** Tools that a method wants. */
export type JoinTool = 'crimper' | 'iron' | 'heatGun' | 'stripper' | 'spanner';

/** What is true of a method wherever it is used. Common practice. */
export interface MethodFacts {
  readonly name: string;
  readonly places: readonly JoinPlace[];
  /** Most continuous current, A. */
  readonly maxA: number;
  /** Car's wire that it grips, mm²; undefined where no wire is gripped. */
  readonly carMm2: readonly [number, number] | undefined;
  readonly trace: Trace;
  readonly stands: {
    readonly moisture: boolean;
    readonly vibration: boolean;
    readonly heatC: number;
  };
  /** Room that it needs, mm of free wire or space. */
  readonly roomMm: number;
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
  fuseTap: facts(
    'fuse tap',
    ['slot'],
    15,
    undefined,
    'none',
    [false, true, 85],
    30,
    ['crimper'],
    1,
    1,
    false,
  ),
  plugHarness: facts(
    'plug-in harness',
    ['connector'],
    15,
    undefined,
    'none',
    [false, true, 85],
    60,
    [],
    1,
    1,
    true,
  ),
  mirrorPlug: facts(
    'mirror plug harness',
    ['mirror'],
    3,
    undefined,
    'none',
    [false, true, 85],
    30,
    [],
    1,
    0.9,
    true,
  ),
  relaySpade: facts(
    'spade in an unused relay socket',
    ['relaySocket'],
    20,
    undefined,
    'none',
    [false, true, 85],
    25,
    ['crimper'],
    2,
    0.9,
    true,
  ),
  busBarRing: facts(
    'ring at a stud or bus bar',
    ['stud'],
    80,
    undefined,
    'none',
    [true, true, 125],
    40,
    ['crimper', 'spanner'],
    1,
    0.95,
    true,
  ),
  inlineFusedTap: facts(
    'in-line fused splice',
    ['wire'],
    20,
    [0.5, 6],
    'cut',
    [false, true, 85],
    60,
    ['crimper', 'stripper'],
    2,
    0.75,
    false,
  ),
  crimpSealed: facts(
    'adhesive-lined crimp splice',
    ['wire', 'connector'],
    25,
    [0.35, 6],
    'cut',
    [true, true, 125],
    50,
    ['crimper', 'stripper', 'heatGun'],
    2,
    0.85,
    true,
  ),
  crimpPlain: facts(
    'plain crimp splice',
    ['wire', 'connector'],
    25,
    [0.5, 6],
    'cut',
    [false, true, 105],
    40,
    ['crimper', 'stripper'],
    1,
    0.7,
    true,
  ),
  solderShrink: facts(
    'solder and heat-shrink',
    ['wire', 'connector'],
    25,
    [0.22, 6],
    'mended',
    [true, false, 125],
    50,
    ['iron', 'stripper', 'heatGun'],
    3,
    0.8,
    true,
  ),
  displacementTap: facts(
    'insulation-displacement tap',
    ['wire'],
    5,
    [0.5, 2.5],
    'mended',
    [false, false, 80],
    20,
    [],
    1,
    0.35,
    true,
    true,
  ),
  hiddenSocket: facts(
    'hidden socket for the kit’s own plug',
    // The socket itself has to be joined to a slot or wire first: there it is no joint.
    ['socket'],
    10,
    undefined,
    'none',
    [false, true, 85],
    90,
    ['crimper'],
    1,
    0.6,
    true,
  ),
};

function facts(
  name: string,
  places: readonly JoinPlace[],
  maxA: number,
  carMm2: MethodFacts['carMm2'],
  trace: Trace,
  [moisture, vibration, heatC]: readonly [boolean, boolean, number],
  roomMm: number,
  tools: readonly JoinTool[],
  skill: MethodFacts['skill'],
  worth: number,
  wantsFuse: boolean,
  lastResort = false,
): MethodFacts {
  return {
    name,
    places,
    maxA,
    carMm2,
    trace,
    stands: { moisture, vibration, heatC },
    roomMm,
    tools,
    skill,
    worth,
    lastResort,
    wantsFuse,
  };
}
