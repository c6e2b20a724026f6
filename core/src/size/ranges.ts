/** One number that the sizing takes: its unit, its range and what it is called in a message. */
export interface NumberRange {
  /** Lowest value accepted. */
  readonly low: number;
  /** Highest value accepted. */
  readonly high: number;
  /** SI unit; empty for a plain number. */
  readonly unit: string;
  /** What it is called in a message. */
  readonly name: string;
}

/** Ranges accepted; outside them a number is a slip. Cars and vans with 12 V or 24 V systems. */
export const SIZING_RANGES = {
  currentA: range(0.01, 80, 'A', 'the load'),
  oneWayM: range(0.05, 30, 'm', 'the length one way'),
  returnM: range(0.05, 30, 'm', 'the length of the return lead'),
  systemV: range(9, 30, 'V', 'the voltage that per cent refer to'),
  dropLimitPercent: range(0.1, 20, '%', 'the drop limit'),
  ambientC: range(-40, 100, '°C', 'the ambient temperature'),
  bundle: range(1, 60, '', 'the number of conductors together'),
  spareA: range(0, 40, 'A', 'the spare capacity'),
  peakA: range(0.01, 400, 'A', 'the inrush current'),
  peakS: range(0.000_001, 30, 's', 'the time of the inrush'),
  sourceOhm: range(0.001, 1, 'Ω', 'the resistance of battery and feed'),
  groundOhm: range(0, 1, 'Ω', 'the resistance of the ground joint'),
  areaMm2: range(0.2, 120, 'mm²', 'the conductor'),
  fuseA: range(0.5, 100, 'A', 'the fuse'),
  slotA: range(1, 100, 'A', 'the rating of the slot'),
  originalA: range(0, 100, 'A', 'the load of the original circuit'),
  sharedA: range(0, 100, 'A', 'the load of the other tap'),
  capacitorUF: range(0.1, 100_000, 'µF', 'the input capacitor'),
  watts: range(0.01, 2000, 'W', 'the power'),
  printedA: range(0.01, 80, 'A', 'the printed current'),
  printedV: range(3, 30, 'V', 'the printed voltage'),
  efficiency: range(0.3, 1, '', 'the efficiency'),
  capacityAh: range(10, 250, 'Ah', 'the capacity'),
  engineAh: range(10, 250, 'Ah', 'the capacity that the maker fits'),
  parkedDays: range(0, 365, 'days', 'the time parked'),
  reserveMinutes: range(15, 600, 'min', 'the reserve capacity'),
  ageYears: range(0, 15, 'years', 'the age of the battery'),
  temperatureC: range(-40, 60, '°C', 'the temperature'),
  parasiticA: range(0, 5, 'A', 'the car’s own drain'),
  standbyA: range(0, 20, 'A', 'the device’s parked current'),
  cutOffV: range(10, 13.2, 'V', 'the cut-off'),
  timerHours: range(0, 720, 'h', 'the timer'),
  stateOfCharge: range(0, 1, '', 'the state of charge'),
  driveMinutes: range(0, 720, 'min', 'the driving time a day'),
  driveDays: range(0, 7, '', 'the driving days a week'),
  alternatorA: range(5, 300, 'A', 'the alternator’s spare current'),
  coilA: range(0.01, 2, 'A', 'the coil current'),
  switchA: range(0.01, 100, 'A', 'the rating of the switch'),
  clearanceMm: range(1, 200, 'mm', 'the room above the slot'),
  boltMm: range(3, 16, 'mm', 'the bolt'),
  outputV: range(1, 24, 'V', 'the voltage of the converter'),
  roomMm: range(1, 60, 'mm', 'the free room'),
  bodyMm: range(1, 150, 'mm', 'the device’s body'),
  lipMm: range(1, 200, 'mm', 'the device’s front'),
  bodyDepthMm: range(1, 500, 'mm', 'the device’s depth'),
  leadMm: range(0.5, 30, 'mm', 'the lead'),
  freeMm: range(1, 500, 'mm', 'the free depth'),
  handOverFigure: range(0, 100_000, '', 'what was read'),
  closingValue: range(-100, 100_000, '', 'what was measured'),
  asleepMin: range(0, 300, 'min', 'the time until it sleeps'),
  dropOffS: range(0, 7200, 's', 'the time until it goes dead'),
  setUpS: range(0.1, 3600, 's', 'the time of a set-up step'),
  bodyM: range(0.3, 20, 'm', 'a measure of the body'),
  restV: range(0.1, 30, 'V', 'the voltage at rest'),
  testOhm: range(10, 1_000_000, 'Ω', 'the test resistor'),
  testV: range(0, 30, 'V', 'the voltage with the test resistor'),
  lockV: range(0, 30, 'V', 'the voltage with lock held'),
  unlockV: range(0, 30, 'V', 'the voltage with unlock held'),
} as const satisfies Record<string, NumberRange>;

/** Name of one number. */
export type SizingField = keyof typeof SIZING_RANGES;

function range(low: number, high: number, unit: string, name: string): NumberRange {
  return { low, high, unit, name };
}

/** What a number must be, in words. */
export function rangeText(field: SizingField): string {
  const { low, high, unit, name } = SIZING_RANGES[field];
  const to = unit === '' ? `${low} and ${high}` : `${low} ${unit} and ${high} ${unit}`;
  return `${name} must lie between ${to}`;
}

/** A number that is missing, no number, or out of its range. */
export interface NumberProblem {
  /** Which number. */
  readonly field: SizingField;
  /** What it must be, and what it is. */
  readonly message: string;
}

/** Everything that is wrong with some numbers; a field that is undefined is left out of the check. */
export function numberProblems(
  numbers: Partial<Record<SizingField, number | undefined>>,
): NumberProblem[] {
  return (Object.entries(numbers) as [SizingField, number | undefined][]).flatMap(
    ([field, value]) => {
      if (value === undefined) return [];
      const { low, high } = SIZING_RANGES[field];
      if (value >= low && value <= high) return [];
      const got = Number.isNaN(value) ? 'what was typed is no number' : `got ${value}`;
      return [{ field, message: `${field}: ${rangeText(field)}, ${got}` }];
    },
  );
}

/**
 * Refuses numbers out of range.
 *
 * @throws RangeError naming every field with its range.
 */
export function assertNumbers(numbers: Partial<Record<SizingField, number | undefined>>): void {
  const problems = numberProblems(numbers);
  if (problems.length > 0) throw new RangeError(problems.map((one) => one.message).join('; '));
}
