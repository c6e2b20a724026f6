import type { StateToggle, StitchPlace, VehicleState } from '../../vehicle';
import { TOGGLES } from '../../vehicle';

/** Attended seconds of each piece of work. Common practice, with an installer at the car. */
export const WORK_SECONDS = {
  probe: 5,
  /** Reading again at the wire that the probe sits on, in another state. */
  still: 1,
  key: 4,
  crank: 10,
  engine: 8,
  lamps: 4,
  door: 3,
  /** Brake pedal, gear, parking brake, hazard or lock switch, dimmer. */
  action: 4,
  /** Opening the hood, or shutting it; lifting a wheel onto a stand. */
  hood: 12,
  lift: 120,
  /** Fitting a 9 V source or an ohmmeter across two wires. */
  pair: 8,
  /** Moving the clip from ground to a wire, or back. */
  clip: 5,
  /** Finding one position in the handbook's fuse table. */
  lookUp: 40,
  /** Unattended: the wait until the modules sleep, and until loads are shed. */
  sleep: 1800,
  shed: 600,
} as const;

/** Seconds of work to bring the car from one state to another, waits included. */
export function changeSeconds(from: VehicleState, to: VehicleState): number {
  if (to.asleep && !from.asleep) return WORK_SECONDS.sleep;
  let seconds = 0;
  if (to.key !== from.key) seconds += keySeconds(to.key);
  if (to.lamps !== from.lamps) seconds += WORK_SECONDS.lamps;
  if (to.key === 'off' && !to.doorOpenedSinceKeyOff && from.doorOpenedSinceKeyOff)
    // The retained period starts anew only by switching on and off again with the door shut.
    seconds += 2 * WORK_SECONDS.key + WORK_SECONDS.door;
  else if (to.driverDoor !== from.driverDoor) seconds += WORK_SECONDS.door;
  if (to.key === 'off' && (to.minutesSinceKeyOff ?? 0) > (from.minutesSinceKeyOff ?? 0))
    seconds += WORK_SECONDS.shed;
  for (const which of TOGGLES)
    if ((from[which] === true) !== (to[which] === true)) seconds += toggleSeconds(which);
  const moved = (from.lockSwitch ?? 'rest') !== (to.lockSwitch ?? 'rest');
  return seconds + (moved ? WORK_SECONDS.action : 0);
}

function toggleSeconds(which: StateToggle): number {
  if (which === 'hood') return WORK_SECONDS.hood;
  return which === 'rolling' ? WORK_SECONDS.lift : WORK_SECONDS.action;
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
  'dimmed',
  'justOff',
  'engine',
  'crank',
  // Only signals ask for these, and open wires that may be one: whoever looks for a fuse is not sent to the pedals.
  'brake',
  'reverse',
  'parkingBrake',
  'lock',
  'unlock',
  'hood',
  'horn',
  'waited',
  'asleep',
];

/** Places that only a need which names them is worth a visit for. */
const ON_DEMAND: readonly StitchPlace[] = [
  ...(['dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hood', 'horn'] as const),
];

/** The places that a need's sources may be visited in, in their order. */
export function visitsFor(named: readonly StitchPlace[]): readonly StitchPlace[] {
  return VISIT_ORDER.filter((place) => !ON_DEMAND.includes(place) || named.includes(place));
}
