import type { CircuitFunction } from '../vehicle';

/** How far a circuit may be used: `block` never, `caution` with a reason, `free` when its function fits. */
export type SafetyClass = 'block' | 'caution' | 'free' | 'unknown';

/** Relative weights over functions that a label suggests; what is missing weighs little. */
export type FunctionWeights = Partial<Record<CircuitFunction, number>>;

/** One term found on fuse legends. */
export interface LexiconEntry {
  /** Spellings, upper case without punctuation. */
  readonly terms: readonly string[];
  readonly meaning: string;
  readonly safety: Exclude<SafetyClass, 'unknown'>;
  /** Why it is blocked or cautious; shown to the installer. */
  readonly reason: string | undefined;
  readonly weights: FunctionWeights;
}

const CONSTANT: FunctionWeights = { constant: 8, timedConstant: 2 };
const ACCESSORY: FunctionWeights = {
  accessory: 7,
  retainedAccessory: 1.5,
  ignitionRun: 1,
  ignitionRunCrank: 0.5,
  constant: 0.7,
};
const SOCKET: FunctionWeights = {
  accessory: 5,
  constant: 2,
  timedConstant: 0.7,
  retainedAccessory: 1,
  ignitionRun: 1,
  ignitionRunCrank: 0.4,
};
const RADIO: FunctionWeights = {
  constant: 4,
  timedConstant: 1,
  accessory: 4,
  retainedAccessory: 1.5,
  ignitionRun: 0.5,
};
const IGNITION: FunctionWeights = { ignitionRun: 4.5, ignitionRunCrank: 5.5, accessory: 0.7 };
/** Heavy consumers are relieved while cranking (contact X of the ignition switch); common practice. */
const RUN: FunctionWeights = { ignitionRun: 8, ignitionRunCrank: 1, accessory: 1 };
/** Instruments have to show while cranking; common practice. */
const GAUGES: FunctionWeights = { ignitionRunCrank: 6, ignitionRun: 2.5, accessory: 0.5 };
const STARTER: FunctionWeights = { starter: 8, constant: 1 };
const LAMPS: FunctionWeights = { lamps: 9, constant: 0.5 };
const COURTESY: FunctionWeights = { constant: 5, timedConstant: 4 };
const UNSURE: FunctionWeights = {
  constant: 1,
  timedConstant: 0.5,
  accessory: 1,
  retainedAccessory: 0.5,
  ignitionRun: 1,
  ignitionRunCrank: 1,
};

const AIRBAG =
  'Airbag and belt-tensioner circuit: never pull, probe or tap it. Restraint work belongs to the vehicle maker’s service information.';
const BRAKES = 'Brake and stability control: a disturbed supply can take the brakes’ help away.';
const STEERING = 'Power steering: a disturbed supply can take the steering’s help away.';
const ENGINE =
  'Engine or transmission control: a disturbed supply can stop the engine on the road.';
const FUEL = 'Fuel supply: it can stop the engine on the road, and fuel is near.';
const SENSOR = 'Sensor supply: any extra load shifts what the control unit measures.';
const BUS = 'Data bus or control module: a lamp or an added load disturbs other modules.';
const HIGH_VOLTAGE = 'High-voltage system: only for people licensed for it.';
const RESCUE = 'Emergency call: it must work after a crash, untouched.';
const LAW = 'Lamp required by law: it feeds nothing but its own signal.';
const LOCK = 'Immobiliser, steering lock or locks: a fault locks the driver out or the column.';

/** The terms, from legends in several languages' abbreviations. Meanings are common practice. */
export const LEXICON: readonly LexiconEntry[] = [
  block(
    ['AIRBAG', 'A BAG', 'AIR BAG', 'SRS', 'RESTRAINT', 'PRETENS', 'ORC', 'RCM', 'BELT', 'GURT'],
    'airbag, belts',
    AIRBAG,
    IGNITION,
  ),
  block(['COUSSIN', 'BOLSA AIRE', 'OCS', 'SIR'], 'airbag', AIRBAG, IGNITION),
  block(
    ['ABS', 'ESP', 'ESC', 'VSC', 'DSC', 'VDC', 'TCS', 'BRAKE ECU', 'ABS PUMP', 'FREIN', 'FRENO'],
    'brakes, stability',
    BRAKES,
    CONSTANT,
  ),
  block(
    ['EPS', 'P STRG', 'POWER STEERING', 'LENKUNG', 'DIRECTION ASSIST'],
    'steering',
    STEERING,
    CONSTANT,
  ),
  block(
    [
      'ECM',
      'PCM',
      'ENG CTRL',
      'ENGINE',
      'EFI',
      'INJ',
      'INJECTION',
      'IGN COIL',
      'COIL',
      'DME',
      'MOTOR ECU',
    ],
    'engine control',
    ENGINE,
    IGNITION,
  ),
  block(
    [
      'TCM',
      'TCU',
      'TRANS',
      'GEARBOX',
      'AT ECU',
      'GETRIEBE',
      'BOITE',
      'MOTEUR',
      'MSTG',
      'CALCUL MOT',
    ],
    'engine, gearbox',
    ENGINE,
    IGNITION,
  ),
  block(
    ['FUEL', 'FUEL PUMP', 'F PUMP', 'KRAFTST', 'POMPE CARB', 'BOMBA COMB'],
    'fuel pump',
    FUEL,
    RUN,
  ),
  block(
    ['O2', 'LAMBDA', 'SENSOR', 'SENS', 'MAF', 'A F HTR', 'NOX', 'SONDE'],
    'sensors',
    SENSOR,
    RUN,
  ),
  block(
    ['CAN', 'LIN', 'BUS', 'BCM', 'GATEWAY', 'ECU', 'MODULE', 'DLC'],
    'control unit, bus',
    BUS,
    UNSURE,
  ),
  block(
    ['HV', 'HYBRID', 'TRACTION', 'EV SYS', 'HV BATT', 'INVERTER', 'BMS'],
    'high voltage',
    HIGH_VOLTAGE,
    IGNITION,
  ),
  block(['ECALL', 'E CALL', 'SOS', 'EMERG CALL', 'NOTRUF'], 'emergency call', RESCUE, CONSTANT),
  block(['STOP', 'STOP LP', 'BRAKE LP', 'BREMSL', 'BRK LAMP'], 'stop lamps', LAW, CONSTANT),
  block(
    ['HEAD', 'HEAD LH', 'HEAD RH', 'H LP', 'LO BEAM', 'LOW BEAM', 'HI BEAM', 'ABBLENDL'],
    'headlamps',
    LAW,
    LAMPS,
  ),
  block(
    ['TURN', 'HAZ', 'HAZARD', 'TURN HAZ', 'BLINKER', 'CLIGNO'],
    'turn and hazard lamps',
    LAW,
    CONSTANT,
  ),
  block(
    ['IMMO', 'IMMOBILISER', 'STRG LOCK', 'ST LOCK', 'SMART', 'KEYLESS', 'WFS'],
    'immobiliser, lock',
    LOCK,
    CONSTANT,
  ),
  block(['START', 'STARTER', 'ST SIG', 'CRANK', 'ANLASSER', 'DEMAR'], 'starter', ENGINE, STARTER),
  caution(
    ['TAIL', 'TAIL LP', 'PARK LP', 'POSITION', 'STANDL'],
    'tail and parking lamps',
    'Tail lamps are required by law: use them for an illumination trigger only, never as a supply.',
    LAMPS,
  ),
  caution(
    ['DOOR', 'D LOCK', 'DR LOCK', 'ZV', 'CENT LOCK'],
    'door locks',
    'Door locks draw high currents in bursts.',
    CONSTANT,
  ),
  caution(
    ['WIPER', 'WIP', 'FR WIP', 'WISCHER', 'ESSUIE'],
    'wipers',
    'Wipers are needed to see: leave them their supply.',
    RUN,
  ),
  caution(
    ['HORN', 'HUPE', 'KLAXON'],
    'horn',
    'The horn is a warning device: keep it free of other loads.',
    CONSTANT,
  ),
  caution(
    ['METER', 'GAUGE', 'GAUGES', 'CLUSTER', 'KOMBI', 'INSTR'],
    'instruments',
    'Instruments share this feed with warning lamps.',
    GAUGES,
  ),
  caution(
    ['AC', 'A C', 'HVAC', 'HEATER', 'BLOWER', 'KLIMA', 'FAN'],
    'heating and air',
    'Blower circuits run near their rating.',
    RUN,
  ),
  caution(
    ['TOWING', 'TRAILER', 'ANHAENGER', 'AHK'],
    'trailer',
    'Trailer lamps are required by law.',
    CONSTANT,
  ),
  free(['ACC', 'ACC 2', 'ACCESSORY', 'KL 15R', '15R', 'ACCESS'], 'accessory', ACCESSORY),
  free(
    [
      'CIG',
      'CIGAR',
      'LIGHTER',
      'P OUTLET',
      'P OUT',
      'OUTLET',
      'PWR OUTLET',
      'SOCKET',
      'STECKD',
      'ZIG ANZ',
      'ALLUME CIG',
      'PRISE',
      'MECHERO',
      'TOMA',
    ],
    'socket, lighter',
    SOCKET,
  ),
  free(['USB', 'CHARGER'], 'USB charger', SOCKET),
  free(
    ['RADIO', 'AUDIO', 'RAD', 'AUTORADIO', 'STEREO', 'AV', 'NAVI', 'DISPLAY', 'MULTIMEDIA'],
    'radio',
    RADIO,
  ),
  free(['AMP', 'AMPLIFIER', 'SUBWOOFER'], 'audio amplifier', CONSTANT),
  free(
    ['BAT', 'BATT', 'B', 'BATTERY', 'KL 30', '30', 'BATTERIE', 'PERM'],
    'battery feed',
    CONSTANT,
  ),
  free(['MEMORY', 'BACKUP', 'BACK UP', 'CLOCK', 'UHR', 'RADIO B'], 'memory supply', CONSTANT),
  free(
    ['ROOM', 'DOME', 'INT LP', 'INTERIOR', 'COURTESY', 'INNENL', 'PLAFONNIER', 'LUZ INT'],
    'courtesy lamps',
    COURTESY,
  ),
  free(['IG', 'IG1', 'IG2', 'IGN', 'IG 1', 'KL 15', '15', 'ZUENDUNG'], 'ignition', IGNITION),
  free(['RR DEF', 'DEF', 'DEFOG', 'RR FOG HTR', 'HECKSCH', 'LUNETTE'], 'rear window heater', RUN),
  free(['SEAT HTR', 'S HTR', 'HTD SEAT', 'SITZHZG', 'SIEGE CH'], 'seat heaters', RUN),
  free(['P SEAT', 'PWR SEAT', 'SEAT'], 'power seats', CONSTANT),
  free(['P WDW', 'P WINDOW', 'WINDOW', 'FENSTERH', 'LEVE VITRE'], 'windows', {
    ...RUN,
    retainedAccessory: 4,
    constant: 2,
  }),
  free(['SUNROOF', 'S ROOF', 'SCHIEBED', 'TOIT'], 'sunroof', { ...RUN, retainedAccessory: 4 }),
  free(['MIRROR', 'MIR', 'MIR HTR', 'SPIEGEL', 'RETRO'], 'mirrors', {
    accessory: 4,
    ignitionRun: 3,
    lamps: 0,
  }),
  free(['BACK UP LP', 'REV', 'REVERSE', 'RUECKF'], 'reversing lamps', {
    ignitionRun: 3,
    ignitionRunCrank: 3,
    reverse: 3,
  }),
  free(['ILLUM', 'ILL', 'PANEL', 'PANEL LP', 'BELEUCHT'], 'panel illumination', LAMPS),
  free(['SPARE', 'RES', 'RESERVE', 'OPT', 'OPTION', 'LIBRE'], 'spare or option', {
    spare: 6,
    constant: 1,
    ignitionRun: 1,
  }),
  free(['FOG', 'FR FOG', 'NEBEL'], 'fog lamps', { lamps: 4, ignitionRun: 2, constant: 1 }),
  free(['WASHER', 'WASH', 'RR WIP'], 'washer, rear wiper', RUN),
];

function block(
  terms: readonly string[],
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms, meaning, safety: 'block', reason, weights };
}

function caution(
  terms: readonly string[],
  meaning: string,
  reason: string,
  weights: FunctionWeights,
): LexiconEntry {
  return { terms, meaning, safety: 'caution', reason, weights };
}

function free(terms: readonly string[], meaning: string, weights: FunctionWeights): LexiconEntry {
  return { terms, meaning, safety: 'free', reason: undefined, weights };
}
