import type { CircuitFunction, VehicleState } from '../../vehicle';
import { SHED_MINUTES } from '../../vehicle';
import type { Level, PerLevel } from './levels';
import { LEVELS } from './levels';

/** What a circuit is at in a state: a level, or `dead`, which is ground through its load or open. */
type Stand = Level | 'dead';

/** One way in which cars build a function: what the circuit is at in every state. */
export interface Hypothesis {
  /** What it would make of the source. */
  readonly function: Exclude<CircuitFunction, 'none'>;
  /** Names the variant within its function, e.g. "holds while cranking". */
  readonly variant: string;
  /** Share of this variant among circuits of the function; the shares of a function sum to 1. */
  readonly share: number;
  /** What the circuit is at in a state. */
  readonly stand: (state: VehicleState) => Stand;
  /** Chance that the dead circuit floats instead of lying at ground through its load. */
  readonly openWhenDead: number;
  /** Whether a fuse slot can have it; the others occur on wires only. */
  readonly onSlots: boolean;
}

const on = (state: VehicleState): boolean =>
  state.key === 'acc' || state.key === 'run' || state.key === 'engine';
const running = (state: VehicleState): boolean => state.key === 'run' || state.key === 'engine';
const cranking = (state: VehicleState): boolean => state.key === 'crank';
const fresh = (state: VehicleState): boolean =>
  state.key === 'off' && !state.asleep && (state.minutesSinceKeyOff ?? 0) < SHED_MINUTES;
const held = (state: VehicleState): boolean => fresh(state) && !state.doorOpenedSinceKeyOff;
const awake = (state: VehicleState): boolean => !state.asleep;

/** Circuits with a load on them rarely float; the share is common practice. */
const LOADED = 0.15;
/** A position without a circuit floats. */
const UNLOADED = 0.85;
/** Bulbs hold their wire at ground. */
const BULBS = 0.05;

type Rows = readonly (readonly [
  variant: string,
  share: number,
  stand: (state: VehicleState) => Stand,
])[];

const live =
  (when: (state: VehicleState) => boolean) =>
  (state: VehicleState): Stand =>
    when(state) ? 'battery' : 'dead';

/** The variant of a speaker lead that an amplifier drives. */
export const FROM_AMPLIFIER = 'from an amplifier';

/**
 * Every function as its variants. Which states are live follows DIN 72552 for 15, 15R, 30, 31, 50, 54, 56b, 58 and
 * 58d; the shares of the variants are common practice (accessory usually drops while cranking).
 */
export const HYPOTHESES: readonly Hypothesis[] = [
  ...slot('constant', [['always', 1, () => 'battery']]),
  ...slot('timedConstant', [
    ['until sleep', 0.75, live(awake)],
    [
      'shed minutes after key off',
      0.25,
      live((state) => awake(state) && (state.key !== 'off' || fresh(state))),
    ],
  ]),
  ...slot('accessory', [
    ['drops while cranking', 0.85, live(on)],
    ['holds while cranking', 0.15, live((state) => on(state) || cranking(state))],
  ]),
  ...slot('retainedAccessory', [
    ['drops while cranking', 0.5, live((state) => on(state) || held(state))],
    ['holds while cranking', 0.15, live((state) => on(state) || held(state) || cranking(state))],
    ['run only, drops while cranking', 0.25, live((state) => running(state) || held(state))],
    ['ended by its timer, not by a door', 0.1, live((state) => running(state) || fresh(state))],
  ]),
  ...slot('ignitionRun', [['run', 1, live(running)]]),
  ...slot('ignitionRunCrank', [
    ['run and crank', 0.93, live((state) => running(state) || cranking(state))],
    [
      'run and crank, held for minutes after',
      0.07,
      live((state) => running(state) || cranking(state) || fresh(state)),
    ],
  ]),
  ...slot('starter', [['crank', 1, live(cranking)]]),
  ...slot(
    'lamps',
    [
      ['with the light switch', 0.65, live((state) => state.lamps)],
      [
        'with the light switch, off while cranking',
        0.2,
        live((state) => state.lamps && !cranking(state)),
      ],
      ['with the light switch, key on', 0.15, live((state) => state.lamps && state.key !== 'off')],
    ],
    BULBS,
  ),
  ...slot(
    'lowBeam',
    [['lamps on, running', 1, live((state) => state.lamps && running(state))]],
    BULBS,
  ),
  ...slot('stopLamp', [['brake pedal', 1, live((state) => state.brake === true)]], BULBS),
  ...slot(
    'reverse',
    [['reverse gear', 1, live((state) => running(state) && state.reverse === true)]],
    BULBS,
  ),
  ...slot('spare', [['unconnected', 1, () => 'dead']], UNLOADED),
  ...wire('ground', [['chassis', 1, () => 'chassis']]),
  ...wire(
    'dimmedIllumination',
    [
      [
        'pulsed',
        0.6,
        (state) => (state.lamps ? (state.dimmed === true ? 'pulse' : 'battery') : 'dead'),
      ],
      [
        'lowered',
        0.4,
        (state) => (state.lamps ? (state.dimmed === true ? 'part' : 'battery') : 'dead'),
      ],
    ],
    BULBS,
  ),
  ...wire(
    'turnHazard',
    [['flasher', 1, (state) => (state.hazard === true ? 'pulse' : 'dead')]],
    BULBS,
  ),
  ...wire(
    'doorSwitch',
    pulledUp('to ground', 1, (state) => state.driverDoor === 'open'),
  ),
  ...wire(
    'parkingBrakeSwitch',
    pulledUp('to ground', 1, (state) => state.parkingBrake === true),
  ),
  ...wire(
    'lockNegative',
    (['lock', 'unlock'] as const).flatMap((by) =>
      pulledUp(by, 0.5, (state) => state.lockSwitch === by),
    ),
  ),
  ...wire('lockPositive', heldRows('battery', 'dead'), 0.4),
  ...wire('lockReversing', heldRows('battery', 'chassis'), 0.02),
  ...wire('lockMultiplex', [
    [
      'resistors',
      1,
      (state) =>
        state.asleep ? 'dead' : (state.lockSwitch ?? 'rest') === 'rest' ? 'five' : 'part',
    ],
  ]),
  ...wire(
    'speaker',
    [
      ['to the speaker', 0.93, () => 'open'],
      [FROM_AMPLIFIER, 0.07, (state) => (on(state) ? 'half' : 'dead')],
    ],
    0.6,
  ),
  ...wire('amplifierTurnOn', [['input', 1, () => 'dead']], 0.35),
  ...wire('antennaTurnOn', [['input', 1, () => 'dead']], 0.2),
  ...wire('dataBus', [
    ['pair', 0.85, (state) => (state.asleep ? 'dead' : 'bus')],
    ['single wire', 0.15, (state) => (state.asleep ? 'dead' : 'pulse')],
  ]),
  ...wire('sensor', [['5 V feed', 1, (state) => (state.key === 'off' ? 'dead' : 'five')]]),
];

/** Where it is not one in a thousand: a circuit that should be dead is at battery voltage a little more often. */
const ODDLY: Partial<Record<Level, number>> = {
  battery: 0.0015,
  half: 0.0003,
  bus: 0.0003,
  five: 0.0003,
  pulse: 0.0005,
};
/**
 * How often a circuit is at a level that its hypothesis does not expect: shed loads, door modules, relays of an option.
 * A data line's bias, a sensor's 5 V and half a supply hardly ever stand on a circuit that is made for something else.
 */
const ODD: PerLevel = LEVELS.map((level) => ODDLY[level] ?? 0.001);

/** The chance of each level that a hypothesis gives a circuit in a state. */
export function expectedLevels(hypothesis: Hypothesis, state: VehicleState): PerLevel {
  return LEVEL_ROWS[levelRowOf(hypothesis, state)] as PerLevel;
}

/** The same as an entry of `LEVEL_ROWS`; many hypotheses share one. */
export function levelRowOf(hypothesis: Hypothesis, state: VehicleState): number {
  const stand = hypothesis.stand(state);
  const row = ROW_INDEX.get(stand === 'dead' ? hypothesis.openWhenDead : stand);
  if (row === undefined) throw new RangeError(`No level row for ${stand}`);
  return row;
}

function levelRow(expected: Partial<Record<Level, number>>): PerLevel {
  const rest = 1 - ODD.reduce((sum, share) => sum + share, 0);
  return LEVELS.map((level, index) => (ODD[index] ?? 0) + rest * (expected[level] ?? 0));
}

/** The rows by what the circuit is at; dead ones by their chance to float. */
const ROWS: ReadonlyMap<Stand | number, PerLevel> = new Map<Stand | number, PerLevel>([
  ...LEVELS.map((level) => [level, levelRow({ [level]: 1 })] as const),
  ...HYPOTHESES.map(
    ({ openWhenDead }) =>
      [openWhenDead, levelRow({ open: openWhenDead, ground: 1 - openWhenDead })] as const,
  ),
]);

/**
 * In which share of cars a circuit of a function is live in a state, and in which dead, 0 to 1 each; the rest is at other
 * levels. Nothing is known of what has no hypothesis.
 */
export function sharesOf(
  of: CircuitFunction,
  state: VehicleState,
): { readonly live: number; readonly dead: number } {
  let [live, dead] = [0, 0];
  for (const hypothesis of HYPOTHESES.filter((one) => one.function === of)) {
    const stand = hypothesis.stand(state);
    if (stand === 'battery') live += hypothesis.share;
    else if (stand === 'dead' || stand === 'chassis') dead += hypothesis.share;
  }
  return { live, dead };
}

/** Whether a hypothesis has the circuit at battery voltage in a state. */
export function isLive(hypothesis: Hypothesis, state: VehicleState): boolean {
  return hypothesis.stand(state) === 'battery';
}

/** Every row of level chances that occurs. */
export const LEVEL_ROWS: readonly PerLevel[] = [...ROWS.values()];
const ROW_INDEX: ReadonlyMap<Stand | number, number> = new Map(
  [...ROWS.keys()].map((key, index) => [key, index]),
);

/** What "none of these" expects in any state: nothing in particular, but the same at every look. */
export const UNKNOWN_LEVELS: PerLevel = [0.38, 0.18, 0.04, 0.22, 0.08, 0.03, 0.02, 0.03, 0.02];

function slot(of: Hypothesis['function'], rows: Rows, openWhenDead = LOADED): Hypothesis[] {
  return rows.map(([variant, share, stand]) => ({
    function: of,
    variant,
    share,
    stand,
    openWhenDead,
    onSlots: true,
  }));
}

function wire(of: Hypothesis['function'], rows: Rows, openWhenDead = LOADED): Hypothesis[] {
  return slot(of, rows, openWhenDead).map((one) => ({ ...one, onSlots: false }));
}

/**
 * A wire that its switch ties to ground, one row for each thing that may pull it up at rest, which is the same in every
 * state: the battery through a lamp, a module's part voltage, or nothing.
 */
function pulledUp(variant: string, share: number, tied: (state: VehicleState) => boolean): Rows {
  return (
    [
      ['battery', 0.4],
      ['part', 0.25],
      ['five', 0.15],
      ['open', 0.2],
    ] as const
  ).map(([level, part]) => [
    `${variant}, from ${level}`,
    share * part,
    (state) => (tied(state) ? 'chassis' : level),
  ]);
}

/** A wire that changes while the switch is held one way; one row per direction. */
function heldRows(held: Stand, rest: Stand): Rows {
  return (['lock', 'unlock'] as const).map((by) => [
    by,
    0.5,
    (state: VehicleState) => (state.lockSwitch === by ? held : rest),
  ]);
}
