/** Families whose lead colours mean something, each in itself only. */
export const LEAD_FAMILIES = ['radio', 'remoteStart', 'camera', 'dashcamKit', 'socket'] as const;
/** One family. */
export type LeadFamily = (typeof LEAD_FAMILIES)[number];

/** Plain names of the families. */
export const LEAD_FAMILY_NAMES: Record<LeadFamily, string> = {
  radio: 'aftermarket radio',
  remoteStart: 'remote starter',
  camera: 'reversing camera',
  dashcamKit: 'dashcam hard-wire kit',
  socket: 'socket or lamp',
};

/** A family with its article, e.g. "an aftermarket radio". */
export function familyWithArticle(family: LeadFamily): string {
  const name = LEAD_FAMILY_NAMES[family];
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
}

/** One lead of a family. */
export interface Lead {
  /** IEC 60757 code, base and stripe. `LBU` and `LGN` are no codes there: light shades stand as the base with a `~`. */
  readonly colour: string;
  /** Colour in words, as it is asked for. */
  readonly words: string;
  /** What it does, in the trade’s words. */
  readonly role: string;
  /** What it carries, and in which direction. */
  readonly sign: '+' | '−' | 'data' | 'signal' | '±';
  /** Whether the device takes, gives, or both. */
  readonly direction: 'in' | 'out' | 'both';
  /** When it is live, in words. */
  readonly when: string;
  /** How it ends when it is not used. */
  readonly unused: string;
}

const CAP =
  'Cap it by itself with heat-shrink or a closed-end crimp; never twist it together with others.';

function lead(of: Omit<Lead, 'unused'> & Partial<Pick<Lead, 'unused'>>): Lead {
  return { unused: CAP, ...of };
}

/** Leads by family. Colours are common practice; the sheet in the device's own box comes first. */
export const LEADS: Record<LeadFamily, readonly Lead[]> = {
  radio: [
    lead({
      colour: 'YE',
      words: 'yellow',
      role: 'constant, keeps clock and presets',
      sign: '+',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'RD',
      words: 'red',
      role: 'accessory',
      sign: '+',
      direction: 'in',
      when: 'with the key',
    }),
    lead({
      colour: 'BK',
      words: 'black',
      role: 'ground',
      sign: '−',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'OG',
      words: 'orange',
      role: 'illumination: dims the display',
      sign: '+',
      direction: 'in',
      when: 'with the lamps',
      unused: 'Cap it: bare on metal it takes the car’s lamp fuse with it.',
    }),
    lead({
      colour: 'OG/WH',
      words: 'orange/white',
      role: 'illumination: dims the display',
      sign: '+',
      direction: 'in',
      when: 'with the lamps',
      unused: 'Cap it: bare on metal it takes the car’s lamp fuse with it.',
    }),
    lead({
      colour: 'BU',
      words: 'blue',
      role: 'powered antenna',
      sign: '+',
      direction: 'out',
      when: 'on radio only',
    }),
    lead({
      colour: 'BU/WH',
      words: 'blue/white',
      role: 'amplifier turn-on',
      sign: '+',
      direction: 'out',
      when: 'on every source',
    }),
    lead({
      colour: 'BN',
      words: 'brown',
      role: 'mute on telephone',
      sign: '−',
      direction: 'in',
      when: 'when muted',
    }),
    lead({
      colour: 'YE/BK',
      words: 'yellow/black',
      role: 'mute on telephone',
      sign: '−',
      direction: 'in',
      when: 'when muted',
    }),
    lead({
      colour: 'VT/WH',
      words: 'violet/white',
      role: 'reverse',
      sign: '+',
      direction: 'in',
      when: 'in reverse',
    }),
    lead({
      colour: 'GN~',
      words: 'light green',
      role: 'parking-brake switch',
      sign: '−',
      direction: 'in',
      when: 'parking brake on',
      unused:
        'Connect it to the switch: bridging it defeats the video lock, which the law may forbid.',
    }),
    lead({
      colour: 'BU~/YE',
      words: 'light blue/yellow',
      role: 'steering-wheel remote input',
      sign: 'data',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'WH',
      words: 'white',
      role: 'front left speaker',
      sign: '+',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'WH/BK',
      words: 'white/black',
      role: 'front left speaker',
      sign: '−',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'GY',
      words: 'grey',
      role: 'front right speaker',
      sign: '+',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'GY/BK',
      words: 'grey/black',
      role: 'front right speaker',
      sign: '−',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'GN',
      words: 'green',
      role: 'rear left speaker',
      sign: '+',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'GN/BK',
      words: 'green/black',
      role: 'rear left speaker',
      sign: '−',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'VT',
      words: 'violet',
      role: 'rear right speaker',
      sign: '+',
      direction: 'out',
      when: 'when it plays',
    }),
    lead({
      colour: 'VT/BK',
      words: 'violet/black',
      role: 'rear right speaker',
      sign: '−',
      direction: 'out',
      when: 'when it plays',
    }),
  ],
  remoteStart: [
    lead({
      colour: 'RD',
      words: 'red',
      role: 'main feed',
      sign: '+',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'YE',
      words: 'yellow',
      role: 'ignition out',
      sign: '+',
      direction: 'out',
      when: 'at run and crank',
    }),
    lead({
      colour: 'OG',
      words: 'orange',
      role: 'accessory out',
      sign: '+',
      direction: 'out',
      when: 'at run',
    }),
    lead({
      colour: 'VT',
      words: 'violet',
      role: 'starter out',
      sign: '+',
      direction: 'out',
      when: 'at crank',
    }),
    lead({
      colour: 'BK',
      words: 'black',
      role: 'ground',
      sign: '−',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'BN',
      words: 'brown',
      role: 'brake shutdown',
      sign: '+',
      direction: 'in',
      when: 'brake pressed',
      unused: 'It must be connected: without it the engine can be driven off.',
    }),
    lead({
      colour: 'GY',
      words: 'grey',
      role: 'hood switch',
      sign: '−',
      direction: 'in',
      when: 'hood open',
      unused: 'It must be connected: it keeps the engine from starting with hands in it.',
    }),
    lead({
      colour: 'BU',
      words: 'blue',
      role: 'ground while running',
      sign: '−',
      direction: 'out',
      when: 'while it runs by remote',
      unused:
        'Where the key has a chip it wakes the bypass module, by that module’s own guide; otherwise cap it.',
    }),
  ],
  camera: [
    lead({
      colour: 'RD',
      words: 'red',
      role: 'supply',
      sign: '+',
      direction: 'in',
      when: 'in reverse',
    }),
    lead({
      colour: 'BK',
      words: 'black',
      role: 'ground',
      sign: '−',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'YE',
      words: 'yellow',
      role: 'video',
      sign: 'signal',
      direction: 'out',
      when: 'in reverse',
      unused: 'It runs to the screen’s camera input; capped by itself where the screen has none.',
    }),
  ],
  dashcamKit: [
    lead({
      colour: 'YE',
      words: 'yellow',
      role: 'constant',
      sign: '+',
      direction: 'in',
      when: 'always',
    }),
    lead({
      colour: 'RD',
      words: 'red',
      role: 'accessory',
      sign: '+',
      direction: 'in',
      when: 'with the key',
    }),
    lead({
      colour: 'BK',
      words: 'black',
      role: 'ground',
      sign: '−',
      direction: 'in',
      when: 'always',
    }),
  ],
  socket: [
    lead({
      colour: 'RD',
      words: 'red',
      role: 'supply',
      sign: '+',
      direction: 'in',
      when: 'as the source',
    }),
    lead({
      colour: 'BK',
      words: 'black',
      role: 'ground',
      sign: '−',
      direction: 'in',
      when: 'always',
    }),
  ],
};

/** What a colour means in other families, when that differs: a clash that has burnt harnesses. */
export interface Clash {
  /** Where the colour means something else. */
  readonly family: LeadFamily;
  /** What it means there. */
  readonly role: string;
}

/** What a lead's colour does in its family, and what else it does elsewhere. */
export function readLead(
  family: LeadFamily,
  words: string,
): {
  readonly lead: Lead | undefined;
  readonly clashes: readonly Clash[];
  readonly near: readonly Lead[];
} {
  const wanted = plain(words);
  const found = LEADS[family].find((one) => plain(one.words) === wanted);
  const clashes = LEAD_FAMILIES.filter((other) => other !== family).flatMap((other): Clash[] => {
    const there = LEADS[other].find((one) => plain(one.words) === wanted);
    return there === undefined || there.role === found?.role
      ? []
      : [{ family: other, role: there.role }];
  });
  return { lead: found, clashes, near: LEADS[family].filter((one) => isNear(one.words, wanted)) };
}

/** Colours of the same family that pass for one another: same base, or a light shade of it. */
function isNear(words: string, wanted: string): boolean {
  const base = (text: string): string =>
    plain(text)
      .split('/')[0]
      ?.replace(/^light /, '') ?? '';
  return plain(words) !== wanted && base(words) === base(wanted);
}

function plain(words: string): string {
  return words
    .trim()
    .toLowerCase()
    .replace(/\s*(\/| with | and )\s*/g, '/')
    .replace(/ stripe$/, '')
    .replace(/^purple/, 'violet');
}

/** The leads of a family that a job leaves unused, each with how it ends (H16). */
export function unusedLeads(family: LeadFamily, usedWords: readonly string[]): readonly Lead[] {
  const used = new Set(usedWords.map(plain));
  return LEADS[family].filter((one) => !used.has(plain(one.words)));
}
