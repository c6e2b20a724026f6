import type { JobStep } from './jobStep';

/** How long each kind of step takes, s. Common practice. */
export const SECONDS = {
  off: 20,
  battery: 120,
  mount: 300,
  far: 60,
  slide: 20,
  fit: 120,
  splice: 240,
  fuse: 30,
  ground: 180,
  prove: 600,
} as const;

/** A step with what is usual where it says nothing else. */
export function step(
  id: string,
  of: Pick<JobStep, 'what' | 'seconds'> & Partial<JobStep>,
): JobStep {
  return {
    id,
    where: 'driver’s seat',
    tool: undefined,
    state: 'any',
    cautions: [],
    hold: false,
    after: [],
    ...of,
  };
}
