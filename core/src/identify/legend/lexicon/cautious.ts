import type { LexiconEntry } from './entry';
import { CONSTANT, GAUGES, LAMPS, RUN, caution } from './entry';

/** Circuits used only with a reason. Meanings are common practice. */
export const CAUTIOUS: readonly LexiconEntry[] = [
  caution(
    `TAIL|TAIL LP|TAIL LAMP|TAIL LIGHT|PARK|PARKING|PARK LP|PARK LAMP|PARKING LP|POSITION|POS LP|SIDE LP|SIDELIGHT|SIDELIGHTS
    |SMALL LP|MARKER|RUN LP|RUNNING LP|STANDL|STANDLICHT|SCHLUSSL|RUECKL|FEU AR|FEUX AR|FEUX POS|VEILLEUSE|LUZ POSICION|POSICION`,
    'tail and parking lamps',
    'Tail lamps are required by law: use them for an illumination trigger only, never as a supply.',
    LAMPS,
  ),
  caution(
    `DOOR|DOORS|D LOCK|DR LOCK|DOOR LOCK|LOCK|LOCKS|CENT LOCK|C LOCK|D L|SLIDE DOOR|TAILGATE|LIFTGATE|TRUNK OPEN|TRUNK REL
    |FUEL LID|FUEL DOOR|ZV|ZENTRALV|HECKKLAPPE|CONDAM|FERMETURE|CIERRE`,
    'door locks',
    'Door locks draw high currents in bursts.',
    CONSTANT,
  ),
  caution(
    `WIPER|WIPERS|WIP|FR WIP|FR WIPER|WISCHER|SCHEIBENW|ESSUIE|ESSUIE GLACE|LIMPIA|LIMPIAPARA|LIMPIAPARABRISAS`,
    'wipers',
    'Wipers are needed to see: leave them their supply.',
    RUN,
  ),
  caution(
    `BACK UP LP|B U LP|BACKUP LP|BACKUP LAMP|BACK LP|REV|REV LP|REVERSE|REVERSING|RUECKF|RUECKFAHRL|RECUL|FEUX RECUL
    |MARCHA ATRAS`,
    'reversing lamps',
    'Reversing lamps are required by law: use them for a reverse signal; as a supply only with good reason.',
    {
      ignitionRun: 3,
      ignitionRunCrank: 3,
      reverse: 3,
    },
  ),
  caution(
    'FOG|FR FOG|FOG LP|FOG LAMP|NEBEL|NEBELL|NSW|ANTIBROUIL|ANTIBROUILLARD|ANTINIEBLA',
    'fog lamps',
    'Fog lamps draw near their fuse’s rating; rear ones are required by law.',
    {
      lamps: 4,
      ignitionRun: 2,
      constant: 1,
    },
  ),
  caution(
    'HORN|HORNS|HUPE|KLAXON|AVERT|AVERTISSEUR|BOCINA|CLAXON',
    'horn',
    'The horn is a warning device: keep it free of other loads.',
    CONSTANT,
  ),
  caution(
    'ALARM|SIREN|DWA|ALARME|SIRENE|ALARMA|ANTIRROBO',
    'alarm',
    'An alarm watches its own supply: a change may set it off.',
    CONSTANT,
  ),
  caution(
    `METER|METERS|GAUGE|GAUGES|CLUSTER|INST|INSTR|INSTRUMENT|INSTRUMENTS|IPC|COMB METER|COMBI|SPEEDO|TACHO|KOMBI|KOMBIINSTR
    |ARMATUREN|COMBINE|TABLEAU|CUADRO`,
    'instruments',
    'Instruments share this feed with warning lamps.',
    GAUGES,
  ),
  caution(
    `AC|A C|A CON|AIRCON|AIR COND|HVAC|HEATER|HTR|HEAT|BLOWER|BLR|BLWR|FAN|COMPRESSOR|A C COMP|KLIMA|GEBLAESE|HEIZUNG
    |SOUFFLERIE|CHAUFFAGE|CLIM|VENTIL|VENTILADOR|CALEFACCION`,
    'heating and air',
    'Blower circuits run near their rating.',
    RUN,
  ),
  caution(
    'TOW|TOWING|TRAILER|TRLR|HITCH|ANHAENGER|AHK|REMORQUE|ATTELAGE|REMOLQUE',
    'trailer',
    'Trailer lamps are required by law.',
    CONSTANT,
  ),
  caution(
    'OBD|OBD 2|DIAG|DIAGNOSE|DIAGNOSTIC',
    'diagnostic socket',
    'The diagnostic socket’s supply is shared with what workshops plug in.',
    CONSTANT,
  ),
  caution(
    'TPMS|TYRE|TIRE|REIFENDRUCK|RDK|PRESSION PNEU|PRESION NEUM',
    'tyre pressure',
    'Tyre-pressure warning: leave it its supply.',
    RUN,
  ),
  caution(
    'CHARGER|LADEGERAET|CHARGEUR|CARGADOR',
    'charger',
    'May be a phone’s charger or the traction battery’s: find out before anything else.',
    CONSTANT,
  ),
  caution(
    'AM 1|AM 2|IGN SW|IG SW|ZUENDSCHL|MAIN FEED|MAIN SUPPLY|HAUPTS|ALT|ALTERNATOR|GENERATOR|LIMA|ALTERNATEUR|ALTERNADOR',
    'main feed, ignition switch, alternator',
    'Half the car hangs on a main feed: nothing is added to it.',
    CONSTANT,
  ),
];
