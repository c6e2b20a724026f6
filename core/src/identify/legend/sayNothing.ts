import { printedWord, tokenGiven } from './channel';

/** Words that legends are full of and that say nothing of what a circuit is for. */
const WORDS =
  `UNIT CONTROL CONTROLLER MODULE MULTI RELAY RELAIS SYSTEM SWITCH FUSE CIRCUIT BOX MAIN MOTOR SUPPLY FEED NUMBER
  LEFT RIGHT FRONT REAR BACK UPPER LOWER INNER OUTER DRIVER PASSENGER SIDE HIGH LOW ELECTRONIC ELECTRIC POWER SECOND FIRST
  LINKS RECHTS VORNE HINTEN GAUCHE DROITE AVANT ARRIERE IZQUIERDO DERECHO DELANTERO TRASERO SINISTRO DESTRO ANTERIORE POSTERIORE
  VOOR ACHTER RECHTS LINKS ESQUERDO DIREITO DIANTEIRO TRASEIRO VANSTER HOGER FRAM BAK LEWY PRAWY PRZEDNI TYLNY STEUERUNG GERAET`
    .split(/\s+/)
    .filter((word) => word !== '')
    .map(printedWord);
/** Short forms of the same. */
const SHORT = new Set(
  'L R F LH RH FL FR RL RR FRT CTRL CTL CONT ECU MOD MDL RLY REL SYS SW MTR NO NR LO HI UP DN SUB VL VR HL HR AV AR IZQ DER SX DX ANT POST PWR ELEC EL LT RT DRV DR PASS ASSY'.split(
    ' ',
  ),
);
/** Those that are printed behind another word without a space. */
const TAILS = new Set(
  'RELAY RELAIS RELE RELAE RLY UNIT CTRL MODULE MODUL MDL SWITCH STEUERUNG STEUERGERAET STG SYSTEM FUSE'.split(
    ' ',
  ),
);
/** Least probability of a shortening that counts: rarer ones are taken for something else. */
const CLEAR = 0.05;
/** Letters of a plural. */
const PLURAL = 2;

/** How much a token looks like a word that says nothing, 0 to 1. */
export function saysNothing(token: string): number {
  if (/^\d+$/.test(token)) return 1;
  if (SHORT.has(token)) return 0.5;
  let most = 0;
  for (const word of WORDS)
    // What goes on behind such a word, as in `INNERBELYSNING`, says something.
    if (word.text.charAt(0) === token.charAt(0) && token.length <= word.text.length + PLURAL)
      most = Math.max(most, tokenGiven(token, word));
  return most >= CLEAR ? most : 0;
}

/** What kind of thing it is, beside a word that says whose. Alone they may name a circuit, and are read as that. */
const KINDS = 'LAMP LAMPS LIGHT LIGHTS SCREEN PLAYER CHANGER TIMER'.split(' ').map(printedWord);
const SHORT_KINDS = new Set(['LP', 'LPS', 'LT', 'LTS', 'LMP', 'LMPS']);

/** Whether a token beside a circuit's name says no more than what kind of thing is meant. */
export function saysKind(token: string): boolean {
  return SHORT_KINDS.has(token) || KINDS.some((word) => tokenGiven(token, word) >= CLEAR);
}

/** Endings shorter than this are as well a part of the word before them. */
const LEAST_TAIL = 3;

/** What stands before a word that says nothing where both are printed as one, e.g. `VORGLUEH` of `VORGLUEHRELAIS`; none for most. */
export function beforeNothing(token: string): readonly string[] {
  const heads = [];
  for (let cut = LEAST_TAIL; cut <= token.length - LEAST_TAIL; cut += 1)
    if (TAILS.has(token.slice(cut))) heads.push(token.slice(0, cut));
  return heads;
}
