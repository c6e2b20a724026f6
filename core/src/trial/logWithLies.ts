import type { BenchSupply, GeneratedVehicle } from '../bench';
import { seededRandom } from '../bench';
import type { LoggedClaim } from '../identify';
import type { CircuitFunction, StitchPlace } from '../vehicle';

/** What a log of the model is like. */
export interface LogQuality {
  /** Share of harmless slots that the log names. */
  readonly named: number;
  /** Of these, the share that it names wrongly. */
  readonly lies: number;
  /** What the log thinks of its own entries, 0 to 1. */
  readonly probability: number;
}

/** What each feed of the bench would be logged as. */
const FUNCTION_OF: Record<BenchSupply, CircuitFunction> = {
  battery: 'constant',
  batterySaver: 'timedConstant',
  loadShed: 'timedConstant',
  accessoryContact: 'accessory',
  accessoryContactHeld: 'accessory',
  accessoryRelay: 'accessory',
  runContact: 'ignitionRun',
  runCrankContact: 'ignitionRunCrank',
  heldMainRelay: 'ignitionRunCrank',
  retainedPower: 'retainedAccessory',
  retainedRun: 'retainedAccessory',
  delayTimer: 'retainedAccessory',
  starterContact: 'starter',
  lampSwitch: 'lamps',
  lowBeamSwitch: 'lowBeam',
  brakeSwitch: 'stopLamp',
  reverseSwitch: 'reverse',
  wiperSwitch: 'wiper',
  unfed: 'spare',
};
/** Lies are of the functions that people look for. */
const SOUGHT: readonly CircuitFunction[] = [
  'constant',
  'accessory',
  'ignitionRun',
  'ignitionRunCrank',
];
const SEEN: readonly StitchPlace[] = ['off', 'acc', 'run', 'crank', 'justOff', 'asleep'];
/** Keeps the log's draws apart from what drew the car. */
const LOG_SEED = 31_337;

/** A log of a generated car's model, with its share of lies, by slot id. */
export function logWithLies(
  vehicle: GeneratedVehicle,
  seed: number,
  quality: LogQuality,
): ReadonlyMap<string, LoggedClaim> {
  const random = seededRandom(seed + LOG_SEED);
  const log = new Map<string, LoggedClaim>();
  for (const { slotId, supply } of vehicle.truth.circuits) {
    const isCritical = vehicle.slots.find((slot) => slot.id === slotId)?.critical === true;
    if (isCritical || random() >= quality.named) continue;
    const lie = SOUGHT[Math.floor(random() * SOUGHT.length)];
    log.set(slotId, {
      tapPointId: `log of ${slotId}`,
      function: random() < quality.lies && lie !== undefined ? lie : FUNCTION_OF[supply],
      probability: quality.probability,
      seen: SEEN,
    });
  }
  return log;
}
