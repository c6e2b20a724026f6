import type { JobView } from '@lucky-thread/contract';
import type { JobChange } from '../../work/useJobChange';

/** What the cards before the hand-over need of a job. */
export interface ClosingProps {
  readonly job: Pick<JobView, 'id' | 'device' | 'closing'>;
  readonly onNote: JobChange['noteClosing'];
}
