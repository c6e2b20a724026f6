import type { CircuitFunction, LockSwitch, VehicleState } from '../../vehicle';
import type { Hypothesis, Rows, Stand } from './hypothesis';
import { BULBS, live, on, running, wire } from './hypothesis';

type When = (state: VehicleState) => boolean;

const doorOpen: When = (state) => state.driverDoor === 'open';
const hoodOpen: When = (state) => state.hood === true;
const turns =
  (which: 'turnLeft' | 'turnRight'): When =>
  (state) =>
    state.hazard === true || (state[which] === true && state.key !== 'off');
const pulse =
  (when: When) =>
  (state: VehicleState): Stand =>
    when(state) ? 'pulse' : 'dead';

/** Where a pulse may rest while the key is on: at what its module pulls it up to. */
const RESTS = [
  ['five', 0.24],
  ['part', 0.24],
  ['pulled', 0.06],
] as const;

/** Share of switches that work the other way round from most of their kind. Common practice: few. */
const OTHER_WAY = 0.08;

/** What may pull a switch's wire up at rest, with its share: a lamp, a lamp fed by the key, a module, or nothing. */
const PULL_UPS: readonly (readonly [
  name: string,
  share: number,
  at: (state: VehicleState) => Stand,
])[] = [
  ['battery', 0.38, () => 'battery'],
  ['the key', 0.06, (state) => (running(state) ? 'battery' : 'open')],
  ['part', 0.2, () => 'part'],
  ['five', 0.13, () => 'five'],
  ['open', 0.16, () => 'open'],
  // Modules that look at their switches in short strokes.
  ['strokes', 0.07, (state) => (state.asleep ? 'open' : 'pulse')],
];

/**
 * Wires that a switch, a lever or a wheel changes, as cars build them. Which way round and what pulls them up is common
 * practice; the shares are our own, and say only that none of the ways is rare.
 */
export const SWITCH_WIRES: readonly Hypothesis[] = [
  ...wire(
    'turnHazard',
    (['turnLeft', 'turnRight'] as const).map((which) => [which, 0.5, pulse(turns(which))]),
    BULBS,
  ),
  ...wire('doorSwitch', [
    ...pulledUp('ground with the door open', 0.77, doorOpen),
    ...pulledUp('ground with the door shut', OTHER_WAY, (state) => !doorOpen(state)),
    ['live with the door open', 0.15, live(doorOpen)],
  ]),
  ...wire('hoodSwitch', [
    ...pulledUp('ground with the hood open', 0.87, hoodOpen),
    ...pulledUp('ground with the hood shut', OTHER_WAY, (state) => !hoodOpen(state)),
    ['live with the hood open', 0.05, live(hoodOpen)],
  ]),
  ...wire(
    'parkingBrakeSwitch',
    pulledUp('to ground', 1, (state) => state.parkingBrake === true),
  ),
  ...wire(
    'lampsNegative',
    pulledUp('to ground', 1, (state) => state.lamps),
  ),
  ...wire('horn', [
    ...pulledUp('to ground', 0.8, (state) => state.horn === true),
    ['live', 0.2, live((state) => state.horn === true)],
  ]),
  ...wire('wiper', [['live', 1, live((state) => running(state) && state.wiper === true)]]),
  ...wire('speedPulse', [
    ['pulses', 0.46, pulse((state) => running(state) && state.rolling === true)],
    ...RESTS.flatMap(([rest, share]) => restingAt(rest, share, (state) => state.rolling === true)),
  ]),
  ...wire('tachPulse', [
    ['pulses', 0.46, pulse((state) => state.key === 'engine')],
    ...RESTS.flatMap(([rest, share]) => restingAt(rest, share, (state) => state.key === 'engine')),
  ]),
  ...wire('lockNegative', [
    ...pulledUp('lock', 0.5, heldAt('lock')),
    ...pulledUp('unlock', 0.5, heldAt('unlock')),
  ]),
  ...wire('lockPositive', heldRows('battery', 'dead'), 0.4),
  ...wire('lockReversing', heldRows('battery', 'chassis'), 0.02),
  ...wire('lockMultiplex', ladders()),
];

const SWITCH_FUNCTIONS: ReadonlySet<CircuitFunction> = new Set(
  SWITCH_WIRES.map((one) => one.function),
);

/** Whether a function is a wire that a switch, a lever or a wheel changes. */
export function isSwitchWire(of: CircuitFunction): boolean {
  return SWITCH_FUNCTIONS.has(of);
}

/** A wire that its switch ties to ground, one row for each thing that may pull it up at rest. */
function pulledUp(variant: string, share: number, tied: When): Rows {
  return PULL_UPS.map(([name, part, at]) => [
    `${variant}, from ${name}`,
    share * part,
    (state) => (tied(state) ? 'chassis' : at(state)),
  ]);
}

/** A pulse that rests at a level while the key is on. */
function restingAt(level: (typeof RESTS)[number][0], share: number, moves: When): Rows {
  return [
    [
      `pulses, rests at ${level}`,
      share,
      (state) => (!on(state) ? 'dead' : moves(state) ? 'pulse' : level),
    ],
  ];
}

function heldAt(by: LockSwitch): When {
  return (state) => state.lockSwitch === by;
}

/** A wire that changes while the switch is held one way; one row per direction. */
function heldRows(held: Stand, rest: Stand): Rows {
  return (['lock', 'unlock'] as const).map((by) => [
    by,
    0.5,
    (state) => (state.lockSwitch === by ? held : rest),
  ]);
}

/** A resistor for each way of the switch on one wire; one of the ways may be ground itself. */
function ladders(): Rows {
  const rests = [
    ['five', 0.35],
    // A resistor at the end of the line holds the rest below the module's own voltage.
    ['part', 0.45],
    ['battery', 0.2],
  ] as const;
  const shapes = [
    ['resistors', 0.6, 'part', 'part'],
    ['lock to ground', 0.2, 'chassis', 'part'],
    ['unlock to ground', 0.2, 'part', 'chassis'],
  ] as const;
  return rests.flatMap(([rest, restShare]) =>
    shapes.map(
      ([name, share, lock, unlock]) =>
        [
          `${name}, from ${rest}`,
          restShare * share,
          ({ lockSwitch, asleep }: VehicleState): Stand => {
            if (lockSwitch === 'lock') return lock;
            if (lockSwitch === 'unlock') return unlock;
            return asleep ? 'dead' : rest;
          },
        ] as const,
    ),
  );
}
