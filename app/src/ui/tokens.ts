/** Colours of one theme. Pairs of ink on canvas and raised reach 4.5 to 1. */
export interface Palette {
  /** Behind everything. */
  readonly canvas: string;
  /** Of cards and bars. */
  readonly raised: string;
  /** Of fields. */
  readonly sunken: string;
  /** Of words. */
  readonly ink: string;
  /** Of words that matter less; it still reads. */
  readonly inkSoft: string;
  /** Between things. */
  readonly line: string;
  /** "Do this next", and nothing else. */
  readonly accent: string;
  /** Of words on the accent. */
  readonly onAccent: string;
  /** Ground and stripes of danger; always hatched as well. */
  readonly danger: string;
  /** Of words on the colour of danger. */
  readonly onDanger: string;
}

/** Ink on warm canvas, for daylight. */
export const DAY: Palette = {
  canvas: '#f4eee1',
  raised: '#fcf8ee',
  sunken: '#e7dec9',
  ink: '#1c221e',
  inkSoft: '#535a50',
  line: '#b9ad92',
  accent: '#9c2f16',
  onAccent: '#fff8ec',
  danger: '#e3b23c',
  onDanger: '#221a05',
};

/** Dim amber on near-black, for a dark footwell. */
export const NIGHT: Palette = {
  canvas: '#0f0d0a',
  raised: '#1a1610',
  sunken: '#080705',
  ink: '#dfa75c',
  inkSoft: '#a67f4b',
  line: '#4a3c26',
  accent: '#e0793a',
  onAccent: '#160d05',
  danger: '#6d5214',
  onDanger: '#f2d79a',
};

/** Spacing, px. */
export const SPACE = { xs: 4, s: 8, m: 12, l: 16, xl: 24 } as const;
/** Smallest side of anything a thumb should hit, px. */
export const TARGET = 48;
/** From this width on the screen is laid out side by side, px. */
export const WIDE = 960;
/** Corner radius of what can be touched, px. */
export const RADIUS = 6;

/** Faces: condensed bold for labels, ratings and codes; a highly legible one for text. */
export const FACES = {
  label: 'BarlowCondensed_600SemiBold',
  strong: 'BarlowCondensed_700Bold',
  text: 'AtkinsonHyperlegible_400Regular',
  textBold: 'AtkinsonHyperlegible_700Bold',
} as const;
