export {
  BATTERY_NAMES,
  BATTERY_TYPES,
  PEUKERT_RANGE,
  agedAh,
  availableAh,
  chargeAtRest,
  hoursAt,
  labelProblem,
  peukertExponent,
  restVolts,
} from './battery';
export type { Battery, BatteryType } from './battery';
export { crankChance, crankMargin } from './crank';
export { STEP_MINUTES, simulateMonth } from './month';
export type { DrivingPattern, Month, MonthPlan } from './month';
export { NORMAL_DRAIN_A, chargeForCrank, parkedTime } from './parked';
export type { ParkedLoad, ParkedTime } from './parked';
export { SAFE_CRANK, safeSettings, weighAssumptions } from './settings';
export type { Assumption, SafeSettings } from './settings';
