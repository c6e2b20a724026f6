export { AWG_SIZES, awgAreaMm2, awgDiameterMm } from './awg';
export type { AwgSize } from './awg';
export { METRES_PER_FOOT, feetToMetres, metresToFeet } from './length';
export { METRIC_SIZES_MM2, metricAtLeast } from './metricSizes';
export { QUANTITIES, shown } from './quantity';
export type { Quantity, UnitFace, UnitSystem } from './quantity';
