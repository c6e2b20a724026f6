export { leadEnd, leadFuse, leadGround } from './car/addedLeads';
export { behindConverter, leadTouch } from './car/leadCar';
export type { LeadTouch } from './car/leadCar';
export type { FittedLead } from './car/addedLeads';
export { batteryElements, restVoltage } from './car/battery';
export { UNTOUCHED, benchCar } from './car/benchCar';
export type { BenchCar } from './car/benchCar';
export { BENCH_SUPPLIES, isClosed } from './car/supplies';
export type { BenchSupply } from './car/supplies';
export type { BenchBattery, BenchCircuit, BenchVehicle } from './car/circuit';
export { fuseAfter, tapCurrents } from './car/fuses';
export type { TapCurrents } from './car/fuses';
export type { FittedTap, Situation } from './car/situation';
export type { BenchWire, BenchWireKind } from './car/wire';
export { bunchElsewhere } from './elsewhere/bunchElsewhere';
export { PRACTICE_BUNCHES, practiceBunch } from './generate/practiceBunch';
export type { PracticeBunch } from './generate/practiceBunch';
export { BUNCH_SIGNALS, LOCK_KINDS, generateBunch } from './generate/generateBunch';
export type { BunchSignal, GeneratedBunch, LockKind } from './generate/generateBunch';
export { harnessElsewhere } from './elsewhere/harnessElsewhere';
export type { HarnessElsewhere } from './elsewhere/harnessElsewhere';
export { showsElsewhere } from './elsewhere/showsElsewhere';
export { POOR_ELSEWHERE, USUAL_ELSEWHERE, vehicleElsewhere } from './elsewhere/vehicleElsewhere';
export type { PrintsElsewhere } from './elsewhere/vehicleElsewhere';
export { FADED_HARNESS, USUAL_HARNESS, generateHarness } from './generate/generateHarness';
export type {
  GeneratedHarness,
  GeneratedWire,
  HarnessQuality,
  WireTruth,
} from './generate/generateHarness';
export { POOR_LEGENDS, USUAL_LEGENDS, generateVehicle } from './generate/generateVehicle';
export type { GeneratedSlot, GeneratedVehicle, LegendQuality } from './generate/generateVehicle';
export { seededRandom } from './generate/seededRandom';
export { lampShows, ledShows } from './instrument/lamp';
export type { Burns, LampShows } from './instrument/lamp';
export { portsAt } from './instrument/touch';
export { METER_OHM, meterReading, meterShows } from './instrument/meter';
export type { MeterShows } from './instrument/meter';
export { ohmmeterShows } from './instrument/ohmmeter';
export type { OhmmeterShows } from './instrument/ohmmeter';
export { popShows } from './instrument/pop';
export type { PopShows } from './instrument/pop';
export { GOOD_CLIP } from './instrument/touch';
export type { BenchTouch, Clip } from './instrument/touch';
export { assemble } from './network/assemble';
export { CHASSIS } from './network/element';
export type { Element } from './network/element';
export { solveNetwork } from './network/solveNetwork';
export type { Port, SolvedNetwork } from './network/solveNetwork';
