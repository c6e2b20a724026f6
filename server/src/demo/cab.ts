import type { BenchWireKind } from '@lucky-thread/core/bench';
import type { PointRows } from './points';

/** Three metres of 4 mm² with fuse, plugs and the key's contact, Ω. Common practice. */
const KEY_WIRE_OHM = 0.02;

/** What a key car has at its column and behind the kick panel: ignition harness, locks, doors, lamps. */
export function cabOf(lockWire: (by: 'lock' | 'unlock') => BenchWireKind): readonly PointRows[] {
  return [
    {
      id: 'column-plug',
      kind: 'connector',
      name: 'Ignition plug',
      location: 'Under the column, behind the lower cover',
      zone: 'column',
      side: 'driver',
      access: ['Undo three screws.', 'Drop the lower cover; leave the yellow sleeve alone.'],
      seconds: 60,
      columns: 3,
      points: [
        ['1', 'RD 4', { is: 'feed', supply: 'battery', loadOhm: 1e6, wireOhm: KEY_WIRE_OHM }],
        [
          '2',
          'YE 4',
          { is: 'feed', supply: 'runCrankContact', loadOhm: 30, wireOhm: KEY_WIRE_OHM },
        ],
        [
          '3',
          'OG 4',
          { is: 'feed', supply: 'accessoryContact', loadOhm: 25, wireOhm: KEY_WIRE_OHM },
        ],
        [
          '4',
          'BK/RD 4',
          { is: 'feed', supply: 'starterContact', loadOhm: 15, wireOhm: KEY_WIRE_OHM },
        ],
        ['5', 'BU 2.5', { is: 'feed', supply: 'runContact', loadOhm: 40 }],
        ['6', 'BN', { is: 'ground', ohm: 0.06 }],
      ],
    },
    {
      id: 'kick-plug',
      kind: 'connector',
      name: 'Kick-panel plug',
      location: 'Behind the driver’s kick panel, the grey one',
      zone: 'kick panel',
      side: 'driver',
      access: ['Lift the sill trim.', 'Undo the plastic nut.', 'Pull the kick panel off.'],
      seconds: 70,
      columns: 4,
      points: [
        ['1', 'GN', lockWire('lock')],
        ['2', 'BU', lockWire('unlock')],
        ['3', 'BN/WH', { is: 'switchToGround', by: 'door', pullUpOhm: 120 }],
        ['4', 'GY', { is: 'feed', supply: 'lampSwitch', loadOhm: 6 }],
        ['5', 'RD/WH', { is: 'feed', supply: 'brakeSwitch', loadOhm: 7 }],
        ['6', 'PK', { is: 'switchToGround', by: 'parkingBrake', pullUpOhm: 90, from: 'key' }],
        ['7', 'BK/YE', { is: 'pulses', by: 'engine', highV: 12, rest: 'low' }],
        ['8', 'WH/GN', { is: 'data', biasV: 2.6, pair: 'cab' }],
        ['9', 'WH/BU', { is: 'data', biasV: 2.4, pair: 'cab' }],
        ['10', 'VT', { is: 'open', ghostV: 0.9 }],
        ['11', 'BU/WH', { is: 'switchToPlus', by: 'radio', loadOhm: 3300 }],
        ['12', 'BU', { is: 'switchToPlus', by: 'tuner', loadOhm: 180 }],
      ],
    },
  ];
}

/** Locks that want ground on either wire; their module holds both at 5 V. */
export function toGround(by: 'lock' | 'unlock'): BenchWireKind {
  return { is: 'switchToGround', by, pullUpOhm: 2200, from: 'module5' };
}

/** The two leads of a lock motor: both rest on ground through the switch. */
export function motorLead(by: 'lock' | 'unlock'): BenchWireKind {
  return { is: 'lockMotor', by };
}
