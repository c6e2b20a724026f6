import type { CatalogueLeadInput } from '@lucky-thread/contract';
import type { CatalogueEntry } from './catalogueEntry';
import { entry, signal, withOptions } from './catalogueEntry';
import { AMPLIFIER_OPTIONS, RADIO_OPTIONS, SCREEN_OPTIONS } from './catalogueOptions';

/** What switches a radio on: the accessory wire of its plug, or where there is none an ignition slot. */
const WOKEN: readonly CatalogueLeadInput[] = [
  {
    ...{ id: 'switched', name: 'Accessory', role: 'switched', currentA: 0.2 },
    ...{ liveInAcc: true, leadColour: 'red', onlyWithout: 'noAccessory' },
  },
  {
    ...{ id: 'ignition', name: 'Switched by an ignition slot', role: 'switched' },
    ...{ currentA: 0.2, leadColour: 'red', onlyWith: 'noAccessory' },
  },
];
/** What a radio wakes in its turn. */
const DRIVEN_BY_THE_SET: readonly CatalogueLeadInput[] = [
  signal('turnOn', 'Amplifier turn-on', 'ampTurnOn', {
    ...{ leadColour: 'blue/white', polarity: 'plus', direction: 'out', currentA: 0.1 },
    onlyWith: 'factoryAmp',
  }),
  signal('antenna', 'Antenna feed', 'antennaTurnOn', {
    ...{ leadColour: 'blue', polarity: 'plus', direction: 'out', currentA: 0.15 },
    onlyWith: 'activeAntenna',
  }),
];

/** Colours of a radio's speaker leads; minus has the black stripe. Common practice. */
const SPEAKER_LEADS = [
  ['front left', 'Front left', 'white'],
  ['front right', 'Front right', 'grey'],
  ['rear left', 'Rear left', 'green'],
  ['rear right', 'Rear right', 'violet'],
] as const;

/** Both leads of each speaker: found one by one where the plug is gone, joined by an adapter where it is there. */
const SPEAKERS: readonly CatalogueLeadInput[] = SPEAKER_LEADS.flatMap(([speaker, name, colour]) => {
  const id = speaker.replace(' ', '-');
  const lead: Omit<CatalogueLeadInput, 'id' | 'name' | 'role'> = {
    ...{ speaker, currentA: 2.2, direction: 'out', onlyWith: 'cutPlug', optional: true },
    leftOff: `${name} stays silent; both leads are capped, each by itself.`,
  };
  return [
    { ...lead, id: `${id}-plus`, name: `${name} +`, role: 'speakerPlus', leadColour: colour },
    {
      ...{ ...lead, id: `${id}-minus`, name: `${name} −` },
      ...{ role: 'speakerMinus', leadColour: `${colour}/black` },
    },
  ];
});

/** Radios, with a screen and without, and what makes them louder. */
export const RADIO_DEVICES: readonly CatalogueEntry[] = [
  withOptions(
    RADIO_OPTIONS,
    entry(
      'Head unit',
      'Clock and presets on the constant, the set itself on accessory, display dimmed with the lamps.',
      'radio',
      [
        { id: 'memory', name: 'Constant', role: 'constant', currentA: 7, leadColour: 'yellow' },
        ...WOKEN,
        {
          id: 'illumination',
          name: 'Illumination',
          role: 'illumination',
          currentA: 0.05,
          leadColour: 'orange',
        },
        ...DRIVEN_BY_THE_SET,
        ...SPEAKERS,
      ],
    ),
  ),
  withOptions(
    SCREEN_OPTIONS,
    entry(
      'Video head unit',
      'The picture only with the parking brake on: the lead goes to the switch, not to ground.',
      'radio',
      [
        { id: 'memory', name: 'Constant', role: 'constant', currentA: 7, leadColour: 'yellow' },
        ...WOKEN,
        {
          ...{ id: 'illumination', name: 'Illumination', role: 'illumination', currentA: 0.05 },
          ...{ leadColour: 'orange', optional: true },
          leftOff: 'The display keeps its brightness at night.',
        },
        signal('reverse', 'Reverse', 'reverse', {
          ...{ leadColour: 'violet/white', polarity: 'plus', onlyWithout: 'noCamera' },
        }),
        signal('parkingBrake', 'Parking brake', 'parkingBrake', {
          ...{ leadColour: 'light green', polarity: 'ground' },
        }),
        ...DRIVEN_BY_THE_SET,
        ...SPEAKERS,
      ],
    ),
  ),
  withOptions(
    AMPLIFIER_OPTIONS,
    entry(
      'Amplifier',
      'Its main lead comes from the battery through its own fuse; the radio’s turn-on lead wakes it.',
      undefined,
      [
        { id: 'main', name: 'Main feed', role: 'constant', currentA: 40, leadColour: 'red' },
        {
          ...{ id: 'turnOn', name: 'Turn-on', role: 'switched', currentA: 0.1 },
          ...{ liveInAcc: true, leadColour: 'blue/white', onlyWithout: 'ownRadio' },
        },
        signal('turnOnWire', 'Turn-on from the radio', 'ampTurnOn', {
          ...{ leadColour: 'blue/white', polarity: 'plus', optional: true, onlyWith: 'ownRadio' },
          leftOff: 'Wake it by sound at its speaker inputs, or from accessory.',
        }),
        ...[1, 2, 3, 4].map((count) =>
          signal(`input${count}`, `Speaker-level input, wire ${count}`, 'amplified', {
            ...{ currentA: 0.01, polarity: 'set', optional: true, onlyWith: 'speakerLevel' },
            leftOff: 'That input stays silent; cap both of its wires.',
          }),
        ),
      ],
    ),
  ),
];
