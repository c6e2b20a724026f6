/** What answers are made of: single things, and lists that sum many of them up. */
export const TAGS = [
  ...([
    'Session',
    'Models',
    'ModelLists',
    'Glossary',
    'Taps',
    'TapLists',
    'Jobs',
    'JobLists',
  ] as const),
  ...(['Readings', 'Shop', 'Devices'] as const),
] as const;

/** One of them. */
export type Tag = (typeof TAGS)[number];
