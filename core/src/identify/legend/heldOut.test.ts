import { readLabel } from './readLabel';

/**
 * A list that nothing was tuned on: written down at one go from how legends look, before it was first read. It grades;
 * when a legend of it is read wrongly, the cause is mended, never the list. What it does not show: it is by the same hand as
 * the vocabulary, and it is short beside all that is printed.
 */
const HELD_OUT = {
  dangerous: `SRS ECU|AIRBG|ABAG RH|S/BELT TENS|OCC CLASS|PRETEN LH|GURTSTR|AIRBAGS|PAS GONFL|CEINT SEC|CINT SEG|CINTURA SIC|PODUSZKA POW
    |VEILIGH GORDEL|BALTE|ABS VALVE|ABS ECU|ANTILOCK BRK|BRK PED SW|BRK BSTR|VAC PMP|E-PARK BRK|HANDBR|BREMSKRAFTV|FREIN STAT|SERVOFR|FRENO EST
    |REMBEKR|BROMSSERVO|HAMULEC R|STRG ANGLE|ELEC PWR STRG|EPS MTR|SERVOLENK|DIRECTION ASS|DIREC ASIST|SERVOST|STUURBEKR|WSPOM KIER|ADAPT CRUISE
    |FWD RADAR|LANE KEEP|LKAS CAM|BLND SPOT|COLL AVOID|SPURASS|NOTBREMS|ANGLE MORT|AIR SUSP CMPR|LUFTFED|4WD CTRL|REAR DIFF|NIVEAUREG|ENG ECU
    |ENG CTRL MOD|PCM BATT|INJ 1|INJECTORS|IGN COIL|COIL PK|THROT BODY|TPS|MAF SENS|O2 HTR|LAMBDA SON|EGR VLV|GLOW PLG|GLUEHKERZ|MOTORSTG|EINSPR
    |DROSSELKL|BOBINE ALLUM|INJECT|PRECHAUF|BOBINA ENC|INYECT|CANDELETTE|INIEZ|GLOEIB|INSPUIT|CEWKA ZAPL|WTRYSK|TANDSPOLE|TRANS CTRL|AT ECU|TCM
    |SHIFT LCK|CLTCH SW|GETRIEBE STG|KUPPLUNG|EMBRAY|EMBRAGUE|FRIZIONE|KOPPELING|SPRZEGLO|RAD FAN|CLNG FAN 1|COOL FAN MTR|WTR PUMP|KUEHLMPUMPE
    |MOTOVENT|ELECTROVENT|ELETTROVENT|KOELVENT|WENT CHLOD|FUEL PMP|F PUMP|FL PMP|KRAFTSTPU|POMPE CARB|BOMBA COMB|POMPA CARB|BRANDSTPMP|POMPA PALIWA
    |BRANSLEP|HV BATT|HYBRID BATT|INVERTER|HIGH VOLT|TRAC MTR|HOCHVOLT|SOS CALL|ECALL|STOP LP|STP LMP|BRAKE LT|BREMSL|FEUX STOP|LUZ FRENO|LUCI STOP
    |HEAD LH LO|HDLP LH|H/LAMP HI|HI BEAM|LO BEAM RH|ABBLENDL|FERNL L|CROISEM|LUZ CRUCE|ANABB|DIMLICHT|MIJANIA|TURN SIG|T/SIG HAZ|HAZ WARN|BLINKL
    |CLIGNOT|INTERMIT|FRECCE|RICHTINGAANW|KIERUNK|REAR FOG|R FOG LP|NEBELSCHL|LIC PLT|KENNZ|STRT RLY|STARTER SIG|ANLASSER|DEMARREUR|ROZRUSZNIK|IMMOB
    |STEER LOCK|CAN GATEWAY|BODY CTRL MOD|SPEED SENS`,
  harmless: `RADIO MEM|AUDIO AMP|AMPLIF|STEREO|HEADUNIT|NAV UNIT|CIG LTR|C/LIGHTER|LGHTR|PWR SCKT|ACC SKT|AUX OUTLT|P/POINT|12V OUTLET|ZIG-ANZ|STECKDOSE L|ALL-CIGARES
    |PRISE ACC|ENCENDED|ACCENDISIG|AANSTEKER|ACENDED|CIGTAND|ZAPALN|GNIAZDO|DOME LT|ROOM LP|INT LIGHT|INTR LMP|MAP LMP|READ LMP|VANITY|GLOVE BX|INNENL
    |INNENBEL|LESEL|PLAFONN|ECLAIR INT|LUZ INT|PLAFON|LUCI INT|BINNENVERL|INNERBEL|OSWIETL WN|PWR WNDW|P/WINDOW LH|WINDOW RR|WDO LIFT|FENSTERH|LEVE VITRE
    |ELEVALUNAS|ALZACRIST|RAAMBED|FONSTERHISS|SZYBY EL|SUNRF|S/ROOF|MOON RF|SCHIEBED|TOIT OUVR|TETTO APR|SCHUIFDAK|SOLTAK|SZYBERD|MIRR|MIRR HTR|DR MIRROR
    |AUSSENSP|RETROVIS|ESPEJOS|SPECCHI|SPIEGELVERW|LUSTERKA|RR DEFOG|R/DEFOG|RR WDO DEF|HTD RR WDO|HECKSCHEIBE|LUNETTE CH|LUNETA|LUNOTTO|ACHTERRUIT
    |BAKRUTA|SEAT HTR L|HTD SEATS|S/HTR|SITZHZG|SIEGE CHAUF|STOELVERW|STOLVARME|PWR SEAT|P/SEAT DR|SEAT ADJ|CLCK|CLOCK|ROOM/CLOCK|HORLOGE|RELOJ|KLOCKA
    |IGN 1|IG1 MAIN|ZUNDUNG|ALLUMAGE|ENCENDIDO|ACCENS|ZAPLON|ACCY|ACCESSORY RLY|ZUBEHOR|ILLUM|PNL ILLUM|DASH LMP|ILUM|PODSWIETL|WSHR|WASHER FR
    |WASCHPUMPE|LAVE GLACE|LAVAVETRI|RR CAM|BACK CAM|PARK SENS|PARKHILFE|CAMERA RECUL|PARKEERHULP|SPARE|NOT USED|RESERVE|RESERVA|ANTENNA|TELEPHONE`,
};

function list(text: string): string[] {
  return text.split('|').map((one) => one.trim());
}

describe('legends that nothing was tuned on', () => {
  const dangerous = list(HELD_OUT.dangerous).map((legend) => ({ legend, ...readLabel(legend) }));
  const harmless = list(HELD_OUT.harmless).map((legend) => ({ legend, ...readLabel(legend) }));
  const of = (all: typeof dangerous, ...wanted: string[]): string[] =>
    all.filter(({ safety }) => wanted.includes(safety)).map(({ legend }) => legend);

  it('never read a dangerous one as free', () => {
    expect(of(dangerous, 'free')).toEqual([]);
  });

  it('block most dangerous ones, and stop at nearly all others', () => {
    const blocked = of(dangerous, 'block').length / dangerous.length;
    const stopped = of(dangerous, 'block', 'unknown').length / dangerous.length;
    const told = `blocked ${(100 * blocked).toFixed(1)} %, or unknown ${(100 * stopped).toFixed(1)} % of ${dangerous.length}; not blocked: ${of(dangerous, 'free', 'caution', 'unknown').join(', ')}`;
    expect({ told, enough: blocked >= 0.85 && stopped >= 0.98 }).toEqual({ told, enough: true });
  });

  it('know most harmless ones as usable', () => {
    const usable = of(harmless, 'free', 'caution').length / harmless.length;
    const told = `${(100 * usable).toFixed(1)} % of ${harmless.length} usable; not: ${of(harmless, 'block').join(', ')} blocked, ${of(harmless, 'unknown').join(', ')} unknown`;
    expect({ told, enough: usable >= 0.9 }).toEqual({ told, enough: true });
  });
});
