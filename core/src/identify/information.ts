import type { VehicleState } from '../vehicle';
import type { Posterior } from './posterior';
import { HYPOTHESES, UNKNOWN_LEVELS, batteryChance } from './signatures';

/** What one more reading of a source in a state would be worth. */
export interface ReadingWorth {
  /** Bits about whether the source meets the need. */
  readonly aboutNeed: number;
  /** Bits about which function it has. */
  readonly aboutFunction: number;
}

/**
 * How much a live-or-dead reading in a state would tell, in bits (mutual information).
 *
 * @param meeting which hypotheses meet the need, in the order of `HYPOTHESES`
 */
export function worthOfReading(
  given: Posterior,
  meeting: readonly boolean[],
  state: VehicleState,
): ReadingWorth {
  const none = given.functions.none;
  let live = none * UNKNOWN_LEVELS.battery;
  let liveMeeting = 0;
  let massMeeting = 0;
  let spread = none * binaryEntropy(UNKNOWN_LEVELS.battery);
  HYPOTHESES.forEach((hypothesis, index) => {
    const weight = given.hypotheses[index] ?? 0;
    const chance = batteryChance(hypothesis, state);
    live += weight * chance;
    spread += weight * binaryEntropy(chance);
    if (meeting[index] !== true) return;
    massMeeting += weight;
    liveMeeting += weight * chance;
  });
  const whole = binaryEntropy(live);
  const ifMeets = massMeeting > 0 ? binaryEntropy(liveMeeting / massMeeting) : 0;
  const massOther = 1 - massMeeting;
  const ifNot = massOther > 0 ? binaryEntropy((live - liveMeeting) / massOther) : 0;
  return {
    aboutNeed: Math.max(0, whole - massMeeting * ifMeets - massOther * ifNot),
    aboutFunction: Math.max(0, whole - spread),
  };
}

/** Entropy of a yes-or-no with chance `p`, in bits; 0 outside (0, 1). */
function binaryEntropy(p: number): number {
  if (p <= 0 || p >= 1) return 0;
  return -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);
}

/** The chance that a source is at battery voltage in a state. */
export function chanceLive(given: Posterior, state: VehicleState): number {
  return HYPOTHESES.reduce(
    (sum, hypothesis, index) =>
      sum + (given.hypotheses[index] ?? 0) * batteryChance(hypothesis, state),
    given.functions.none * UNKNOWN_LEVELS.battery,
  );
}
