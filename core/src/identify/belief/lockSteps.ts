import type { Hypothesis } from '../circuit/hypotheses';
import { HYPOTHESES } from '../circuit/hypotheses';
import type { VehicleState } from '../../vehicle';
import { isPlain, senseOf } from '../reading/reading';
import type { StateEvidence } from './stateEvidence';

/** Part voltages further apart than this are not the same, V: noise of a meter and of the battery stays under it. */
const STEP_V = 0.4;
/** How much rarer it is that a ladder shows no step, or that a steady pull-up shows one. */
const UNLIKELY = 0.02;

/**
 * What the lock switch's steps say, by entry of `HYPOTHESES`: a ladder of resistors goes from one part voltage to
 * another, which no level by itself tells. Undefined as long as no two ways of the switch were read at part voltage.
 */
export function lockSteps(evidence: readonly StateEvidence[]): readonly number[] | undefined {
  const ways = new Map<string, number>();
  for (const { state, readings } of evidence)
    for (const reading of readings)
      if (reading.value.kind === 'volts' && isPlain(reading) && senseOf(reading) === 'part')
        ways.set(wayOf(state), Math.abs(reading.value.volts));
  if (ways.size < 2 || !evidence.some(({ state }) => wayOf(state) !== 'rest')) return undefined;
  const volts = [...ways.values()];
  const steps = Math.max(...volts) - Math.min(...volts) > STEP_V;
  return steps ? STEPPING : STEADY;
}

function wayOf({ lockSwitch = 'rest' }: VehicleState): string {
  return lockSwitch;
}

function isLadder(one: Hypothesis): boolean {
  return one.function === 'lockMultiplex';
}

const STEPPING = HYPOTHESES.map((one) => (isLadder(one) ? 1 : UNLIKELY));
const STEADY = HYPOTHESES.map((one) => (isLadder(one) ? UNLIKELY : 1));
