import type { CircuitFunction, StitchPlace } from '../../vehicle';
import { describeState, placeOf } from '../../vehicle';
import type { StateEvidence } from '../belief/stateEvidence';
import { isSwitchWire } from '../circuit/switchWires';
import type { Reading } from '../reading/reading';
import { isPlain, senseOf } from '../reading/reading';

/** Readings of one source in one state that cannot all be right. */
export interface Contradiction {
  /** Where readings disagree. */
  readonly place: StitchPlace;
  /** Those that do. */
  readonly readingIds: readonly string[];
  /** What disagrees, and the likeliest reasons, cheapest to check first. */
  readonly explanation: string;
}

/**
 * Which readings of one source disagree within one state; disagreeing is named, not averaged away.
 *
 * @param leading what it is by all readings together: what a module pulls up shows volts and leaves a lamp dark
 */
export function findContradictions(
  evidence: readonly StateEvidence[],
  leading: CircuitFunction,
): Contradiction[] {
  const agreeing = isSwitchWire(leading) ? isLampDark : () => false;
  return evidence.flatMap((group) => {
    if (group.readings.length < 2) return [];
    const plain = group.readings.filter((one) => isPlain(one) && !agreeing(one));
    const senses = new Set(plain.map(senseOf));
    if (!senses.has('live') || !senses.has('dead') || isOutvoted(plain)) return [];
    return [
      {
        place: placeOf(group.state),
        readingIds: group.readings.map((reading) => reading.id),
        explanation: `Live and dead in one state (${describeState(group.state)}). ${reasonFor(group.readings)}`,
      },
    ];
  });
}

function isLampDark(reading: Reading): boolean {
  return reading.value.kind === 'glow' && senseOf(reading) === 'dead';
}

/** A dead reading is outvoted by so many live ones. */
const OUTVOTING = 2;

/**
 * Whether a single dead reading stands against live ones with the same instrument: a probe that misses the metal shows
 * nothing. A live one can't have missed.
 */
function isOutvoted(readings: readonly Reading[]): boolean {
  const dead = readings.filter((one) => senseOf(one) === 'dead');
  const live = readings.filter((one) => senseOf(one) === 'live');
  return (
    dead.length === 1 &&
    live.length >= OUTVOTING &&
    readings.every((one) => one.value.kind === dead[0]?.value.kind)
  );
}

function reasonFor(readings: readonly Reading[]): string {
  const meterLive = readings.some((one) => one.value.kind === 'volts' && senseOf(one) === 'live');
  const lampDark = readings.some(isLampDark);
  if (meterLive && lampDark)
    return 'The meter sees volts that do not light a lamp: a bad contact or a ghost voltage. Trust the lamp, and check its clip first.';
  return 'Check the ground clip, then whether the fuse was out or a module went to sleep; withdraw the wrong one.';
}
