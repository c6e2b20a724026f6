export { tapSteps } from './tapSteps';
export type { PlannedTap, WorkStep } from './tapSteps';
