import type { CatalogueEntry } from './catalogueEntry';
import { entry, signal, withOptions, withSetUp } from './catalogueEntry';
import { STARTER_OPTIONS } from './catalogueOptions';
import { RADIO_DEVICES } from './radioDevices';

/** Devices that every shop fits. Lead colours hold within each kit's own harness only. */
export const DEVICE_CATALOGUE: readonly CatalogueEntry[] = [
  entry(
    'Dashcam with parking mode',
    'Stays awake on the constant feed while parked.',
    'dashcamKit',
    [
      {
        id: 'memory',
        name: 'Parking supply',
        role: 'constant',
        currentA: 0.5,
        leadColour: 'yellow',
      },
      {
        id: 'switched',
        name: 'Wake with the key',
        role: 'switched',
        currentA: 0.6,
        liveInAcc: true,
        leadColour: 'red',
      },
    ],
  ),
  entry('Dashcam', 'Records while the key is on.', 'dashcamKit', [
    { id: 'switched', name: 'Supply', role: 'switched', currentA: 0.6, leadColour: 'red' },
  ]),
  ...RADIO_DEVICES,
  entry(
    'Reversing camera',
    'Wakes with the reverse lamp; the picture lead runs to the screen.',
    'camera',
    [
      {
        id: 'reverse',
        name: 'Reverse signal',
        role: 'reverse',
        currentA: 0.2,
        leadColour: 'red',
      },
    ],
  ),
  entry('12 V socket', 'The socket’s own load counts, not the plug in it.', 'socket', [
    { id: 'switched', name: 'Supply', role: 'switched', currentA: 10, leadColour: 'red' },
  ]),
  entry('USB charger', 'Two ports, 3 A at 5 V each: 2.9 A at 12 V.', 'socket', [
    {
      ...{ id: 'switched', name: 'Supply', role: 'switched', currentA: 2.9, leadColour: 'red' },
      outputV: 5,
    },
  ]),
  entry('Cabin lights', 'On the constant, so that they work with the key out.', 'socket', [
    { id: 'memory', name: 'Supply', role: 'constant', currentA: 2, leadColour: 'red' },
  ]),
  entry(
    'Remote starter',
    'Its heavy feeds need their own fused lead from the battery; a tap will be refused.',
    'remoteStart',
    [
      { id: 'memory', name: 'Main feed', role: 'constant', currentA: 20, leadColour: 'red' },
      {
        id: 'ignition',
        name: 'Ignition',
        role: 'switched',
        currentA: 12,
        holdsCranking: true,
        leadColour: 'yellow',
      },
      {
        id: 'accessory',
        name: 'Accessory',
        role: 'switched',
        currentA: 8,
        liveInAcc: true,
        leadColour: 'orange',
      },
    ],
  ),
  withSetUp(
    {
      ...{ guide: '3.2', dated: '2025-02' },
      steps: [
        { say: 'Key to run, hood shut, foot on the brake.' },
        {
          ...{ say: 'Hold the set-up button and let go.', seconds: 10 },
          answer: 'the parking lamps flash three times',
        },
        {
          ...{ say: 'Press lock on the remote for the way the engine speed is read.', seconds: 5 },
          answer: 'one flash: by the tach wire',
        },
        { say: 'Key off; let it rest.', seconds: 60, answer: 'the indicator goes out' },
      ],
    },
    withOptions(
      STARTER_OPTIONS,
      entry(
        'Remote starter with locks',
        'Column and kick panel: lay their wires open. Only where the car may stand in the open, with its hood switch.',
        'remoteStart',
        [
          { id: 'memory', name: 'Main feed', role: 'constant', currentA: 20, leadColour: 'red' },
          {
            ...{ id: 'ignition', name: 'Ignition', role: 'switched', currentA: 12 },
            ...{ holdsCranking: true, leadColour: 'yellow', direction: 'out' },
          },
          {
            ...{ id: 'accessory', name: 'Accessory', role: 'switched', currentA: 8 },
            ...{ liveInAcc: true, leadColour: 'orange', direction: 'out' },
          },
          {
            ...{ id: 'starter', name: 'Starter', role: 'starter', currentA: 10 },
            ...{ leadColour: 'violet', direction: 'out' },
          },
          signal('lamps', 'Parking lamps', 'parkingLamps', {
            ...{ currentA: 5, polarity: 'plus', direction: 'out' },
          }),
          signal('brake', 'Brake', 'brake', { polarity: 'plus' }),
          // The kit brings a pin switch of its own for cars that have none.
          signal('hood', 'Hood switch', 'hood', {
            ...{ polarity: 'ground', optional: true },
            leftOff: 'Fit the kit’s own pin switch under the hood: never without one.',
          }),
          signal('door', 'Door switch', 'door', {
            ...{ polarity: 'set', setAt: 'jumper beside the sensor plug' },
            ...{ optional: true, onlyWithout: 'byData' },
            leftOff: 'An opened door does not stop the engine.',
          }),
          ...(['lock', 'unlock'] as const).map((id) =>
            signal(id, id === 'lock' ? 'Lock' : 'Unlock', id, {
              ...{ currentA: 0.25, polarity: 'ground', direction: 'out', optional: true },
              ...{ onlyWithout: 'noLocks', leftOff: 'The locks stay as they are.' },
            }),
          ),
          signal('tach', 'Engine speed', 'tach', {
            ...{ optional: true, onlyWithout: 'byData' },
            leftOff: 'Set it to judge the start by time or by voltage.',
          }),
        ],
      ),
    ),
  ),
  entry(
    'Keyless entry for the locks',
    'Two outputs to ground; whatever the car’s locks want is made of them by relays.',
    'remoteStart',
    [
      { id: 'memory', name: 'Constant', role: 'constant', currentA: 0.5, leadColour: 'red' },
      ...(['lock', 'unlock'] as const).map((id) =>
        signal(id, id === 'lock' ? 'Lock' : 'Unlock', id, {
          ...{ currentA: 0.25, polarity: 'ground', direction: 'out' },
        }),
      ),
      signal('door', 'Door switch', 'door', {
        ...{ polarity: 'set', setAt: 'jumper on its board', optional: true },
      }),
    ],
  ),
  entry(
    'Alarm with sensors',
    'Watches doors and hood, flashes the lamps; sounds for as long as the law allows.',
    undefined,
    [
      { id: 'memory', name: 'Constant', role: 'constant', currentA: 1, standbyA: 0.02 },
      { id: 'switched', name: 'Ignition', role: 'switched', currentA: 0.1, holdsCranking: true },
      signal('door', 'Door switch', 'door', {
        polarity: 'set',
        setAt: 'small switch under its lid',
      }),
      signal('hood', 'Hood switch', 'hood', { polarity: 'ground', optional: true }),
      signal('left', 'Turn signal, left', 'turnLeft', {
        ...{ currentA: 4, polarity: 'plus', direction: 'out' },
      }),
      signal('right', 'Turn signal, right', 'turnRight', {
        ...{ currentA: 4, polarity: 'plus', direction: 'out' },
      }),
      signal('lock', 'Lock', 'lock', {
        ...{ polarity: 'set', setAt: 'small switch under its lid', optional: true },
      }),
      signal('unlock', 'Unlock', 'unlock', {
        ...{ polarity: 'set', setAt: 'small switch under its lid', optional: true },
      }),
    ],
  ),
  withSetUp(
    {
      guide: '1.4',
      steps: [
        { say: 'Switch on; the fan starts first, the flame later.', seconds: 120 },
        {
          say: 'Switch off; let it cool down, the battery stays on.',
          seconds: 180,
          answer: 'the fan stops',
        },
      ],
    },
    entry(
      'Fuel heater controller',
      'It burns fuel: never in a closed garage. Its pump and fan run on after it is switched off.',
      undefined,
      [
        { id: 'memory', name: 'Main feed', role: 'constant', currentA: 10, leadColour: 'red' },
        {
          id: 'switched',
          name: 'Timer’s wake-up',
          role: 'switched',
          currentA: 0.2,
          optional: true,
        },
      ],
    ),
  ),
  entry(
    'Switch module',
    'Eight outputs in the engine space, worked by a keypad in the cabin; each output has its own fuse in the module.',
    undefined,
    [
      { id: 'main', name: 'Main feed', role: 'constant', currentA: 60, leadColour: 'red' },
      {
        id: 'switched',
        name: 'Wake with the key',
        role: 'switched',
        currentA: 0.1,
        liveInAcc: true,
      },
      {
        ...{ id: 'illumination', name: 'Keypad lamps', role: 'illumination', currentA: 0.05 },
        optional: true,
      },
    ],
  ),
  entry(
    'Air suspension controller',
    'Compressor through its own relay from the battery; speed keeps it from lowering while driven.',
    undefined,
    [
      { id: 'main', name: 'Compressor', role: 'constant', currentA: 30, leadColour: 'red' },
      { id: 'switched', name: 'Ignition', role: 'switched', currentA: 0.2 },
      signal('speed', 'Speed', 'speed', { optional: true }),
      signal('door', 'Door switch', 'door', {
        ...{ polarity: 'set', setAt: 'jumper on its board', optional: true },
      }),
    ],
  ),
  entry(
    'Footwell lights with relay',
    'With the door, or with the lamps: the relay keeps the car’s own switch out of it.',
    undefined,
    [
      { id: 'memory', name: 'Supply', role: 'constant', currentA: 2, leadColour: 'red' },
      signal('door', 'Door switch', 'door', { polarity: 'ground' }),
    ],
  ),
  entry(
    'Trailer module',
    'Listens to the car’s lamps and feeds the trailer’s from the battery: no added load on the car’s lamp circuits.',
    undefined,
    [
      { id: 'main', name: 'Main feed', role: 'constant', currentA: 15, leadColour: 'red' },
      signal('tail', 'Tail lamps', 'parkingLamps', { polarity: 'plus' }),
      signal('brake', 'Stop lamps', 'brake', { polarity: 'plus' }),
      signal('left', 'Turn signal, left', 'turnLeft', { polarity: 'plus' }),
      signal('right', 'Turn signal, right', 'turnRight', { polarity: 'plus' }),
      signal('reverse', 'Reverse', 'reverse', { polarity: 'plus', optional: true }),
    ],
  ),
  entry(
    'Light bar',
    'With the main beam only, through its own relay from the battery; on public roads only where it is approved for them.',
    undefined,
    [
      { id: 'main', name: 'Main feed', role: 'constant', currentA: 15, leadColour: 'red' },
      signal('mainBeam', 'Main beam', 'highBeam', { polarity: 'plus' }),
    ],
  ),
  entry('Phone cradle', 'Charges until somebody gets out.', 'socket', [
    { id: 'retained', name: 'Supply', role: 'retained', currentA: 2, leadColour: 'red' },
  ]),
  entry('Radar detector', 'Where the law allows one at all.', undefined, [
    { id: 'switched', name: 'Supply', role: 'switched', currentA: 0.3, liveInAcc: true },
  ]),
];
