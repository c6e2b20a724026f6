export { BENCH_SUPPLIES, batteryVoltage, isClosed } from './circuit';
export type { BenchBattery, BenchCircuit, BenchSupply, BenchVehicle } from './circuit';
export { USUAL_LEGENDS, generateVehicle } from './generateVehicle';
export type { GeneratedSlot, GeneratedVehicle, LegendQuality } from './generateVehicle';
export { lampReading, meterReading } from './instruments';
export type { BenchTouch } from './instruments';
export { seededRandom } from './seededRandom';
export { slotVoltage } from './slotVoltage';
