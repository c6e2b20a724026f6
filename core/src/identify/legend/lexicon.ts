import { BLOCKED } from './lexicon/blocked';
import { CAUTIOUS } from './lexicon/cautious';
import type { LexiconEntry } from './lexicon/entry';
import { USABLE } from './lexicon/usable';

export type { FunctionWeights, LexiconEntry, SafetyClass } from './lexicon/entry';

/** Every term known: English, German, French, Spanish, and the abbreviations of Japanese-market legends. */
export const LEXICON: readonly LexiconEntry[] = [...BLOCKED, ...CAUTIOUS, ...USABLE];
