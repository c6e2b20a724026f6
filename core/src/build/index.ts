export { tapSteps } from './tapSteps';
export type { PlannedTap, SlotTap, Splice, WorkStep } from './tapSteps';
