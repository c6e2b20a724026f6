import type { JobView } from '@lucky-thread/contract';
import type { JobChange } from '../../work/useJobChange';

/** What the cards before the hand-over need of a job. */
export interface ClosingProps {
  /** The job that it is about. */
  readonly job: Pick<JobView, 'id' | 'device' | 'closing'>;
  /** Called with what was found. */
  readonly onNote: JobChange['noteClosing'];
}
