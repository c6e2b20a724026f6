import { LEXICON, readLabel } from '../index';

/** The same circuits as they are called in different languages; common practice. */
const SAME: readonly (readonly [what: string, safety: string, legends: string])[] = [
  ['airbag', 'block', 'AIRBAG|A/BAG|SRS|COUSSIN|BOLSA DE AIRE|GURTSTR'],
  ['brakes', 'block', 'ABS|BREMSE|FREIN|FRENO|ESP|VSC'],
  ['steering', 'block', 'EPS|LENKUNG|DIRECTION|DIRECCION|P STRG'],
  ['engine', 'block', 'ECM|MOTORSTG|CALCUL MOT|INYECCION|EFI|INJ'],
  ['fuel pump', 'block', 'FUEL PUMP|F/PUMP|KRAFTSTOFFP|POMPE CARB|BOMBA COMB'],
  ['starter', 'block', 'START|ANLASSER|DEMARREUR|ARRANQUE|ST'],
  ['stop lamps', 'block', 'STOP|BREMSL|FEUX STOP|LUZ FRENO'],
  ['turn lamps', 'block', 'TURN|BLINKER|CLIGNOTANT|INTERMITENTE|HAZ'],
  ['tail lamps', 'caution', 'TAIL|STANDL|VEILLEUSE|POSICION'],
  ['wipers', 'caution', 'WIPER|WISCHER|ESSUIE GLACE|LIMPIAPARABRISAS'],
  ['horn', 'caution', 'HORN|HUPE|AVERTISSEUR|BOCINA'],
  ['instruments', 'caution', 'METER|KOMBI|COMBINE|CUADRO'],
  ['reversing lamps', 'caution', 'REVERSE|RUECKF|FEUX RECUL|MARCHA ATRAS'],
  ['socket', 'free', 'P/OUTLET|STECKD|PRISE|MECHERO|CIG'],
  ['radio', 'free', 'RADIO|AUTORADIO|AUDIO|A/V'],
  ['courtesy lamps', 'free', 'DOME|INNENL|PLAFONNIER|LUZ INT|ROOM'],
  ['battery', 'free', 'BAT|KL30|DAUERPLUS|BATERIA|PERM'],
  ['ignition', 'free', 'IGN|KL15|CONTACT|ENCENDIDO|IG2|ZUENDUNG'],
];

describe('the lexicon', () => {
  it.each(SAME)('knows the %s in several languages: %s', (_what, safety, legends) => {
    for (const legend of legends.split('|'))
      expect([legend, readLabel(legend).safety]).toEqual([legend, safety]);
  });

  it('reads a legend the same in any case, with or without punctuation', () => {
    for (const [, safety, legends] of SAME)
      for (const legend of legends.split('|')) {
        expect(readLabel(legend.toLowerCase()).safety).toBe(safety);
        expect(readLabel(` ${legend.replaceAll(' ', '-')}. `).safety).toBe(safety);
      }
  });

  it('knows accents: ÉCLAIRAGE INT and RÜCKFAHRL are read without them', () => {
    expect(readLabel('ÉCLAIRAGE INT').safety).toBe(readLabel('ECLAIRAGE INT').safety);
    expect(readLabel('DÉMARREUR').safety).toBe('block');
  });

  it('keeps its terms free of what a legend loses when it is read', () => {
    for (const term of LEXICON.flatMap((entry) => entry.terms))
      expect(term).toMatch(/^[A-Z0-9]+( [A-Z0-9]+)*$/);
  });

  it('never calls a word harmless that it does not know', () => {
    for (const legend of ['XYZZY', 'Q7', '?', '---', 'ZZ 9', ''])
      expect(readLabel(legend).safety).toBe('unknown');
  });

  it('takes the worst of several circuits on one fuse', () => {
    for (const [mixed, safety] of [
      ['RADIO HORN', 'caution'],
      ['DOME ABS', 'block'],
      ['CIG USB', 'free'],
    ] as const)
      expect(readLabel(mixed).safety).toBe(safety);
  });
});
