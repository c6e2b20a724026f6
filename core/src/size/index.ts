export { longestRunM, largestLoadA } from './backwards';
export type { Limit } from './backwards';
export { capacitorInrush } from './capacitorInrush';
export { chooseFuse, wantedFuseA } from './chooseFuse';
export type { FuseLoad } from './chooseFuse';
export { basisOf, checkConductor, leadOf } from './chooseConductor';
export type { ConductorCheck } from './chooseConductor';
export {
  COPPER_RESISTIVITY_OHM_M,
  INSULATIONS_C,
  adiabaticLimitA2s,
  ambientShare,
  ampacityA,
  ampacityAtA,
  conductorOhm,
} from './conductor';
export type { InsulationC, Surroundings } from './conductor';
export { CONDUCTOR_SIZES, conductorSizeOf } from './conductorSize';
export type { ConductorSize } from './conductorSize';
export { coordinate, currentsBetween, faultCurrentA } from './coordination';
export type { Coordination, ProtectedLead } from './coordination';
export { coordinationCurves } from './curves';
export type { CoordinationCurves, CurvePoint } from './curves';
export { CONVERTER_EFFICIENCY, SAME_SYSTEM_V, currentAt12V } from './deviceCurrent';
export type { PrintedLoad } from './deviceCurrent';
export { CONTINUOUS_SHARE, SOURCE_OHM } from './feedLoad';
export type { FeedLoad, FusePlace, Refusal, SizeConstraint, SizeReason, Stock } from './feedLoad';
export { BLADE_OPENING_BAND, openingBand, openingTimes, ridesThrough } from './openingTime';
export type { Inrush } from './openingTime';
export { SIZING_RANGES, assertNumbers, numberProblems, rangeText } from './ranges';
export type { NumberProblem, SizingField } from './ranges';
export { COIL_A, planSwitching } from './relay';
export type { SwitchPlan, Switching, TerminalRow } from './relay';
export { nextUpFrom, reasonsFor, sizeFeed } from './sizeFeed';
export type { FeedSize, NextUp } from './sizeFeed';
export { SLEEVES, ringFor, sleeveFor, wireTapFor } from './terminals';
export type { Sleeve, TerminalChoice, WireTapChoice } from './terminals';
export { strandedOhm } from './strandedWire';
export { voltageDrop } from './voltageDrop';
export type { DropBasis, ReturnPath, VoltageDrop } from './voltageDrop';
export { withstandS } from './withstand';
