import type { StitchPlace, VehicleState } from '../vehicle';

/** Attended seconds of each piece of work. Common practice, with an installer at the car. */
export const WORK_SECONDS = {
  probe: 5,
  key: 4,
  crank: 10,
  engine: 8,
  lamps: 4,
  door: 3,
  /** Unattended: the wait until the modules sleep. */
  sleep: 1800,
} as const;

/** Seconds of work to bring the car from one state to another, the wait for sleep included. */
export function changeSeconds(from: VehicleState, to: VehicleState): number {
  let seconds = 0;
  if (to.asleep && !from.asleep) return WORK_SECONDS.sleep;
  if (to.key !== from.key) seconds += keySeconds(to.key);
  if (to.lamps !== from.lamps) seconds += WORK_SECONDS.lamps;
  if (to.key === 'off' && !to.doorOpenedSinceKeyOff && from.doorOpenedSinceKeyOff)
    // The retained period starts anew only by switching on and off again with the door shut.
    seconds += 2 * WORK_SECONDS.key + WORK_SECONDS.door;
  else if (to.driverDoor !== from.driverDoor) seconds += WORK_SECONDS.door;
  return seconds;
}

function keySeconds(key: VehicleState['key']): number {
  if (key === 'crank') return WORK_SECONDS.crank;
  return key === 'engine' ? WORK_SECONDS.engine : WORK_SECONDS.key;
}

/** Places in the order in which they are tried when two are worth the same; the last ones cost most. */
export const VISIT_ORDER: readonly StitchPlace[] = [
  'off',
  'run',
  'acc',
  'lamps',
  'justOff',
  'engine',
  'crank',
  'asleep',
];
