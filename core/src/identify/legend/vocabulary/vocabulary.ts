/** Languages whose trade words are known. Japanese-market legends use English words and letter codes. */
const LANGUAGES = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
  it: 'Italian',
  nl: 'Dutch',
  pt: 'Portuguese',
  sv: 'Swedish',
  pl: 'Polish',
} as const;
/** One language. */
export type LegendLanguage = keyof typeof LANGUAGES;
/** Their names, for the sentence that says what is read. */
export const LEGEND_LANGUAGE_NAMES: readonly string[] = Object.values(LANGUAGES);

/** Phrases by circuit (its meaning in the lexicon) and language, divided by `|`, in full words as one writes them. */
export type Vocabulary = Readonly<
  Record<string, Readonly<Partial<Record<LegendLanguage, string>>>>
>;
