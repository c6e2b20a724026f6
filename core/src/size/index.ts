export {
  COPPER_RESISTIVITY_OHM_M,
  adiabaticLimitA2s,
  ampacityA,
  awgOhmPerM,
  conductorOhm,
} from './conductor';
export type { InsulationC } from './conductor';
export { CONVERTER_EFFICIENCY, currentAt12V } from './deviceCurrent';
export type { PrintedLoad } from './deviceCurrent';
export { BLADE_OPENING_BAND, openingBand } from './openingTime';
export { CONTINUOUS_SHARE, FEED_LOAD_RANGES, sizeFeed } from './sizeFeed';
export type { FeedLoad, FeedSize, SizeConstraint, SizeReason } from './sizeFeed';
export { voltageDrop } from './voltageDrop';
export type { DropBasis, ReturnPath, VoltageDrop } from './voltageDrop';
