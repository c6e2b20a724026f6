import fc from 'fast-check';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import { LEXICON } from './lexicon';
import { readLabel } from './readLabel';

describe('readLabel', () => {
  it('lets no harmless word answer for one beside it that can’t be read', () => {
    for (const harmless of ['RADIO', 'CIG', 'ROOM', 'ACC', 'SEAT HTR', 'B+'])
      for (const other of ['XYRQ', 'ZZKJ', 'OIL', 'КЛАПАН', 'ラジオ']) {
        const label = readLabel(`${harmless}/${other}`);
        expect({ legend: `${harmless}/${other}`, safety: label.safety }).toEqual({
          legend: `${harmless}/${other}`,
          safety: 'caution',
        });
        expect(label.reason).toContain(other);
      }
    // Sides, numbers, marks of two letters, kinds of things and words that say nothing are no second circuit.
    for (const legend of [
      ...['RADIO 2', 'CIG RR', 'ROOM LH', 'SEAT HTR FL', 'RADIO KJ', 'Éclair. intérieur'],
      ...['VANITY LPS', 'RADIO TIMER', 'RADIO CHANGER', 'RADIO CONTROLLER', 'ACC RLY'],
    ])
      expect(`${legend} ${readLabel(legend).safety}`).toBe(`${legend} free`);
  });

  it.each([
    'A/BAG',
    'SRS',
    'airbag 2',
    'ABS',
    'ECU-B',
    'ENG CTRL',
    'EPS',
    'FUEL PUMP',
    'HV BATT',
    'E-CALL',
    'STOP',
    'HAZ',
    'GURT',
    'FREIN',
    'Boîte',
    'COUSSIN',
    'START',
  ])('blocks %s and says why', (legend) => {
    const label = readLabel(legend);
    expect(label.safety).toBe('block');
    expect(label.reason).toMatch(/.{20,}/);
  });

  it.each(['CIG', 'P/OUTLET', 'ACC 2', 'BAT', 'ROOM', 'RADIO', 'RR DEF', 'KL30', 'Kl. 15', 'CIG2'])(
    'leaves %s free',
    (legend) => {
      expect(readLabel(legend).safety).toBe('free');
    },
  );

  // The same circuit on legends of five kinds; abbreviations are common practice.
  it.each([
    ['block', ['AIRBAG', 'Gurtstraffer', 'Coussin gonflable', 'Bolsa de aire', 'A/B']],
    ['block', ['BRK LAMP', 'Bremslicht', 'Feux stop', 'Luz freno', 'STOP LP']],
    ['block', ['FUEL PUMP', 'Kraftstoffp.', 'Pompe carburant', 'Bomba gasolina', 'F/PUMP']],
    ['block', ['LOW BEAM', 'Abblendl.', 'Feux crois.', 'Luz cruce', 'H-LP LO']],
    ['caution', ['HORN', 'Hupe', 'Avertisseur', 'Bocina', 'HORN']],
    ['caution', ['WIPER', 'Wischer', 'Essuie-glace', 'Limpiaparabrisas', 'WIP']],
    ['free', ['LIGHTER', 'Zig. Anz.', 'Allume-cigare', 'Encendedor', 'CIG']],
    ['free', ['DOME', 'Innenlicht', 'Plafonnier', 'Luz interior', 'ROOM']],
    ['free', ['REAR DEFOG', 'Heckscheibe', 'Lunette AR', 'Luneta term.', 'DEF']],
    ['free', ['BATTERY', 'Dauerplus', 'Permanent', 'Batería', 'B+']],
  ] as const)('puts into class %s what %p name', (safety, legends) => {
    expect(legends.map((legend) => readLabel(legend).safety)).toEqual(legends.map(() => safety));
  });

  // Terse and spelt-out words for what must never be touched; common practice.
  it.each([
    ['brakes', 'BRAKE PKB VAC-PUMP Handbremse FREINAGE'],
    ['steering', 'STRG STEERING MDPS Lenkung'],
    ['restraints', 'CURTAIN PRETEN SBELT Seitenairbag SAFETY'],
    ['driver assistance', 'RADAR LKAS CRUISE Tempomat'],
    ['drive', '4WD DIFF SUSP TRANSMISSION Getriebesteuerung'],
    ['engine and its cooling', 'ENG INJECTORS THROTTLE RAD/FAN Motorsteuergeraet'],
    ['head and turn lamps', 'H/L HEADLIGHTS SCHEINWERFER FLASHER Warnblinker'],
    ['locks of key and column', 'THEFT PUSH-START IMMOBILIZER KEYLESS'],
    ['sensors and control units', 'O2-SENS MPX CU Batteriesensor Steuergeraete'],
  ])('blocks %s whatever the spelling: %s', (_, legends) => {
    for (const legend of legends.split(' '))
      expect([legend, readLabel(legend).safety]).toEqual([legend, 'block']);
  });

  it.each([
    ['HEAD UNIT', 'free'],
    ['HEAD', 'block'],
    ['FUEL LID', 'caution'],
    ['FUEL', 'block'],
    ['PARK ASSIST', 'free'],
    ['PARK', 'caution'],
    ['PARK BRAKE', 'block'],
    ['IGN', 'free'],
    ['IGN COIL', 'block'],
    ['RR WIP', 'free'],
    ['RR FOG', 'block'],
  ] as const)('reads %s as a whole: %s', (legend, safety) => {
    expect(readLabel(legend).safety).toBe(safety);
  });

  it('knows plurals and compounds by their stem', () => {
    expect(readLabel('Radios').safety).toBe('free');
    expect(readLabel('Fensterheber').meaning).toBe('windows');
    expect(readLabel('Scheibenwischer').safety).toBe('caution');
  });

  it.each([undefined, '', '· ·', 'XQZ', 'K 7'])('calls %p unknown, not harmless', (legend) => {
    expect(readLabel(legend).safety).toBe('unknown');
  });

  it.each(
    `S.R.S|PRE-TENS|GURTSTR|RUECKHALT|PAB|ROLLOVER|TRC|BRAKE SW|PEDAL|P/S|SERVO|PCS|FR CAM|AVS|DDE|OIL PUMP|ATX|CLUTCH
    |COOL FAN|BOMBA|SNSR|CGW|HEV|TELEMATIC|BALLAST|ABBL|FEU CROIS|T/S|BLINK|CLIGN|ESCL|ELV`
      .split('|')
      .map((legend) => [legend.trim()]),
  )('blocks %s, one of many spellings of a dangerous circuit (common practice)', (legend) => {
    expect(readLabel(legend)).toMatchObject({ safety: 'block' });
  });

  it.each(['REVERSE', 'RUECKF', 'FOG', 'TAIL', 'FEU AR'])(
    'wants a reason for %s: a lamp required by law is not simply a supply',
    (legend) => {
      expect(readLabel(legend)).toMatchObject({ safety: 'caution' });
    },
  );

  it.each(['PS SEAT', 'WASH PUMP', 'POMPE LAVE', 'COOL BOX', 'BACK UP'])(
    'does not take %s for the dangerous circuit it is spelled like',
    (legend) => {
      expect(readLabel(legend)).toMatchObject({ safety: 'free' });
    },
  );

  it('blocks a legend that names a dangerous and a harmless circuit', () => {
    expect(readLabel('RADIO/A/BAG').safety).toBe('block');
  });

  it('takes a label as a prior: a socket may be constant (common practice)', () => {
    const { prior } = readLabel('CIG');
    expect(prior.accessory).toBeGreaterThan(prior.constant);
    expect(prior.constant).toBeGreaterThan(0.1);
  });

  it('reads both a constant and a switched feed out of "radio" (common practice)', () => {
    const { prior } = readLabel('RADIO');
    expect(prior.constant).toBeGreaterThan(0.2);
    expect(prior.accessory).toBeGreaterThan(0.2);
  });

  it('gives a probability for any text', () => {
    fc.assert(
      fc.property(fc.string(), (legend) => {
        const { prior } = readLabel(legend);
        const sum = CIRCUIT_FUNCTIONS.reduce((total, name) => total + prior[name], 0);
        expect(sum).toBeCloseTo(1, 9);
        for (const name of CIRCUIT_FUNCTIONS) expect(prior[name]).toBeGreaterThanOrEqual(0);
        for (const name of ['constant', 'accessory', 'none'] as const)
          expect(prior[name]).toBeGreaterThan(0);
      }),
    );
  });

  it('gives a reason with every block and caution of the lexicon', () => {
    for (const entry of LEXICON) expect(entry.reason === undefined).toBe(entry.safety === 'free');
  });

  it('has no term twice', () => {
    const terms = LEXICON.flatMap((entry) => entry.terms);
    expect(new Set(terms).size).toBe(terms.length);
  });
});
