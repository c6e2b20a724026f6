import type { BenchSupply } from '../car/supplies';

/** One sort of circuit that panels hold. */
export interface CircuitKind {
  /** How often it occurs, against the others. */
  readonly share: number;
  readonly supplies: readonly (readonly [BenchSupply, number])[];
  readonly legends: readonly string[];
  /** Terse legends that could mean several things. */
  readonly vague: readonly string[];
  readonly ratingsA: readonly number[];
  /** Bulbs are the load, W; left out: something else is. */
  readonly bulbW?: number;
  readonly critical: boolean;
  /** Every car's panel has at least one. */
  readonly always: boolean;
}

/** What panels hold: invented shares in the order of magnitude of a small car's interior panel. */
export const CIRCUIT_KINDS: readonly CircuitKind[] = [
  always(kind(6, 'battery 3, batterySaver 1', 'BAT BATT KL30 BACK_UP MEMORY PERM', 'B ELEC 30A')),
  always(
    kind(
      5,
      'battery 2, batterySaver 1, loadShed 1',
      'ROOM DOME INT_LP INNENL PLAFONNIER',
      'LP BODY',
    ),
  ),
  always(
    kind(
      7,
      'accessoryContact 4, accessoryRelay 2, retainedPower 1, battery 1, runContact 1',
      'CIG P/OUTLET SOCKET STECKD PRISE MECHERO',
      'PWR 12V',
      [15, 20],
    ),
  ),
  kind(5, 'accessoryContact 5, accessoryContactHeld 1, retainedPower 2', 'ACC ACC_2 15R', 'A2 AUX'),
  always(
    kind(
      6,
      'battery 3, accessoryContact 3, retainedPower 1',
      'RADIO AUDIO AV AUTORADIO',
      'ENT HU',
      [7.5, 10, 15],
    ),
  ),
  always(kind(6, 'runCrankContact 3, runContact 2', 'IGN IG2 KL15 ZUENDUNG', 'SYS CTRL')),
  always(
    kind(
      10,
      'runContact 8, runCrankContact 1',
      'RR_DEF SEAT_HTR WIPER WASHER BLOWER HECKSCH LUNETTE',
      'HTR AUX_2',
      [15, 20, 30],
    ),
  ),
  always({
    ...kind(6, 'lampSwitch 1', 'ILLUM TAIL PANEL_LP STANDL', 'LP_2 L', [5, 7.5, 10]),
    bulbW: 20,
  }),
  kind(
    4,
    'retainedPower 2, retainedRun 1, runContact 1, battery 1, delayTimer 1',
    'P/WDW SUNROOF WINDOW FENSTERH',
    'COMF K',
    [20, 25, 30],
  ),
  kind(5, 'unfed 3, battery 1, runContact 1', 'SPARE OPT RES LIBRE', 'NC --'),
  kind(3, 'battery 1', 'HORN D/LOCK P_SEAT ZV', 'CONV GEN', [15, 20, 25]),
  always(
    kind(4, 'runCrankContact 9, runContact 1', 'METER GAUGE KOMBI CLUSTER', 'INST M', [5, 7.5, 10]),
  ),
  kind(
    2,
    'runContact 1, runCrankContact 1, reverseSwitch 1',
    'REV REVERSE RUECKF',
    'RL',
    [7.5, 10],
  ),
  always(critical(kind(4, 'runCrankContact 1', 'A/BAG SRS AIRBAG', 'SAFE R1', [5, 7.5, 10]))),
  always(
    critical(
      kind(
        8,
        'runCrankContact 3, battery 2, heldMainRelay 1',
        'ABS ECM EPS TCM EFI FUEL',
        'CU MOT',
        [10, 15, 25],
      ),
    ),
  ),
  always(
    critical(
      kind(6, 'battery 3, runContact 1, lowBeamSwitch 1', 'STOP HAZ ECU-B HEAD_LH TURN', 'E2 LGT'),
    ),
  ),
  critical(kind(1, 'starterContact 1', 'START ST_SIG ANLASSER', 'S', [7.5, 10, 20])),
];

/** A sort of circuit from a short notation: supplies with weights, legends with `_` for a space. */
function kind(
  share: number,
  supplies: string,
  legends: string,
  vague: string,
  ratingsA: readonly number[] = [5, 7.5, 10, 15],
): CircuitKind {
  return {
    share,
    supplies: supplies.split(', ').map((entry) => {
      const [supply, weight] = entry.split(' ');
      return [supply as BenchSupply, Number(weight)];
    }),
    legends: words(legends),
    vague: words(vague),
    ratingsA,
    critical: false,
    always: false,
  };
}

function critical(of: CircuitKind): CircuitKind {
  return { ...of, critical: true };
}

function always(of: CircuitKind): CircuitKind {
  return { ...of, always: true };
}

function words(list: string): string[] {
  return list.split(' ').map((word) => word.replaceAll('_', ' '));
}
