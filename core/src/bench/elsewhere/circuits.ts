import type { Printed } from './prints';
import type { BenchSupply } from '../car/supplies';

/** One sort of circuit elsewhere: on what it hangs, how many a panel holds, and what it draws. */
export interface CircuitElsewhere {
  readonly printed: Exclude<Printed, 'vague'>;
  /** How many a panel of 30 positions holds on average. */
  readonly per30: number;
  readonly supplies: readonly (readonly [BenchSupply, number])[];
  readonly ratingsA: readonly number[];
  readonly critical: boolean;
  readonly bulbW?: number;
}

/**
 * Three makers' habits: in one sockets and radio stay on the battery, in another nearly everything is switched, in the
 * third accessory circuits live on a retained relay. Invented.
 */
export const HABITS = ['battery', 'switched', 'retained'] as const;
/** One of them. */
export type Habit = (typeof HABITS)[number];

/** What a panel of a maker with a habit may hold. */
export function circuitsElsewhere(habit: Habit): CircuitElsewhere[] {
  const byHabit = (
    battery: CircuitElsewhere['supplies'],
    switched: CircuitElsewhere['supplies'],
    retained: CircuitElsewhere['supplies'],
  ): CircuitElsewhere['supplies'] => ({ battery, switched, retained })[habit];
  const socket = byHabit(
    [
      ['battery', 6],
      ['accessoryContact', 2],
    ],
    [
      ['accessoryContact', 5],
      ['runContact', 2],
      ['accessoryContactHeld', 1],
    ],
    [
      ['retainedPower', 3],
      ['accessoryRelay', 4],
    ],
  );
  const radio = byHabit(
    [
      ['battery', 5],
      ['batterySaver', 2],
    ],
    [
      ['accessoryContact', 4],
      ['battery', 2],
    ],
    [
      ['retainedPower', 4],
      ['battery', 2],
      ['delayTimer', 1],
    ],
  );
  const accessory = byHabit(
    [['accessoryContact', 1]],
    [
      ['accessoryContact', 5],
      ['accessoryContactHeld', 1],
    ],
    [
      ['retainedPower', 2],
      ['accessoryRelay', 3],
    ],
  );
  return [
    harmless('socket', 2, socket, [15, 20]),
    harmless('radio', 1.5, radio, [10, 15, 20]),
    harmless('accessory', 1, accessory, [5, 7.5, 10]),
    harmless(
      'courtesy',
      1.2,
      [
        ['battery', 4],
        ['batterySaver', 3],
        ['loadShed', 1],
      ],
      [5, 7.5, 10],
    ),
    harmless('memory', 1.3, [['battery', 1]], [5, 10, 15]),
    harmless(
      'seatHeater',
      1,
      [
        ['runContact', 5],
        ['runCrankContact', 1],
      ],
      [10, 15, 20],
    ),
    harmless('rearDefog', 0.8, [['runContact', 1]], [20, 25, 30]),
    harmless(
      'wiper',
      1.4,
      [
        ['runContact', 3],
        ['accessoryContact', 2],
        ['runCrankContact', 1],
      ],
      [10, 15, 25],
    ),
    harmless('blower', 1.2, [['runContact', 1]], [10, 30]),
    harmless(
      'window',
      1.3,
      [
        ['retainedRun', 2],
        ['retainedPower', 1],
        ['battery', 2],
        ['runContact', 1],
      ],
      [20, 25, 30],
    ),
    harmless(
      'mirror',
      0.9,
      [
        ['accessoryContact', 1],
        ['runContact', 2],
        ['battery', 1],
      ],
      [5, 7.5],
    ),
    harmless(
      'cluster',
      1.3,
      [
        ['runCrankContact', 8],
        ['runContact', 1],
      ],
      [5, 7.5, 10],
    ),
    harmless(
      'ignition',
      1.6,
      [
        ['runCrankContact', 3],
        ['runContact', 1],
      ],
      [5, 7.5, 10, 15],
    ),
    { ...harmless('parkLamps', 1.6, [['lampSwitch', 1]], [5, 7.5, 10]), bulbW: 15 },
    harmless(
      'comfort',
      1.8,
      [
        ['battery', 6],
        ['batterySaver', 1],
      ],
      [10, 15, 20, 25],
    ),
    harmless(
      'spare',
      2.2,
      [
        ['unfed', 4],
        ['battery', 1],
        ['runContact', 1],
      ],
      [5, 10],
    ),
    harmless(
      'reverseLamp',
      0.5,
      [
        ['runContact', 1],
        ['reverseSwitch', 1],
      ],
      [7.5, 10],
    ),
    harmless(
      'small',
      0.8,
      [
        ['runContact', 2],
        ['accessoryContact', 2],
        ['battery', 1],
      ],
      [5, 7.5],
    ),
    critical(
      'restraint',
      0.9,
      [
        ['runCrankContact', 4],
        ['runContact', 1],
      ],
      [5, 7.5, 10],
    ),
    critical(
      'chassis',
      1.6,
      [
        ['battery', 2],
        ['runCrankContact', 3],
      ],
      [5, 10, 30],
    ),
    critical(
      'engine',
      2,
      [
        ['runCrankContact', 4],
        ['heldMainRelay', 2],
        ['battery', 1],
      ],
      [7.5, 10, 15, 20],
    ),
    critical(
      'gearbox',
      0.7,
      [
        ['runCrankContact', 2],
        ['battery', 1],
      ],
      [5, 10, 15],
    ),
    critical(
      'cooling',
      0.5,
      [
        ['battery', 1],
        ['runContact', 1],
      ],
      [10, 30],
    ),
    critical(
      'lawLamps',
      1.8,
      [
        ['battery', 4],
        ['lowBeamSwitch', 2],
        ['runContact', 1],
        ['brakeSwitch', 1],
      ],
      [5, 10, 15],
    ),
    critical(
      'starter',
      0.5,
      [
        ['starterContact', 2],
        ['battery', 1],
      ],
      [5, 10, 30],
    ),
    critical(
      'control',
      0.8,
      [
        ['battery', 3],
        ['runCrankContact', 1],
      ],
      [5, 10, 20],
    ),
  ];
}

function harmless(
  printed: CircuitElsewhere['printed'],
  per30: number,
  supplies: CircuitElsewhere['supplies'],
  ratingsA: readonly number[],
): CircuitElsewhere {
  return { printed, per30, supplies, ratingsA, critical: false };
}

function critical(
  printed: CircuitElsewhere['printed'],
  per30: number,
  supplies: CircuitElsewhere['supplies'],
  ratingsA: readonly number[],
): CircuitElsewhere {
  return { ...harmless(printed, per30, supplies, ratingsA), critical: true };
}
