import type { HarnessQuality, LegendQuality } from '@lucky-thread/core/bench';
import {
  FADED_HARNESS,
  POOR_LEGENDS,
  USUAL_HARNESS,
  USUAL_LEGENDS,
} from '@lucky-thread/core/bench';
import type { Need } from '@lucky-thread/core/identify';
import type { SignalLevel } from './signalLevels';
import { SIGNAL_LEVELS } from './signalLevels';

/** One level of the bench. */
export type Level = {
  readonly id: string;
  readonly title: string;
  readonly text: string;
} & (
  | { readonly kind: 'panel'; readonly quality: LegendQuality; readonly needs: readonly Need[] }
  | { readonly kind: 'harness'; readonly quality: HarnessQuality }
  | SignalLevel
  | { readonly kind: 'fault' }
);

const MEMORY: Need = { id: 'memory', role: 'constant' };
const SUPPLY: Need = { id: 'supply', role: 'switched', liveInAcc: true };
const STEADY: Need = { id: 'steady', role: 'switched', holdsCranking: true };

/** What each need of the bench is called. */
export const NEED_WORDS: Readonly<Record<string, string>> = {
  memory: 'Memory: live always, asleep too',
  supply: 'Supply: with the key from accessory on',
  steady: 'Steady: with the key, held through cranking',
};

/** From a labelled panel to a cut harness with faded colours, and from the key’s wires to a whole remote starter. */
export const LEVELS: readonly Level[] = [
  {
    id: 'labelled',
    kind: 'panel',
    title: 'A labelled panel',
    text: 'Every legend is right. Find a memory feed and a supply.',
    quality: { ambiguous: 0, wrong: 0, missing: 0 },
    needs: [MEMORY, SUPPLY],
  },
  {
    id: 'usual',
    kind: 'panel',
    title: 'A panel as they come',
    text: 'Some legends are terse, missing or of another year.',
    quality: USUAL_LEGENDS,
    needs: [MEMORY, SUPPLY],
  },
  {
    id: 'poor',
    kind: 'panel',
    title: 'A worn, foreign panel',
    text: 'Hardly half of the legends can be trusted, and one feed must hold while cranking.',
    quality: POOR_LEGENDS,
    needs: [MEMORY, SUPPLY, STEADY],
  },
  {
    id: 'harness',
    kind: 'harness',
    title: 'A cut harness',
    text: 'The plug behind the radio is gone. Tell every wire apart.',
    quality: USUAL_HARNESS,
  },
  {
    id: 'faded',
    kind: 'harness',
    title: 'A faded harness',
    text: 'Somebody was in here before, and the colours have faded.',
    quality: FADED_HARNESS,
  },
  {
    ...SIGNAL_LEVELS.column,
    id: 'column',
    title: 'Under the column',
    text: 'The key’s wires lie bare. Find the constant, the ignition that holds, the accessory and the starter.',
  },
  {
    ...SIGNAL_LEVELS.locks,
    id: 'locks',
    title: 'Door locks of every kind',
    text: 'To ground, to plus, a motor that rests on ground, a ladder, or data alone: tell which, and join to it.',
  },
  {
    ...SIGNAL_LEVELS.plug,
    id: 'plug',
    title: 'A radio plug with something missing',
    text: 'Ground or accessory was left out of it. Say which, and what lights the display.',
  },
  {
    ...SIGNAL_LEVELS.screen,
    id: 'screen',
    title: 'Reverse and parking brake',
    text: 'A set with a screen wants both, beside its supplies.',
  },
  {
    ...SIGNAL_LEVELS.starter,
    id: 'starter',
    title: 'A remote starter, to the hand-over',
    text: 'Eleven leads and a bunch of twenty wires; some leads have none. At the end, what must stop it.',
  },
  {
    kind: 'fault',
    id: 'fault',
    title: 'Something fitted does not work',
    text: 'One fault is set in an added lead or behind it. Look in the order you like, and say what it is.',
  },
];
