import { readLabel } from './readLabel';

/** Legends that were once read as harmless, or not at all: each stands for a way of shortening or a kind of word. */
const DANGEROUS =
  `PWR TRN|POWERTRAIN|POWERSHIFT|PWR STR|DEF PUMP|FWD CAM|FRT CAM|ACC RDR|ACC DIST|CLOCK SPRING|SEAT OCC|CAM POS|IGN MOD|IGN CTRL
  |TORQ CONV|BATT DISCONNECT|BATT MNTR|DC CONV|BATT FAN|ONBOARD CHARGER|COND FAN|CDS FAN|RETRONEBBIA|RÜCKHALT|ZÜNDSPULE|VORGLÜHEN|KÜHLER|WÄHLHEBEL
  |OCC SEN|PODS|BUCKLE|ROLLBAR|SICHERHEITSGURT|SAC GONFLABLE|BOLSAS DE AIRE|BAS|ECB|HDC|HSA|VAKUUMPUMPE|EHPAS|F/PMP|VTC|EVAP|PURGE|E/G|EMIS
  |ADBLUE|BOUGIES|INHIBITOR|W/P|EWP|LÜFTER|DCDC|HYB|INV W/P|EVSE|BMU|DRCC|SCC|FCA|LDWS|SPURHALTE|AUX FAN|AUX PUMP|DIR IND|INDICATORS|DAYLIGHT`
    .split('|')
    .map((one) => one.trim());

describe('legends that must not be touched', () => {
  it.each(DANGEROUS)('%s is blocked', (legend) => {
    expect(readLabel(legend).safety).toBe('block');
  });

  it.each(['ALT-S', 'P/N SW', 'RETROMARCIA'])('%s is not free', (legend) => {
    expect(readLabel(legend).safety).not.toBe('free');
  });
});

describe('ratings and places in the print', () => {
  it.each(['15A', 'F15', 'NO.15', '30A', 'FUSE 30', '#12', '7.5 AMP'])(
    '%s is no terminal and names nothing',
    (legend) => expect(readLabel(legend).safety).toBe('unknown'),
  );

  it('leave what stands beside them as it is', () => {
    expect(readLabel('MIRROR 15A').entries).toEqual(readLabel('MIRROR').entries);
    expect(readLabel('CIG 15A').safety).toBe('free');
  });

  it.each(['15', '15R', '30', '75', 'KL30', 'KL.15', 'KLEMME 15'])('%s is a terminal', (legend) => {
    expect(readLabel(legend).safety).not.toBe('unknown');
  });
});

describe('a word that is one by itself', () => {
  // Dutch for ventilation, a sensor at the battery, and the starter: the beginnings of two other words would do as well.
  it.each([
    ['VNTLT', 'heating and air'],
    ['ACCUSENSOR', 'sensors'],
    ['STARTMOTOR', 'starter'],
  ])('is not cut in two besides: %s', (legend, meaning) => {
    expect(readLabel(legend).meaning).toBe(meaning);
  });

  it.each(['FUELPMP', 'ENGCTRL'])('two that are run together are: %s', (legend) => {
    expect(readLabel(legend).safety).toBe('block');
  });

  it.each([
    ['VORGLÜHRELAIS', 'engine control'],
    ['LÜFTERSTG', 'engine cooling'],
    ['AIRBAGUNIT', 'airbag, belts'],
    ['KLIMASTEUERUNG', 'heating and air'],
    ['HORNRLY', 'horn'],
  ])('a word and one that says nothing, run together, are: %s', (legend, meaning) => {
    expect(readLabel(legend).meaning).toContain(meaning);
  });

  // A side or a place at its beginning says nothing; what it is the beginning of does.
  it.each([
    ['INNERBEL', 'courtesy lamps'],
    ['ACHTERRUITV', 'rear window heater'],
  ])('a compound is, though it begins with a place: %s', (legend, meaning) => {
    const { safety, meaning: read } = readLabel(legend);
    expect([safety, read]).toEqual(['free', meaning]);
  });

  it.each(['FAN LO', 'FAN HI 2'])(
    'a fan of several speeds is not taken for the blower: %s',
    (legend) => {
      expect(['unknown', 'block']).toContain(readLabel(legend).safety);
    },
  );
});

describe('words that say nothing', () => {
  it.each(['UNIT', 'CTRL', 'MULTI', 'RLY', 'MODULE 2', 'LH', 'SYSTEM', 'XQZW', ''])(
    '%s is unknown, not harmless',
    (legend) => expect(readLabel(legend).safety).toBe('unknown'),
  );
});

// Letters of a starter solenoid, a battery sensor, a solenoid valve, a fuel cut-off: in their order they stand in some harmless word as well.
it.each(['STSOLE', 'SEBAA', 'SODVA', 'FULCT'])(
  '%s is not harmless by a few letters of a long word',
  (legend) => {
    expect(readLabel(legend).safety).not.toBe('free');
  },
);

it.each(['KNEE BAG', 'DSL FILTER HTR', 'NAPINACZE', 'LEAK DIAG', 'VISCO FAN', 'PÉDALE D’ACC'])(
  '%s is blocked',
  (legend) => expect(readLabel(legend).safety).toBe('block'),
);

it.each(['DEICER', 'INT VERL', 'AUX IN', 'RUN', 'PNL LPS'])('%s is free', (legend) => {
  expect(readLabel(legend).safety).toBe('free');
});

it('reads figures that stand for letters', () => {
  expect(readLabel('1G2').entries).toEqual(readLabel('IG2').entries);
  expect(readLabel('RADI0').safety).toBe('free');
  expect(readLabel('A1RBAG').safety).toBe('block');
});

it('reads an umlaut bare, written out and lost alike', () => {
  for (const legend of ['KÜHLERLÜFTER', 'KUEHLERLUEFTER', 'KUHLERLUFTER', 'KHLERLFTER'])
    expect(readLabel(legend).safety).toBe('block');
});

it('says between what it can’t decide, and never calls it harmless', () => {
  const { safety, reason } = readLabel('CLU');
  expect(['block', 'unknown']).toContain(safety);
  expect(reason).toBeDefined();
});
