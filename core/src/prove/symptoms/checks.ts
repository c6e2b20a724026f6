import { FOREIGN_CHECKS } from './foreignChecks';
import { NOISE_CHECKS } from './noiseChecks';
import { SUPPLY_CHECKS } from './supplyChecks';

/** Every check. */
export const FAULT_CHECKS = { ...SUPPLY_CHECKS, ...NOISE_CHECKS, ...FOREIGN_CHECKS } as const;
/** One check. */
export type FaultCheckId = keyof typeof FAULT_CHECKS;
