/**
 * How probable print shortens a word so, given that it names that word. Weights from counting on one's fingers over
 * fuse legends; common practice, not measured. Only their order of size matters.
 */
const WAYS = {
  whole: 0.5,
  plural: 0.3,
  /** The form that this word is cut to by custom. */
  customary: 0.4,
  /** Cut after so many letters. */
  cut: [0, 0.05, 0.03, 0.1, 0.1, 0.06, 0.04, 0.03],
  /** All vowels dropped, and that cut short. */
  skeleton: 0.1,
  skeletonCut: 0.05,
  skeletonCutToTwo: 0.012,
  /** Some letters left out, the first one kept: most of the word's length, or little of it. */
  thinned: 0.015,
  thinnedFar: 0.003,
  thinnedToTwo: 0.003,
  /** The word is a part of a longer one, at its beginning or inside. */
  begins: 0.08,
  inside: 0.05,
} as const;
/** Words that are cut by custom, whatever the circuit; common practice of legends in English. */
const CUSTOMARY: ReadonlyMap<string, ReadonlySet<string>> = new Map(
  Object.entries({
    IGN: 'IGNITION',
    PWR: 'POWER',
    BATT: 'BATTERY',
    BAT: 'BATTERY',
    STRG: 'STEERING',
    STR: 'STEERING',
    MOD: 'MODULE',
    MDL: 'MODULE',
    CTRL: 'CONTROL',
    CONT: 'CONTROL',
    CTL: 'CONTROL',
    CAM: 'CAMERA CAMSHAFT',
    FRT: 'FRONT',
    FR: 'FRONT',
    FWD: 'FORWARD',
    RR: 'REAR',
    SEN: 'SENSOR',
    SNSR: 'SENSOR',
    SENS: 'SENSOR',
    SW: 'SWITCH',
    MTR: 'MOTOR',
    MOT: 'MOTOR',
    HTR: 'HEATER',
    LP: 'LAMP',
    LMP: 'LAMP',
    LT: 'LIGHT',
    POS: 'POSITION',
    CONV: 'CONVERTER',
    TRANS: 'TRANSMISSION',
    TRN: 'TRAIN TURN',
    PMP: 'PUMP',
    BRK: 'BRAKE',
    RLY: 'RELAY',
    DEF: 'DEFOGGER DEFROSTER',
    WDO: 'WINDOW',
    COOL: 'COOLANT COOLING',
    ELEC: 'ELECTRIC ELECTRONIC',
    TEMP: 'TEMPERATURE',
    RAD: 'RADIATOR RADIO',
    COND: 'CONDENSER',
    CDS: 'CONDENSER',
    ALT: 'ALTERNATOR',
    SYS: 'SYSTEM',
    ENG: 'ENGINE',
    AUX: 'AUXILIARY',
    ACC: 'ACCESSORY',
    COMP: 'COMPRESSOR',
    MON: 'MONITOR',
    MNTR: 'MONITOR',
    BT: 'BLUETOOTH',
  }).map(([token, words]) => [token, new Set(words.split(' '))]),
);

/** A word inside a longer one has at least so many letters; fewer are chance. */
const PART_LETTERS = 5;
/** From this share of the word on, leaving letters out is a way of shortening; below it is chance. */
const MOSTLY = 0.4;

/** A word with what the channel asks of it, worked out once. */
export interface PrintedWord {
  readonly text: string;
  /** Its first letter and the consonants after it. */
  readonly skeleton: string;
}

/** A word in upper case without accents. */
export function printedWord(text: string): PrintedWord {
  return { text, skeleton: text.charAt(0) + text.slice(1).replace(/[AEIOUY]/g, '') };
}

/**
 * How probable a token is as the print of a word; 0 when it is none. A single letter counts as cut; whoever asks knows
 * whether it may stand alone.
 *
 * @example tokenGiven('HTR', printedWord('HEATER')) // 0.4
 */
export function tokenGiven(token: string, word: PrintedWord): number {
  const { text } = word;
  if (CUSTOMARY.get(token)?.has(text) === true) return WAYS.customary;
  if (token.charAt(0) !== text.charAt(0))
    return text.length >= PART_LETTERS && token.length > text.length && token.includes(text)
      ? WAYS.inside
      : 0;
  if (token === text) return WAYS.whole;
  if (token.length > text.length) return longer(token, text);
  if (text.startsWith(token)) return WAYS.cut[Math.min(token.length, WAYS.cut.length - 1)] ?? 0;
  return shortened(token, word);
}

function longer(token: string, text: string): number {
  if (token === `${text}S` || token === `${text}ES`) return WAYS.plural;
  if (text.length < PART_LETTERS) return 0;
  if (token.startsWith(text)) return WAYS.begins;
  return token.includes(text) ? WAYS.inside : 0;
}

function shortened(token: string, { text, skeleton }: PrintedWord): number {
  // A plural of what was shortened: `BTNS`, `HTRS`.
  const single = token.length > 3 && token.endsWith('S') ? token.slice(0, -1) : token;
  if (token === skeleton || single === skeleton) return WAYS.skeleton;
  if (token.length >= 2 && skeleton.startsWith(token))
    return token.length === 2 ? WAYS.skeletonCutToTwo : WAYS.skeletonCut;
  if (!isThinned(token, text)) return 0;
  if (token.length === 2) return WAYS.thinnedToTwo;
  return token.length / text.length >= MOSTLY ? WAYS.thinned : WAYS.thinnedFar;
}

/** Whether all letters of a token stand in a word in their order. */
function isThinned(token: string, text: string): boolean {
  let at = 0;
  for (const letter of token) {
    at = text.indexOf(letter, at) + 1;
    if (at === 0) return false;
  }
  return true;
}
