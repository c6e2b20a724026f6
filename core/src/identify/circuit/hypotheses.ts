import type { CircuitFunction, VehicleState } from '../../vehicle';
import type { Level, PerLevel } from './levels';
import { LEVELS } from './levels';
import type { Hypothesis, Stand } from './hypothesis';
import {
  BULBS,
  UNLOADED,
  awake,
  cranking,
  fresh,
  held,
  live,
  on,
  running,
  slot,
  wire,
} from './hypothesis';
import { SWITCH_WIRES } from './switchWires';

export type { Hypothesis } from './hypothesis';

/** The variant of a speaker lead that runs to its speaker and nowhere else. */
export const TO_SPEAKER = 'to the speaker';
/** The variant of a speaker lead that an amplifier drives. */
export const FROM_AMPLIFIER = 'from an amplifier';

/** The variant of a turn-on wire whose radio is in place. */
export const DRIVEN = 'driven by the radio';

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
  ...wire('ground', [['chassis', 1, () => 'bonded']]),
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
    'speaker',
    [
      [TO_SPEAKER, 0.93, () => 'open'],
      [FROM_AMPLIFIER, 0.07, (state) => (on(state) ? 'half' : 'dead')],
    ],
    0.6,
  ),
  ...wire(
    'highBeam',
    [['with the lever', 1, live((state) => running(state) && state.highBeam === true)]],
    BULBS,
  ),
  // Without its radio, as in a cut plug, either is an input that nothing drives.
  ...wire(
    'amplifierTurnOn',
    [
      ['input', 0.5, () => 'dead'],
      [DRIVEN, 0.5, live((state) => state.tuner === true || state.otherSource === true)],
    ],
    0.35,
  ),
  ...wire(
    'antennaTurnOn',
    [
      ['input', 0.5, () => 'dead'],
      [DRIVEN, 0.5, live((state) => state.tuner === true)],
    ],
    0.2,
  ),
  ...wire('dataBus', [
    ['pair', 0.85, (state) => (state.asleep ? 'dead' : 'bus')],
    ['single wire', 0.15, (state) => (state.asleep ? 'dead' : 'pulse')],
  ]),
  ...wire('sensor', [['5 V feed', 1, (state) => (state.key === 'off' ? 'dead' : 'five')]]),
  ...SWITCH_WIRES,
];

/** Where it is not one in a thousand: a circuit that should be dead is at battery voltage a little more often. */
const ODDLY: Partial<Record<Level, number>> = {
  battery: 0.0015,
  half: 0.0003,
  bus: 0.0003,
  five: 0.0003,
  pulled: 0.00001,
  pulse: 0.0005,
  open: 0.0005,
  quiet: 0.0005,
};
/**
 * How often a circuit is at a level that its hypothesis does not expect: shed loads, door modules, relays of an option.
 * A data line's bias, a sensor's 5 V and half a supply hardly ever stand on a circuit that is made for something else.
 */
const ODD: PerLevel = LEVELS.map((level) => ODDLY[level] ?? 0.001);

/**
 * The chance of each level that a hypothesis gives a circuit in a state.
 *
 * @param unfed what the circuit does where it is not fed; left out: any of them
 */
export function expectedLevels(
  hypothesis: Hypothesis,
  state: VehicleState,
  unfed?: Unfed,
): PerLevel {
  const row = levelRowOf(hypothesis, state);
  return LEVEL_ROWS[unfed === undefined ? row : (ROW_WHEN[unfed][row] ?? row)] as PerLevel;
}

/** The same as an entry of `LEVEL_ROWS`; many hypotheses share one. */
export function levelRowOf(hypothesis: Hypothesis, state: VehicleState): number {
  const stand = hypothesis.stand(state);
  const row = ROW_INDEX.get(stand === 'dead' ? hypothesis.openWhenDead : stand);
  if (row === undefined) throw new RangeError(`No level row for ${stand}`);
  return row;
}

function levelRow(expected: Partial<Record<Level, number>>, odd: PerLevel = ODD): PerLevel {
  const rest = 1 - odd.reduce((sum, share) => sum + share, 0);
  return LEVELS.map((level, index) => (odd[index] ?? 0) + rest * (expected[level] ?? 0));
}

/** What is bolted to the body, or ends nowhere, is at another level so much more rarely. */
const SETTLED: PerLevel = ODD.map((share) => share / 20);

/** What floats shows a ghost on a meter as often as not. */
const FLOATING = { open: 0.5, quiet: 0.5 };

type RowKey = Stand | 'ghost' | number;

/** The rows by what the circuit is at; dead ones by their chance to float. */
const ROWS: ReadonlyMap<RowKey, PerLevel> = new Map<RowKey, PerLevel>([
  ...LEVELS.map((level) => [level, levelRow({ [level]: 1 })] as const),
  ['open', levelRow(FLOATING)],
  ['ghost', levelRow({ open: 1 }, SETTLED)],
  ['quiet', levelRow({ quiet: 1 }, SETTLED)],
  ['bonded', levelRow({ chassis: 1 }, SETTLED)],
  ...HYPOTHESES.map(
    ({ openWhenDead }) =>
      [
        openWhenDead,
        levelRow({
          open: openWhenDead / 2,
          quiet: openWhenDead / 2,
          ground: 1 - openWhenDead,
        }),
      ] as const,
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
    if (stand === 'battery' || stand === 'pulled') live += hypothesis.share;
    else if (['dead', 'chassis', 'bonded'].includes(stand)) dead += hypothesis.share;
  }
  return { live, dead };
}

/** Whether a hypothesis has the circuit at battery voltage in a state, be it by a pull-up. */
export function isLive(hypothesis: Hypothesis, state: VehicleState): boolean {
  const stand = hypothesis.stand(state);
  return stand === 'battery' || stand === 'pulled';
}

/** What a circuit does in every state in which it is not fed: it lies at ground, or floats with a ghost on it, or without. */
export const UNFED = ['ground', 'ghost', 'quiet'] as const;
/** One of them. */
export type Unfed = (typeof UNFED)[number];

/** For each entry of `LEVEL_ROWS` the entry that stands for it where a circuit is known to do so. */
export const ROW_WHEN: Record<Unfed, Uint8Array> = {
  ground: rowsWhen('ground'),
  ghost: rowsWhen('ghost'),
  quiet: rowsWhen('quiet'),
};

function rowsWhen(unfed: Unfed): Uint8Array {
  const keys = [...ROWS.keys()];
  return Uint8Array.from(keys, (key, index) => {
    const mixed = typeof key === 'number' || (key === 'open' && unfed !== 'ground');
    return mixed ? keys.indexOf(unfed) : index;
  });
}

/** Share of the ways in which a hypothesis' circuit is not fed. */
export function unfedShare({ openWhenDead }: Hypothesis, unfed: Unfed): number {
  return unfed === 'ground' ? 1 - openWhenDead : openWhenDead / 2;
}

/** Every row of level chances that occurs. */
export const LEVEL_ROWS: readonly PerLevel[] = [...ROWS.values()];
const ROW_INDEX: ReadonlyMap<RowKey, number> = new Map(
  [...ROWS.keys()].map((key, index) => [key, index]),
);

/** What "none of these" expects in any state: nothing in particular, but the same at every look. */
export const UNKNOWN_LEVELS: PerLevel = [
  0.38, 0.18, 0.04, 0.11, 0.11, 0.08, 0.03, 0.02, 0.03, 0.02, 0,
];
