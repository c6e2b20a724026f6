import { saysNothing } from './sayNothing';

// Words of nine languages for side, place and part; common practice.
it.each(
  `UNIT CONTROL CONTROLLER MODULE MULTI RELAY RELAIS SYSTEM SWITCH FUSE CIRCUIT BOX MAIN MOTOR SUPPLY FEED NUMBER LEFT RIGHT FRONT REAR BACK UPPER
  LOWER INNER OUTER DRIVER PASSENGER SIDE HIGH LOW ELECTRONIC ELECTRIC POWER SECOND FIRST LINKS RECHTS VORNE HINTEN GAUCHE DROITE AVANT ARRIERE
  IZQUIERDO DERECHO DELANTERO TRASERO SINISTRO DESTRO ANTERIORE POSTERIORE VOOR ACHTER ESQUERDO DIREITO DIANTEIRO TRASEIRO VANSTER HOGER FRAM BAK
  LEWY PRAWY PRZEDNI TYLNY STEUERUNG GERAET`.split(/\s+/),
)('%s says nothing', (word) => {
  expect(saysNothing(word)).toBe(0.5);
});

it.each(
  `L R F LH RH FL FR RL RR FRT CTRL CTL CONT ECU MOD MDL RLY REL SYS SW MTR NO NR LO HI UP DN SUB VL VR HL HR AV AR IZQ DER SX DX ANT POST PWR ELEC
  EL LT RT DRV DR PASS ASSY`.split(/\s+/),
)('%s, short, says nothing', (short) => {
  expect(saysNothing(short)).toBe(0.5);
});

it('is sure of numbers, half of words, less of what is cut from them, and finds nothing in others', () => {
  expect(saysNothing('12')).toBe(1);
  expect(saysNothing('1A')).toBe(0);
  expect(saysNothing('A1')).toBe(0);
  expect(saysNothing('CONTR')).toBe(0.06);
  expect(saysNothing('UNITS')).toBe(0.3);
  expect(saysNothing('PASSGR')).toBe(0);
  for (const token of ['AIRBAG', 'RADIO', 'XQZW', 'HORN', '']) expect(saysNothing(token)).toBe(0);
});
