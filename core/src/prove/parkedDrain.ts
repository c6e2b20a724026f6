/** A parked car’s current before and after the work, with everything shut and asleep. */
export interface DrainReading {
  /** With the added fuses out, A. */
  readonly beforeA: number;
  /** With them in, A. */
  readonly afterA: number;
  /** What the device may draw parked, by its label, A; 0 where it should draw nothing. */
  readonly standbyA: number;
  /** How long the car took to fall asleep with them in, min; left out where nobody watched it. */
  readonly asleepAfterMin?: number | undefined;
}

/** What a parked car’s current says. */
export interface DrainVerdict {
  readonly good: boolean;
  /** What was added, A. */
  readonly addedA: number;
  readonly text: string;
}

/** A car at rest draws up to about this once everything sleeps, A. Common practice. */
export const NORMAL_DRAIN_A = 0.05;
/** What a clamp or meter is off by at such currents, A; and how far a label is trusted. Common practice. */
const CLAMP_A = 0.01;
const LABEL_SHARE = 1.25;
/** Modules of a car fall asleep within so many minutes of its being shut. Common practice: 10 to 45. */
export const FALLS_ASLEEP_MIN = 30;
/** Longer than this, something keeps it awake, min. Common practice. */
const KEPT_AWAKE_MIN = 45;

/**
 * Whether what was fitted draws no more than it may while the car sleeps, and whether the car was fit before.
 *
 * @example parkedDrain({ beforeA: 0.03, afterA: 0.04, standbyA: 0.008 }).good // true
 */
export function parkedDrain(reading: DrainReading): DrainVerdict {
  const { asleepAfterMin } = reading;
  const drawn = asleepDrain(reading);
  if (asleepAfterMin === undefined) return drawn;
  if (asleepAfterMin <= KEPT_AWAKE_MIN)
    return { ...drawn, text: `${drawn.text} Asleep after ${asleepAfterMin} min.` };
  return {
    ...drawn,
    good: false,
    text: `${drawn.text} It fell asleep after ${asleepAfterMin} min only: a tapped circuit that a module watches keeps it awake. Another source, or the module’s own time-out by its maker’s service information.`,
  };
}

/** What a sleeping car’s current says. */
function asleepDrain({ beforeA, afterA, standbyA }: DrainReading): DrainVerdict {
  const addedA = afterA - beforeA;
  const mayA = standbyA * LABEL_SHARE + CLAMP_A;
  const sum = `${milli(afterA)} mA with, ${milli(beforeA)} mA without: ${milli(addedA)} mA added`;
  if (beforeA > NORMAL_DRAIN_A + CLAMP_A)
    return {
      good: addedA <= mayA,
      addedA,
      text: `${sum}. The car alone draws more than ${milli(NORMAL_DRAIN_A)} mA: not asleep yet (wait ${FALLS_ASLEEP_MIN} min, doors shut, key away), or a drain of its own.`,
    };
  if (addedA > mayA)
    return {
      good: false,
      addedA,
      text: `${sum}; it may be ${milli(mayA)} mA by its label. Look at its timer and cut-off, and whether the tapped circuit keeps the car awake.`,
    };
  return { good: true, addedA, text: `${sum}, within ${milli(mayA)} mA.` };
}

function milli(amps: number): string {
  return String(Math.round(1000 * amps));
}
