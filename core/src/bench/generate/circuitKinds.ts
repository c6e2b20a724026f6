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
  always(
    kind({
      share: 6,
      supplies: 'battery 3, batterySaver 1',
      legends: 'BAT BATT KL30 BACK_UP MEMORY PERM',
      vague: 'B ELEC 30A',
    }),
  ),
  always(
    kind({
      share: 5,
      supplies: 'battery 2, batterySaver 1, loadShed 1',
      legends: 'ROOM DOME INT_LP INNENL PLAFONNIER',
      vague: 'LP BODY',
    }),
  ),
  always(
    kind({
      share: 7,
      supplies: 'accessoryContact 4, accessoryRelay 2, retainedPower 1, battery 1, runContact 1',
      legends: 'CIG P/OUTLET SOCKET STECKD PRISE MECHERO',
      vague: 'PWR 12V',
      ratingsA: [15, 20],
    }),
  ),
  kind({
    share: 5,
    supplies: 'accessoryContact 5, accessoryContactHeld 1, retainedPower 2',
    legends: 'ACC ACC_2 15R',
    vague: 'A2 AUX',
  }),
  always(
    kind({
      share: 6,
      supplies: 'battery 3, accessoryContact 3, retainedPower 1',
      legends: 'RADIO AUDIO AV AUTORADIO',
      vague: 'ENT HU',
      ratingsA: [7.5, 10, 15],
    }),
  ),
  always(
    kind({
      share: 6,
      supplies: 'runCrankContact 3, runContact 2',
      legends: 'IGN IG2 KL15 ZUENDUNG',
      vague: 'SYS CTRL',
    }),
  ),
  always(
    kind({
      share: 10,
      supplies: 'runContact 8, runCrankContact 1',
      legends: 'RR_DEF SEAT_HTR WIPER WASHER BLOWER HECKSCH LUNETTE',
      vague: 'HTR AUX_2',
      ratingsA: [15, 20, 30],
    }),
  ),
  always({
    ...kind({
      share: 6,
      supplies: 'lampSwitch 1',
      legends: 'ILLUM TAIL PANEL_LP STANDL',
      vague: 'LP_2 L',
      ratingsA: [5, 7.5, 10],
    }),
    bulbW: 20,
  }),
  kind({
    share: 4,
    supplies: 'retainedPower 2, retainedRun 1, runContact 1, battery 1, delayTimer 1',
    legends: 'P/WDW SUNROOF WINDOW FENSTERH',
    vague: 'COMF K',
    ratingsA: [20, 25, 30],
  }),
  kind({
    share: 5,
    supplies: 'unfed 3, battery 1, runContact 1',
    legends: 'SPARE OPT RES LIBRE',
    vague: 'NC --',
  }),
  kind({
    share: 3,
    supplies: 'battery 1',
    legends: 'HORN D/LOCK P_SEAT ZV',
    vague: 'CONV GEN',
    ratingsA: [15, 20, 25],
  }),
  always(
    kind({
      share: 4,
      supplies: 'runCrankContact 9, runContact 1',
      legends: 'METER GAUGE KOMBI CLUSTER',
      vague: 'INST M',
      ratingsA: [5, 7.5, 10],
    }),
  ),
  kind({
    share: 2,
    supplies: 'runContact 1, runCrankContact 1, reverseSwitch 1',
    legends: 'REV REVERSE RUECKF',
    vague: 'RL',
    ratingsA: [7.5, 10],
  }),
  always(
    critical(
      kind({
        share: 4,
        supplies: 'runCrankContact 1',
        legends: 'A/BAG SRS AIRBAG',
        vague: 'SAFE R1',
        ratingsA: [5, 7.5, 10],
      }),
    ),
  ),
  always(
    critical(
      kind({
        share: 8,
        supplies: 'runCrankContact 3, battery 2, heldMainRelay 1',
        legends: 'ABS ECM EPS TCM EFI FUEL',
        vague: 'CU MOT',
        ratingsA: [10, 15, 25],
      }),
    ),
  ),
  always(
    critical(
      kind({
        share: 6,
        supplies: 'battery 3, runContact 1, lowBeamSwitch 1',
        legends: 'STOP HAZ ECU-B HEAD_LH TURN',
        vague: 'E2 LGT',
      }),
    ),
  ),
  critical(
    kind({
      share: 1,
      supplies: 'starterContact 1',
      legends: 'START ST_SIG ANLASSER',
      vague: 'S',
      ratingsA: [7.5, 10, 20],
    }),
  ),
];

/** A sort of circuit from a short notation: supplies with weights, legends with `_` for a space. */
function kind({
  share,
  supplies,
  legends,
  vague,
  ratingsA = [5, 7.5, 10, 15],
}: {
  readonly share: number;
  readonly supplies: string;
  readonly legends: string;
  readonly vague: string;
  readonly ratingsA?: readonly number[];
}): CircuitKind {
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
