import { isNumber, joinsOthers, tokensOf } from './tokens';

const said = (legend: string): string => tokensOf(legend).join(' ');

describe('the parts of a legend', () => {
  it.each([
    ['Kl30-b', 'KL 30 B'],
    ['RR DEF/HTR', 'RR DEF HTR'],
    ['p.outlet', 'P OUTLET'],
    ['IG2', 'IG 2'],
    ['L’AVANT', 'L AVANT'],
    ["D'AIR", 'D AIR'],
    ['Kühler', 'KUHLER'],
    ['', ''],
    ['· –', ''],
  ])('%s: %s', (legend, parts) => {
    expect(said(legend)).toBe(parts);
  });

  it('are none where nothing is printed', () => {
    expect(tokensOf(undefined)).toEqual([]);
  });

  // Ratings as they stand on fuses (ISO 8820) and in legends.
  it.each(
    '15A|15 A|7.5A|7,5 A|7.5 AMP|10 AMPS|100A|30 AMPERE|CIG 15A|15A CIG|CIG 7.5A RR|CIG 5AMP'.split(
      '|',
    ),
  )('%s leaves the rating out', (legend) => {
    expect(said(legend)).toBe(/CIG/.test(legend) ? (/RR/.test(legend) ? 'CIG RR' : 'CIG') : '');
  });

  it.each(['1000A', '15AB', 'A15A', '15 ACC', '15 AMPL'])('%s is no rating', (legend) => {
    expect(said(legend)).not.toBe('');
    expect(said(legend)).toMatch(/\d|I/);
  });

  it.each(
    'FUSE 30|FUSE30|FUSE:30|FUSIBLE 12|NO.15|NO 15|NR 7|NR.7|F15|F 15|F.15|#12|# 12|#3'.split('|'),
  )('%s is a place', (legend) => {
    expect(tokensOf(legend)).toEqual([]);
    expect(said(`RADIO ${legend}`)).toBe('RADIO');
    expect(said(`${legend} RADIO`)).toBe('RADIO');
  });

  it.each([
    ['DEF15', 'DEF 15'],
    ['F1234', 'F 1234'],
    ['FUSEBOX', 'FUSEBOX'],
    ['MONO 15', 'MONO 15'],
    ['NO5A1', 'NO 5 A 1'],
    ['F15B', 'F 15 B'],
  ])('%s is none: %s', (legend, parts) => {
    expect(said(legend)).toBe(parts);
  });

  // Words of five languages for a terminal of DIN 72552.
  it.each(['KLEMME 15', 'TERMINAL 15', 'BORNE 15', 'MORSETTO 15', 'KLEM 15'])(
    '%s is terminal 15',
    (legend) => {
      expect(said(legend)).toBe('KL 15');
    },
  );

  it.each([
    ['KLEMMEN 15', 'KLEMMEN 15'],
    ['B+', 'BAT'],
    ['B +', 'BAT'],
    ['+B', 'BAT'],
    ['+ B', 'BAT'],
    ['+BAT', 'BAT'],
    ['ECU-B+ 1', 'ECU BAT 1'],
    ['SUB+', 'SUB'],
    ['BOMBA DE AIRE', 'BOMBA AIRE'],
    ['DELTA', 'DELTA'],
    ['VON DER UND OF THE', 'DER'],
  ])('%s: %s', (legend, parts) => {
    expect(said(legend)).toBe(parts);
  });

  it.each('DEL DE LA LES LE DU DES DI DA DOS DO EL AUX AU UND OF THE VON'.split(' '))(
    '%s joins others and says nothing',
    (word) => {
      expect(said(`PUMP ${word} FUEL`)).toBe('PUMP FUEL');
      expect(said(`PUMP X${word} FUEL`)).toBe(`PUMP X${word} FUEL`);
      expect(said(`PUMP ${word}Q FUEL`)).toBe(`PUMP ${word}Q FUEL`);
      expect(joinsOthers(word)).toBe(true);
    },
  );

  it.each('AUX D L Y ET E A AN ZU NA POR PER EM'.split(' '))(
    '%s joins others between two words, and is something else elsewhere',
    (word) => {
      expect(said(`PUMP ${word} FUEL`)).toBe('PUMP FUEL');
      for (const legend of [
        word,
        `PUMP ${word}`,
        `${word} FUEL`,
        `IG ${word} FUEL`,
        `PUMP ${word} IG`,
      ])
        expect(said(legend)).toBe(legend);
      expect(said(`PUMP/${word}/FUEL`)).toBe(`PUMP ${word} FUEL`);
      expect(joinsOthers(word)).toBe(true);
      expect(joinsOthers(`${word}Q`)).toBe(false);
    },
  );

  it.each([
    ['M0TOR', 'MOTOR'],
    ['RADI0', 'RADIO'],
    ['A1RBAG', 'AIRBAG'],
    ['1G2', 'IG 2'],
    ['1GN', 'IGN'],
    ['AB0', 'AB 0'],
    ['1GNX', '1 GNX'],
    ['TERM30', 'TERM 30'],
    ['21G', '21 G'],
    ['O2', 'O 2'],
  ])('%s, a figure for a letter within a word only: %s', (legend, parts) => {
    expect(said(legend)).toBe(parts);
  });
});

it('tells a number by its first sign', () => {
  expect(['15', '1', 'IG', 'G1', ''].map(isNumber)).toEqual([true, true, false, false, false]);
});
