/** Languages whose trade words are known. Japanese-market legends use English words and letter codes. */
export const LEGEND_LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'sv', 'pl'] as const;
/** One language. */
export type LegendLanguage = (typeof LEGEND_LANGUAGES)[number];

/** Phrases by circuit (its meaning in the lexicon) and language, divided by `|`, in full words as one writes them. */
export type Vocabulary = Readonly<
  Record<string, Readonly<Partial<Record<LegendLanguage, string>>>>
>;
