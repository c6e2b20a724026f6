import type { CatalogueDevice } from '@lucky-thread/contract';

type Options = NonNullable<CatalogueDevice['options']>;

/** What decides over a remote starter's leads. */
export const STARTER_OPTIONS: Options = [
  {
    ...{ id: 'byData', name: 'Doors and engine speed come by a data module' },
    says: 'The module’s own guide says where it joins; no wire is looked for.',
  },
  { id: 'noLocks', name: 'The door locks stay as they are' },
];

/** What decides over the leads of a set with a screen. */
export const SCREEN_OPTIONS: Options = [
  {
    ...{ id: 'noAccessory', name: 'No accessory wire in the car’s plug' },
    says: 'An added wire from an ignition slot, with a fuse of its own, wakes it instead.',
  },
  { id: 'noCamera', name: 'No reversing camera', says: 'The reverse lead is capped.' },
];
