export { CAUSES } from './causes';
export type { CauseId } from './causes';
export { FAULT_CHECKS } from './checks';
export type { FaultCheck, FaultCheckId } from './checks';
export { SURE_FAULT, bitsOf, diagnose } from './diagnose';
export type { CheckDone, Diagnosis, Suspect } from './diagnose';
export { SYMPTOMS } from './symptoms';
export type { Symptom, SymptomId } from './symptoms';
