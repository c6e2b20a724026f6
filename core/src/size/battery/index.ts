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
  selfDischargeA,
} from './battery';
export type { Battery, BatteryType } from './battery';
export { SAFE_CRANK, chargeForCrank, crankChance, crankMargin } from './crank';
export { STEP_MINUTES, simulateMonth } from './month';
export type { DrivingPattern, Month, MonthPlan } from './month';
export { LOW_CHARGE, NORMAL_DRAIN_A, parkedAfter, parkedTime } from './parked';
export type { ParkedLoad, ParkedState, ParkedTime } from './parked';
export { safeSettings, weighAssumptions } from './settings';
export type { Assumption, SafeSettings } from './settings';
