import type { VehicleState } from '../../vehicle';

/** The contact or module that feeds a slot in the simulated car. */
export const BENCH_SUPPLIES = [
  'battery',
  'batterySaver',
  'accessoryContact',
  'accessoryContactHeld',
  'runContact',
  'runCrankContact',
  'retainedPower',
  'retainedRun',
  'delayTimer',
  'loadShed',
  'heldMainRelay',
  'accessoryRelay',
  'starterContact',
  'lampSwitch',
  'lowBeamSwitch',
  'brakeSwitch',
  'reverseSwitch',
  'wiperSwitch',
  'unfed',
] as const;
/** One kind of feed. */
export type BenchSupply = (typeof BENCH_SUPPLIES)[number];

/** Minutes after key-off at which shed loads drop, timers end and a held relay lets go. */
const SHED_AFTER_MIN = 10;

type Law = (state: VehicleState) => boolean;
const minutes = (state: VehicleState): number => state.minutesSinceKeyOff ?? 0;
const isOff: Law = (state) => state.key === 'off';
const accessory: Law = ({ key }) => key === 'acc' || key === 'run' || key === 'engine';
const running: Law = ({ key }) => key === 'run' || key === 'engine';
const cranking: Law = ({ key }) => key === 'crank';
const awakeOff: Law = (state) => isOff(state) && !state.asleep && minutes(state) < SHED_AFTER_MIN;
const doorShutSince: Law = (state) => awakeOff(state) && !state.doorOpenedSinceKeyOff;

/** When each contact is closed. The contacts of an ignition switch after DIN 72552, from memory. */
const CONTACTS: Record<BenchSupply, Law> = {
  battery: () => true,
  batterySaver: (state) => !state.asleep,
  accessoryContact: accessory,
  accessoryContactHeld: (state) => accessory(state) || cranking(state),
  runContact: running,
  runCrankContact: (state) => running(state) || cranking(state),
  retainedPower: (state) => accessory(state) || doorShutSince(state),
  retainedRun: (state) => running(state) || doorShutSince(state),
  delayTimer: (state) => running(state) || awakeOff(state),
  loadShed: (state) => !state.asleep && minutes(state) < SHED_AFTER_MIN,
  heldMainRelay: (state) => running(state) || cranking(state) || awakeOff(state),
  accessoryRelay: accessory,
  starterContact: cranking,
  lampSwitch: (state) => state.lamps,
  lowBeamSwitch: (state) => state.lamps && running(state),
  brakeSwitch: (state) => state.brake === true,
  reverseSwitch: (state) => running(state) && state.reverse === true,
  wiperSwitch: (state) => running(state) && state.wiper === true,
  unfed: () => false,
};

/** Whether a supply's contact is closed in a state. */
export function isClosed(supply: BenchSupply, state: VehicleState): boolean {
  return CONTACTS[supply](state);
}
