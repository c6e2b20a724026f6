/** What was read on a ladder’s wire with the meter to ground, the key as the car needs it. */
export interface LadderReadings {
  /** No button held, V. */
  readonly restV: number;
  /** With a known resistor from the wire to ground, no button held. */
  readonly test: { readonly ohm: number; readonly volts: number };
  /** Each button held, by its name, V. */
  readonly buttonV: Readonly<Record<string, number>>;
}

/** The resistor that stands in for a button, or why there is none. */
export type LadderRung =
  | {
      readonly button: string;
      readonly ok: true;
      /** What the button comes to from the wire to ground, Ω; 0 for a button that is ground itself. */
      readonly ohm: number;
      /** Nearest value that is sold (E24), Ω. */
      readonly standardOhm: number;
      /** Where the wire stands with it, V. */
      readonly volts: number;
      /** How much of the way to the nearest other level its tolerance uses up, 0 to 1; under {@link SAFE_SHARE} it is told apart. */
      readonly used: number;
      readonly toldApart: boolean;
    }
  | { readonly button: string; readonly ok: false; readonly because: string };

/** The car’s side of a ladder’s wire, and a resistor per button. */
export type Ladder =
  | { readonly ok: true; readonly sourceOhm: number; readonly rungs: readonly LadderRung[] }
  | { readonly ok: false; readonly because: string };

/** Preferred numbers of one decade, IEC 60063 series E24. */
export const E24 = [
  10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91,
] as const;
/** Tolerance of the resistors in the van. Common practice: 5 %, gold ring. */
const TOLERANCE = 0.05;
/** A control unit puts its limits half-way between levels; half of that way is left to heat and age. Our own choice. */
export const SAFE_SHARE = 0.5;
/** Below this a button is ground itself, Ω; two voltages nearer than this are one, V. */
const GROUND_OHM = 5;
const SAME_V = 0.05;

/**
 * Which resistor to ground a device’s output must switch in place of each button of a resistive ladder.
 *
 * The wire with no button held is a source of `restV` behind one resistance (Thévenin). A test resistor R that pulls it
 * down to V gives that resistance, R·(restV − V)/V; a button that pulls it to Vb then is it times Vb/(restV − Vb).
 *
 * Rest 4 V, 2 V with 1 kΩ: 1 kΩ behind the wire; a button at 1 V is 333 Ω, and 330 Ω is sold.
 */
export function solveLadder({ restV, test, buttonV }: LadderReadings): Ladder {
  if (!(restV > SAME_V))
    return { ok: false, because: 'At rest there is no voltage: no ladder, or it is asleep.' };
  if (!(test.ohm > 0)) return { ok: false, because: 'The test resistor must be known.' };
  if (!(test.volts > SAME_V) || test.volts > restV - SAME_V)
    return {
      ok: false,
      because:
        'The test resistor must pull the wire part of the way down: take a larger or a smaller one.',
    };
  const sourceOhm = (test.ohm * (restV - test.volts)) / test.volts;
  const levels = [restV, ...Object.values(buttonV)];
  const rungs = Object.entries(buttonV).map(([button, volts]): LadderRung => {
    if (volts > restV - SAME_V)
      return {
        button,
        ok: false,
        because:
          volts > restV + SAME_V
            ? 'It rises when held: the button takes a resistor away. No resistor to ground does that: a module for this car.'
            : 'It does not move when held: not its wire, or not its button.',
      };
    return rungFor(button, { volts, restV, sourceOhm, levels });
  });
  return { ok: true, sourceOhm, rungs };
}

function rungFor(
  button: string,
  of: {
    readonly volts: number;
    readonly restV: number;
    readonly sourceOhm: number;
    readonly levels: readonly number[];
  },
): LadderRung {
  const { volts, restV, sourceOhm, levels } = of;
  const ohm = (sourceOhm * volts) / (restV - volts);
  const standardOhm = ohm < GROUND_OHM ? 0 : nearestE24(ohm);
  const at = (value: number): number => (restV * value) / (value + sourceOhm);
  const gaps = levels.map((one) => Math.abs(one - volts)).filter((gap) => gap > SAME_V);
  const half = Math.min(...gaps) / 2;
  const alone = levels.filter((one) => Math.abs(one - volts) <= SAME_V).length === 1;
  const worst = Math.max(
    Math.abs(at(standardOhm * (1 + TOLERANCE)) - volts),
    Math.abs(at(standardOhm * (1 - TOLERANCE)) - volts),
  );
  const used = alone ? worst / half : 1;
  return {
    button,
    ok: true,
    ohm: ohm < GROUND_OHM ? 0 : ohm,
    standardOhm,
    volts: at(standardOhm),
    used,
    toldApart: used < SAFE_SHARE,
  };
}

/** The preferred number nearest by ratio, Ω. */
export function nearestE24(ohm: number): number {
  const decade = 10 ** Math.floor(Math.log10(ohm));
  const values = [...E24, 100].map((step) => (step / 10) * decade);
  return values.reduce((best, one) =>
    Math.abs(Math.log(one / ohm)) < Math.abs(Math.log(best / ohm)) ? one : best,
  );
}
