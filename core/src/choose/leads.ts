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

/** One lead of a family. */
export interface Lead {
  /** IEC 60757 code, base and stripe. `LBU` and `LGN` are no codes there: light shades stand as the base with a `~`. */
  readonly colour: string;
  /** Colour in words, as it is asked for. */
  readonly words: string;
  readonly role: string;
  /** What it carries, and in which direction. */
  readonly sign: '+' | '−' | 'data' | 'signal' | '±';
  readonly direction: 'in' | 'out' | 'both';
  /** When it is live, in words. */
  readonly when: string;
  /** How it ends when it is not used. */
  readonly unused: string;
}

const CAP =
  'Cap it by itself with heat-shrink or a closed-end crimp; never twist it together with others.';

function lead(
  colour: string,
  words: string,
  role: string,
  [sign, direction, when]: readonly [Lead['sign'], Lead['direction'], string],
  unused = CAP,
): Lead {
  return { colour, words, role, sign, direction, when, unused };
}

/** Leads by family. Colours are common practice; the sheet in the device's own box comes first. */
export const LEADS: Record<LeadFamily, readonly Lead[]> = {
  radio: [
    lead('YE', 'yellow', 'constant, keeps clock and presets', ['+', 'in', 'always']),
    lead('RD', 'red', 'accessory', ['+', 'in', 'with the key']),
    lead('BK', 'black', 'ground', ['−', 'in', 'always']),
    lead(
      'OG',
      'orange',
      'illumination: dims the display',
      ['+', 'in', 'with the lamps'],
      'Cap it: bare on metal it takes the car’s lamp fuse with it.',
    ),
    lead(
      'OG/WH',
      'orange/white',
      'illumination: dims the display',
      ['+', 'in', 'with the lamps'],
      'Cap it: bare on metal it takes the car’s lamp fuse with it.',
    ),
    lead('BU', 'blue', 'powered antenna', ['+', 'out', 'on radio only']),
    lead('BU/WH', 'blue/white', 'amplifier turn-on', ['+', 'out', 'on every source']),
    lead('BN', 'brown', 'mute on telephone', ['−', 'in', 'when muted']),
    lead('YE/BK', 'yellow/black', 'mute on telephone', ['−', 'in', 'when muted']),
    lead('VT/WH', 'violet/white', 'reverse', ['+', 'in', 'in reverse']),
    lead(
      'GN~',
      'light green',
      'parking-brake switch',
      ['−', 'in', 'parking brake on'],
      'Connect it to the switch: bridging it defeats the video lock, which the law may forbid.',
    ),
    lead('BU~/YE', 'light blue/yellow', 'steering-wheel remote input', ['data', 'in', 'always']),
    lead('WH', 'white', 'front left speaker', ['+', 'out', 'when it plays']),
    lead('WH/BK', 'white/black', 'front left speaker', ['−', 'out', 'when it plays']),
    lead('GY', 'grey', 'front right speaker', ['+', 'out', 'when it plays']),
    lead('GY/BK', 'grey/black', 'front right speaker', ['−', 'out', 'when it plays']),
    lead('GN', 'green', 'rear left speaker', ['+', 'out', 'when it plays']),
    lead('GN/BK', 'green/black', 'rear left speaker', ['−', 'out', 'when it plays']),
    lead('VT', 'violet', 'rear right speaker', ['+', 'out', 'when it plays']),
    lead('VT/BK', 'violet/black', 'rear right speaker', ['−', 'out', 'when it plays']),
  ],
  remoteStart: [
    lead('RD', 'red', 'main feed', ['+', 'in', 'always']),
    lead('YE', 'yellow', 'ignition out', ['+', 'out', 'at run and crank']),
    lead('OG', 'orange', 'accessory out', ['+', 'out', 'at run']),
    lead('VT', 'violet', 'starter out', ['+', 'out', 'at crank']),
    lead('BK', 'black', 'ground', ['−', 'in', 'always']),
    lead(
      'BN',
      'brown',
      'brake shutdown',
      ['+', 'in', 'brake pressed'],
      'It must be connected: without it the engine can be driven off.',
    ),
    lead(
      'GY',
      'grey',
      'hood switch',
      ['−', 'in', 'hood open'],
      'It must be connected: it keeps the engine from starting with hands in it.',
    ),
  ],
  camera: [
    lead('RD', 'red', 'supply', ['+', 'in', 'in reverse']),
    lead('BK', 'black', 'ground', ['−', 'in', 'always']),
    lead('YE', 'yellow', 'video', ['signal', 'out', 'in reverse']),
  ],
  dashcamKit: [
    lead('YE', 'yellow', 'constant', ['+', 'in', 'always']),
    lead('RD', 'red', 'accessory', ['+', 'in', 'with the key']),
    lead('BK', 'black', 'ground', ['−', 'in', 'always']),
  ],
  socket: [
    lead('RD', 'red', 'supply', ['+', 'in', 'as the source']),
    lead('BK', 'black', 'ground', ['−', 'in', 'always']),
  ],
};

/** What a colour means in other families, when that differs: a clash that has burnt harnesses. */
export interface Clash {
  readonly family: LeadFamily;
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
