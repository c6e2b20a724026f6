import type { PlanInput } from '../plan/nextAction';
import { WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import type { Look } from './looks';

/** Clipping the probe on, so that both hands are free, s. Common practice. */
const CLIP_ON_SECONDS = 6;

/** Attended seconds from where the car and the clip are until the first wire can be touched. */
export function arrivalSeconds(look: Look, input: PlanInput): number {
  return stateSeconds(look, input) + clipSeconds(look, input);
}

function stateSeconds(look: Look, { state, lifted = false }: PlanInput): number {
  const seconds = changeSeconds(state, look.state);
  const turns = (look.state.rolling === true) !== (state.rolling === true);
  // A wheel that was lifted once hangs free from then on.
  return turns && lifted ? seconds - WORK_SECONDS.lift + WORK_SECONDS.action : seconds;
}

/**
 * Of these, what a need that must see its wire there costs in any case, now or later: a wheel is lifted once, and hangs free from
 * then on.
 */
export function dueSeconds(look: Look, { state, lifted = false }: PlanInput): number {
  return look.state.rolling === true && state.rolling !== true && !lifted ? WORK_SECONDS.lift : 0;
}

/** Moving the clip, or changing the range or the tester. */
function clipSeconds({ clip, by }: Look, { clip: now = 'ground' }: PlanInput): number {
  return (clip === now ? 0 : WORK_SECONDS.clip) + (by === 'meter' ? 0 : WORK_SECONDS.clip);
}

/**
 * Attended seconds of one touch.
 *
 * @param index how many were touched before it at this look
 */
export function touchSeconds(
  look: Look,
  sourceId: string,
  { index, input }: { readonly index: number; readonly input: PlanInput },
): number {
  const { alone = false, on } = input;
  const probe = sourceId === on ? WORK_SECONDS.still : WORK_SECONDS.probe;
  if (!look.held || !alone) return probe;
  // Alone, what must be held is let go before the next wire is clipped on.
  const again = look.place === 'crank' ? WORK_SECONDS.crank : WORK_SECONDS.action;
  return probe + CLIP_ON_SECONDS + (index > 0 ? again : 0);
}
