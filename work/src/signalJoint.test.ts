import type { Reading } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from './index';
import { signalJointOf } from './signalJoint';

const RUN = stateAt('run');
const LOCK: VehicleState = { ...RUN, lockSwitch: 'lock' };
const UNLOCK: VehicleState = { ...RUN, lockSwitch: 'unlock' };

function readings(rows: readonly (readonly [VehicleState, number])[], ohm?: number): Reading[] {
  const plain = rows.map(([state, volts], index): Reading => ({
    ...{ id: `r${index}`, sourceId: 'kick/1', contact: undefined, state },
    value: { kind: 'volts', volts },
  }));
  if (ohm === undefined) return plain;
  const state = stateAt('off');
  return [
    ...plain,
    {
      ...{ id: 'ohms', sourceId: 'kick/1', contact: undefined, state },
      value: { kind: 'ohms', ohm },
    },
  ];
}

function lead(role: 'lock' | 'door', polarity: 'plus' | 'ground' | 'set'): TappedFeed {
  return {
    feed: { id: role, name: role, role, currentA: 0.25, polarity },
    plan: { feedId: role, sourceId: 'kick/1' },
    source: { kind: 'wire', id: 'kick/1', name: '1' },
  };
}

describe('a lock lead that gives ground', () => {
  const gives = lead('lock', 'ground');
  it.each([
    [
      'joins a wire that wants ground as it is',
      [
        [RUN, 5],
        [LOCK, 0],
        [UNLOCK, 5],
      ],
      undefined,
      'itself',
    ],
    [
      'meets one that wants plus through a relay',
      [
        [RUN, 0],
        [LOCK, 12.3],
        [UNLOCK, 0],
      ],
      220,
      'relays',
    ],
    [
      'meets a motor’s lead through two',
      [
        [RUN, 0],
        [LOCK, 12.3],
        [UNLOCK, 0],
      ],
      0.3,
      'relays',
    ],
    [
      'meets a ladder through its resistor',
      [
        [RUN, 4.5],
        [LOCK, 1.2],
        [UNLOCK, 2.6],
      ],
      undefined,
      'resistor',
    ],
  ] as const)('%s', (_, rows, ohm, by) => {
    expect(signalJointOf(gives, readings(rows, ohm))?.by).toBe(by);
  });

  it('cuts the motor’s leads, and not those of a trigger', () => {
    const rows = [
      [RUN, 0],
      [LOCK, 12.3],
      [UNLOCK, 0],
    ] as const;
    const kindOf = (ohm: number): string | undefined => {
      const joint = signalJointOf(gives, readings(rows, ohm));
      return joint?.by === 'relays' ? joint.demand.kind : joint?.by;
    };
    expect([kindOf(0.3), kindOf(220)]).toEqual(['reversing', 'output']);
  });
});

it.each([
  ['out', 'relays'],
  ['in', 'itself'],
  // It must not be driven against.
  ['both', 'itself'],
  // An entry that says nothing: a lock is given.
  [undefined, 'relays'],
] as const)('joins a lead whose direction is %s to a lock motor by %s', (direction, by) => {
  const gives = lead('lock', 'ground');
  const rows = readings(
    [
      [RUN, 0],
      [LOCK, 12.3],
      [UNLOCK, 0],
    ],
    0.3,
  );
  const feed = { ...gives.feed, ...(direction === undefined ? {} : { direction }) };
  expect(signalJointOf({ ...gives, feed }, rows)?.by).toBe(by);
});

it('says to what a lead of either polarity is set', () => {
  const off = stateAt('off');
  const shut = stateAt('justOff');
  const byGround = readings([
    [off, 0],
    [shut, 12.4],
    [RUN, 0],
  ]);
  const byPlus = readings([
    [off, 12.4],
    [shut, 0],
    [RUN, 12.3],
  ]);
  expect(signalJointOf(lead('door', 'set'), byGround)).toMatchObject({ set: 'ground' });
  expect(signalJointOf(lead('door', 'set'), byPlus)).toMatchObject({ set: 'plus' });
});

it('says nothing of a supply', () => {
  const supply = {
    ...lead('lock', 'plus'),
    feed: { id: 's', name: 's', role: 'switched', currentA: 1 },
  };
  expect(signalJointOf(supply as TappedFeed, [])).toBeUndefined();
});
