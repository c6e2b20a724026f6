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
/** Least probability of a shortening that counts: rarer ones are taken for something else. */
const CLEAR = 0.05;

/** How much a token looks like a word that says nothing, 0 to 1. */
export function saysNothing(token: string): number {
  if (/^\d+$/.test(token)) return 1;
  if (SHORT.has(token)) return 0.5;
  let most = 0;
  for (const word of WORDS)
    if (word.text.charAt(0) === token.charAt(0)) most = Math.max(most, tokenGiven(token, word));
  return most >= CLEAR ? most : 0;
}
