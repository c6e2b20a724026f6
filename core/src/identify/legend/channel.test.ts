import { printedWord, tokenGiven } from './channel';

const given = (token: string, word: string): number => tokenGiven(token, printedWord(word));

describe('what print makes of a word', () => {
  // Ways of shortening as one meets them on lids, common practice; how probable each is, is our own choice.
  it.each([
    ['HEATER', 'HEATER', 0.5, 'whole'],
    ['HEATERS', 'HEATER', 0.3, 'plural'],
    ['FUSES', 'FUSE', 0.3, 'plural'],
    ['SWITCHES', 'SWITCH', 0.3, 'plural in ES'],
    ['H', 'HEATER', 0.05, 'cut to a letter'],
    ['HE', 'HEATER', 0.03, 'cut to two'],
    ['HEA', 'HEATER', 0.1, 'cut to three'],
    ['HEAT', 'HEATER', 0.1, 'cut to four'],
    ['HEATE', 'HEATER', 0.06, 'cut to five'],
    ['INSTRU', 'INSTRUMENTATION', 0.04, 'cut to six'],
    ['INSTRUM', 'INSTRUMENTATION', 0.03, 'cut to seven'],
    ['INSTRUMENT', 'INSTRUMENTATION', 0.03, 'cut to more'],
    ['WNDW', 'WINDOW', 0.1, 'its vowels dropped'],
    ['WNDWS', 'WINDOW', 0.1, 'that in the plural'],
    ['WND', 'WINDOW', 0.05, 'that cut short'],
    ['WN', 'WINDOW', 0.012, 'that cut to two'],
    ['WIDW', 'WINDOW', 0.015, 'most letters left'],
    ['WIDWS', 'WINDOWLIFTS', 0.015, 'just enough of them left'],
    ['WNOW', 'WINDOWLIFTERS', 0.003, 'few letters left'],
    ['WO', 'WINDOW', 0.003, 'two letters of it'],
    ['WINDOWLIFT', 'WINDOW', 0.08, 'the beginning of another'],
    ['EWINDOW', 'WINDOW', 0.05, 'within another'],
    ['WWINDOW', 'WINDOW', 0.05, 'within one that begins alike'],
    ['ALTALTERNATOR', 'ALTERNATOR', 0.05, 'within one, after its own beginning'],
  ])('%s is %s with %d: %s', (token, word, chance) => {
    expect(given(token, word)).toBe(chance);
  });

  it.each([
    ['RADIO', 'HEATER', 'another word'],
    ['HTX', 'HEATER', 'a letter that is not in it'],
    ['HRT', 'HEATER', 'letters out of order'],
    ['EHORN', 'HORN', 'a word too short to be found within another'],
    ['HORNET', 'HORN', 'a word too short to begin another'],
    ['HHORN', 'HORN', 'a short one within one that begins alike'],
    ['WINDOXWINDO', 'WINDOW', 'a longer one that only begins alike'],
    ['X', 'HEATER', 'another letter'],
    ['INDOW', 'WINDOW', 'its first letter lost'],
    ['WNS', 'WAGON', 'three letters, of which the S is no plural'],
  ])('%s is not %s: %s', (token, word) => {
    expect(given(token, word)).toBe(0);
  });

  // Abbreviations of English legends; common practice.
  it.each(
    `IGN IGNITION|PWR POWER|BATT BATTERY|BAT BATTERY|STRG STEERING|STR STEERING|MOD MODULE|MDL MODULE|CTRL CONTROL|CONT CONTROL|CTL CONTROL
    |CAM CAMERA|CAM CAMSHAFT|FRT FRONT|FR FRONT|FWD FORWARD|RR REAR|SEN SENSOR|SNSR SENSOR|SENS SENSOR|SW SWITCH|MTR MOTOR|MOT MOTOR|HTR HEATER
    |LP LAMP|LMP LAMP|LT LIGHT|POS POSITION|CONV CONVERTER|TRANS TRANSMISSION|TRN TRAIN|TRN TURN|PMP PUMP|BRK BRAKE|RLY RELAY|DEF DEFOGGER
    |DEF DEFROSTER|WDO WINDOW|COOL COOLANT|COOL COOLING|ELEC ELECTRIC|ELEC ELECTRONIC|TEMP TEMPERATURE|RAD RADIATOR|RAD RADIO|COND CONDENSER
    |CDS CONDENSER|ALT ALTERNATOR|SYS SYSTEM|ENG ENGINE|AUX AUXILIARY|ACC ACCESSORY|COMP COMPRESSOR|MON MONITOR|MNTR MONITOR`
      .split('|')
      .map((pair) => pair.trim().split(' ') as [string, string]),
  )('%s is customary for %s', (token, word) => {
    expect(given(token, word)).toBe(0.4);
    expect(given(token, `${word}X`)).not.toBe(0.4);
  });
});

it('drops the vowels after the first letter, Y among them', () => {
  expect(printedWord('AUXILIARY')).toEqual({ text: 'AUXILIARY', skeleton: 'AXLR' });
  expect(printedWord('KEY').skeleton).toBe('K');
});
