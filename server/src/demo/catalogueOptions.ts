import type { CatalogueDevice } from '@lucky-thread/contract';

type Options = NonNullable<CatalogueDevice['options']>;

/** What decides over a remote starter's leads. */
export const STARTER_OPTIONS: Options = [
  {
    ...{ id: 'byData', name: 'Doors and engine speed come by a data module' },
    says: 'The module’s own guide says where it joins; no wire is looked for.',
  },
  {
    ...{ id: 'bypass', name: 'The key has a chip' },
    says: 'A bypass module made for the car, by its own guide: the starter’s ground-while-running lead wakes it. No key is hidden in the car.',
  },
  { id: 'noLocks', name: 'The door locks stay as they are' },
];

/** What decides over the leads of a radio. */
export const RADIO_OPTIONS: Options = [
  {
    ...{ id: 'cutPlug', name: 'The car’s plug was cut off' },
    says: 'Its speakers are found among the cut wires, pair by pair, with ohms and a 9 V battery. With the plug there an adapter joins them.',
  },
  {
    ...{ id: 'noAccessory', name: 'No accessory wire in the car’s plug' },
    says: 'An added wire from an ignition slot, with a fuse of its own, wakes it instead.',
  },
  {
    ...{ id: 'noGround', name: 'No ground wire in the car’s plug' },
    says: 'Its ground lead goes to bare metal of the body with a ring, not to the bracket alone: without it the set finds one through the antenna.',
  },
  {
    ...{ id: 'factoryAmp', name: 'The car has an amplifier of its own' },
    says: 'Find its turn-on wire while the old radio still plays; its inputs want the level that the maker’s diagram gives.',
  },
  {
    ...{ id: 'activeAntenna', name: 'The antenna has an amplifier or a mast' },
    says: 'Without its feed the radio hears next to nothing.',
  },
  {
    ...{ id: 'steeringRemote', name: 'The buttons on the wheel stay in use' },
    says: 'By an interface made for the car: a ladder of resistors, or data. Never past the clock spring of the airbag.',
  },
  {
    ...{ id: 'networkMode', name: 'Each output drives tweeter or woofer alone' },
    says: 'Set the network mode before the speakers are joined, passive crossovers taken out: full range burns a tweeter.',
  },
];

/** What decides over the leads of a set with a screen. */
export const SCREEN_OPTIONS: Options = [
  ...RADIO_OPTIONS,
  { id: 'noCamera', name: 'No reversing camera', says: 'The reverse lead is capped.' },
];

/** What decides over the leads of an amplifier. */
export const AMPLIFIER_OPTIONS: Options = [
  {
    ...{ id: 'speakerLevel', name: 'It takes the sound from amplified speaker wires' },
    says: 'Wires that an amplifier of the car drives: found by half the supply on them while the radio is on. No lamp and no 9 V on these.',
  },
  {
    ...{ id: 'ownRadio', name: 'The car’s own radio stays' },
    says: 'Its turn-on wire wakes the amplifier; the sound comes from the speaker leads, at the level that the inputs take.',
  },
];
