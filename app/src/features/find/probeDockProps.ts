import type { JobContext } from '@lucky-thread/work';
import type { Finding } from '../../work/useFind';

/** What the dock under a plan is given. */
export interface ProbeDockProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The readings, what they say, and what to do next. */
  readonly finding: Finding;
  /** Every feed has a source and the user goes on. */
  readonly onFilled: () => void;
  /** A slot that nobody has entered is in hand; undefined where the car has only the slots that are there. */
  readonly onInHand?: (() => void) | undefined;
}
